package tundra.bench;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.LongConsumer;
import tundra.core.fit.Frames;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.render.Bands;
import tundra.render.Fonts;
import tundra.render.Painter;
import tundra.render.StillStore;
import tundra.samples.FrostGlass;

/** A thousand instances of one motif against Skia's own calls for the same shapes, and the frames of Frost glass. */
final class MotifBench {
    private static final int INSTANCES = 1000, SHAPES = 10, PHASES = 24;
    private static final long LENGTH = 2_000_000;

    private MotifBench() {}

    /** @param bare the same shapes with Skia's own calls, all in ms a frame */
    record Instances(double evaluated, double bare) {}

    static Project many() {
        var random = new Random(3);
        var shapes = new ArrayList<Element>();
        var main = new Timeline("in", Timeline.MAIN, LENGTH, true, true, Map.of());
        for (int i = 0; i < SHAPES; i++) {
            String id = "shape" + i;
            shapes.add(new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(4 * i, 20))
                    .with(Properties.SIZE, new Point(8, 8))
                    .with(Properties.FILL, new Color(40 * i % 256, 120, 200, 255)), i % 2 == 0 ? new Content.Ellipse() : new Content.Rectangle()));
            main = main.with(id, Properties.POSITION,
                    new Track<>(List.of(new Key<>(0, new Point(4 * i, 0), Easing.LINEAR), new Key<>(LENGTH, new Point(4 * i, 40), Easing.LINEAR))));
        }
        var motif = new Motif("motif", "Motif", new Board(new Point(40, 40), Values.NONE, shapes, List.of(main), List.of()));
        var all = new ArrayList<Element>();
        for (int i = 0; i < INSTANCES; i++) {
            all.add(new Element("i" + i, "Instance " + i, false, false,
                    Values.NONE.with(Properties.POSITION, new Point(random.nextDouble() * Pieces.WIDTH, random.nextDouble() * Pieces.HEIGHT)),
                    new Content.Instance("motif", new Point(40, 40), new Clock(true, Clock.Repeat.LOOP, LENGTH * (i % PHASES) / PHASES, 1))));
        }
        Project p = Project.empty("Instances", new Point(Pieces.WIDTH, Pieces.HEIGHT), 24).withMotifs(List.of(motif));
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(all));
    }

    static Instances instances() {
        Project p = many();
        var builder = Frames.of(p, p.scenes().getFirst().board(), Fonts.BUNDLED);
        Frame[] frames = new Frame[48];
        for (int i = 0; i < frames.length; i++) {
            frames[i] = at(builder, i * 41_667L);
        }
        try (var painter = new Painter(); var paint = new Paint().setAntiAlias(true); var surface = Surface.makeRasterN32Premul(Pieces.WIDTH,
                Pieces.HEIGHT)) {
            Canvas c = surface.getCanvas();
            return new Instances(best(i -> painter.paint(c, at(builder, i * 41_667L % LENGTH), 1)), best(i -> {
                c.clear(0xFFFFFFFF);
                bare(c, frames[(int) (i % frames.length)].nodes(), paint);
            }));
        }
    }

    private static void bare(Canvas c, List<FrameNode> nodes, Paint paint) {
        for (FrameNode n : nodes) {
            var m = n.toParent();
            c.save();
            c.concat(new Matrix33((float) m.a(), (float) m.c(), (float) m.e(), (float) m.b(), (float) m.d(), (float) m.f(), 0, 0, 1));
            for (Mark mark : n.marks()) {
                if (mark instanceof Mark.Fill f) {
                    paint.setColor(f.paint().main().argb());
                    var box = Rect.makeWH((float) n.box().x(), (float) n.box().y());
                    if (f.form() instanceof Form.Oval) {
                        c.drawOval(box, paint);
                    } else {
                        c.drawRect(box, paint);
                    }
                }
            }
            bare(c, n.children(), paint);
            c.restore();
        }
    }

    /** The best ms a frame of Frost glass, evaluated and painted as the canvas does, at so many pixels across. */
    static double frost(int width) {
        Project p = FrostGlass.project();
        Board b = p.scenes().getFirst().board();
        var builder = Frames.of(p, b, Fonts.BUNDLED);
        int height = width * 9 / 16;
        try (var painter = new Painter(); var store = new StillStore(painter); var bands = new Bands(ByteBuffer.allocateDirect(4 * width * height),
                width, height)) {
            return best(i -> {
                Frame f = at(builder, i * 125_000L % 6_000_000);
                bands.paint(c -> store.paint(c, f, width / b.size().x(), 0, 0, width, height, true));
            });
        }
    }

    private static Frame at(FrameBuilder builder, long time) {
        return builder.at(Moment.opened(builder.board(), time));
    }

    private static double best(LongConsumer frame) {
        double best = Double.MAX_VALUE;
        long i = 0;
        for (long end = System.nanoTime() + 6_000_000_000L; System.nanoTime() < end || i < 3; i++) {
            long start = System.nanoTime();
            frame.accept(i);
            best = Math.min(best, (System.nanoTime() - start) / 1e6);
        }
        return best;
    }
}
