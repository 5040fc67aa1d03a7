package tundra.render;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.OutputRange;
import tundra.core.file.FileProblem;
import tundra.core.file.SafeReplace;
import tundra.core.fit.Layouts;
import tundra.core.fit.Run;
import tundra.core.fit.VisitFrames;
import tundra.core.fit.VisitorState;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Limits;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Transition;
import tundra.core.work.Progress;

/** Makes films and loops of what a visitor sees who opens a scene, or all of them one after the other, and does nothing. */
public final class Filming {
    /** The most pictures of a film: an hour at 30 a second. */
    private static final int MOST = 108_000;
    /** So many pictures tell how large the whole will be. */
    private static final int SAMPLES = 3;
    /** So many neighbours tell how much changes from picture to picture. */
    private static final int NEIGHBOURS = 8;
    private final Project project;
    private final Output output;
    private final FilmFormat format;
    private final boolean clear;
    private final int rate;
    private final int width;
    private final int height;
    private final List<Shot> shots;
    private final Run run;
    private final List<Long> times;

    /**
     * Of what is seen by who does nothing.
     *
     * @param output of the kind {@link Outputs#FILM} or {@link Outputs#LOOP}
     * @throws FileProblem with one sentence where that can't be made
     */
    public Filming(Project project, Output output) throws FileProblem {
        this(project, output, null);
    }

    /**
     * Of a recorded visit, in the window in which it was recorded.
     *
     * @param project with the timelines that the run names
     * @param run null for what is seen by who does nothing
     */
    public Filming(Project project, Output output, Run run) throws FileProblem {
        this.project = project;
        this.run = run;
        this.output = output;
        format = format(output);
        clear = output.is(Outputs.CLEAR) && format.clear();
        if (output.is(Outputs.CLEAR) && !format.clear()) {
            throw new FileProblem((format == FilmFormat.MP4 ? "An MP4 can't be seen through; make a WebM." : format == FilmFormat.AVIF
                    ? "This AVIF can't be seen through; make a WebP." : "AV1 can't be seen through; make a WebM.") + " Nothing was written.");
        }
        rate = output.number(Outputs.RATE) == 0 ? project.frameRate() : (int) Math.max(1, Math.round(output.number(Outputs.RATE)));
        shots = run == null ? shots(project, output) : List.of();
        Point size = size(run == null ? shots.getFirst().board().size() : run.states().getFirst().window(), output.number(Outputs.WIDTH),
                output.number(Outputs.HEIGHT));
        width = format.side(size.x());
        height = format.side(size.y());
        if ((long) width * height > Limits.PIXELS || width > Limits.SIDE || height > Limits.SIDE) {
            throw new FileProblem("Pictures of " + width + "×" + height
                    + " px are too large for a film; choose a smaller width. Nothing was written.");
        }
        times = times();
    }

    /** A size of which one or both sides may be left to the shape of what is shown. */
    static Point size(Point drawn, double width, double height) {
        double shape = drawn.x() / drawn.y();
        return width > 0 ? new Point(width, height > 0 ? height : width / shape) : height > 0 ? new Point(height * shape, height) : drawn;
    }

    /** How a kind of output is kept. */
    private static FilmFormat format(Output o) {
        return FilmFormat.valueOf(Outputs.format(o).toUpperCase(Locale.ROOT).replace(' ', '_'));
    }

    private static List<Shot> shots(Project p, Output o) throws FileProblem {
        Scene one = OutputEdits.scene(p, o);
        if (one != null) {
            Board b = Layouts.seen(one.board(), (String) o.settings().get(Outputs.LAYOUT) instanceof String l && !l.equals(Slot.DRAWN) ? one.board()
                    .layout(l) : null, null, Fonts.of(p.assets()));
            OutputRange range = OutputRange.of(o, b);
            if (range.problem() != null) {
                throw new FileProblem(range.problem());
            }
            return List.of(new Shot(b, range.from(), range.until(), Transition.CUT));
        }
        return p.screens().stream().map(s -> new Shot(s.board(), 0, s.board().main().duration(), s.opening().transition())).toList();
    }

    public FilmFormat format() {
        return format;
    }

