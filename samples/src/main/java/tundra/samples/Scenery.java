package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Properties;

/** The drawn parts of Fellmark Station, on a canvas of 1280×640. */
final class Scenery {
    private static final Point MIDDLE = new Point(0.5, 0.5);

    private Scenery() {}

    /** Night above, paler towards the ridges. */
    static Element sky() {
        Gradient night = Gradient.linear(List.of(new Gradient.Stop(0, Art.color("#0A1638")), new Gradient.Stop(0.55, Art.color("#16365A")),
                new Gradient.Stop(1, Art.color("#23566B")))).placed(new Point(0.5, 0), new Point(0.5, 1), new Point(-0.5, 0));
        return Art.rectangle("Sky", 0, 0, 1280, 462, 0, "#0A1638").with(Properties.FILL, night).withLocked(true);
    }

    static Element stars() {
        var random = new Random(11);
        var stars = new ArrayList<Element>();
        for (int i = 0; i < 90; i++) {
            double r = 0.6 + random.nextDouble() * random.nextDouble() * 1.5;
            stars.add(Art.circle("Star " + (i + 1), 10 + random.nextDouble() * 1260, 6 + random.nextDouble() * 300, r, "#FFFFFF")
                    .with(Properties.OPACITY, 0.35 + random.nextDouble() * 0.6));
        }
        return Art.group("Stars", new Rect(0, 0, 1280, 310), MIDDLE, stars).withLocked(true);
    }

    /** A curtain of light: the same ribbon laid over itself, each time thinner, so that its edges fade. */
    static Element aurora(String name, String color, int layers, double reach, double... xy) {
        var ribbons = new ArrayList<Element>();
        for (int i = 0; i < layers; i++) {
            double t = (i + 1.0) / layers;
            ribbons.add(ribbon(name + " " + (i + 1), Art.color(color).withAlpha(12), reach * t, xy));
        }
        Rect box = null;
        for (Element r : ribbons) {
            Point size = r.rest().get(Properties.SIZE), at = r.rest().get(Properties.POSITION);
            box = new Rect(at.x() - size.x() / 2, at.y() - size.y() / 2, size.x(), size.y()).union(box);
        }
        return Art.group(name, box, MIDDLE, ribbons);
    }

    private static Element ribbon(String name, Color color, double half, double[] xy) {
        double[] up = xy.clone(), down = xy.clone();
        for (int i = 1; i < xy.length; i += 2) {
            up[i] -= half;
            down[i] += half * 0.55;
        }
        var nodes = new ArrayList<Node>(Art.swell(up));
        for (Node n : Art.swell(down).reversed()) {
            nodes.add(new Node(n.at(), n.out(), n.in(), true));
        }
        return Art.path(name, new Outline(List.of(new Contour(nodes, true)))).with(Properties.FILL, color);
    }

    static Element ridges() {
        return Art.group("Mountains", new Rect(-20, 280, 1320, 300), MIDDLE, List.of(
                Art.polygon("Far ridge", "#3F7288", -20, 520, 60, 470, 210, 400, 330, 450, 470, 380, 640, 440, 800, 370, 960, 430, 1120, 380, 1300,
                450, 1300, 580, -20, 580),
                Art.polygon("Near ridge", "#5F8FA3", -20, 470, 160, 334, 280, 400, 440, 292, 620, 400, 740, 324, 900, 400, 1080, 352, 1180, 330,
                1300, 410, 1300, 580, -20, 580),
                Art.polygon("West snow", "#A9C6D0", 160, 334, 280, 398, 218, 404, 196, 384),
                Art.polygon("Middle snow", "#A9C6D0", 440, 292, 602, 390, 528, 378, 452, 360),
                Art.polygon("East snow", "#A9C6D0", 1180, 330, 1268, 388, 1210, 380, 1150, 362, 1120, 344)));
    }

    static List<Element> snow() {
        return List.of(
                Art.ground("Snow ridge", "#DCE8ED", 640, -10, 502, 200, 478, 420, 476, 700, 492, 980, 482, 1290, 470),
                Art.ground("Foreground", "#F3F7FA", 640, -10, 586, 260, 562, 560, 552, 840, 570, 1080, 574, 1290, 556));
    }

    static Element station() {
        var parts = new ArrayList<Element>();
        for (double x : new double[] {872, 950, 1026}) {
            parts.add(Art.rectangle("Leg " + (parts.size() + 1), x, 480, 9, 34, 0, "#4A565B"));
        }
        parts.add(Art.rectangle("Wall", 854, 402, 198, 80, 3, "#C8503A"));
        parts.add(Art.polygon("Roof", "#8C332A", 844, 404, 870, 366, 1036, 366, 1064, 404));
        parts.add(Art.rectangle("West window", 874, 420, 34, 32, 3, "#FFE39A"));
        parts.add(Art.rectangle("East window", 926, 420, 34, 32, 3, "#FFE39A"));
        parts.add(Art.rectangle("Door", 984, 418, 40, 64, 3, "#5B231C"));
        return Art.group("Station", new Rect(844, 366, 220, 148), new Point(0.5, 1), parts).withLocked(true);
    }

