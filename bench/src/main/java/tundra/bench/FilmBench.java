package tundra.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.FilmFormat;
import tundra.render.Filming;
import tundra.render.Fonts;
import tundra.render.Still;
import tundra.render.VideoWriter;

/** Making a film at 1920×1080, against painting its pictures alone and packing as many alone. */
final class FilmBench {
    private static final int W = 1920, H = 1080, RATE = 24, KEPT = 12;

    /** In s. */
    record Result(double whole, double painting, double packing) {
        double longer() {
            return Math.max(painting, packing);
        }
    }

    private FilmBench() {}

    /** @param seconds of the piece that are filmed */
    static Result measure(Project p, double seconds) throws Exception {
        Path to = Files.createTempFile("bench", ".mp4");
        try {
            Output film = Outputs.FILM.made().with(Outputs.WIDTH, (double) W).with(Outputs.HEIGHT, (double) H)
                    .with(Outputs.UNTIL, Math.round(seconds * 1e6)).with(Outputs.RATE, (double) RATE).with(Outputs.SOUND, "no");
            new Filming(p, film).paint(Progress.NONE);
            long a = System.nanoTime();
            new Filming(p, film).paint(Progress.NONE);
            long b = System.nanoTime();
            new Filming(p, film).write(to, Progress.NONE);
            long c = System.nanoTime();
            return new Result((c - b) / 1e9, (b - a) / 1e9, packing(p, to, (int) Math.round(seconds * RATE), Math.round(seconds * 1e6)));
        } finally {
            Files.deleteIfExists(to);
        }
    }

    private static double packing(Project p, Path to, int count, long length) throws Exception {
        Board board = p.scenes().getFirst().board();
        List<int[]> pictures = new ArrayList<>();
        for (int i = 0; i < KEPT; i++) {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(Still.png(p, Frames.of(p, board, Fonts.BUNDLED)
                    .at(Moment.opened(board, length * i / KEPT)), W, H)));
            pictures.add(image.getRGB(0, 0, W, H, null, 0, W));
        }
        long a = System.nanoTime();
        try (var out = new VideoWriter(to, FilmFormat.MP4, new VideoWriter.Shape(W, H, RATE, false, false), FilmFormat.Quality.GOOD, null, false)) {
            for (int i = 0; i < count; i++) {
                out.add(pictures.get(i * KEPT / count));
            }
        }
        return (System.nanoTime() - a) / 1e9;
    }
}
