package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Flipbooks of each ending, with gaps, in a turned group, with a part that moves, and of pictures. */
final class FlipPiece {
    static final long DURATION = 2_000_000;
    private final List<Asset> pictures = new ArrayList<>();

    /** @param pictures of one size, for the flipbook of pictures */
    FlipPiece(List<Asset> pictures) {
        this.pictures.addAll(pictures);
    }

    private static Element shape(String id, Content c, double x, double y, double w, double h, String color) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.parse(color)).with(Properties.STROKE, Color.parse("#22333B")).with(Properties.STROKE_WIDTH, 2.0), c);
    }

    private static Element art(String id, Element... parts) {
        return Flipbook.blank(id, new Point(120, 90)).withId(id).withChildren(List.of(parts));
    }

    private static Element book(String id, double x, double y, Flipbook b) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)), b);
    }

    private static Flipbook drawn(String of, Flipbook.Ending ending, int... times) {
        String[] colors = {"#C8503C", "#E9B44C", "#5BC8A8", "#2F78A3", "#82508E"};
        var out = new ArrayList<Drawing>();
        for (int i = 0; i < times.length; i += 2) {
            int n = i / 2;
            Element body = shape(of + "body" + n, new Content.Ellipse(), 40 + 8 * n, 50 - 6 * (n % 3), 50 + 4 * n, 34, colors[n % 5]);
            Element ear = shape(of + "ear" + n, new Content.Polygon(3, 1), 66 + 8 * n, 28, 16, 26, "#F3F7FA").with(Properties.ROTATION, 12.0 * n);
            out.add(new Drawing(art(of + n, body, ear), times[i], times[i + 1]));
        }
        return new Flipbook(out, new Point(120, 90), 24, ending);
    }

    Project make() {
        var elements = new ArrayList<Element>();
        elements.add(book("vanish", 90, 70, drawn("v", Flipbook.Ending.VANISH, 2, 3, 5, 1, 9, 4, 13, 7)));
        elements.add(book("hold", 250, 70, drawn("h", Flipbook.Ending.HOLD, 0, 5, 7, 2, 9, 6)));
        var turned = new Element("turned", "turned", false, false, Values.NONE.with(Properties.POSITION, new Point(410, 90))
                .with(Properties.ROTATION, 24.0)
                .with(Properties.SCALE, new Point(1.2, 0.9)),
                new Content.Group(List.of(book("loop", 60, 45, drawn("l", Flipbook.Ending.LOOP, 3, 2, 5, 1, 7, 3, 10, 1, 11, 2))),
                        new Point(120, 90)));
        elements.add(turned);
        var p = Project.empty("Flip", new Point(500, 320), 24);
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < pictures.size(); i++) {
            Asset a = pictures.get(i);
            p = p.withAsset(a);
            var picture = new Element("pic" + i, "pic" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(60, 45))
                    .with(Properties.SIZE, new Point(96, 72)),
                    new Content.Picture(a.hash()));
            drawings.add(new Drawing(art("p" + i, picture), 1 + 3 * i + (i > 2 ? 4 : 0), 3));
        }
        elements.add(book("pictures", 100, 230, new Flipbook(drawings, new Point(120, 90), 24, Flipbook.Ending.LOOP)));
        // a part that moves by keys while its drawing is held
        Element still = shape("stands", new Content.Rectangle(), 30, 50, 40, 40, "#2F78A3"), goes = shape("goes", new Content.Ellipse(), 30, 50, 30,
                30, "#E9B44C");
        elements.add(book("mixed", 300, 230, new Flipbook(List.of(new Drawing(art("m0", still), 0, 6), new Drawing(art("m1", goes), 6, 20)),
                new Point(120, 90), 24,
                Flipbook.Ending.LOOP)));
        var main = new Timeline("main", Timeline.MAIN, DURATION, true, true, Map.of()).with("goes", Properties.POSITION,
                new Track<>(List.of(new Key<>(0L, new Point(20, 50), Easing.LINEAR), new Key<>(1_500_000L, new Point(100, 40), Easing.LINEAR))));
        var board = new Board(new Point(500, 320), Values.NONE.with(Properties.BACKGROUND, Color.parse("#DCE8ED")), elements, List.of(main),
                List.of());
        return p.withScenes(List.of(new Scene("scene", "Scene", board)));
    }
}