    static Element mast() {
        return Art.group("Mast", new Rect(742, 228, 36, 260), new Point(0.5, 1), List.of(
                Art.line("Mast legs", "#E4EEF0", 3, 746, 484, 760, 240, 774, 484),
                Art.line("Mast braces", "#E4EEF0", 2, 749, 440, 773, 440, 750.5, 400, 768, 356, 754, 318, 764.5, 290),
                Art.line("Mast rungs", "#E4EEF0", 2, 751, 400, 769, 400, 754, 356, 767, 356)));
    }

    static Element lamp() {
        return Art.circle("Mast lamp", 760, 238, 5.5, "#F0603C");
    }

    static Element tower() {
        return Art.polygon("Tower", "#EAF1F3", 1126, 314, 1136, 314, 1141, 474, 1128, 474);
    }

    /** Three blades around the hub, which is the group's pivot. */
    static Element rotor() {
        var parts = new ArrayList<Element>();
        for (int i = 0; i < 3; i++) {
            Element blade = Art.polygon("Blade " + (i + 1), "#F7FAFB", 1131, 306, 1122, 256, 1128, 218, 1137, 262);
            // the blade turns around the hub: its pivot lies at the hub, below the blade
            Rect box = new Rect(1122, 218, 15, 88);
            Point pivot = new Point((1131 - box.x()) / box.width(), (310 - box.y()) / box.height());
            parts.add(blade.with(Properties.PIVOT, pivot).with(Properties.POSITION, new Point(1131, 310))
                    .with(Properties.ROTATION, 18 + 120.0 * i));
        }
        return Art.group("Rotor", new Rect(1031, 210, 200, 200), MIDDLE, parts);
    }

    static Element hub() {
        return Art.circle("Hub", 1131, 310, 8, "#BFD0D6");
    }

    /** Drawn facing right; its pivot is where the runners touch the snow. */
    static Element sled() {
        var runner = new Outline(List.of(new Contour(List.of(
                Node.corner(206, 562), Node.corner(296, 560),
                new Node(new Point(322, 544), new Point(-2, 14), Point.ZERO, false)), false)));
        return Art.group("Sled", new Rect(200, 476, 124, 88), new Point(0.5, 0.95), List.of(
                Art.polygon("Coat", "#2E6488", 266, 506, 284, 504, 292, 548, 262, 550),
                Art.circle("Face", 274, 494, 11, "#F2C8A4"),
                Art.polygon("Hood", "#24506E", 262, 494, 268, 482, 280, 481, 287, 490, 276, 488, 268, 500),
                Art.rectangle("Crate", 222, 518, 34, 22, 3, "#6B4A33"),
                Art.polygon("Deck", "#E9B44C", 212, 540, 300, 536, 292, 556, 216, 557),
                Art.path("Runner", runner).with(Properties.STROKE, Art.color("#2B3A40")).with(Properties.STROKE_WIDTH, 4.0)));
    }

    /** Crouched and listening; its pivot is where the feet stand. */
    static Element hareAtRest(double left) {
        Gradient fur = Gradient.radial(List.of(new Gradient.Stop(0, Art.color("#FFFFFF")), new Gradient.Stop(0.6, Art.color("#F7F1EA")),
                new Gradient.Stop(1, Art.color("#CFDCE3"))));
        var body = Outline.of(true, Node.corner(380, 548), new Node(new Point(384, 520), new Point(-8, 14), new Point(12, -22), true),
                new Node(new Point(426, 500), new Point(-18, 0), new Point(22, 0), true), new Node(new Point(470, 526), new Point(-10, -16),
                new Point(5, 10), true),
                Node.corner(466, 548));
        var ear = Outline.of(true, Node.corner(470, 496), new Node(new Point(462, 462), new Point(-4, 14), new Point(8, 6), true),
                Node.corner(478, 494));
        var far = Outline.of(true, Node.corner(476, 495), new Node(new Point(480, 460), new Point(-4, 12), new Point(6, 8), true),
                Node.corner(484, 497));
        var haunch = Outline.of(false, Node.corner(392, 548), new Node(new Point(412, 522), new Point(-14, 4), new Point(14, -4), true),
                Node.corner(428, 546));
        var box = new Rect(372, 458, 122, 92);
        Element hare = Art.group("Hare at rest", box, new Point(0.5, 1), List.of(
                inked(Art.path("Far ear", far).with(Properties.FILL, Art.color("#E4EBEF"))),
                inked(Art.circle("Tail", 380, 540, 7, "#FFFFFF")),
                inked(Art.path("Body", body).with(Properties.FILL, fur)),
                inked(Art.path("Haunch", haunch)),
                inked(Art.path("Near ear", ear).with(Properties.FILL, Art.color("#FFFFFF"))),
                inked(Art.circle("Head", 476, 508, 15, "#FFFFFF")),
                Art.circle("Eye", 481, 505, 2.2, "#1D2926")));
        return hare.with(Properties.POSITION, hare.rest().get(Properties.POSITION).plus(new Point(left - box.x(), 0)));
    }

    static Element inked(Element e) {
        return e.with(Properties.STROKE, Art.color("#53626B")).with(Properties.STROKE_WIDTH, 1.6).with(Properties.STROKE_ENDS, "round")
                .with(Properties.STROKE_JOINS, "round");
    }

    static Element button() {
        return Art.group("Start the sled", new Rect(1052, 570, 184, 48), MIDDLE, List.of(
                Art.rectangle("Button face", 1052, 570, 184, 48, 24, "#FFFFFF"),
                Art.text("Button words", "Start the sled", 1089, 582.5, 600, 18, "#1D2926")));
    }
}
