package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.interactions.Actions;
import tundra.core.edit.Reactions;
import tundra.core.edit.Sentences;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Condition;
import tundra.core.model.ConditionKind;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Every event, every condition and every action of the tables in a page that a visitor has open. */
class ReactionTablesTest extends InBrowser {
    private static final int WIDTH = 700, HEIGHT = 400;
    private static final List<String> PARTS = List.of("e-landed", "e-landedOn", "e-missed", "e-takenOut", "e-dragStarted", "e-dragged", "e-dragEnded");
    private static final Asset BELL;
    private static final String TOLD = "told.js";

    static {
        try {
            BELL = Asset.sound("bell.wav", "audio/wav", 500_000, PlayerTest.tone());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static final Motif VANE = new Motif("vane", "Vane", new Board(new Point(20, 20), Values.NONE, List.of(box("blade", 0)),
            List.of(new Timeline("turns", Timeline.MAIN, 500_000, true, true, Map.of()).withMarkers(List.of(new Marker("half", "Half", 250_000)))), List.of()));

    private static Element box(String id, int n) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(40 + 70 * (n % 9), 40 + 60 * (n / 9))).with(Properties.SIZE, new Point(50, 40))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private static PieceValue number(String id) {
        return new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false);
    }

    private static Timeline main() {
        return new Timeline("main", Timeline.MAIN, 600_000, false, false, Map.of()).with("mover", Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR), new Key<>(600_000, 0.5, Easing.LINEAR)))).withMarkers(List.of(new Marker("mark", "Half", 300_000)));
    }

    private static Project piece(List<Element> elements, List<Reaction> reactions, List<PieceValue> values) {
        var all = new ArrayList<>(elements);
        all.add(box("mover", 30));
        all.add(new Element("placed", "Placed", false, false, Values.NONE.with(Properties.POSITION, new Point(600, 360)), new Content.Instance("vane", new Point(20, 20), Clock.OWN)));
        all.add(new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 330)).with(Properties.FILL, Color.BLACK),
                new Content.Text("Nothing", "Lora", 400, 14, Content.Align.LEFT, 1.2)));
        var other = new Board(new Point(WIDTH, HEIGHT), Values.NONE, List.of(box("there", 0)), List.of(new Timeline("other", Timeline.MAIN, 1_000_000, false, false, Map.of())), List.of());
        return new Project("p", "Page", 24, List.of(new Scene("a", "A", new Board(new Point(WIDTH, HEIGHT), Values.NONE, all, List.of(main()), reactions).withDrags(drags(all))), new Scene("b", "B", other),
                new Scene("c", "C", other.withElements(List.of(box("last", 3))).withTimelines(List.of(new Timeline("third", Timeline.MAIN, 1_000_000, false, false, Map.of())))))
                , Map.of(), Map.of()).withValues(values).withMotifs(List.of(VANE)).withAsset(BELL).withScripts(List.of(new tundra.core.model.Script("script-a", "celebrate", "export function celebrate(page) {\n  // credit: the station\n  if (page.find(\"mover\").shown) page.set(\"v\", 41);\n}\n"),
                new tundra.core.model.Script("script-b", "broken", "export function broken(page) {\n  page.(;\n}\n")));
    }

    /** What the events of dragging are about can be dragged to the mover, which itself can be dragged where nothing else can. */
    private static List<Dragging> drags(List<Element> all) {
        var parts = all.stream().map(Element::id).filter(PARTS::contains).map(id -> new Dragging.Pair(id, List.of("mover"))).toList();
        return List.of(Dragging.of("d", parts.isEmpty() ? List.of(new Dragging.Pair("mover", List.of())) : parts).withFit(f -> f.withMany(true).withBack(0)));
    }

    private static Reactions.Near near(Project p, String element) {
        return new Reactions.Near(p, p.scenes().getFirst().board(), element, "main", 200_000);
    }

    private static Reaction when(String id, Event e, Action... actions) {
        return new Reaction(id, e, List.of(actions));
    }

    private void open(Project p, String name) throws Exception {
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), folder.resolve(name), x -> { }, () -> false);
        browser.open(folder.resolve(name), WIDTH, 300);
        browser.run("window.told = []; window.left = []; window.wrong = []; addEventListener('tundra', e => told.push(e.detail.text)); addEventListener('error', e => wrong.push(e.message));"
                + "document.addEventListener('click', e => { const a = e.target.closest('a'); if (a) { left.push(a.href + ' ' + a.target); e.preventDefault(); } });"
                + "const far = document.createElement('div'); far.style.height = '900px'; document.body.append(far);");
    }

    @BeforeEach
    void atTheTop() {
        ((org.openqa.selenium.interactions.Interactive) browser.driver).resetInputState();
    }

    private double value(String id) {
        return ((Number) browser.run("return Tundra.pieces[0].value(arguments[0])", id)).doubleValue();
    }

    private void mouse(String type, double x, double y, int buttons) {
        browser.driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", type, "x", x, "y", y, "button", type.equals("mouseMoved") && buttons == 0 ? "none" : "left", "buttons", buttons, "clickCount", 1));
    }

    private void touch(String type, double... xy) {
        var points = new ArrayList<Map<String, Object>>();
        for (int i = 0; i < xy.length; i += 2) {
            points.add(Map.of("x", xy[i], "y", xy[i + 1], "id", i / 2));
        }
        browser.driver.executeCdpCommand("Input.dispatchTouchEvent", Map.of("type", type, "touchPoints", points));
    }

    private void home() {
        browser.run("for (const d of Tundra.pieces[0].shown.board.parts.values()) d.home(0)");
    }

    private void drag(double x, double y, double toX, double toY) {
        mouse("mousePressed", x, y, 1);
        mouse("mouseMoved", (x + toX) / 2, (y + toY) / 2, 1);
        mouse("mouseMoved", toX, toY, 1);
        mouse("mouseReleased", toX, toY, 0);
    }

    private void click(double x, double y) {
        mouse("mousePressed", x, y, 1);
        mouse("mouseReleased", x, y, 0);
    }

    private void scroll(double to) {
        browser.run("scrollTo(0, arguments[0])", to);
    }

    private interface Doing {
        void at(double x, double y) throws Exception;
    }

    /** What a visitor does for each event, on the element that it is about. */
    private Map<EventKind, Doing> doings() {
        var m = new LinkedHashMap<EventKind, Doing>();
        m.put(Events.TAPPED, this::click);
        m.put(Events.TAPPED_TWICE, (x, y) -> {
            click(x, y);
            click(x, y);
        });
        m.put(Events.PRESSED, this::click);
        m.put(Events.RELEASED, this::click);
        m.put(Events.HELD, (x, y) -> {
            mouse("mousePressed", x, y, 1);
            browser.until("return Tundra.pieces[0].value('n-held') > 0");
            mouse("mouseReleased", x, y, 0);
        });
        m.put(Events.OVER, (x, y) -> mouse("mouseMoved", x, y, 0));
        m.put(Events.OUT, (x, y) -> {
            mouse("mouseMoved", x, y, 0);
            mouse("mouseMoved", 650, 10, 0);
        });
        m.put(Events.SWIPED, (x, y) -> {
            touch("touchStart", x, y);
            touch("touchMove", x - 30, y);
            touch("touchMove", x - 80, y + 3);
            touch("touchEnd");
        });
        m.put(Events.PINCHED, (x, y) -> {
            touch("touchStart", x - 5, y, x + 5, y);
            touch("touchMove", x - 12, y, x + 12, y);
            touch("touchMove", x - 20, y, x + 20, y);
            touch("touchEnd");
        });
        Point mover = box("mover", 30).rest().get(Properties.POSITION);
        Doing there = (x, y) -> drag(x, y, mover.x(), mover.y());
        m.put(Events.LANDED, there);
        m.put(Events.LANDED_ON, there);
        m.put(Events.MISSED, (x, y) -> drag(x, y, 660, 20));
        m.put(Events.TAKEN_OUT, (x, y) -> {
            home();
            drag(x, y, mover.x(), mover.y());
            // the place lies above it
            browser.run("document.querySelector('.' + arguments[0] + '-h').style.zIndex = 99999", PageId.of("e-takenOut"));
            drag(mover.x(), mover.y(), 640, 30);
        });
        m.put(Events.ALL_LANDED, (x, y) -> {
            home();
            for (String part : PARTS) {
                var at = (List<?>) browser.run("const r = document.querySelector('.' + arguments[0] + ' .t-p > *').getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]", PageId.of(part));
                drag(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue(), mover.x(), mover.y());
            }
        });
        for (EventKind k : List.of(Events.DRAG_STARTED, Events.DRAGGED, Events.DRAG_ENDED)) {
            m.put(k, (x, y) -> {
                home();
                drag(x, y, x + 30, y + 5);
            });
        }
        m.put(Events.KEY_PRESSED, (x, y) -> new Actions(browser.driver).sendKeys("k").perform());
        m.put(Events.OPENED, (x, y) -> { });
        m.put(Events.CLOSED, (x, y) -> {
            browser.run("Tundra.pieces[0].show('B')");
            browser.run("Tundra.pieces[0].show('A')");
        });
        Doing play = (x, y) -> browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        m.put(Events.PASSED, play);
        m.put(Events.REACHED, play);
        m.put(Events.ENDED, play);
        m.put(Events.INSTANCE_REACHED, (x, y) -> { });
        m.put(Events.SCROLLED_TO, (x, y) -> scroll(700));
        m.put(Events.SCROLLED, (x, y) -> {
            scroll(0);
            browser.until("return scrollY === 0");
            scroll(300);
        });
        m.put(Events.ENTERED, (x, y) -> {
            scroll(900);
            browser.run("window.seenTwice = 0; requestAnimationFrame(() => requestAnimationFrame(() => requestAnimationFrame(() => seenTwice = 1)))");
            browser.until("return seenTwice === 1 && scrollY > 700");
            scroll(0);
        });
        m.put(Events.LEFT, (x, y) -> scroll(900));
        m.put(Events.BECAME, (x, y) -> browser.run("Tundra.pieces[0].put('watched', 7)"));
        m.put(Events.CHANGED, (x, y) -> browser.run("Tundra.pieces[0].put('watched', 8)"));
        m.put(Events.NARROWER, (x, y) -> width(500));
        m.put(Events.WIDER, (x, y) -> {
            width(500);
            browser.until("return innerWidth === 500");
            width(WIDTH);
        });
        m.put(Events.AFTER, (x, y) -> { });
        m.put(Events.EVERY, (x, y) -> { });
        return m;
    }

    private void width(int w) {
        browser.driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", Map.of("width", w, "height", 300, "deviceScaleFactor", 1, "mobile", false));
    }

    private static Event event(EventKind k, Project p, String element) {
        return switch (k.key()) {
            case "passed" -> Events.of(k, "main", 200_000L, "forwards");
            case "instanceReached" -> Events.of(k, "placed", "half");
            case "landedOn" -> Events.of(k, element, "mover");
            case "became" -> Events.of(k, "watched", "7");
            case "changed" -> Events.of(k, "watched");
            case "keyPressed" -> Events.of(k, "K");
            case "after", "every" -> Events.of(k, 150_000L);
            case "narrower", "wider" -> Events.of(k, 600.0);
            default -> Reactions.as(Events.tapped(element), k, near(p, element));
        };
    }

    @Test
    void everyEventHappensAndFiresActionsOfEveryKind() throws Exception {
        var doings = doings();
        assertThat(doings.keySet()).containsExactlyInAnyOrderElementsOf(Events.ALL);
        var elements = new ArrayList<Element>();
        var values = new ArrayList<>(List.of(number("watched"), number("aside")));
        Events.ALL.forEach(k -> {
            elements.add(box("e-" + k.key(), elements.size()));
            values.add(number("n-" + k.key()));
        });
        Project bare = piece(elements, List.of(), values);
        var reactions = new ArrayList<Reaction>();
        for (EventKind k : Events.ALL) {
            // what plays, opens or leaves comes with the test of the actions; here a few kinds each, and what counts last
            reactions.add(when("r-" + k.key(), event(k, bare, "e-" + k.key()), tundra.core.model.Actions.of(tundra.core.model.Actions.SHOW, List.of("mover")),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("mover"), Setting.of(Properties.ROTATION, 45.0), 1000L, "linear"),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.TO_FRONT, List.of("mover")), tundra.core.model.Actions.of(tundra.core.model.Actions.PUT_TEXT, "aside", "words"),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.SAY, "told"), tundra.core.model.Actions.of(tundra.core.model.Actions.RANDOM_VALUE, "aside", 1.0, 6.0),
                    tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, "n-" + k.key(), 1.0)));
        }
        open(piece(elements, reactions, values), "events");
        for (int i = 0; i < Events.ALL.size(); i++) {
            EventKind k = Events.ALL.get(i);
            scroll(0);
            browser.until("return scrollY === 0");
            double before = k == Events.OPENED || k == Events.AFTER ? 0 : value("n-" + k.key());
            Point at = elements.get(i).rest().get(Properties.POSITION);
            doings.get(k).at(at.x(), at.y());
            String more = "return Tundra.pieces[0].value('n-" + k.key() + "') > " + before;
            try {
                browser.until(more);
            } catch (AssertionError e) {
                throw new AssertionError(k.key() + " did not happen: " + browser.run("return told.slice(-12)"), e);
            }
            width(WIDTH);
        }
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
    }

    /** Every action of the table, those that leave the scene behind the others, and the one that ends the reaction last. */
    private static List<Action> everyAction(Project p, String count) {
        List<ActionKind> leaving = List.of(tundra.core.model.Actions.WAIT, tundra.core.model.Actions.NEXT_SCENE, tundra.core.model.Actions.PREVIOUS_SCENE, tundra.core.model.Actions.OPEN_SCENE,
                tundra.core.model.Actions.BACK, tundra.core.model.Actions.STOP);
        var kinds = new ArrayList<>(List.of(tundra.core.model.Actions.ADD_VALUE));
        tundra.core.model.Actions.ALL.stream().filter(k -> !leaving.contains(k) && !kinds.contains(k)).toList().forEach(kinds::add);
        kinds.addAll(leaving);
        var out = new ArrayList<Action>();
        for (ActionKind k : kinds) {
            out.add(k == tundra.core.model.Actions.ADD_VALUE ? tundra.core.model.Actions.of(k, count, 1.0) : k == tundra.core.model.Actions.WAIT ? tundra.core.model.Actions.of(k, 1000L)
                    : k == tundra.core.model.Actions.SET_VALUE ? tundra.core.model.Actions.of(k, "aside", "3") : k == tundra.core.model.Actions.TOGGLE_VALUE ? tundra.core.model.Actions.of(k, "aside")
                    : k == tundra.core.model.Actions.RANDOM_VALUE ? tundra.core.model.Actions.of(k, "aside", 1.0, 6.0)
                    : Reactions.as(tundra.core.model.Actions.of(tundra.core.model.Actions.PAUSE, "main"), k, near(p, "mover")));
        }
        return out;
    }

    /** A page for each event, whose one reaction does everything that the table has. */
    @Test
    void everyEventFiresEveryAction() throws Exception {
        var doings = doings();
        var wrong = new ArrayList<String>();
        for (int i = 0; i < Events.ALL.size(); i++) {
            EventKind k = Events.ALL.get(i);
            String id = "e-" + k.key(), count = "n-" + k.key();
            var elements = new ArrayList<Element>();
            // what can be dragged is told from the rest by its name, and all parts are needed where all of them land
            for (EventKind other : k == Events.ALL_LANDED ? Events.ALL : List.of(k)) {
                elements.add(box("e-" + other.key(), Events.ALL.indexOf(other)));
            }
            var values = List.of(number("watched"), number("aside"), number(count));
            Project bare = piece(elements, List.of(), values);
            List<Action> all = everyAction(bare, count);
            // once: what happens when a scene opens or closes would happen again and again
            var once = List.of(Conditions.of(Conditions.VALUE, count, "is", "0"));
            // each tells what it does in the words of its sentence
            var sentences = new Sentences(bare, bare.scenes().getFirst().board());
            List<String> words = all.stream().map(a -> sentences.of(a.kind(), a.slots())).toList();
            // without the script that can't be read, which is told of as the page loads
            Project p = piece(elements, List.of(new Reaction("r", event(k, bare, id), once, false, all, List.of(), false, "")), values).withScripts(bare.scripts().subList(0, 1));
            Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, TOLD), folder.resolve("every-" + i), x -> { }, () -> false);
            java.nio.file.Files.writeString(folder.resolve("every-" + i).resolve(TOLD), "window.told = []; window.wrong = []; addEventListener('tundra', e => e.detail.reaction && told.push(e.detail.text)); addEventListener('error', e => wrong.push(e.message));"
                    + "document.addEventListener('click', e => { if (e.target.closest('a')) e.preventDefault(); }, true);");
            browser.open(folder.resolve("every-" + i), WIDTH, 300);
            browser.run("const far = document.createElement('div'); far.style.height = '900px'; document.body.append(far); scrollTo(0, 0)");
            Point at = elements.stream().filter(e -> e.id().equals(id)).findFirst().orElseThrow().rest().get(Properties.POSITION);
            doings.get(k).at(at.x(), at.y());
            try {
                browser.until("return told.includes('" + words.getLast() + "')");
            } catch (AssertionError e) {
                wrong.add(k.key() + " did not come to the end: " + browser.run("return told.join()"));
                continue;
            } finally {
                width(WIDTH);
            }
            assertThat((List<?>) browser.run("return wrong")).as(k.key()).isEmpty();
            var told = (List<?>) browser.run("return told");
            if (!told.containsAll(words)) {
                wrong.add(k.key() + " did not fire all: " + told);
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** What must be true on the page after each action; the first element is shown, 25 px right of the left edge. */
    private static Map<ActionKind, String> effects() {
        var m = new LinkedHashMap<ActionKind, String>();
        String main = "Tundra.pieces[0].timeline('Main')", mover = "document.querySelector('.t-mover')";
        m.put(tundra.core.model.Actions.PLAY, main + ".playing || " + main + ".time === 600");
        m.put(tundra.core.model.Actions.PAUSE, "!" + main + ".playing && " + main + ".time > 0");
        m.put(tundra.core.model.Actions.TOGGLE, main + ".playing");
        m.put(tundra.core.model.Actions.PLAY_FROM_START, main + ".playing");
        m.put(tundra.core.model.Actions.PLAY_FROM, main + ".time >= 300");
        m.put(tundra.core.model.Actions.PLAY_FROM_TIME, main + ".time > 200 || " + main + ".playing");
        m.put(tundra.core.model.Actions.PLAY_TO, "!" + main + ".playing && " + main + ".time === 300");
        m.put(tundra.core.model.Actions.PLAY_BACK, "!" + main + ".playing && " + main + ".time === 0 && told.includes('Main ended')");
        m.put(tundra.core.model.Actions.GO_TO, main + ".time === 200");
        m.put(tundra.core.model.Actions.SET_SPEED, main + ".pace === 1 && told.includes('setSpeed')");
        m.put(tundra.core.model.Actions.SHOW, "!" + mover + ".hidden");
        m.put(tundra.core.model.Actions.HIDE, mover + ".hidden && getComputedStyle(" + mover + ").display === 'none'");
        m.put(tundra.core.model.Actions.TOGGLE_SHOWN, mover + ".hidden");
        m.put(tundra.core.model.Actions.SET, "getComputedStyle(" + mover + ").opacity === '0.5'");
        m.put(tundra.core.model.Actions.CHANGE_BY, "getComputedStyle(" + mover + ").opacity === '1' && told.includes('changeBy')");
        m.put(tundra.core.model.Actions.TO_FRONT, mover + ".style.zIndex === '1'");
        m.put(tundra.core.model.Actions.TO_BACK, mover + ".style.zIndex === '-1'");
        m.put(tundra.core.model.Actions.SEND_HOME, "Tundra.pieces[0].shown.board.parts.get('t-mover').x === 0 && told.includes('sendHome')");
        m.put(tundra.core.model.Actions.OPEN_SCENE, "Tundra.pieces[0].shown.name === 'B'");
        m.put(tundra.core.model.Actions.NEXT_SCENE, "Tundra.pieces[0].shown.name === 'B'");
        m.put(tundra.core.model.Actions.PREVIOUS_SCENE, "Tundra.pieces[0].shown.name === 'A' && told.includes('previousScene')");
        m.put(tundra.core.model.Actions.BACK, "Tundra.pieces[0].shown.name === 'A' && told.includes('back')");
        m.put(tundra.core.model.Actions.OPEN_LINK, "left.includes('https://example.org/ ')");
        m.put(tundra.core.model.Actions.CALL, "left.includes('tel:+00000000 ')");
        m.put(tundra.core.model.Actions.WRITE_MAIL, "left.includes('mailto:somebody@example.org ')");
        String sound = "Tundra.pieces[0].sound(Object.keys(heard)[0])";
        m.put(tundra.core.model.Actions.PLAY_SOUND, "played.includes('play')");
        m.put(tundra.core.model.Actions.PAUSE_SOUND, "played.includes('pause')");
        m.put(tundra.core.model.Actions.TOGGLE_SOUND, "played.includes('play')");
        m.put(tundra.core.model.Actions.STOP_SOUND, "played.includes('pause')");
        m.put(tundra.core.model.Actions.SET_VOLUME, "played.includes('volume 0.5')");
        m.put(tundra.core.model.Actions.SET_VALUE, "Tundra.pieces[0].value('v') === 1");
        m.put(tundra.core.model.Actions.ADD_VALUE, "Tundra.pieces[0].value('v') === 1");
        m.put(tundra.core.model.Actions.TOGGLE_VALUE, "Tundra.pieces[0].value('v') === 1");
        m.put(tundra.core.model.Actions.RANDOM_VALUE, "Tundra.pieces[0].value('v') >= 1 && Tundra.pieces[0].value('v') <= 6");
        m.put(tundra.core.model.Actions.PUT_TEXT, "document.querySelector('.t-words tspan').textContent === '0'");
        m.put(tundra.core.model.Actions.SAY, "document.querySelector('.t-say[aria-live=polite]')?.textContent === 'Hello'");
        m.put(tundra.core.model.Actions.RUN, "Tundra.pieces[0].value('v') === 41");
        m.put(tundra.core.model.Actions.COPY_TEXT, "copied.includes('Hello')");
        m.put(tundra.core.model.Actions.WAIT, "told.includes('wait')");
        m.put(tundra.core.model.Actions.STOP, "told.includes('stop') && !told.includes('wait')");
        return m;
    }

    @Test
    void everyActionDoesWhatItSays() throws Exception {
        var effects = effects();
        assertThat(effects.keySet()).containsExactlyInAnyOrderElementsOf(tundra.core.model.Actions.ALL);
        Project bare = piece(List.of(box("button", 0)), List.of(), List.of(number("v")));
        var reactions = new ArrayList<Reaction>();
        for (ActionKind k : tundra.core.model.Actions.ALL) {
            Action a = Reactions.as(tundra.core.model.Actions.of(tundra.core.model.Actions.PAUSE, "main"), k, near(bare, "mover"));
            List<Action> all = k == tundra.core.model.Actions.STOP ? List.of(a, tundra.core.model.Actions.of(tundra.core.model.Actions.WAIT, 1000L)) : List.of(a);
            // each by a key of its own
            reactions.add(new Reaction("r-" + k.key(), Events.of(Events.KEY_PRESSED, "F" + (reactions.size() + 1)), all));
        }
        open(piece(List.of(box("button", 0)), reactions, List.of(number("v"))), "actions");
        browser.run("""
                const media = HTMLMediaElement.prototype;
                window.played = [];
                media.play = function () { played.push('play'); return Promise.resolve(); };
                media.pause = function () { played.push('pause'); };
                const volume = Object.getOwnPropertyDescriptor(media, 'volume');
                Object.defineProperty(media, 'volume', { get: volume.get, set(v) { played.push('volume ' + v); volume.set.call(this, v); } });
                window.copied = [];
                document.addEventListener('copy', () => copied.push(String(document.activeElement.value)));
                if (navigator.clipboard) navigator.clipboard.writeText = (t) => { copied.push(t); return Promise.resolve(); };""");
        var wrong = new ArrayList<String>();
        for (int i = 0; i < tundra.core.model.Actions.ALL.size(); i++) {
            ActionKind k = tundra.core.model.Actions.ALL.get(i);
            browser.run("Tundra.pieces[0].show('A'); told.length = 0; left.length = 0; played.length = 0; Tundra.pieces[0].put('v', 0);");
            browser.run("const d = Tundra.pieces[0].shown.board.parts.get('t-mover'); d.x = 50; d.show();");
            if (k == tundra.core.model.Actions.PAUSE || k == tundra.core.model.Actions.PLAY_BACK) {
                browser.run("Tundra.pieces[0].timeline('Main').goTo(400); " + (k == tundra.core.model.Actions.PAUSE ? "Tundra.pieces[0].timeline('Main').play()" : ""));
            }
            browser.run("dispatchEvent(new Event('x')); document.dispatchEvent(new KeyboardEvent('keydown', { key: arguments[0], bubbles: true }))", "F" + (i + 1));
            try {
                browser.until("return !!(" + effects.get(k) + ")");
            } catch (AssertionError e) {
                wrong.add(k.key() + ": " + browser.run("return told.join()"));
            }
        }
        assertThat(wrong).isEmpty();
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
    }

    @Test
    void commentsOfScriptsStayUnlessTheyAreNotWanted() {
        Project p = piece(List.of(box("button", 0)), List.of(), List.of(number("v")));
        String kept = script(p), bare = script(p.withScripts(p.scripts().stream().map(s -> s.withComments(false)).toList()));
        assertThat(kept).contains("// credit: the station");
        assertThat(bare).doesNotContain("credit").contains("page.set(\"v\", 41)");
    }

    private static String script(Project p) {
        return new String(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null).files().get("script-celebrate.js"), java.nio.charset.StandardCharsets.UTF_8);
    }

    @Test
    void conditionsDecideBetweenActionsAndOtherwise() throws Exception {
        var elements = List.of(box("button", 0));
        var values = List.of(number("v"), number("yes"), number("no"));
        Map<ConditionKind, String> holds = new LinkedHashMap<>();
        holds.put(Conditions.VALUE, "Tundra.pieces[0].put('v', 5)");
        holds.put(Conditions.SHOWN, "document.querySelector('.t-mover').hidden = false");
        holds.put(Conditions.PLAYS, "Tundra.pieces[0].timeline('Main').playFromStart()");
        holds.put(Conditions.TIME, "Tundra.pieces[0].timeline('Main').goTo(50)");
        holds.put(Conditions.WIDTH, "window.innerWidth = 500");
        holds.put(Conditions.KEY, "dispatchEvent(new KeyboardEvent('keydown', { key: 'h' }))");
        assertThat(holds.keySet()).as("less motion is asked for in a browser of its own").containsExactlyInAnyOrderElementsOf(
                Conditions.ALL.stream().filter(k -> k != Conditions.MOTION).toList());
        Map<ConditionKind, String> not = Map.of(Conditions.WIDTH, "window.innerWidth = 700", Conditions.VALUE, "Tundra.pieces[0].put('v', 4)", Conditions.SHOWN, "document.querySelector('.t-mover').hidden = true",
                Conditions.PLAYS, "Tundra.pieces[0].timeline('Main').pause()", Conditions.TIME, "Tundra.pieces[0].timeline('Main').goTo(500)",
                Conditions.KEY, "dispatchEvent(new KeyboardEvent('keyup', { key: 'h' }))");
        var all = List.of(Conditions.of(Conditions.VALUE, "v", "is", "5"), Conditions.of(Conditions.SHOWN, "mover", "shown"), Conditions.of(Conditions.PLAYS, "main", "plays"),
                Conditions.of(Conditions.TIME, "main", "before", 100_000L), Conditions.of(Conditions.WIDTH, "narrower", 600.0), Conditions.of(Conditions.KEY, "H", "held"));
        var reactions = new ArrayList<Reaction>();
        for (Condition c : all) {
            reactions.add(new Reaction("r-" + c.kind().key(), Events.tapped("button"), List.of(c), false, List.of(add("yes")), List.of(add("no")), false, ""));
        }
        for (int i = 0; i < all.size(); i++) {
            Condition c = all.get(i);
            open(piece(elements, List.of(reactions.get(i)), values), "condition-" + i);
            browser.run(not.get(c.kind()));
            click(40, 40);
            browser.until("return Tundra.pieces[0].value('no') === 1");
            browser.run(holds.get(c.kind()));
            click(40, 40);
            browser.until("return Tundra.pieces[0].value('yes') === 1");
            assertThat(value("no")).as(c.kind().key()).isEqualTo(1);
        }
        // all of them, or any
        for (boolean any : new boolean[] {false, true}) {
            var both = List.of(Conditions.of(Conditions.VALUE, "v", "is more than", "3"), Conditions.of(Conditions.SHOWN, "mover", "hidden"));
            open(piece(elements, List.of(new Reaction("r", Events.tapped("button"), both, any, List.of(add("yes")), List.of(add("no")), false, "")), values), "both-" + any);
            browser.run("Tundra.pieces[0].put('v', 4)");
            click(40, 40);
            browser.until("return Tundra.pieces[0].value('" + (any ? "yes" : "no") + "') === 1");
            browser.run("document.querySelector('.t-mover').hidden = true");
            click(40, 40);
            browser.until("return Tundra.pieces[0].value('yes') === " + (any ? 2 : 1));
        }
    }

    private static Action add(String value) {
        return tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, value, 1.0);
    }

    @Test
    void theTablesAndThePlayerHoldTheSame() {
        for (List<? extends SentenceKind> table : List.of(Events.ALL, Conditions.ALL, tundra.core.model.Actions.ALL)) {
            for (SentenceKind k : table) {
                String section = (k instanceof EventKind ? "event " : k instanceof ConditionKind ? "condition " : "action ") + k.key();
                assertThat(PlayerScript.sections()).contains(section);
            }
        }
        long entries = PlayerScript.sections().stream().filter(s -> s.matches("(event|condition|action) .*")).count();
        assertThat(entries).isEqualTo(Events.ALL.size() + Conditions.ALL.size() + tundra.core.model.Actions.ALL.size());
    }

    /** From what is seen: a second change that comes midway begins where the first one is. */
    @Test
    void whatIsSetOverATimeIsInterruptedWithoutAJump() throws Exception {
        var to = tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("mover"), Setting.of(Properties.POSITION, new Point(640, 320)), 1_000_000L, "linear");
        var back = tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("mover"), Setting.of(Properties.POSITION, new Point(40, 320)), 1_000_000L, "linear");
        open(piece(List.of(), List.of(when("r1", Events.of(Events.KEY_PRESSED, "A"), to), when("r2", Events.of(Events.KEY_PRESSED, "B"), back)), List.of()), "midway");
        browser.run("""
                window.seen = [];
                const el = document.querySelector('.t-mover');
                const step = () => { seen.push([performance.now(), parseFloat(getComputedStyle(el).translate)]); if (seen.length < 400) requestAnimationFrame(step); };
                step();
                document.dispatchEvent(new KeyboardEvent('keydown', { key: 'a' }));
                setTimeout(() => document.dispatchEvent(new KeyboardEvent('keydown', { key: 'b' })), 500);""");
        browser.until("return seen.length > 20 && told.filter(x => x === 'set').length === 2 && Math.abs(seen.at(-1)[1] - 15) < 0.5");
        var seen = (List<List<Number>>) browser.run("return seen");
        double most = 0;
        for (int i = 1; i < seen.size(); i++) {
            double ms = seen.get(i).get(0).doubleValue() - seen.get(i - 1).get(0).doubleValue();
            double px = Math.abs(seen.get(i).get(1).doubleValue() - seen.get(i - 1).get(1).doubleValue());
            // 390 px from its place at rest or back in a second at most
            most = Math.max(most, px - 0.62 * ms);
        }
        System.out.printf("interrupted midway: %.2f px more than the speed allows%n", most);
        assertThat(most).isLessThan(12);
        assertThat(seen.stream().mapToDouble(s -> s.get(1).doubleValue()).max().orElse(0)).as("it was on its way").isGreaterThan(300);
    }
}
