package tundra.bench;

import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tundra.core.file.ProjectFile;
import tundra.core.flip.OnionLayers;
import tundra.core.flip.OnionSkin;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.render.Bands;
import tundra.render.Fonts;
import tundra.render.Painter;
import tundra.render.StillStore;

/** A flipbook of 300 drawings of 50 paths each: opening its file, and a step to the next drawing with an onion skin of two and two. */
final class FlipBench {
    static final OnionSkin SKIN = OnionSkin.STANDARD.withRange(2, 2).withOutlines(false);

    private FlipBench() {}

    static Project project() {
        var random = new Random(9);
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < 300; i++) {
            var parts = new ArrayList<Element>();
            for (int k = 0; k < 50; k++) {
                parts.add(path("p" + i + "-" + k, random));
            }
            drawings.add(new Drawing(Flipbook.blank("Drawing " + (i + 1), new Point(1280, 720)).withChildren(parts), 2 * i, 2));
        }
        var book = new Element("book", "Book", false, false, Values.NONE.with(Properties.POSITION, new Point(640, 360)),
                new Flipbook(drawings, new Point(1280, 720), 24, Flipbook.Ending.LOOP));
        Project p = Project.empty("Flip", new Point(1280, 720), 24);
        var main = new Timeline(Timeline.MAIN, 25_000_000);
        return p.mapBoard(p.scenes().getFirst().id(), b -> new Board(b.size(), b.canvas(), List.of(book), List.of(main), List.of()));
    }

    private static Element path(String name, Random random) {
        var nodes = new ArrayList<Node>();
        double r = 20 + random.nextDouble() * 60;
        for (int i = 0; i < 8; i++) {
            double a = Math.PI * i / 4, k = r * (0.8 + 0.4 * random.nextDouble());
            nodes.add(Node.smooth(new Point(r * 1.2 + k * Math.cos(a), r * 1.2 + k * Math.sin(a)), new Point(-Math.sin(a), Math.cos(a))
                    .times(k * 0.26)));
        }
        Point size = new Point(2.4 * r, 2.4 * r);
        return new Element(name, new Content.Path(new Outline(List.of(new Contour(nodes, true))), size), Values.NONE
                .with(Properties.POSITION, new Point(60 + random.nextDouble() * 1160, 60 + random.nextDouble() * 600)).with(Properties.SIZE, size)
                .with(Properties.FILL, new Color(random.nextInt(256), random.nextInt(256), random.nextInt(256), 255))
                .with(Properties.STROKE, Color.BLACK)
                .with(Properties.STROKE_WIDTH, 1.5));
    }

    /** Reading the file to its first frame, and evaluating and painting a step; the best of several, in ms. */
    static double[] measure() throws Exception {
        Path file = Files.createTempFile("tundra-flip", ".tundra");
        ProjectFile.write(project(), file);
        double open = Double.MAX_VALUE, step = Double.MAX_VALUE;
        Project p = null;
        for (int i = 0; i < 5; i++) {
            long start = System.nanoTime();
            p = ProjectFile.read(file);
            new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED).at(0);
            open = Math.min(open, (System.nanoTime() - start) / 1e6);
        }
        Files.delete(file);
        var builder = new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED);
        var ghosts = new OnionLayers();
        String book = p.scenes().getFirst().board().elements().getFirst().id();
        try (var painter = new Painter(); var store = new StillStore(painter);
                var bands = new Bands(ByteBuffer.allocateDirect(4 * Pieces.WIDTH * Pieces.HEIGHT), Pieces.WIDTH, Pieces.HEIGHT)) {
            for (int round = 0; round < 4; round++) {
                Bench.rest();
                long start = System.nanoTime();
                for (int i = 0; i < 100; i++) {
                    long t = p.frameTime(2L * (round * 60 + i));
                    Frame f = SKIN.over(builder.at(t), builder, book, Moment.opened(builder.board(), t), ghosts);
                    bands.paint(c -> store.paint(c, f, 1, 0, 0, Pieces.WIDTH, Pieces.HEIGHT, false));
                }
                step = Math.min(step, (System.nanoTime() - start) / 1e6 / 100);
            }
        }
        return new double[] {open, step};
    }
}
