package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Contour;
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
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.render.Fonts;

/** A piece of all kinds of paint and stroke, still and keyed, and one of text in all families. */
final class PaintPiece {
    private static final List<Stop> THREE = List.of(new Stop(0, Color.parse("#2E5D73")), new Stop(0.4, Color.parse("#E9B44C80")),
            new Stop(1, Color.parse("#C8503A00")));
    private final List<Element> elements = new ArrayList<>();
    private Timeline timeline = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());

    static Project make() {
        var p = new PaintPiece();
        p.gradients();
        p.strokes();
        p.keyed();
        p.clipped();
        return project("paint", p);
    }

    private static Project project(String name, PaintPiece p) {
        var canvas = Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA"));
        var board = new Board(new Point(800, 600), canvas, p.elements, List.of(p.timeline), List.of());
        return new Project(name, name, 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of());
    }

    private Element add(String id, Content content, double x, double y, double w, double h, Values v) {
        var e = new Element(id, id, false, false, v.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h)), content);
        elements.add(e);
        return e;
    }

    private <T> void key(String id, Property<T> p, T from, T to, Easing easing) {
        timeline = timeline.with(id, p, new Track<>(List.of(new Key<>(0, from, easing), new Key<>(4_000_000, to, Easing.LINEAR))));
    }

    private static Values fill(Paint p) {
        return Values.NONE.with(Properties.FILL, p);
    }

    private static Values stroke(String color, double width) {
        return Values.NONE.with(Properties.STROKE, Color.parse(color)).with(Properties.STROKE_WIDTH, width);
    }

    private void gradients() {
        add("linear", new Content.Rectangle(), 70, 60, 100, 80, fill(Gradient.linear(THREE)));
        add("slanted", new Content.Ellipse(), 190, 60, 100, 80,
                fill(Gradient.linear(THREE).placed(new Point(0.1, 0.2), new Point(0.8, 0.9), new Point(-0.4, 0.8))));
        add("radial", new Content.Rectangle(), 310, 60, 100, 80, fill(Gradient.radial(THREE)));
        add("focus", new Content.Ellipse(), 430, 60, 100, 80, fill(Gradient.radial(THREE).withFocus(new Point(0.4, -0.5))));
        add("repeat", new Content.Rectangle(), 550, 60, 100, 80, fill(Gradient.linear(THREE)
                .placed(new Point(0, 0), new Point(0.25, 0.1), new Point(-0.1, 0.25)).withSpread(Gradient.Spread.REPEAT)));
        add("reflect", new Content.Polygon(6, 1), 670, 60, 100, 80, fill(Gradient.radial(THREE)
                .placed(new Point(0.5, 0.5), new Point(0.7, 0.5), new Point(0.5, 0.6)).withSpread(Gradient.Spread.REFLECT)));
        add("star", new Content.Polygon(5, 0.45), 760, 60, 70, 90, fill(Color.parse("#8A5BD0"))
                .with(Properties.STROKE, Gradient.linear(THREE.reversed())).with(Properties.STROKE_WIDTH, 5.0));
    }

    private static Content.Path zigzag() {
        return new Content.Path(Outline.of(false, Node.corner(0, 60), Node.corner(25, 0), Node.corner(50, 60),
                new Node(new Point(100, 20), new Point(-20, -40), Point.ZERO, false)), new Point(100, 60));
    }

    private void strokes() {
        String[] ends = {"butt", "round", "square"}, joins = {"miter", "round", "bevel"};
        for (int i = 0; i < 3; i++) {
            add("joins" + i, zigzag(), 70 + i * 130, 160, 100, 60, stroke("#2E5D73", 11)
                    .with(Properties.STROKE_ENDS, ends[i]).with(Properties.STROKE_JOINS, joins[i]));
            add("dashes" + i, i == 0 ? new Content.Rectangle() : i == 1 ? new Content.Ellipse() : zigzag(), 460 + i * 120, 160, 90, 60,
                    stroke("#C8503A", 5).with(Properties.STROKE_ENDS, ends[i]).with(Properties.DASH, 14.0).with(Properties.GAP, 9.0)
                            .with(Properties.DASH_OFFSET, 5.0 * i).with(Properties.CORNER_RADIUS, 18.0));
        }
        add("part", zigzag(), 70, 250, 100, 60, stroke("#1C6A5E", 6).with(Properties.REVEAL, new Point(0.2, 0.7)));
        add("dashed-part", zigzag(), 200, 250, 100, 60, stroke("#1C6A5E", 6).with(Properties.REVEAL, new Point(0.1, 0.8))
                .with(Properties.DASH, 12.0).with(Properties.GAP, 7.0).with(Properties.DASH_OFFSET, 4.0));
        add("rings", two(), 330, 250, 100, 60, stroke("#1C6A5E", 5).with(Properties.FILL, Color.parse("#DCE8ED"))
                .with(Properties.REVEAL, new Point(0.05, 0.6)));
    }

    /** Two contours of different lengths. */
    private static Content.Path two() {
        var big = Outline.ellipse(new Rect(0, 0, 60, 60)).contours().getFirst();
        var small = Outline.rectangle(new Rect(70, 10, 30, 30), 0).contours().getFirst();
        return new Content.Path(new Outline(List.of(big, new Contour(small.nodes(), true))), new Point(100, 60));
    }

    private void keyed() {
        add("dash", zigzag(), 470, 250, 100, 60, stroke("#2F78A3", 5).with(Properties.DASH, 10.0));
        key("dash", Properties.DASH, 4.0, 20.0, EasingText.parse("sine-both"));
        key("dash", Properties.GAP, 3.0, 12.0, Easing.LINEAR);
        key("dash", Properties.DASH_OFFSET, 0.0, 120.0, EasingText.parse("ease-in-out"));
        add("drawn", zigzag(), 600, 250, 100, 60, stroke("#2F78A3", 5));
        key("drawn", Properties.REVEAL, new Point(0, 0.05), new Point(0.6, 1), EasingText.parse("quad-both"));
        add("drawn-rings", two(), 720, 250, 100, 60, stroke("#2F78A3", 5));
        key("drawn-rings", Properties.REVEAL, new Point(0, 0.05), new Point(0.4, 0.9), Easing.LINEAR);
        add("words", zigzag(), 80, 350, 100, 60, stroke("#82508E", 11));
        key("words", Properties.STROKE_ENDS, "butt", "round", Easing.HOLD);
        key("words", Properties.STROKE_JOINS, "bevel", "round", Easing.HOLD);
        add("paints", new Content.Ellipse(), 220, 350, 90, 70, fill(Color.parse("#5F8FA3")));
        timeline = timeline.with("paints", Properties.FILL, new Track<>(List.of(new Key<>(0, Color.parse("#5F8FA3"), Easing.LINEAR),
                new Key<>(1_500_000, Color.parse("#C8503A"), Easing.LINEAR), new Key<>(2_500_000, Gradient.radial(THREE), Easing.LINEAR))));
        add("stretched", new Content.Rectangle(), 400, 360, 90, 70, fill(Gradient.linear(THREE)));
        key("stretched", Properties.SIZE, new Point(90, 70), new Point(160, 110), EasingText.parse("cubic-out"));
        add("points", new Content.Polygon(7, 0.6), 560, 360, 90, 70, fill(Color.parse("#E9B44C")));
        key("points", Properties.SIZE, new Point(90, 70), new Point(60, 130), EasingText.parse("cubic-out"));
    }

    private void clipped() {
        var inside = new Element("inside", "inside", false, false, fill(Gradient.radial(THREE)).with(Properties.POSITION, new Point(60, 40))
                .with(Properties.SIZE, new Point(120, 90)), new Content.Rectangle());
        var clip = Outline.ellipse(new Rect(10, 5, 90, 60));
        elements.add(new Element("clip", "clip", false, false, Values.NONE.with(Properties.POSITION, new Point(700, 380)),
                new Content.Group(List.of(inside), new Point(120, 80), clip)));
        key("clip", Properties.ROTATION, 0.0, 50.0, Easing.LINEAR);
        key("inside", Properties.POSITION, new Point(60, 40), new Point(90, 60), Easing.LINEAR);
    }

    /** Each family in its weights; letters set apart, lines broken at a width. */
    static Project words() {
        var p = new PaintPiece();
        int row = 0;
        for (String family : Fonts.BUNDLED.families()) {
            for (int weight : Fonts.BUNDLED.weights(family)) {
                var t = new Content.Text("Fellmark Station öffnet — año 1926", family, weight, 22, Content.Align.LEFT, 1.2)
                        .withSpacing(row % 3 == 0 ? 2.5 : 0);
                p.elements.add(new Element("t" + row, "t" + row, false, false, fill(row % 4 == 1 ? Gradient.linear(List.of(
                        new Stop(0, Color.parse("#2E5D73")), new Stop(1, Color.parse("#C8503A")))) : Color.BLACK)
                        .with(Properties.POSITION, new Point(20, 14 + row * 34)).with(Properties.PIVOT, Point.ZERO), t));
                row++;
            }
        }
        var wrapped = new Content.Text("The night the station opens its doors, the aurora is the only lamp.", "Lora", 400, 20, Content.Align.RIGHT,
                1.3)
                .withWrap(190);
        p.elements.add(new Element("wrapped", "wrapped", false, false, fill(Color.BLACK).with(Properties.POSITION, new Point(560, 40))
                .with(Properties.PIVOT, Point.ZERO), wrapped));
        return project("words", p);
    }
}
