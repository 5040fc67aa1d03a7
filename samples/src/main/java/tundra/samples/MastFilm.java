package tundra.samples;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.render.FilmFormat;
import tundra.render.Fonts;
import tundra.render.Still;
import tundra.render.VideoWriter;

/** The film of the mast: the arrival by night, closer and closer to the mast's lamp. It is made once and kept beside the code. */
final class MastFilm {
    static final int WIDTH = 480, HEIGHT = 270, RATE = 24, SECONDS = 6;
    static final Asset FILM = kept();

    private MastFilm() {}

    private static Asset kept() {
        try (InputStream in = MastFilm.class.getResourceAsStream("mast.webm")) {
            return in == null ? null : Asset.video("The mast by night.webm", "video/webm", WIDTH, HEIGHT, SECONDS * 1_000_000L,
                    AssetData.of(in.readAllBytes()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Makes it anew; the argument is where to. */
    public static void main(String[] args) throws Exception {
        Project p = OpenNight.project();
        Board b = p.scenes().getFirst().board();
        FrameBuilder frames = Frames.of(p, b, Fonts.BUNDLED);
        try (var out = new VideoWriter(Path.of(args[0]), FilmFormat.WEBM, new VideoWriter.Shape(WIDTH, HEIGHT, RATE, false, false),
                FilmFormat.Quality.SMALL, null, false)) {
            for (int i = 0; i < RATE * SECONDS; i++) {
                double k = 0.75 + 0.9 * (0.5 - 0.5 * Math.cos(Math.PI * i / (RATE * SECONDS)));
                Affine view = new Affine(k, 0, 0, k, WIDTH / 2.0 - 800 * k, HEIGHT / 2.0 - 330 * k);
                Frame all = frames.at(Moment.opened(b, 2_500_000 + i * 1_000_000L / RATE));
                var part = new Frame(new Point(WIDTH, HEIGHT), all.background(),
                        List.of(new FrameNode(null, false, view, 1, all.size(), List.of(), all.nodes(), List.of())));
                out.add(ImageIO.read(new ByteArrayInputStream(Still.png(p, part))).getRGB(0, 0, WIDTH, HEIGHT, null, 0, WIDTH));
            }
        }
    }
}
