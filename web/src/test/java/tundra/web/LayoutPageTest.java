package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Arrange;
import tundra.core.fit.Layouts;
import tundra.core.fit.Lens;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Layouts on the page: what is seen at each width is the layout for it, from one to the other and back, and what goes on goes on. */
class LayoutPageTest extends InBrowser {
    static final String PHONE = "phone", LOW = "low";
    static final int USUAL = 2, SEEDS = Integer.getInteger("parity.seeds", USUAL);

    /** In the check each piece is looked at either without texts or with them. */
    static boolean[] kinds(long seed) {
        return SEEDS == USUAL ? new boolean[] {seed % 2 == 0} : new boolean[] {false, true};
    }

    /** A piece whose layouts have the looks and the keys of other pieces. */
    static Project random(long seed, boolean text) {
        return RandomPiece.make(seed, text).mapBoard("scene", b -> {
            Board out = b.withLayouts(List.of(new Layout(PHONE, "Phone", 0, 450, new Point(420, 500)),
                    new Layout(LOW, "Low", 800, 2000, new Point(900, 300))));
            out = other(out, PHONE, RandomPiece.make(seed + 500, text).scenes().getFirst().board());
            out = other(out, LOW, RandomPiece.make(seed + 900, text).scenes().getFirst().board());
            Board low = Lens.get(out, LOW);
            return Lens.put(out, LOW, Arrange.step(low, Set.of(low.elements().getFirst().id()), 3), Lens.Scope.ONLY_HERE);
        });
    }

    private static Board other(Board b, String layout, Board like) {
        Board seen = Lens.get(b, layout);
        Board now = seen.withCanvas(like.canvas()).mapElements(Tree.ids(seen.elements()), e -> like.find(e.id()) instanceof Element x && x.content()
                .getClass() == e.content().getClass() ? e.withRest(x.rest()) : e);
        var timelines = new ArrayList<Timeline>();
        for (Timeline t : now.timelines()) {
            Timeline out = t, from = like.timeline(t.id());
            for (String id : Tree.ids(now.elements())) {
                for (Property<?> p : Properties.ALL) {
                    if (Properties.keyed(p) && p.appliesTo(now.find(id))) {
                        out = track(out, id, p, from.tracksOf(id).get(p));
                    }
                }
            }
            timelines.add(out);
        }
        return Lens.put(b, layout, now.withTimelines(timelines), Lens.Scope.ONLY_HERE);
    }

    @SuppressWarnings("unchecked")
    private static <T> Timeline track(Timeline t, String id, Property<T> p, Track<?> track) {
        return t.with(id, p, (Track<T>) track);
    }

    /** As the editor has it in a layout; null for the base. */
    private static Project in(Project p, String layout) {
        return p.mapBoard("scene", b -> Lens.get(b, layout));
    }

    private static void alike(long seed, boolean text, double least) throws Exception {
        Project p = random(seed, text);
        var visit = new Visit(browser, folder, "layouts-" + text + seed, p);
        var random = new Random(seed);
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        for (String layout : new String[] {null, PHONE, null, LOW, PHONE, LOW}) {
            Project now = in(p, layout);
            Board b = now.scenes().getFirst().board();
            browser.resize((int) b.size().x(), (int) b.size().y());
            browser.until("return Tundra.pieces[0].shown.layout === " + (layout == null ? "null" : "'" + p.scenes().getFirst().board().layout(layout)
                    .name() + "'"));
            for (int i = SEEDS == USUAL ? 1 : 0; i < 2; i++) {
                Moment m = Moment.opened(b, Math.round(2_000_000 * random.nextDouble()));
                Timeline t = b.timelines().get(random.nextInt(4));
                m = m.with(t.id(), Math.round(t.duration() * random.nextDouble()));
                visit.go(m);
                double db = visit.like(now, m);
                seen.add(String.format(Locale.ROOT, "%.1f", db));
                soft.assertThat(db).as("seed %d in %s at %s", seed, layout, m).isGreaterThanOrEqualTo(least);
            }
        }
        System.out.println("PSNR of seed " + seed + " over its layouts: " + seen + " dB");
        soft.assertAll();
    }

    @Test
    void everyLayoutIsSeenAsItIsDrawnHoweverOneComesToIt() throws Exception {
        for (long seed = 1; seed <= SEEDS; seed++) {
            for (boolean text : kinds(seed)) {
                alike(seed, text, text ? 40 : 44);
            }
        }
    }

    static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private static Track<Point> way(double x, double y) {
        return new Track<>(List.of(new Key<>(0, new Point(x, 100), Easing.LINEAR), new Key<>(4_000_000, new Point(y, 100), Easing.LINEAR)));
    }

