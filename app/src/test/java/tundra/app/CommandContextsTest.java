package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.logging.Level;
import javafx.scene.control.Button;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import tundra.app.command.Command;
import tundra.app.studio.Desk;
import tundra.core.edit.Keys;
import tundra.core.file.ProjectFile;
import tundra.core.file.Savable;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Dragging;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.web.PageCompiler;
import tundra.web.Publisher;

/**
 * Every command where it meets something else: whatever it makes can be saved and published, the page of it starts without an error, nothing
 * that was only tried stays, and undo gives the bytes back. Drawn by lot from a seed ({@code commands.seed}); {@code commands.runs} takes more.
 */
@Tag("long")
class CommandContextsTest extends InWindow {
    private static final int RUNS = Integer.getInteger("commands.runs", 300);
    private static final long SEED = Long.getLong("commands.seed", 25);
    /** Every so many pages are opened in a browser. */
    private static final int OPENED = Integer.getInteger("commands.opened", 8);
    private static final Set<String> LEFT_OUT = Set.of("new", "lesson", "new-window", "open", "save", "save-as", "quit", "undo", "redo", "redo-too",
            "try", "open-browser", "theme");
    @TempDir
    private Path folder;
    private ChromeDriver browser;
    /** Of the piece before anything is done. */
    private byte[] bytes;

    /** Where a command is run. */
    private enum Context {
        PLAIN, MOTIF_OPENED, SOMETHING_TRIED, SECOND_SCENE, IN_A_GROUP, IN_A_DRAWING, HIDDEN, SEVERAL, IN_A_LAYOUT
    }

