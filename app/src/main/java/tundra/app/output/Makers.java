package tundra.app.output;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.OutputRange;
import tundra.core.file.Exchange;
import tundra.core.file.FileProblem;
import tundra.core.file.SafeReplace;
import tundra.core.file.SheetFile;
import tundra.core.file.WriteTrouble;
import tundra.core.fit.Frames;
import tundra.core.fit.Layouts;
import tundra.core.fit.Run;
import tundra.core.model.Board;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.series.ShownPictures;
import tundra.core.svg.AnimatedSvg;
import tundra.core.work.Progress;
import tundra.render.Filming;
import tundra.render.Fonts;
import tundra.render.FrameFiles;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.web.Embed;
import tundra.web.OneFile;
import tundra.web.Page;
import tundra.web.PageCompiler;
import tundra.web.PageHead;
import tundra.web.Publisher;
import tundra.web.VisitedProject;

/** Writes each of the {@link Outputs}. A writing that fails or is given up leaves what was there before. */
public final class Makers {
    /** What one writing is asked for. @param force whether something that Tundra did not make may be written over */
    private record Job(Project project, Output output, Path to, boolean force, Progress progress) {
        Fonts fonts() {
            return Fonts.of(project.assets());
        }
    }

    private interface Maker {
        Made make(Job j) throws IOException;
    }

    private static final Map<OutputKind, Maker> ALL = Map.of(Outputs.PAGE, Makers::page, Outputs.EMBED, Makers::embed, Outputs.FILM, Makers::film,
            Outputs.LOOP, Makers::film, Outputs.FRAMES, Makers::frames, Outputs.SHEET, Makers::sheet,
            Outputs.SVG, Makers::svg, Outputs.EXCHANGE, Makers::exchange);
    /** The year in which zips begin to count time, so that the same page makes the same zip. */
    private static final long NO_TIME = 315_619_200_000L;

    private Makers() {}

    /**
     * Makes an output; not for the interface thread.
     *
     * @param to the file, or the folder
     * @param force whether something that Tundra did not make may be written over
     * @throws FileProblem with one sentence where it can't be
     * @throws java.util.concurrent.CancellationException where it was given up
     */
    public static Made make(Project p, Output o, Path to, boolean force, Progress progress) throws IOException {
        Path folder = to.toAbsolutePath().getParent();
        if (Outputs.ending(o).isEmpty()) {
            return ALL.get(o.kind()).make(new Job(p, o, to, force, progress));
        }
        if (!to.getFileName().toString().toLowerCase(Locale.ROOT).endsWith("." + Outputs.ending(o))) {
            // a name that says something else could be that of something else
            throw new FileProblem("“" + to.getFileName() + "” should end with ." + Outputs.ending(o) + ". Nothing was written; choose another name.");
        }
        if (Files.isDirectory(to)) {
            throw new FileProblem("“" + to.getFileName() + "” is a folder, where the file would be. Nothing was written; choose another name.");
        }
        FileStart.allow(to, Outputs.ending(o), force);
        Files.createDirectories(folder);
        try {
            return ALL.get(o.kind()).make(new Job(p, o, to, force, progress));
        } catch (FileProblem e) {
            throw e;
        } catch (IOException e) {
            throw new FileProblem("“" + to.getFileName() + "” can't be written (" + WriteTrouble.words(e)
                    + "). What was there before is as it was; choose another folder.", e);
        }
    }

    /** The page of a piece as an output of the kind page says it, with its files named by what they hold; not for the interface thread. */
    public static Page page(Project p, Output o, Progress progress) {
        return Publisher.named(compiled(new Job(p, o, null, false, progress), p, PageHead.of(o)));
    }

    private static Page compiled(Job j, Project p, PageHead head) {
        Fonts fonts = j.fonts();
        var series = new SkiaSeries(j.progress.part(0, 0.8));
        Project small = j.output.text(Outputs.PICTURES).equals("smaller") ? ShownPictures.smaller(p, fonts, series) : p;
        j.progress.check();
        return new PageCompiler(fonts, fonts, new PictureSheets(), series).compile(small, head, null);
    }

    private static Made page(Job j) throws IOException {
        Page page = compiled(j, j.project, PageHead.of(j.output));
        j.progress.check();
        switch (j.output.text(Outputs.PAGE_AS)) {
            case "one file" -> SafeReplace.put(j.to, OneFile.of(page));
            case "ZIP" -> SafeReplace.put(j.to, zip(page));
            default -> {
                return folder(j, page);
            }
        }
        return new Made(j.to, Files.size(j.to), "one file", "");
    }

    private static Made folder(Job j, Page page) throws IOException {
        if (!Publisher.publish(page, j.to, j.force, j.progress.part(0.8, 1))) {
            j.progress.check();
        }
        return new Made(j.to, page.files().values().stream().mapToLong(Page.Part::length).sum(), page.files().size() + " files", "");
    }