    /** One that goes its way in both layouts, one that is hidden by a tap, and a sentence for each. */
    private static Project piece() {
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, true, true, Map.of()).with("a", Properties.POSITION, way(100, 500));
        var turn = new Timeline("turn", "Turn", 3_000_000, false, false, Map.of()).with("b", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(3_000_000, 300.0, Easing.LINEAR))));
        var words = new Element("t", "t", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 300))
                .with(Properties.FILL, Color.BLACK), new Content.Text("So far {n}", "Figtree", 400, 20, Content.Align.LEFT, 1.2));
        Board b = new Board(new Point(800, 400), Values.NONE, List.of(box("a", 100, 100), box("b", 300, 200), box("c", 500, 200), words),
                List.of(main, turn),
                List.of(new Reaction("r", Events.tapped("b"), List.of(Actions.of(Actions.HIDE, List.of("c")), Actions.of(Actions.PLAY, "turn"))),
                new Reaction("s", Events.tapped("a"), List.of(Actions.of(Actions.ADD_VALUE, "n", 1.0)))))
                .withLayouts(List.of(new Layout(PHONE, "Phone", 0, 600, new Point(400, 600))));
        Board phone = Lens.get(b, PHONE);
        Board now = phone.withTimelines(List.of(phone.main().with("a", Properties.POSITION, way(50, 350)), phone.timelines().get(1)))
                .withRest("b", v -> v.with(Properties.POSITION, new Point(100, 400)))
                .mapElement("t", e -> e.withContent(((Content.Text) e.content()).withText("Here {n} so far").withSize(30))
                .withRest(e.rest().with(Properties.POSITION, new Point(200, 500)).with(Properties.FONT_SIZE, 30.0)))
                .withReactions(List.of(phone.reactions().getFirst(), new Reaction("x", Events.tapped("a"),
                List.of(Actions.of(Actions.ADD_VALUE, "n", 100.0)))));
        b = Lens.put(b, PHONE, now, Lens.Scope.ONLY_HERE);
        return new Project("p", "P", 24, List.of(new Scene("scene", "S", b)), Map.of(), Map.of())
                .withValues(List.of(new PieceValue("n", "n", PieceValue.Kind.NUMBER, "0", false)));
    }

    private static void tap(String id) {
        browser.run("const r = document.querySelector('.t-" + id
                + "-s').getBoundingClientRect(); window.at = [r.x + r.width / 2, r.y + r.height / 2];");
        var at = (List<?>) browser.run("return window.at");
        browser.click(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue());
    }

    @Test
    void whatGoesOnGoesOn() throws Exception {
        open(piece(), "goes-on", 800, 600);
        browser.until("return Tundra.pieces[0].shown.layout === null");
        browser.run("Tundra.pieces[0].timeline('Main').goTo(0); Tundra.pieces[0].timeline('Main').pause()");
        tap("b");
        browser.until("return Tundra.pieces[0].timeline('Turn').playing && document.querySelector('.t-c').hidden");
        browser.run("Tundra.pieces[0].timeline('Main').play()");
        // of each timeline when it would stand at 0, by the page's clock: the same as long as it goes on undisturbed
        String began = "return Tundra.pieces[0].shown.timelines.map(t => [t.start, t.playing, t.pace])";
        Object before = browser.run(began);
        browser.run("document.querySelector('.t-b').focus()");
        for (int n = 0; n < 3; n++) {
            browser.resize(400, 600);
            browser.until("return Tundra.pieces[0].shown.layout === 'Phone'");
            assertThat(browser.run(began)).isEqualTo(before);
            assertThat(browser.run("return document.querySelector('.t-c').hidden")).as("what a reaction hid").isEqualTo(true);
            assertThat(browser.run("return document.activeElement.classList[0]")).isEqualTo("t-b");
            var seen = (List<?>) browser.run(
                    "const t = Tundra.pieces[0].timeline('Main'), r = document.querySelector('.t-a-s').getBoundingClientRect(); return [t.time, r.x + r.width / 2]");
            double time = ((Number) seen.get(0)).doubleValue();
            assertThat(((Number) seen.get(1)).doubleValue()).isCloseTo(50 + 300 * time / 4000, within(1.5));
            browser.resize(800, 600);
            browser.until("return Tundra.pieces[0].shown.layout === null");
            assertThat(browser.run(began)).isEqualTo(before);
            assertThat((Long) browser.run("return document.getAnimations().length")).as("no animation twice").isEqualTo(2L);
        }
    }

    @Test
    void sentencesHoldInTheirLayoutsAndTextsKeepUpWithValues() throws Exception {
        open(piece(), "sentences", 800, 600);
        browser.run("Tundra.pieces[0].timeline('Main').pause()");
        String words = "return document.querySelector('.t-t-s').textContent";
        tap("a");
        browser.until("return Tundra.pieces[0].value('n') === 1");
        assertThat(browser.run(words)).isEqualTo("So far 1");
        browser.resize(400, 600);
        browser.until("return Tundra.pieces[0].shown.layout === 'Phone'");
        assertThat(browser.run(words)).isEqualTo("Here 1 so far");
        tap("a");
        browser.until("return Tundra.pieces[0].value('n') === 101");
        assertThat(browser.run(words)).isEqualTo("Here 101 so far");
        browser.resize(800, 600);
        browser.until("return Tundra.pieces[0].shown.layout === null");
        assertThat(browser.run(words)).isEqualTo("So far 101");
        tap("a");
        browser.until("return Tundra.pieces[0].value('n') === 102");
        // a page that opens narrow begins in its layout
        open(piece(), "narrow", 400, 600);
        assertThat(browser.run("return Tundra.pieces[0].shown.layout")).isEqualTo("Phone");
        assertThat(browser.run("return getComputedStyle(document.querySelector('.t-scene')).visibility")).isEqualTo("visible");
        assertThat(browser.run(words)).isEqualTo("Here 0 so far");
    }
}
