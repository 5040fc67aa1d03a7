package tundra.web;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tundra.core.file.ProjectFile;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.render.Still;

/** A piece published and opened in a browser, beside the editor's own picture of it. */
final class Visit {
    final Project project;
    final Board board;
    private final Browser browser;
    private final FrameBuilder builder;
    private final String name;

    Visit(Browser browser, Path folder, String name, Project project) throws Exception {
        this.browser = browser;
        this.project = project;
        this.name = name;
        board = project.scenes().getFirst().board();
        Fonts fonts = Fonts.of(project.assets());
        builder = Frames.of(project, board, fonts);
        Path to = folder.resolve(name);
        Publisher.publish(new PageCompiler(fonts, fonts, new PictureSheets(), new SkiaSeries()).compile(project, null), to, Progress.NONE);
        browser.open(to, (int) board.size().x(), (int) board.size().y());
    }

    /** A piece of the test's resources. */
    static Project piece(String name) throws Exception {
        try (var in = Visit.class.getResourceAsStream(name + ".tundra")) {
            return ProjectFile.read(in.readAllBytes());
        }
    }

    /** Has the page start and seek the timelines of a moment in their order, and waits until what stands is plain style. */
    void go(Moment m) throws Exception {
        seek(m);
        settled();
    }

    /** Has the page start and seek the timelines of a moment in their order. */
    void seek(Moment m) {
        browser.run("const s = Tundra.pieces[0].scenes[0]; s.timelines.forEach(t => t.reset());"
                + "for (const [id, ms] of arguments[0]) s.timelines.find(t => t.id === id).goTo(ms); s.board.run({ playing: false, at: arguments[1] });",
                m.standings().stream().map(s -> List.of(s.timeline(), s.time() / 1000.0)).toList(), m.since() / 1000.0);
    }

    void settled() throws Exception {
        browser.until("return document.getAnimations().length === 0");
    }

    /** Pauses all that plays and says where the timelines stand. */
    @SuppressWarnings("unchecked")
    Moment paused() throws Exception {
        var told = (List<List<Object>>) browser.run(
                "const s = Tundra.pieces[0].scenes[0]; s.timelines.forEach(t => t.pause()); return Tundra.pieces[0].moment;");
        settled();
        var out = new ArrayList<Moment.Standing>();
        told.forEach(t -> out.add(new Moment.Standing((String) t.get(0), Math.round(((Number) t.get(1)).doubleValue() * 1000))));
        return new Moment(out);
    }

    /** The page once it is painted: frames are asked for, and the picture is taken until two in a row are the same. */
    private byte[] shot() {
        byte[] before = null;
        for (int i = 0; ; i++) {
            browser.driver.executeAsyncScript("const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => done(1)))");
            byte[] now = browser.shot();
            if (i == 8 || Arrays.equals(now, before)) {
                return now;
            }
            before = now;
        }
    }

    /** How alike the page is to the editor's picture of another piece, in dB. */
    double like(Project other, Moment m) throws Exception {
        Board b = other.scenes().getFirst().board();
        return compared(Still.png(other, Frames.of(other, b, Fonts.of(other.assets())).at(m)), shot(), m);
    }

    /** How alike the page is to the editor's picture of a moment, in dB. */
    double like(Moment m) throws Exception {
        return compared(Still.png(project, builder.at(m)), shot(), m);
    }

    private double compared(byte[] ours, byte[] theirs, Moment m) throws Exception {
        double db = Psnr.of(ours, theirs);
        if (db < Double.parseDouble(System.getProperty("parity.keep", "0"))) {
            Files.createDirectories(Path.of("target/parity"));
            String at = name + "-" + m.standings().stream().map(s -> s.timeline() + s.time()).toList().hashCode();
            Files.write(Path.of("target/parity/" + at + "-tundra.png"), ours);
            Files.write(Path.of("target/parity/" + at + "-chromium.png"), theirs);
        }
        return db;
    }
}
