package tundra.web;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.FamilyEasing;
import tundra.core.motion.Key;
import tundra.core.motion.NamedEasing;
import tundra.core.motion.StepsEasing;
import tundra.core.motion.Track;

/** A piece that keys every property of the table and uses every easing. */
final class EveryPiece {
    static final int WIDTH = 800;
    static final int HEIGHT = 600;
    private final List<Element> elements = new ArrayList<>();
    private Timeline timeline = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());

    static Project make() throws Exception {
        var p = new EveryPiece();
        p.easings();
        p.properties();
        Asset a = picture();
        p.add("pic", new Content.Picture(a.hash()), 620, 470, 120, 80);
        p.key("pic", Properties.SIZE, new Point(120, 80), new Point(60, 100), Easing.LINEAR);
        p.timeline = p.timeline.with(Board.CANVAS, Properties.BACKGROUND,
                new Track<>(List.of(new Key<>(0, Color.parse("#FFFFFF"), Easing.LINEAR), new Key<>(4_000_000, Color.parse("#C9D3CF"),
                Easing.LINEAR))));
        var board = new Board(new Point(WIDTH, HEIGHT), Values.NONE, p.elements, List.of(p.timeline), List.of());
        return new Project("every", "Every property", 24, List.of(new Scene("scene", "Scene", board)), Map.of(a.hash(), a), Map.of());
    }

    /** A picture of soft blobs, larger than it is shown. */
    private static Asset picture() throws Exception {
        var image = new BufferedImage(480, 320, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 320; y++) {
            for (int x = 0; x < 480; x++) {
                int r = (int) (128 + 100 * Math.sin(x / 40.0)), g = (int) (128 + 100 * Math.cos(y / 30.0));
                image.setRGB(x, y, r << 16 | g << 8 | 90);
            }
        }
        var out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return Asset.picture("blobs.png", "image/png", 480, 320, out.toByteArray());
    }

    private Element add(String id, Content content, double x, double y, double w, double h) {
        Values v = Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.FILL, Color.parse("#5F8FA3"));
        var e = new Element(id, id, false, false, w > 0 ? v.with(Properties.SIZE, new Point(w, h)) : v, content);
        elements.add(e);
        return e;
    }

    private <T> void set(String id, Property<T> p, T value) {
        elements.replaceAll(e -> e.id().equals(id) ? e.with(p, value) : e);
    }

    private <T> void key(String id, Property<T> p, T from, T to, Easing easing) {
        timeline = timeline.with(id, p, new Track<>(List.of(new Key<>(0, from, easing), new Key<>(4_000_000, to, Easing.LINEAR))));
    }

    /** One small square for each easing, travelling to the right. */
    private void easings() {
        var all = new ArrayList<Easing>();
        NamedEasing.ALL.forEach(n -> all.add(n.easing()));
        for (var j : StepsEasing.Jump.values()) {
            all.add(new StepsEasing(5, j));
        }
        all.add(EasingText.parse("cubic-bezier(0.2, 1.8, 0.6, -0.7)"));
        for (int i = 0; i < all.size(); i++) {
            String id = "ease" + i;
            double y = 14 + i * 12.6;
            add(id, new Content.Rectangle(), 80, y, 10, 10);
            key(id, Properties.POSITION, new Point(80, y), new Point(330, y), all.get(i));
            if (all.get(i) instanceof FamilyEasing) {
                key(id, Properties.ROTATION, 0.0, 180.0, all.get(i));
                key(id, Properties.OPACITY, 0.3, 1.0, all.get(i));
            }
        }
    }

    private void properties() {
        add("size", new Content.Rectangle(), 450, 60, 80, 50);
        key("size", Properties.SIZE, new Point(80, 50), new Point(120, 90), EasingText.parse("cubic-both"));
        key("size", Properties.CORNER_RADIUS, 0.0, 60.0, EasingText.parse("sine-out"));
        add("ellipse", new Content.Ellipse(), 600, 60, 90, 40);
        key("ellipse", Properties.SIZE, new Point(90, 40), new Point(40, 90), EasingText.parse("quint-both"));
        key("ellipse", Properties.FILL, Color.parse("#C8503A80"), Color.parse("#48C9A6"), EasingText.parse("circ-in"));
        add("scale", new Content.Rectangle(), 720, 60, 60, 60);
        key("scale", Properties.SCALE, new Point(0.4, 1.4), new Point(-1.2, 0.7), EasingText.parse("back-both"));
        key("scale", Properties.ROTATION, -30.0, 120.0, EasingText.parse("ease-in-out"));
        add("pivot", new Content.Rectangle(), 450, 190, 70, 40);
        key("pivot", Properties.PIVOT, new Point(0.5, 0.5), new Point(0, 1.5), EasingText.parse("expo-out"));
        key("pivot", Properties.ROTATION, 0.0, 90.0, Easing.LINEAR);
        add("stroke", new Content.Ellipse(), 600, 190, 80, 60);
        set("stroke", Properties.STROKE, Color.parse("#1D2926"));
        key("stroke", Properties.STROKE_WIDTH, 1.0, 14.0, EasingText.parse("quad-in"));
        key("stroke", Properties.STROKE, Color.parse("#1D2926"), Color.parse("#DB7A2280"), EasingText.parse("bounce-out"));
        add("path", new Content.Path(Outline.of(true, Node.corner(0, 0), Node.smooth(new Point(60, 30), new Point(0, 30)), Node.corner(0, 60)),
                new Point(60, 60)), 720, 190, 60, 60);
        set("path", Properties.STROKE, Color.parse("#2E5D73"));
        set("path", Properties.STROKE_WIDTH, 5.0);
        key("path", Properties.SIZE, new Point(60, 60), new Point(20, 110), EasingText.parse("elastic-out"));
        add("bent", new Content.Rectangle(), 420, 330, 30, 20);
        timeline = timeline.with("bent", Properties.POSITION, new Track<>(List.of(
                new Key<>(400_000, new Point(420, 330), EasingText.parse("sine-both"), Point.ZERO, new Point(90, -120)),
                new Key<>(2_200_000, new Point(580, 330), EasingText.parse("back-out"), new Point(-60, 80), new Point(60, -80)),
                new Key<>(3_500_000, new Point(740, 300), Easing.LINEAR, new Point(-20, 90), Point.ZERO))));
        var inside = new Element("inside", "inside", false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20))
                .with(Properties.SIZE, new Point(40, 40)).with(Properties.FILL, Color.parse("#E9B44C")), new Content.Ellipse());
        var beside = new Element("beside", "beside", false, false, Values.NONE.with(Properties.POSITION, new Point(70, 25))
                .with(Properties.SIZE, new Point(60, 30)).with(Properties.FILL, Color.parse("#8A5BD0")).with(Properties.ROTATION, 20.0),
                new Content.Rectangle());
        add("group", new Content.Group(List.of(inside, beside), new Point(100, 50)), 480, 480, 0, 0);
        key("group", Properties.OPACITY, 1.0, 0.2, EasingText.parse("quart-in"));
        key("group", Properties.ROTATION, 0.0, -60.0, EasingText.parse("elastic-both"));
        key("inside", Properties.POSITION, new Point(20, 20), new Point(60, 60), EasingText.parse("bounce-both"));
    }

    /** Fails when a property of the table is keyed by none of the pieces that are compared with the browser. */
    static void assertAllKeyed(List<Timeline> timelines) {
        for (Property<?> p : Properties.ALL) {
            boolean keyed = timelines.stream().anyMatch(timeline -> timeline.tracks().values().stream().anyMatch(t -> t.containsKey(p)));
            if (!keyed && Properties.keyed(p)) {
                throw new AssertionError("no test piece keys " + p);
            }
        }
    }
}
