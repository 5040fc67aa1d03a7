package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.interactions.Interactive;
import tundra.core.file.RunFile;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Script;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.Still;

/** What visitors did to blocks, texts and motifs, and what actions have set so far, is evaluated as the browser shows it. */
class VisitedBoardsTest extends InBrowser {
    private Project visited;

    private void opened(Project p, String name) throws Exception {
        visited = VisitedProject.of(p);
        Path to = folder.resolve(name);
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, PreviewServer.LOG_SCRIPT), to,
                Progress.NONE);
        browser.open(to, 800, 400);
    }

    private void same(String what) throws Exception {
        String line = (String) browser.run("const seen = Tundra.pieces[0].seen; return JSON.stringify({ time: 0, seen })");
        byte[] page = browser.shot(), ours = Still.png(visited, RunFile.read(line, PageId::idOf).states().getFirst());
        double db = Psnr.of(page, ours);
        assertThat(db).as(what + " " + line).isGreaterThan(38);
    }

    private static Element box(String id, double x, double y, String fill) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse(fill)), new Content.Rectangle());
    }

    private static Element block(String id, BlockKind kind, Content.Block b, double x, double y, double w, double h) {
        return BlockPiece.element(id, kind, new Point(x, y)).withContent(b.withBox(new Point(w, h)));
    }

    private static Element text(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.FILL, Color.BLACK),
                new Content.Text("Before the\nwords", "Figtree", 400, 24, Content.Align.LEFT, 1.2));
    }

    @AfterEach
    void letGo() {
        ((Interactive) browser.driver).resetInputState();
    }

    @Test
    void galleriesMapsAndFieldsStandWhereTheyWereTaken() throws Exception {
        for (BlockKind kind : List.of(Blocks.STRIP, Blocks.STACK, Blocks.TURNTABLE)) {
            var all = List.of(block("g", kind, kind.made().with(Blocks.OFFSET, 10.0), 260, 130, 480, 200),
                    block("d", Blocks.DOTS, Blocks.DOTS.made().with(Blocks.OF_GALLERY, "g"), 260, 260, 160, 24),
                    block("m", Blocks.MAP_BLOCK, Blocks.MAP_BLOCK.made().with(Blocks.MAP, BlockPiece.MAP).with(Blocks.LONGITUDE, 10.002)
                    .with(Blocks.LATITUDE, 70.001), 650, 130, 260, 200),
                    block("f", Blocks.TEXT_FIELD, Blocks.TEXT_FIELD.made().with(Blocks.LABEL, "Name"), 160, 330, 220, 72),
                    block("s", Blocks.SLIDER, Blocks.SLIDER.made().with(Blocks.LABEL, "How many"), 420, 330, 220, 56),
                    block("c", Blocks.COUNTDOWN, Blocks.COUNTDOWN.made().with(Blocks.UNTIL, "2001-01-01T00:00").with(Blocks.OVER_WORDS, "It is on"),
                    660, 330, 200, 40));
            opened(BlockPiece.filled(BlockPiece.of(new Point(800, 400), all), "g"), "standing-" + kind.key());
            same(kind + " at first");
            browser.run("const g = Tundra.pieces[0].shown.board.blocks.get('t-g'); g.position = 1.4; g.again();");
            same(kind + " between two items");
            browser.run("Tundra.pieces[0].shown.board.blocks.get('t-g').leaf(1)");
            browser.until("return !Tundra.pieces[0].shown.board.blocks.get('t-g').running");
            browser.drag(new Point(640, 120), new Point(600, 100));
            browser.run("document.querySelector('.t-m-zi').click()");
            browser.until("return Tundra.pieces[0].shown.board.blocks.get('t-m').zoom === 14 && !Tundra.pieces[0].shown.board.blocks.get('t-m').running");
            browser.run("const f = document.querySelector('.t-f-f'); f.value = 'Ada of the hill'; f.dispatchEvent(new Event('input')); const s = document.querySelector('.t-s-f'); s.value = 70; s.dispatchEvent(new Event('input'))");
            browser.mouse("mouseMoved", 5, 5, 0);
            same(kind + " after a visitor's hands");
        }
    }

    /** Moves a lamp, hides a mark, and can be dragged. */
    private static Motif motif() {
        var mark = box("mark", 50, 40, "#2F78A3");
        var lamp = box("lamp", 150, 40, "#DB7A22");
        var knob = box("knob", 100, 110, "#1C6A5E");
        var main = new Timeline("inner-main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        var b = new Board(new Point(200, 150), Values.NONE, List.of(mark, lamp, knob), List.of(main), List.of(
                new Reaction("in", Events.tapped("mark"), List.of(Actions.of(Actions.HIDE, List.of("mark")),
                Actions.of(Actions.CHANGE_BY, List.of("lamp"), Setting.of(Properties.POSITION, new Point(0, 30)), 0L, "linear")))));
        return new Motif("inner", "Inner", b.withDrags(List.of(Dragging.of("drag", List.of(new Dragging.Pair("knob", List.of()))))));
    }

    @Test
    void whatWasDoneInOneInstanceIsSeenInThatOne() throws Exception {
        Motif inner = motif();
        var outer = new Motif("outer", "Outer", new Board(new Point(220, 160), Values.NONE, List.of(instance("in-outer", inner, 110, 80)),
                List.of(new Timeline("outer-main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of()));
        Project p = BlockPiece.of(new Point(800, 400), List.of(instance("a", inner, 130, 100), instance("b", outer, 400, 100),
                instance("c", inner, 660, 100), text("t", 130, 320)));
        p = p.withMotifs(Stream.concat(p.motifs().stream(), Stream.of(inner, outer)).toList());
        opened(p, "inside");
        same("at first");
        browser.click(130 - 50, 100 - 35);
        browser.click(400 - 50, 100 - 35);
        browser.drag(new Point(400, 135), new Point(450, 200));
        browser.until("return document.getAnimations().every((a) => !(a instanceof CSSTransition))");
        same("hidden and carried in two of three");
        assertThat((Long) browser.run("return document.querySelectorAll('[hidden]').length")).isGreaterThanOrEqualTo(2);
    }

    private static Element instance(String id, Motif m, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)),
                new Content.Instance(m.id(), m.board().size(), Clock.OWN));
    }

    /** Time and again, one after the other and in the middle of each other. */
    @Test
    void whatActionsSetIsSeenOnItsWay() throws Exception {
        Element box = box("box", 200, 100, "#2F78A3");
        var reactions = new ArrayList<Reaction>();
        reactions.add(key("a", Actions.of(Actions.SET, List.of("box"), Setting.of(Properties.POSITION, new Point(600, 300)), 60_000_000L,
                "cubic-bezier(0.4, 0, 0.2, 1)")));
        reactions.add(key("b", Actions.of(Actions.SET, List.of("box"), Setting.of(Properties.POSITION, new Point(100, 300)), 60_000_000L, "linear")));
        reactions.add(key("c", Actions.of(Actions.CHANGE_BY, List.of("box"), Setting.of(Properties.POSITION, new Point(60, 20)), 60_000_000L,
                "ease-in")));
        reactions.add(key("d", Actions.of(Actions.CHANGE_BY, List.of("box"), Setting.of(Properties.ROTATION, 30.0), 60_000_000L, "linear")));
        reactions.add(key("e", Actions.of(Actions.SET, List.of("box"), Setting.of(Properties.FILL, Color.parse("#C23B3B")), 60_000_000L, "linear")));
        reactions.add(key("f", Actions.of(Actions.RUN, "words")));
        reactions.add(key("g", Actions.of(Actions.PUT_TEXT, "n", "t")));
        Project p = BlockPiece.of(new Point(800, 400), List.of(box, text("t", 400, 60)));
        p = p.withScripts(List.of(new Script("words", "words",
                "export function words(page) {\n  page.find(\"t\").text = \"Written by a script\";\n}\n")));
        String scene = p.scenes().getFirst().id();
        opened(p.mapBoard(scene, b -> b.withReactions(reactions)), "on-the-way");
        // each so many shares of its way
        for (String step : List.of("a 0.5", "d 1", "f 1", "b 0.25", "a 1", "a 0.3", "c 1", "c 0.4", "c 1", "d 0.7", "e 0.5", "d 1", "c 0.5", "b 1",
                "c 1", "f 1", "c 1", "g 1", "a 0.6", "a 0.5")) {
            String key = step.substring(0, 1);
            browser.run("document.dispatchEvent(new KeyboardEvent('keydown', { key: arguments[0], bubbles: true }))", key);
            browser.run("""
                    const t = Tundra.pieces[0].shown.board.active.findLast((x) => x.set);
                    if (t) { t.pause(); t.goTo(arguments[0] * t.duration); t.pause(); }
                    for (const a of document.getAnimations()) a.pause();""", Double.parseDouble(step.substring(2)));
            same(step);
        }
    }

    private static Reaction key(String key, Action a) {
        return new Reaction("r-" + key, Events.of(Events.KEY_PRESSED, key.toUpperCase(Locale.ROOT)), List.of(a));
    }
}