    private static byte[] zip(Page page) throws IOException {
        var out = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(out)) {
            for (var e : page.files().entrySet()) {
                var entry = new ZipEntry(e.getKey());
                entry.setTime(NO_TIME);
                zip.putNextEntry(entry);
                try (InputStream in = e.getValue().open()) {
                    in.transferTo(zip);
                }
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    private static Made embed(Job j) throws IOException {
        Scene first = OutputEdits.scene(j.project, j.output);
        var scenes = new ArrayList<>(j.project.scenes());
        scenes.remove(first);
        scenes.addFirst(first);
        Project p = j.project.withScenes(scenes);
        Page page = compiled(j, p, PageHead.USUAL);
        j.progress.check();
        return folder(j, j.output.text(Outputs.EMBED_AS).equals("frame") ? page : Embed.of(p, page));
    }

    private static Made film(Job j) throws IOException {
        var filming = new Filming(j.project, j.output);
        filming.write(j.to, j.progress);
        return new Made(j.to, Files.size(j.to), filming.width() + "×" + filming.height() + ", " + filming.frames() + " pictures", "");
    }

    /** A film of a recorded visit, as an output of the kind film says it; not for the interface thread. */
    public static Made visit(Project p, Output o, Run run, Path to, Progress progress) throws IOException {
        FileStart.allow(to, Outputs.ending(o), false);
        // how large a scene is says nothing of the window
        Output film = o.with(Outputs.SCENES, "").with(Outputs.LAYOUT, Slot.DRAWN).with(Outputs.TIMES, 1.0);
        var filming = new Filming(VisitedProject.of(p), film, run);
        filming.write(to, progress);
        return new Made(to, Files.size(to), filming.width() + "×" + filming.height() + ", " + filming.frames() + " pictures", "");
    }

    private static Made frames(Job j) throws IOException {
        var files = new FrameFiles(j.project, j.output);
        files.write(j.to, j.force, j.progress);
        long bytes = 0;
        if (Files.isDirectory(j.to)) {
            try (var all = Files.list(j.to)) {
                bytes = all.filter(Files::isRegularFile).mapToLong(x -> x.toFile().length()).sum();
            }
        } else {
            bytes = Files.size(j.to);
        }
        return new Made(j.to, bytes, files.pictures().size() == 1 ? "1 picture" : files.pictures().size() + " pictures", "");
    }

    private static Board board(Job j) {
        Scene s = OutputEdits.scene(j.project, j.output);
        String layout = j.output.text(Outputs.LAYOUT);
        return Layouts.seen(s.board(), layout.equals(Slot.DRAWN) ? null : s.board().layout(layout), null, j.fonts());
    }

    private static Made sheet(Job j) throws IOException {
        Board b = board(j);
        Project p = j.project;
        OutputRange range = OutputRange.of(j.output, b);
        if (range.problem() != null) {
            throw new FileProblem(range.problem());
        }
        long from = p.frameAt(range.from()), to = Math.max(from + 1, p.frameAt(range.until()));
        if (to - from > SheetSaver.MOST) {
            throw new FileProblem("These are " + (to - from) + " frames; up to " + SheetSaver.MOST
                    + " are possible on a sheet. Choose another range. Nothing was written.");
        }
        SheetFile.Series s = SheetFile.of(p, OutputEdits.scene(p, j.output).name(), b, Frames.of(p, b, j.fonts()), from, to);
        double width = j.output.number(Outputs.WIDTH), scale = width == 0 ? 1 : width / b.size().x();
        List<Path> made = SheetSaver.sheet(p, s, s.grid((int) j.output.number(Outputs.COLUMNS), (int) j.output.number(Outputs.MARGIN),
                (int) j.output.number(Outputs.SPACING)), scale, j.to);
        long bytes = 0;
        for (Path x : made) {
            bytes += Files.size(x);
        }
        return new Made(j.to, bytes, to - from + " frames", "");
    }

    private static Made svg(Job j) throws IOException {
        var svg = AnimatedSvg.of(j.project, board(j), j.fonts(), j.fonts(), j.progress);
        j.progress.check();
        SafeReplace.put(j.to, svg.text());
        return new Made(j.to, Files.size(j.to), "one file", svg.leftOut());
    }

    private static Made exchange(Job j) throws IOException {
        SafeReplace.put(j.to, Exchange.json(j.project));
        return new Made(j.to, Files.size(j.to), j.project.scenes().size() + (j.project.scenes().size() == 1 ? " scene" : " scenes"), "");
    }

    /** What an output will not carry, told before it is made; empty for nothing, and where that is not known before. */
    public static String leavesOut(Project p, Output o) {
        return o.kind() == Outputs.SVG ? AnimatedSvg.leftOut(p, OutputEdits.scene(p, o).board()) : "";
    }
}
