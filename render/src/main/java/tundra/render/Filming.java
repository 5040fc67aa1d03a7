package tundra.render;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.file.FileProblem;
import tundra.core.file.SafeReplace;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Limits;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.work.Progress;

/** Makes films and loops of what a visitor sees who opens a scene and does nothing. */
public final class Filming {
    /** The most pictures of a film: an hour at 30 a second. */
    private static final int MOST = 108_000;
    private final Project project;
    private final Board board;
    private final Output output;
    private final FilmFormat format;
    private final boolean clear;
    private final int rate;
    private final int width;
    private final int height;
    private final List<Long> times;

    /**
     * @param board of the scene, in its layout
     * @param output of the kind {@link Outputs#FILM} or {@link Outputs#LOOP}
     * @throws FileProblem with one sentence where that can't be made
     */
    public Filming(Project project, Board board, Output output) throws FileProblem {
        this.project = project;
        this.board = board;
        this.output = output;
        format = format(output);
        clear = output.is(Outputs.CLEAR) && format.clear();
        if (output.is(Outputs.CLEAR) && !format.clear()) {
            throw new FileProblem(format(output) == FilmFormat.MP4 ? "An MP4 can't be seen through; make a WebM. Nothing was written." : "AV1 can't be seen through; make a WebM. Nothing was written.");
        }
        rate = output.number(Outputs.RATE) == 0 ? project.frameRate() : (int) Math.max(1, Math.round(output.number(Outputs.RATE)));
        Point size = board.size();
        double wide = output.number(Outputs.WIDTH) == 0 ? size.x() : output.number(Outputs.WIDTH);
        width = format.side(wide);
        height = format.side(wide * size.y() / size.x());
        if ((long) width * height > Limits.PIXELS || width > Limits.SIDE || height > Limits.SIDE) {
            throw new FileProblem("Pictures of " + width + "×" + height + " px are too large for a film; choose a smaller width. Nothing was written.");
        }
        times = times();
    }

    /** How a kind of output is kept. */
    private static FilmFormat format(Output o) {
        return FilmFormat.valueOf(o.text(o.kind() == Outputs.FILM ? Outputs.FILM_FORMAT : Outputs.LOOP_FORMAT).toUpperCase(Locale.ROOT).replace(' ', '_'));
    }

    public FilmFormat format() {
        return format;
    }

    public int frames() {
        return times.size();
    }

    /** Microseconds after the scene was opened, one for each picture. The end of the range is the beginning of the next round, so it is left out. */
    private List<Long> times() throws FileProblem {
        long from = output.time(Outputs.FROM), until = output.time(Outputs.UNTIL) == 0 ? board.main().duration() : output.time(Outputs.UNTIL);
        if (until <= from) {
            throw new FileProblem("There is nothing between " + from / 1e6 + " s and " + until / 1e6 + " s; choose another range. Nothing was written.");
        }
        long n = Math.max(1, Math.round((until - from) / 1e6 * rate));
        double rounds = output.kind() == Outputs.FILM ? output.number(Outputs.TIMES) : 1;
        if (n * rounds > MOST) {
            throw new FileProblem("That would be " + Math.round(n * rounds) + " pictures, and " + MOST + " is the most; choose a shorter range or a lower rate. Nothing was written.");
        }
        var once = new ArrayList<Long>();
        for (int i = 0; i < n; i++) {
            once.add(from + Math.round(i * 1e6 / rate));
        }
        if (output.is(Outputs.BACK)) {
            // each end is seen once
            for (int i = once.size() - 2; i > 0; i--) {
                once.add(once.get(i));
            }
        }
        var out = new ArrayList<Long>();
        for (int i = 0; i < rounds; i++) {
            out.addAll(once);
        }
        return out;
    }

    /**
     * Makes it elsewhere and puts it in its place when it is whole; a file that is there already stays until then.
     *
     * @throws java.util.concurrent.CancellationException where it was given up
     */
    public void write(Path to, Progress progress) throws IOException {
        Path part = Files.createTempFile("tundra-film", "." + format.ending);
        part.toFile().deleteOnExit();
        try {
            var painted = new PaintedFrames(project, board, width, height, clear);
            double passes = format == FilmFormat.GIF ? 2 : 1;
            try (Palette palette = format == FilmFormat.GIF ? new Palette(width, height, rate, clear) : null) {
                if (palette != null) {
                    painted.each(times, progress, (i, argb) -> {
                        palette.add(argb);
                        progress.share((i + 1) / passes / times.size());
                    });
                }
                var quality = FilmFormat.Quality.valueOf(output.kind() == Outputs.FILM ? output.text(Outputs.QUALITY).toUpperCase(Locale.ROOT) : "GOOD");
                try (var out = new VideoWriter(part, format, width, height, rate, quality, clear, output.is(Outputs.DITHER), palette)) {
                    painted.each(times, progress, (i, argb) -> {
                        out.add(argb);
                        progress.share((passes - 1 + (i + 1.0) / times.size()) / passes);
                    });
                }
            }
            SafeReplace.put(to, out -> Files.copy(part, out));
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
