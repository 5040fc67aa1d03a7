package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.openqa.selenium.interactions.Interactive;
import tundra.core.edit.SlotDefaults;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Layout;
import tundra.core.model.MapData;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Pages on which the tables of reactions are tried: a button, something that moves, a text, a motif, and what can be dragged. */
abstract class TablesPage extends InBrowser {
    static final int WIDTH = 700, HEIGHT = 400;
    static final List<String> PARTS = List.of("e-landed", "e-landedOn", "e-missed", "e-takenOut", "e-dragStarted", "e-dragged", "e-dragEnded");
    static final Asset BELL;

    static {
        try {
            BELL = Asset.sound("bell.wav", "audio/wav", 500_000, PlayerTest.tone());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    static final Motif VANE = new Motif("vane", "Vane", new Board(new Point(20, 20), Values.NONE, List.of(box("blade", 0)),
            List.of(new Timeline("turns", Timeline.MAIN, 500_000, true, true, Map.of()).withMarkers(List.of(new Marker("half", "Half", 250_000)))),
            List.of()));

    static Element box(String id, int n) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(40 + 70 * (n % 9), 40 + 60 * (n / 9)))
                .with(Properties.SIZE, new Point(50, 40))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    /** The layout of the first scene up to 450 px. */
    static final String NARROW = "narrow";

    static PieceValue number(String id) {
        return new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false);
    }

    static Timeline main() {
        return new Timeline("main", Timeline.MAIN, 600_000, false, false, Map.of()).with("mover", Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR), new Key<>(600_000, 0.5, Easing.LINEAR))))
                .withMarkers(List.of(new Marker("mark", "Half", 300_000)));
    }

    static Project piece(List<Element> elements, List<Reaction> reactions, List<PieceValue> values) {
        var all = new ArrayList<>(elements);
        all.add(box("mover", 30));
        all.add(new Element("placed", "Placed", false, false, Values.NONE.with(Properties.POSITION, new Point(600, 360)),
                new Content.Instance("vane", new Point(20, 20), Clock.OWN)));
        all.addAll(blocks());
        all.add(new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 330))
                .with(Properties.FILL, Color.BLACK),
                new Content.Text("Nothing", "Lora", 400, 14, Content.Align.LEFT, 1.2)));
        var other = new Board(new Point(WIDTH, HEIGHT), Values.NONE, List.of(box("there", 0)),
                List.of(new Timeline("other", Timeline.MAIN, 1_000_000, false, false, Map.of())), List.of());
        return new Project("p", "Page", 24,
                List.of(new Scene("a", "A", new Board(new Point(WIDTH, HEIGHT), Values.NONE, all, List.of(main()), reactions).withDrags(drags(all))
                .withLayouts(List.of(new Layout(NARROW, "Narrow", 0, 450, new Point(400, HEIGHT))))), new Scene("b", "B", other),
                new Scene("c", "C", other.withElements(List.of(box("last", 3)))
                .withTimelines(List.of(new Timeline("third", Timeline.MAIN, 1_000_000, false, false, Map.of())))))
                , Map.of(), Map.of()).withValues(values).withMotifs(List.of(VANE)).withAsset(BELL)
                .withScripts(List.of(new Script("script-a", "celebrate",
                "export function celebrate(page) {\n  // credit: the station\n  if (page.find(\"mover\").shown) page.set(\"v\", 41);\n}\n"),
                new Script("script-b", "broken", "export function broken(page) {\n  page.(;\n}\n")));
    }

    /** One of each kind that events and actions are about, out of everything's way. */
    private static List<Element> blocks() {
        Content.Block strip = Blocks.STRIP.made().with(Blocks.LOOPS, "yes").with(Blocks.TURN_TIME, 50_000L)
                .withChildren(List.of(box("one", 0), box("two", 0), box("three", 0)));
        Content.Block map = Blocks.MAP_BLOCK.made()
                .with(Blocks.MAP, new MapData(List.of(new MapData.Feature(MapData.Form.POINT, "place", "Pier",
                List.of(List.of(new Point(10, 70)))))));
        return List.of(block("gallery", strip), block("player", Blocks.SOUND.made().with(Blocks.SOUND_FILE, BELL.hash())), block("chart", map),
                block("filled", Blocks.TEXT_FIELD.made()), block("zero", Blocks.COUNTDOWN.made()));
    }

    private static Element block(String id, Content.Block b) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(3000, 200)), b);
    }

    /** What the events of dragging are about can be dragged to the mover, which itself can be dragged where nothing else can. */
    static List<Dragging> drags(List<Element> all) {
        var parts = all.stream().map(Element::id).filter(PARTS::contains).map(id -> new Dragging.Pair(id, List.of("mover"))).toList();
        return List.of(Dragging.of("d", parts.isEmpty() ? List.of(new Dragging.Pair("mover", List.of())) : parts)
                .withFit(f -> f.withMany(true).withBack(0)));
    }

    static SlotDefaults near(Project p, String element) {
        return new SlotDefaults(p, p.scenes().getFirst().board(), element, "main", 200_000);
    }

    static Reaction when(String id, Event e, Action... actions) {
        return new Reaction(id, e, List.of(actions));
    }

    static void open(Project p, String name) throws Exception {
        open(p, name, WIDTH, 300);
        browser.run("window.told = []; window.left = []; window.wrong = []; addEventListener('tundra', e => told.push(e.detail.text)); addEventListener('error', e => wrong.push(e.message));"
                + "document.addEventListener('click', e => { const a = e.target.closest('a'); if (a) { left.push(a.href + ' ' + a.target); e.preventDefault(); } });"
                + "const far = document.createElement('div'); far.style.height = '900px'; document.body.append(far);");
    }

    @BeforeEach
    void atTheTop() {
        ((Interactive) browser.driver).resetInputState();
    }
}
