package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient.Stop;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Paths that elements face, morphs, blending gradients, skews, split positions, letter spacing and spans of time, all keyed. */
final class MotionPiece {
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private final List<Element> elements = new ArrayList<>();
    private Timeline timeline = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());

    static Project make() {
        var p = new MotionPiece();
        p.paths();
        p.morphs();
        p.gradients();
        p.rest();
        var board = new Board(new Point(800, 600), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), p.elements, List.of(p.timeline),
                List.of());
        return new Project("motion", "Motion", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of());
    }

    private void add(String id, Content content, double x, double y, double w, double h, Values v) {
        Values placed = v.with(Properties.POSITION, new Point(x, y));
        elements.add(new Element(id, id, false, false, w > 0 ? placed.with(Properties.SIZE, new Point(w, h)) : placed, content));
    }

    private static Values fill(String color) {
        return Values.NONE.with(Properties.FILL, Color.parse(color));
    }

    @SafeVarargs
    private <T> void key(String id, Property<T> p, Easing easing, T... values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.length; i++) {
            keys.add(new Key<>(4_000_000L * i / (values.length - 1), values[i], easing));
        }
        timeline = timeline.with(id, p, new Track<>(keys));
    }

    private void path(String id, PathShape shape, Easing easing, double... xy) {
        var keys = new ArrayList<Key<Point>>();
        int n = xy.length / 2;
        for (int i = 0; i < n; i++) {
            keys.add(new Key<>(4_000_000L * i / (n - 1), new Point(xy[2 * i], xy[2 * i + 1]), easing));
        }
        timeline = timeline.with(id, Properties.POSITION, new Track<>(keys, shape));
    }

    private void paths() {
        Content arrow = new Content.Path(Outline.polygon(0, 0, 40, 12, 0, 24, 8, 12), new Point(40, 24));
        // once around clockwise, once the other way with art that is drawn facing left
        add("right", arrow, 0, 0, 40, 24, fill("#1C6A5E").with(Properties.FACE_PATH, "yes"));
        path("right", new PathShape(0.8, true, null), GENTLE, 60, 120, 150, 50, 260, 120, 150, 190, 60, 120);
        add("left", arrow, 0, 0, 40, 24, fill("#82508E").with(Properties.FACE_PATH, "yes").with(Properties.FRONT, 180.0));
        path("left", new PathShape(0.6, true, EasingText.parse("back-both")), Easing.LINEAR, 460, 120, 380, 50, 300, 120, 380, 190, 460, 120);
        key("left", Properties.ROTATION, Easing.LINEAR, 0.0, 30.0);
        // an open path with corners, its front keyed
        add("zigzag", arrow, 0, 0, 40, 24, fill("#C8503A"));
        path("zigzag", new PathShape(0, false, EasingText.parse("cubic-both")), Easing.LINEAR, 520, 60, 600, 160, 680, 60, 760, 160);
        timeline = timeline.with("zigzag", Properties.FACE_PATH,
                new Track<>(List.of(new Key<>(0, "no", Easing.HOLD), new Key<>(700_000, "yes", Easing.HOLD))));
        key("zigzag", Properties.FRONT, GENTLE, 0.0, 90.0);
        add("halves", new Content.Rectangle(), 40, 260, 24, 24, fill("#DB7A22"));
        key("halves", Properties.POSITION_X, Easing.LINEAR, 40.0, 240.0);
        key("halves", Properties.POSITION_Y, EasingText.parse("bounce-out"), 230.0, 300.0);
    }

    private void morphs() {
        Outline square = Outline.rectangle(new Rect(0, 0, 80, 80), 0);
        Outline blob = Outline.of(true, Node.smooth(new Point(40, -6), new Point(30, 0)), Node.smooth(new Point(88, 40), new Point(0, 24)),
                Node.smooth(new Point(60, 84), new Point(-12, 0)), Node.smooth(new Point(40, 60), new Point(-8, 6)),
                Node.smooth(new Point(10, 82), new Point(-9, -4)),
                Node.smooth(new Point(-4, 36), new Point(0, -22)));
        Outline two = new Outline(List.of(Outline.polygon(0, 0, 30, 0, 15, 80).contours().getFirst(), Outline.ellipse(new Rect(45, 20, 30, 40))
                .contours().getFirst()));
        add("morph", new Content.Path(square, new Point(80, 80)), 340, 280, 80, 80, fill("#2F78A3").with(Properties.STROKE, Color.parse("#1D2926"))
                .with(Properties.STROKE_WIDTH, 3.0));
        key("morph", Properties.OUTLINE, EasingText.parse("back-out"), square, blob, two);
        add("sized", new Content.Path(square, new Point(80, 80)), 470, 280, 80, 80, fill("#5F8FA3"));
        key("sized", Properties.OUTLINE, GENTLE, square, blob);
        key("sized", Properties.SIZE, EasingText.parse("cubic-both"), new Point(80, 80), new Point(110, 50));
    }

    private void gradients() {
        Gradient linear = Gradient.linear(List.of(new Stop(0, Color.parse("#2E5D73")), new Stop(1, Color.parse("#FFE39A"))));
        Gradient turned = Gradient.linear(List.of(new Stop(0, Color.parse("#C8503A")), new Stop(0.3, Color.parse("#F3F7FA80")),
                new Stop(1, Color.parse("#48C9A6"))))
                .placed(new Point(0.1, 0.9), new Point(0.7, 0.1), new Point(0.9, 1.2));
        Gradient sun = Gradient.radial(List.of(new Stop(0, Color.parse("#FFF3C4")), new Stop(1, Color.parse("#DB7A22"))));
        Gradient low = sun.withFocus(new Point(0.5, 0.3))
                .withStops(List.of(new Stop(0.2, Color.parse("#FFFFFF")), new Stop(0.9, Color.parse("#82508E"))));
        add("linear", new Content.Rectangle(), 80, 400, 110, 90, Values.NONE);
        key("linear", Properties.FILL, GENTLE, new Paint[] {linear, turned, Color.parse("#1C6A5E")});
        add("radial", new Content.Ellipse(), 220, 400, 110, 90, Values.NONE);
        key("radial", Properties.FILL, EasingText.parse("quad-in"), new Paint[] {sun, low});
        add("unlike", new Content.Ellipse(), 360, 400, 110, 90, Values.NONE);
        key("unlike", Properties.FILL, GENTLE, new Paint[] {linear, sun});
        add("grows", new Content.Rectangle(), 500, 400, 80, 60, Values.NONE);
        key("grows", Properties.FILL, GENTLE, new Paint[] {linear, turned});
        key("grows", Properties.SIZE, GENTLE, new Point(80, 60), new Point(120, 100));
    }

    private void rest() {
        add("skewed", new Content.Rectangle(), 660, 280, 90, 60, fill("#E9B44C").with(Properties.ROTATION, 20.0)
                .with(Properties.SCALE, new Point(1.2, 0.8)));
        key("skewed", Properties.SKEW, EasingText.parse("elastic-out"), new Point(-20, 0), new Point(30, 15));
        add("leaning", new Content.Ellipse(), 660, 400, 90, 60, fill("#8CA3AA").with(Properties.SKEW, new Point(25, -10)));
        key("leaning", Properties.PIVOT, GENTLE, new Point(0, 0), new Point(1, 1));
        add("centred", new Content.Text("aurora\nover the fell", "Figtree", 600, 24, Content.Align.CENTRE, 1.3), 180, 530, 0, 0, fill("#1D2926"));
        key("centred", Properties.LETTER_SPACING, GENTLE, 0.5, 9.0);
        add("wide", new Content.Text("night", "Figtree", 700, 30, Content.Align.LEFT, 1.2), 460, 530, 0, 0, fill("#C23B3B")
                .with(Properties.LETTER_SPACING, 4.0));
        key("wide", Properties.LETTER_SPACING, EasingText.parse("spring(180, 8, 1)"), 4.0, 14.0);
        var inside = new Element("inside", "inside", false, false, fill("#48C9A6").with(Properties.POSITION, new Point(30, 20))
                .with(Properties.SIZE, new Point(50, 30)),
                new Content.Rectangle());
        elements.add(new Element("span", "span", false, false, Values.NONE.with(Properties.POSITION, new Point(680, 530)),
                new Content.Group(List.of(inside), new Point(60, 40))));
        timeline = timeline.withShown("span", new Span(1_000_000, 3_000_000)).withShown("inside", new Span(1_500_000, 3_900_000));
    }
}
