package tundra.render;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.OutputRange;
import tundra.core.file.FileProblem;
import tundra.core.file.OutputFolder;
import tundra.core.file.SafeReplace;
import tundra.core.fit.Frames;
import tundra.core.fit.Layouts;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Limits;
import tundra.core.model.Marker;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Slot;
import tundra.core.svg.SvgWriter;
import tundra.core.work.Progress;

/** Writes pictures of chosen moments of a scene: one, those of the markers, or every n-th frame. */
public final class FrameFiles {
    private static final int MOST = 20_000;

    /**
     * A picture.
     *
     * @param name of its file, without the ending
     * @param time in µs after the scene was opened
     */
    public record Picture(String name, long time) {}

    private final Project project;
    private final Board board;
    private final Output output;
    private final List<Picture> pictures;
    private final int width;
    private final int height;

    /** @throws FileProblem with one sentence where that can't be made */
    public FrameFiles(Project project, Output output) throws FileProblem {
        this.project = project;
        this.output = output;
        var scene = OutputEdits.scene(project, output);
        String layout = output.text(Outputs.LAYOUT);
        board = Layouts.seen(scene.board(), layout.equals(Slot.DRAWN) ? null : scene.board().layout(layout), null, Fonts.of(project.assets()));
        Point size = Filming.size(board.size(), output.number(Outputs.WIDTH), 0);
        width = (int) Math.max(1, Math.round(size.x()));
        height = (int) Math.max(1, Math.round(size.y()));
        if ((long) width * height > Limits.PIXELS || width > Limits.SIDE || height > Limits.SIDE) {
            throw new FileProblem("Pictures of " + width + "×" + height + " px are too large; choose a smaller width. Nothing was written.");
        }
        pictures = chosen();
    }

    public List<Picture> pictures() {
        return pictures;
    }

    private List<Picture> chosen() throws FileProblem {
        OutputRange range = OutputRange.of(output, board);
        long from = range.from(), until = range.until();
        var out = new ArrayList<Picture>();
        switch (output.text(Outputs.WHICH)) {
            case "one moment" -> out.add(new Picture("", output.time(Outputs.AT)));
            case "each marker" -> {
                List<Marker> marks = board.main().markers().stream().sorted(Comparator.comparingLong(Marker::time)).toList();
                for (Marker m : marks) {
                    out.add(new Picture(String.format(Locale.ROOT, "%03d-%s", out.size() + 1, plain(m.name())), m.time()));
                }
                if (out.isEmpty()) {
                    throw new FileProblem("Main of this scene has no markers. Set some on the ruler, or choose other moments. Nothing was written.");
                }
            }
            default -> {
                long every = Math.round(output.number(Outputs.EVERY));
                for (long f = project.frameAt(from); project.frameTime(f) < until; f += every) {
                    out.add(new Picture(String.format(Locale.ROOT, "%05d", f), project.frameTime(f)));
                    if (out.size() > MOST) {
                        throw new FileProblem("Those would be more than " + MOST + " pictures; choose fewer. Nothing was written.");
                    }
                }
                if (out.isEmpty()) {
                    throw new FileProblem("There is nothing between " + from / 1e6 + " s and " + until / 1e6
                            + " s; choose another range. Nothing was written.");
                }
            }
        }
        return out;
    }

    private static String plain(String name) {
        String s = name.replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-|-$", "").toLowerCase(Locale.ROOT);
        return s.isEmpty() ? "marker" : s.length() <= 60 ? s : s.substring(0, 60);
    }

    /**
     * Writes the file, or the folder of them, when all are painted.
     *
     * @param force whether a folder's files that Tundra did not make may be written over
     */
    public void write(Path to, boolean force, Progress progress) throws IOException {
        Path parts = Files.createTempDirectory("tundra-frames");
        try {
            paint(parts, progress.part(0, 0.9));
            if (!Outputs.series(output)) {
                SafeReplace.put(to, out -> Files.copy(parts.resolve(name(0)), out));
                return;
            }
            Map<String, OutputFolder.Part> files = new LinkedHashMap<>();
            for (int i = 0; i < pictures.size(); i++) {
                Path part = parts.resolve(name(i));
                files.put(name(i), () -> Files.newInputStream(part));
            }
            if (!OutputFolder.write("The pictures", files, null, to, force, progress.part(0.9, 1))) {
                progress.check();
            }
        } finally {
            for (int i = 0; i < pictures.size(); i++) {
                Files.deleteIfExists(parts.resolve(name(i)));
            }
            Files.deleteIfExists(parts);
        }
    }

    private String name(int i) {
        return (pictures.get(i).name().isEmpty() ? "picture" : pictures.get(i).name()) + "." + Outputs.endingOf(Outputs.format(output));
    }

    private Moment moment(int i) {
        return Moment.opened(board, pictures.get(i).time());
    }

    private void paint(Path to, Progress progress) throws IOException {
        String format = Outputs.format(output);
        if (format.equals("SVG")) {
            FrameBuilder builder = Frames.of(project, board, Fonts.of(project.assets()));
            for (int i = 0; i < pictures.size(); i++) {
                progress.check();
                Frame f = builder.at(moment(i));
                Files.writeString(to.resolve(name(i)), SvgWriter.write(project, output.is(Outputs.CLEAR) ? new Frame(f.size(), Color.NONE, f.nodes())
                        : f, Fonts.of(project.assets())));
                progress.share((i + 1.0) / pictures.size());
            }
            return;
        }
        boolean clear = output.is(Outputs.CLEAR);
        // print is finer than a screen
        int fine = format.equals("PDF") ? 2 : 1;
        var painted = new PaintedFrames(project.assets(), () -> {
            FrameBuilder builder = Frames.of(project, board, Fonts.of(project.assets()));
            return (painter, canvas, i) -> painter.whole(canvas, builder.at(moment(i)), width * fine, height * fine, clear);
        }, width * fine, height * fine);
        painted.each(pictures.size(), progress, (i, argb) -> {
            Files.write(to.resolve(name(i)), switch (format) {
                case "PNG" -> Rasters.png(argb, width, height);
                case "WebP" -> Rasters.exactWebp(argb, width, height);
                default -> PdfPage.of(argb, width * fine, height * fine, width, height);
            });
            progress.share((i + 1.0) / pictures.size());
        });
    }
}
