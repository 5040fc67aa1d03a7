package tundra.bench;

import io.github.humbleui.skija.EncodeJPEGOptions;
import io.github.humbleui.skija.EncoderJPEG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.skija.Surface;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A piece as large as pieces get: 12 scenes twice as high as the window, 400 instances of 12 motifs, every third of them nested, 36 pictures. */
final class LargePiece {
    static final int SCENES = 12;
    private static final int INSTANCES = 34, PARTS = 20, PICTURES = 3;
    private static final Point BOX = new Point(120, 120), SIZE = new Point(Pieces.WIDTH, 2 * Pieces.HEIGHT);
    private static final long LONG = 6_000_000;
    private final Random random = new Random(5);

    private LargePiece() {}

    static Project make() {
        return new LargePiece().project();
    }

    private Project project() {
        var motifs = new ArrayList<Motif>();
        for (int i = 0; i < SCENES; i++) {
            motifs.add(motif(i));
        }
        var assets = new LinkedHashMap<String, Asset>();
        var scenes = new ArrayList<Scene>();
        for (int i = 0; i < SCENES; i++) {
            var elements = new ArrayList<Element>();
            for (int k = 0; k < PICTURES; k++) {
                Asset a = picture(i * PICTURES + k);
                assets.put(a.hash(), a);
                elements.add(new Element("p" + i + "-" + k, "Picture " + k, false, false, Values.NONE
                        .with(Properties.POSITION, new Point(240 + 400 * k, 480 * (k + 1))).with(Properties.SIZE, new Point(480, 300)),
                        new Content.Picture(a.hash())));
            }
            for (int k = 0; k < INSTANCES; k++) {
                Clock c = k % 2 == 0 ? Clock.OWN.withPhase(random.nextInt(4_000_000)) : Clock.PARENT;
                elements.add(instance("i" + i + "-" + k, "m" + random.nextInt(SCENES), c, within(SIZE)));
            }
            Timeline main = new Timeline("t" + i, Timeline.MAIN, LONG, true, true, Map.of());
            scenes.add(new Scene("s" + i, "Scene " + (i + 1), new Board(SIZE, Values.NONE, elements, List.of(main), List.of())));
        }
        return new Project("large", "Large", 24, scenes, assets, Map.of()).withMotifs(motifs);
    }

    private Motif motif(int n) {
        var elements = new ArrayList<Element>();
        Timeline main = new Timeline("mt" + n, Timeline.MAIN, Pieces.DURATION, true, true, Map.of());
        for (int k = 0; k < PARTS; k++) {
            String id = "m" + n + "-" + k;
            Point home = within(BOX);
            elements.add(new Element(id, "Part " + k, false, false, Values.NONE.with(Properties.POSITION, home)
                    .with(Properties.SIZE, new Point(8 + random.nextInt(30), 8 + random.nextInt(30)))
                    .with(Properties.FILL, new Color(random.nextInt(256), random.nextInt(256), random.nextInt(256), 255)),
                    k % 2 == 0 ? new Content.Ellipse() : new Content.Rectangle()));
            main = main.with(id, Properties.POSITION, track(home, within(BOX))).with(id, Properties.ROTATION, track(0.0, 180.0));
        }
        if (n % 3 == 2) {
            elements.add(instance("m" + n + "-in", "m" + (n - 1), Clock.PARENT, BOX.times(0.5)));
        }
        return new Motif("m" + n, "Motif " + n, new Board(BOX, Values.NONE, elements, List.of(main), List.of()));
    }

    private static Element instance(String id, String motif, Clock clock, Point at) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, at), new Content.Instance(motif, BOX, clock));
    }

    private Point within(Point size) {
        return new Point(random.nextDouble() * size.x(), random.nextDouble() * size.y());
    }

    private static <T> Track<T> track(T a, T b) {
        var ease = EasingText.parse("ease-in-out");
        return new Track<>(List.of(new Key<>(0, a, ease), new Key<>(Pieces.DURATION / 2, b, ease), new Key<>(Pieces.DURATION, a, ease)));
    }

    /** Noise of 1920 × 1080, which takes about a megabyte. */
    private static Asset picture(int seed) {
        try (Surface s = Surface.makeRasterN32Premul(1920, 1080); Shader noise = Shader.makeFractalNoise(0.1f, 0.1f, 4, seed);
                Paint paint = new Paint().setShader(noise)) {
            s.getCanvas().clear(0xff304860).drawPaint(paint);
            try (Image i = s.makeImageSnapshot()) {
                byte[] jpeg = EncoderJPEG.encode(i, EncodeJPEGOptions.DEFAULT.withQuality(90)).getBytes();
                return Asset.picture("noise-" + seed + ".jpg", "image/jpeg", 1920, 1080, jpeg);
            }
        }
    }
}