    private static Element shape(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#1C6A5E")).with(Properties.STROKE, Color.parse("#DB7A22")).with(Properties.STROKE_WIDTH, 2.0),
                new Content.Rectangle());
    }

    private static Element group(String id, double x, double y, Element... in) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)),
                new Content.Group(List.of(in), new Point(120, 80), null));
    }

    private static <T> Track<T> track(T from, T to) {
        return new Track<>(List.of(new Key<>(0, from, Easing.LINEAR), new Key<>(1_000_000, to, Easing.LINEAR)));
    }

    /** Two scenes with a bit of everything. */
    static Project piece() {
        var path = new Element("path", "path", false, false, Values.NONE.with(Properties.POSITION, new Point(420, 300))
                .with(Properties.SIZE, new Point(80, 50))
                .with(Properties.FILL, Color.parse("#82508E")), new Content.Path(Outline.ellipse(new Rect(0, 0, 80, 50)), new Point(80, 50)));
        var words = new Element("words", "words", false, false, Values.NONE.with(Properties.POSITION, new Point(120, 320))
                .with(Properties.FILL, Color.BLACK),
                new Content.Text("Score {score}", "Figtree", 400, 24, Content.Align.LEFT, 1.2));
        var book = new Element("book", "book", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 200)), new Flipbook(List.of(
                new Drawing(group("one", 40, 30, shape("ink", 30, 20)), 0, 12), new Drawing(group("two", 40, 30, shape("ink2", 35, 25)), 12, 12)),
                new Point(80, 60), 24, Flipbook.Ending.LOOP));
        var vane = new Element("vane", "vane", false, false, Values.NONE.with(Properties.POSITION, new Point(520, 120)),
                new Content.Instance("m-vane", new Point(80, 80), Clock.OWN));
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()).with("sled", Properties.POSITION,
                track(new Point(80, 80), new Point(300, 120)))
                .with("inside", Properties.ROTATION, track(0.0, 90.0));
        var other = new Timeline("other", "Open", 1_000_000, false, false, Map.of()).with("hut", Properties.OPACITY, track(1.0, 0.2));
        var reactions = List.of(new Reaction("r1", Events.tapped("hut"), List.of(Actions.of(Actions.PLAY_FROM_START, "other"),
                Actions.of(Actions.PLAY, "vane"), Actions.of(Actions.HIDE, List.of("sled", "path")))),
                new Reaction("r2", Events.of(Events.LANDED, "sled"), List.of(Actions.of(Actions.ADD_VALUE, "score", 1.0),
                Actions.of(Actions.OPEN_SCENE, "night"))));
        var first = new Board(new Point(640, 400), Values.NONE, List.of(shape("sled", 80, 80), shape("hut", 200, 80),
                group("row", 200, 220, shape("inside", 30, 20), shape("beside", 90, 60)), book, vane, path, words,
                shape("cellar", 560, 340).withHidden(true)), List.of(main, other), reactions)
                .withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("sled", List.of("hut"))))));
        first = first.withLayouts(List.of(new Layout("phone", "Phone", 0, 560, new Point(360, 640),
                Differs.NOTHING.withValues("hut", v -> v.with(Properties.POSITION, new Point(90, 300))).withWords("words", "{score}"))));
        var second = new Board(new Point(640, 400), Values.NONE, List.of(shape("ridge", 200, 200), new Element("vane2", "vane 2", false, false,
                Values.NONE.with(Properties.POSITION, new Point(400, 200)), new Content.Instance("m-vane", new Point(80, 80), Clock.PARENT))),
                List.of(new Timeline("n-main", Timeline.MAIN, 1_000_000, false, true, Map.of())
                .with("ridge", Properties.POSITION, track(new Point(200, 200), new Point(260, 200)))),
                List.of(new Reaction("r3", Events.tapped("ridge"), List.of(Actions.of(Actions.BACK)))));
        var motif = new Board(new Point(80, 80), Values.NONE, List.of(shape("blade", 40, 40), shape("mast", 40, 60)),
                List.of(new Timeline("v-main", Timeline.MAIN, 1_000_000, true, true, Map.of())
                .with("blade", Properties.ROTATION, track(0.0, 360.0))),
                List.of(new Reaction("r4", Events.tapped("blade"), List.of(Actions.of(Actions.HIDE, List.of(Slot.INSTANCE))))));
        return new Project("p", "Page", 24, List.of(new Scene("day", "Day", first), new Scene("night", "Night", second)), Map.of(), Map.of())
                .withMotifs(List.of(new Motif("m-vane", "Vane", motif)))
                .withValues(List.of(new PieceValue("score", "score", PieceValue.Kind.NUMBER, "0", false)));
    }

    /** On the interface thread. */
    private void stand(Context c, Project p, Desk desk) {
        t.w.playback.stop();
        t.studio.open(p, null);
        t.studio.setDesk(desk);
        t.studio.time().seek(500_000);
        switch (c) {
            case PLAIN -> t.studio.select(List.of("sled"));
            case MOTIF_OPENED -> {
                t.studio.navigation().openInPlace("vane");
                t.studio.select(List.of("blade"));
            }
            case SOMETHING_TRIED -> {
                t.studio.select(List.of("hut"));
                t.studio.tried().show(t.studio.board().mapTimeline("main", x -> x.with("hut", Properties.SKEW, track(Point.ZERO, new Point(20, 0)))));
            }
            case SECOND_SCENE -> {
                t.studio.navigation().showPlace("night");
                t.studio.select(List.of("ridge"));
            }
            case IN_A_GROUP -> {
                t.studio.groups().enter("row");
                t.studio.select(List.of("inside"));
            }
            case IN_A_DRAWING -> {
                t.studio.select(List.of("book"));
                t.studio.groups().enter("book");
                t.studio.select(List.of("ink"));
            }
            case HIDDEN -> t.studio.select(List.of("cellar"));
            case IN_A_LAYOUT -> {
                t.studio.layouts().setLayout("phone");
                t.studio.select(List.of("sled", "words"));
            }
            case SEVERAL -> t.studio.select(List.of("sled", "row", "vane", "words"));
        }
        if (desk == Desk.ANIMATE && c == Context.PLAIN) {
            t.studio.time().selectKeys(List.of(new Keys.Ref("sled", Properties.POSITION, 0), new Keys.Ref("sled", Properties.POSITION, 1_000_000)));
        }
    }

    /** What was copied before: a motif's instance, a group and a part. */
    private void copy(Project p) {
        t.studio.open(p, null);
        t.studio.setDesk(Desk.DRAW);
        t.studio.select(List.of("vane", "row", "sled"));
        t.w.commands.run("copy");
    }

    private record Run(Command command, Context context, Desk desk) {
        @Override
        public String toString() {
            return command.id() + ", " + context + " on " + desk;
        }
    }

    /** What a command made; null while it is at work. */
    private record Did(Run run, Project made, List<String> wrong) {
        void wrong(String what) {
            wrong.add(run + ": " + what);
        }
    }

    private static boolean clips(Command c) {
        return c.id().startsWith("copy") || c.id().equals("cut") || c.id().startsWith("paste");
    }

    /** On the interface thread: back to the piece, whose bytes are as they were. */
    private void undo(Did d, Project p) throws Exception {
        if (d.made == p) {
            return;
        }
        byte[] made = ProjectFile.bytes(d.made);
        for (int i = 0; i < 8 && t.studio.kept() != p && t.studio.history().undoName() != null; i++) {
            t.studio.history().undo();
        }
        if (t.studio.kept() != p || !Arrays.equals(bytes, ProjectFile.bytes(t.studio.kept()))) {
            d.wrong("undo does not give it back");
        }
        if (!Arrays.equals(made, ProjectFile.bytes(d.made))) {
            d.wrong("undo changed the version that it left");
        }
    }

    /** @return how many pages were opened */
    private int check(Did d, Project p, int open) throws Exception {
        String problem = Savable.problem(d.made);
        if (problem != null) {
            d.wrong("could not be opened again: " + problem);
        }
        if (d.run.context == Context.SOMETHING_TRIED && d.made.places().stream().flatMap(x -> x.board().timelines().stream())
                .anyMatch(x -> x.track("hut", Properties.SKEW) != null)) {
            d.wrong("what was only tried has stayed");
        }
        try {
            page(d.made, open, d.run.toString(), d.wrong);
        } catch (RuntimeException e) {
            d.wrong("can't be published: " + e);
        }
        return open < 0 ? 0 : 1;
    }

    @Test
    void whateverACommandMakesHoldsEverywhere() throws Exception {
        Project p = piece();
        assertThat(Savable.problem(p)).isNull();
        bytes = ProjectFile.bytes(p);
        RealWindow.fx(() -> {
            copy(p);
            return null;
        });
        var runs = new ArrayList<Run>();
        for (Command c : t.w.commands.all()) {
            if (!LEFT_OUT.contains(c.id()) && !c.id().startsWith("desk-")) {
                for (Context x : Context.values()) {
                    List.of(Desk.values()).forEach(d -> runs.add(new Run(c, x, d)));
                }
            }
        }
        Collections.shuffle(runs, new Random(SEED));
        var wrong = new ArrayList<String>();
        var changed = new TreeMap<Context, Integer>();
        int ran = 0, pages = 0, at = 0;
        while (ran < RUNS && at < runs.size()) {
            // several in one turn of the interface thread, until one begins work beside it
            int from = at;
            var done = new ArrayList<Did>();
            at += RealWindow.fx(() -> {
                int i = from;
                while (i < runs.size() && i < from + 10 && !t.w.jobs.busy()) {
                    Run r = runs.get(i++);
                    if (clips(r.command)) {
                        copy(p);
                    }
                    stand(r.context, p, r.desk);
                    if (t.w.commands.run(r.command.id())) {
                        done.add(new Did(r, t.w.jobs.busy() ? null : t.studio.kept(), wrong));
                        if (!t.w.jobs.busy()) {
                            undo(done.getLast(), p);
                        }
                    }
                }
                return i - from;
            });
            t.until(() -> !t.w.jobs.busy());
            if (!done.isEmpty() && done.getLast().made == null) {
                Did last = done.removeLast();
                done.add(RealWindow.fx(() -> {
                    var d = new Did(last.run, t.studio.kept(), wrong);
                    undo(d, p);
                    return d;
                }));
            }
            for (Did d : done) {
                ran++;
                if (d.made != p) {
                    changed.merge(d.run.context, 1, Integer::sum);
                    pages += check(d, p, changed.values().stream().mapToInt(i -> i).sum() % OPENED == 0 ? pages : -1);
                }
            }
            close(t);
        }
        System.out.println(ran + " commands ran, these changed the piece: " + changed + "; " + pages + " pages were opened");
        assertThat(wrong).isEmpty();
        assertThat(changed.keySet()).containsExactly(Context.values());
        assertThat(pages).isGreaterThan(RUNS / OPENED / 5);
    }

    /** What lies over the window goes, so that the next one starts with the window as it was. */
    private static void close(RealWindow t) throws Exception {
        RealWindow.fx(() -> {
            for (String id : List.of("#checks-close", "#helper-leave", "#find-close", "#report-close", "#sheet-cancel", "#trace-cancel")) {
                if (t.stage.getScene().lookup(id) instanceof Button b) {
                    b.fire();
                }
            }
            t.w.notices.hide();
            return null;
        });
    }

    /** @param open the number of the page that is opened; negative to compile it only */
    private void page(Project p, int open, String what, List<String> wrong) throws Exception {
        Fonts fonts = Fonts.of(p.assets());
        var page = new PageCompiler(fonts, fonts, new PictureSheets(), new SkiaSeries()).compile(p, null);
        if (open < 0) {
            return;
        }
        Path to = folder.resolve("page" + open);
        Publisher.publish(page, to, Progress.NONE);
        ChromeDriver driver = browser();
        driver.get(to.resolve("index.html").toUri().toString());
        Object pieces = driver.executeAsyncScript(
                "const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(typeof Tundra === 'undefined' ? 0 : Tundra.pieces.length))))");
        if (!Long.valueOf(1).equals(pieces)) {
            wrong.add(what + ": its page does not start");
        }
        driver.manage().logs().get(LogType.BROWSER).getAll().forEach(l -> wrong.add(what + ": on its page: " + l.getMessage()));
    }

    private ChromeDriver browser() throws Exception {
        if (browser == null) {
            var options = new ChromeOptions();
            options.setBinary("/usr/bin/chromium");
            options.addArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
                    "--disable-component-update", "--disable-sync", "--user-data-dir=" + Files.createTempDirectory("tundra-chromium"));
            var logs = new LoggingPreferences();
            logs.enable(LogType.BROWSER, Level.SEVERE);
            options.setCapability(ChromeOptions.LOGGING_PREFS, logs);
            browser = new ChromeDriver(new ChromeDriverService.Builder().usingDriverExecutable(new File("/usr/bin/chromedriver")).usingAnyFreePort()
                    .build(), options);
        }
        return browser;
    }

    @AfterEach
    void closeBrowser() {
        if (browser != null) {
            browser.quit();
        }
    }
}