    public int frames() {
        return times.size();
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    public int rate() {
        return rate;
    }

    /** Microseconds from the begin of the film, one for each picture. The end of the range is the beginning of the next round, so it is left out. */
    private List<Long> times() throws FileProblem {
        long length = run == null ? shots.stream().mapToLong(Shot::length).sum() : run.length();
        long n = Math.max(1, Math.round(length / 1e6 * rate));
        double rounds = output.kind() == Outputs.FILM ? output.number(Outputs.TIMES) : 1;
        if (n * rounds > MOST) {
            throw new FileProblem("That would be " + Math.round(n * rounds) + " pictures, and " + MOST
                    + " is the most; choose a shorter range or a lower rate. Nothing was written.");
        }
        var once = new ArrayList<Long>();
        for (int i = 0; i < n; i++) {
            once.add(Math.round(i * 1e6 / rate));
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

    private PaintedFrames painted(List<Long> at) {
        boolean chosen = output.number(Outputs.WIDTH) > 0 && output.number(Outputs.HEIGHT) > 0 || shots.size() > 1;
        var room = new Painter.Room(width, height, chosen && output.settings().get(Outputs.AROUND) instanceof String c ? Color.parse(c) : null,
                clear);
        if (run != null) {
            return new PaintedFrames(project.assets(), () -> {
                var frames = new VisitFrames(project, Fonts.of(project.assets()));
                return (painter, canvas, number) -> {
                    VisitorState v = run.at(at.get(number));
                    painter.visit(canvas, frames.at(v), run.states().getFirst().window(), room);
                };
            }, width, height);
        }
        return new PaintedFrames(project.assets(), () -> {
            var source = new Shots(project, shots);
            return (painter, canvas, number) -> source.paint(painter, canvas, at.get(number), room);
        }, width, height);
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
            encode(part, times, progress);
            SafeReplace.put(to, out -> Files.copy(part, out));
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** Paints all of its pictures and packs none, by which the cost of painting is told from that of packing. */
    public void paint(Progress progress) throws IOException {
        painted(times).each(times.size(), progress, (i, argb) -> progress.share((i + 1.0) / times.size()));
    }

    /** About how many bytes it will have, by three of its pictures; makes those, so not for the interface thread. */
    public long expected(Progress progress) throws IOException {
        if (times.size() <= 2 * SAMPLES) {
            return sampled(times, progress);
        }
        // pictures that follow each other cost about what changes from one to the next; the first one costs a whole picture
        var some = new ArrayList<Long>();
        for (int i = 0; i < SAMPLES; i++) {
            int at = (int) ((i + 0.5) / SAMPLES * (times.size() - 1));
            some.add(times.get(at));
            some.add(times.get(at + 1));
        }
        long whole = sampled(List.of(some.getFirst()), progress.part(0, 0.3)), several = sampled(some, progress.part(0.3, 1));
        double steps = Math.max(0, several - SAMPLES * (double) whole) / SAMPLES;
        return format.picturesAlone() ? several / (2L * SAMPLES) * times.size() : Math.round(whole + steps * (times.size() - 1));
    }

    /**
     * How a loop goes over from its end to its begin.
     *
     * @param step how much changes from the last picture to the first, 0 to 1
     * @param within how much changes at most between some neighbours
     */
    public record Seam(double step, double within) {
        /** How many times larger the step is; 0 where hardly anything changes. */
        public double ratio() {
            return step < 0.001 ? 0 : step / Math.max(within, 0.001);
        }
    }

    /** Paints the ends and some neighbours; not for the interface thread. */
    public Seam seam(Progress progress) throws IOException {
        if (times.size() < 3) {
            return new Seam(0, 0);
        }
        var at = new ArrayList<Long>(List.of(times.getLast(), times.getFirst()));
        for (int i = 0; i < NEIGHBOURS; i++) {
            int k = (int) ((i + 0.5) / NEIGHBOURS * (times.size() - 1));
            at.add(times.get(k));
            at.add(times.get(k + 1));
        }
        double[] steps = new double[NEIGHBOURS + 1];
        int[][] before = new int[1][];
        painted(at).each(at.size(), progress, (i, argb) -> {
            if (i % 2 == 1) {
                steps[i / 2] = differing(before[0], argb);
            }
            before[0] = argb;
        });
        double within = 0;
        for (int i = 1; i < steps.length; i++) {
            within = Math.max(within, steps[i]);
        }
        return new Seam(steps[0], within);
    }

    private static double differing(int[] a, int[] b) {
        long sum = 0;
        for (int i = 0; i < a.length; i++) {
            for (int s = 0; s < 32; s += 8) {
                sum += Math.abs((a[i] >>> s & 255) - (b[i] >>> s & 255));
            }
        }
        return sum / (255.0 * 3 * a.length);
    }

    /** A few of its pictures as the file shows them. */
    public byte[] sample(Progress progress) throws IOException {
        Path part = Files.createTempFile("tundra-sample", "." + format.ending);
        part.toFile().deleteOnExit();
        try {
            var some = new ArrayList<Long>();
            for (int i = 0; i < Math.min(NEIGHBOURS, times.size()); i++) {
                some.add(times.get(i * times.size() / Math.min(NEIGHBOURS, times.size())));
            }
            encode(part, some, progress);
            return Files.readAllBytes(part);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private long sampled(List<Long> at, Progress progress) throws IOException {
        Path part = Files.createTempFile("tundra-sample", "." + format.ending);
        part.toFile().deleteOnExit();
        try {
            encode(part, at, progress);
            return Files.size(part);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private void encode(Path part, List<Long> at, Progress progress) throws IOException {
        var painted = painted(at);
        double passes = format == FilmFormat.GIF ? 2 : 1;
        Sounding sound = !format.video() || !output.is(Outputs.SOUND) || at != times ? null : run == null ? FilmSound.of(project, shots)
                : RunSound.of(project, run);
        try (Palette palette = format == FilmFormat.GIF ? new Palette(width, height, rate, clear) : null) {
            if (palette != null) {
                painted.each(at.size(), progress, (i, argb) -> {
                    palette.add(argb);
                    progress.share((i + 1) / passes / at.size());
                });
            }
            var quality = FilmFormat.Quality.valueOf(output.kind() == Outputs.FILM ? output.text(Outputs.QUALITY).toUpperCase(Locale.ROOT) : "GOOD");
            try (var out = new VideoWriter(part, format, new VideoWriter.Shape(width, height, rate, clear, output.is(Outputs.DITHER)), quality,
                    palette, sound != null)) {
                painted.each(at.size(), progress, (i, argb) -> {
                    out.add(argb);
                    if (sound != null) {
                        out.addSound(sound.of(i % (times.size() / (int) output.number(Outputs.TIMES)), rate));
                    }
                    progress.share((passes - 1 + (i + 1.0) / at.size()) / passes);
                });
            }
        }
    }
}
