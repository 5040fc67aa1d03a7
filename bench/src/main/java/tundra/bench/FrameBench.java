package tundra.bench;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.RRect;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import tundra.core.fit.Fit;
import tundra.core.fit.Frames;
import tundra.core.fit.Lens;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.render.Bands;
import tundra.render.Fonts;
import tundra.render.Painter;
import tundra.render.StillStore;
import tundra.samples.OpenNight;

/** Evaluating and painting frames, each at another time. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class FrameBench {
    private final FrameBuilder moving = new FrameBuilder(Pieces.moving(300, false), Fonts.BUNDLED);
    private final FrameBuilder five = new FrameBuilder(Pieces.moving(1000, true), Fonts.BUNDLED);
    private final FrameBuilder manyKeys = new FrameBuilder(Pieces.manyKeys(), Fonts.BUNDLED);
    private final Board tied = Pieces.tied();
    private final Random random = new Random(5);
    private final FrameBuilder demo = Frames.of(OpenNight.project(), OpenNight.project().scenes().getFirst().board(), Fonts.BUNDLED);
    private final Painter painter = new Painter();
    private final StillStore store = new StillStore(painter);
    private final Surface surface = Surface.makeRasterN32Premul(Pieces.WIDTH, Pieces.HEIGHT);
    private final Bands bands = new Bands(ByteBuffer.allocateDirect(4 * Pieces.WIDTH * Pieces.HEIGHT), Pieces.WIDTH, Pieces.HEIGHT);
    private final Paint paint = new Paint().setAntiAlias(true);
    private Frame[] frames;
    private int turn;

    /** The frames that the bare calls paint, made beforehand. */
    @Setup
    public void frames() {
        frames = new Frame[96];
        for (int i = 0; i < frames.length; i++) {
            frames[i] = moving.at(i * 41_667L);
        }
    }

    private long next() {
        turn = (turn + 1) % 96;
        return turn * 41_667L;
    }

    /** A frame at any time of a piece with 20,000 keys. */
    @Benchmark
    public Frame manyKeys() {
        return manyKeys.at(random.nextInt(4_000_000));
    }

    /** 300 moving vector elements, evaluated and painted. */
    @Benchmark
    public void paintMoving() {
        Canvas c = surface.getCanvas();
        painter.paint(c, moving.at(next()), 1);
    }

    /** The same shapes at the same places with Skia's own calls and nothing else. */
    @Benchmark
    public void paintBare() {
        next();
        Canvas c = surface.getCanvas();
        c.clear(0xFFFFFFFF);
        for (FrameNode n : frames[turn].nodes()) {
            var m = n.toParent();
            c.save();
            c.concat(new Matrix33((float) m.a(), (float) m.c(), (float) m.e(), (float) m.b(), (float) m.d(), (float) m.f(), 0, 0, 1));
            var f = (Mark.Fill) n.marks().getFirst();
            paint.setColor(f.paint().main().argb());
            float w = (float) n.box().x(), h = (float) n.box().y();
            switch (f.form()) {
                case Form.Oval o -> c.drawOval(Rect.makeWH(w, h), paint);
                case Form.Box b when b.radius() > 0 -> c.drawRRect(RRect.makeXYWH(0, 0, w, h, (float) b.radius()), paint);
                default -> c.drawRect(Rect.makeWH(w, h), paint);
            }
            c.restore();
        }
    }

    /** The demo as the editor plays it: what stands still is kept as images. */
    @Benchmark
    public void demoFrame() {
        Frame frame = demo.at(next() * 2);
        bands.paint(c -> store.paint(c, frame, 1, 0, 40, Pieces.WIDTH, Pieces.HEIGHT, true));
    }

    /** 1,000 elements with five keyed properties each, evaluated alone. */
    @Benchmark
    public List<FrameNode> evaluate() {
        return five.at(next()).nodes();
    }

    /** 1,000 tied elements with keys at another width each time, evaluated. */
    @Benchmark
    public List<FrameNode> fitted() {
        return at(tied, 640 + 7 * turn);
    }

    /** The same in four layouts, each of which differs in a hundred elements. */
    @Benchmark
    public int layouts() {
        int n = at(tied, 640 + 7 * turn).size();
        for (Layout l : tied.layouts()) {
            n += at(Lens.get(tied, l.id()), 300 + 7 * turn).size();
        }
        return n;
    }

    private List<FrameNode> at(Board b, int width) {
        long time = next();
        return new FrameBuilder(Fit.at(b, new Point(width, Pieces.HEIGHT)), Fonts.BUNDLED).at(time).nodes();
    }
}
