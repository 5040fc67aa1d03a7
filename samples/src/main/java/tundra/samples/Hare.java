package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** The hare of Fellmark Station, drawn frame by frame. Its feet stand on y = 100 of its box. */
final class Hare {
    static final double GROUND = 100;
    /** How far one hop of the run goes. */
    static final double HOP = 85;
    private static final Point BOX = new Point(200, 112);

    private Hare() {}

    /**
     * A hare in motion: where its hip, shoulder and head stand and how its ears and legs lie.
     *
     * @param hind knee, heel and toe of the hind leg, as x, y pairs; {@code fore} elbow and toe of the front leg
     * @param ears how far the ears lie back, in degrees from upright
     */
    private record Pose(String name, Point hip, Point shoulder, Point head, double ears, double[] hind, double[] fore) {}

    private static Pose pose(String name, double hx, double hy, double sx, double sy, double headX, double headY, double ears, double[] hind, double... fore) {
        return new Pose(name, new Point(hx, hy), new Point(sx, sy), new Point(headX, headY), ears, hind, fore);
    }

    private static double[] hind(double... xy) {
        return xy;
    }

    /** One hop of the run, from the crouch to the feet under it again. */
    static List<Drawing> run() {
        List<Pose> poses = List.of(
                pose("Crouch", 44, 72, 80, 74, 102, 57, 38, hind(58, 84, 40, 94, 60, 99), 88, 88, 96, 99),
                pose("Take-off", 54, 68, 96, 58, 119, 40, 58, hind(50, 84, 38, 92, 52, 99), 106, 70, 118, 78),
                pose("Stretch", 72, 54, 122, 48, 146, 34, 76, hind(52, 62, 34, 66, 18, 74), 140, 56, 164, 60),
                pose("Flight", 98, 51, 144, 50, 167, 34, 66, hind(92, 70, 78, 72, 86, 82), 156, 64, 172, 76),
                pose("Landing", 120, 60, 160, 64, 182, 46, 46, hind(130, 76, 118, 82, 136, 88), 168, 82, 178, 99),
                pose("Gather", 126, 69, 162, 73, 185, 56, 34, hind(142, 82, 128, 92, 147, 98), 172, 88, 180, 99));
        var out = new ArrayList<Drawing>();
        for (Pose p : poses) {
            out.add(new Drawing(art(p, "run"), 2 * out.size(), 2));
        }
        return out;
    }

    /** A jump on the spot that ends as it began: 36 frames. */
    static List<Drawing> jump() {
        List<Pose> poses = List.of(
                pose("Sit", 64, 70, 98, 68, 119, 50, 12, hind(80, 84, 62, 94, 84, 99), 104, 86, 110, 99),
                pose("Crouch", 62, 77, 99, 77, 121, 62, 40, hind(80, 88, 60, 95, 84, 99), 108, 90, 114, 99),
                pose("Push", 66, 64, 102, 54, 122, 35, 30, hind(66, 82, 58, 92, 78, 99), 112, 68, 120, 80),
                pose("Rise", 66, 46, 100, 34, 120, 16, 62, hind(58, 62, 50, 72, 60, 82), 114, 46, 126, 56),
                pose("Top", 64, 34, 100, 32, 122, 15, 30, hind(74, 52, 58, 56, 76, 62), 112, 48, 118, 58),
                pose("Fall", 64, 42, 99, 46, 121, 30, -16, hind(72, 60, 60, 70, 72, 80), 108, 64, 114, 76),
                pose("Touch", 64, 62, 98, 66, 120, 49, -12, hind(78, 80, 62, 90, 82, 97), 106, 84, 112, 99),
                pose("Squash", 60, 80, 99, 80, 122, 66, 58, hind(80, 90, 58, 96, 84, 99), 110, 92, 116, 99),
                pose("Recover", 63, 72, 98, 70, 119, 52, 24, hind(80, 85, 61, 94, 84, 99), 104, 87, 111, 99),
                pose("Look", 64, 70, 98, 67, 121, 49, 4, hind(80, 84, 62, 94, 84, 99), 104, 86, 110, 99),
                pose("Twitch", 64, 70, 98, 68, 120, 50, -20, hind(80, 84, 62, 94, 84, 99), 104, 86, 110, 99),
                pose("Rest", 64, 70, 98, 68, 119, 50, 11, hind(80, 84, 62, 94, 84, 99), 104, 86, 110, 99));
        int[] holds = {6, 3, 2, 2, 3, 2, 2, 3, 3, 4, 2, 4};
        var out = new ArrayList<Drawing>();
        int at = 0;
        for (int i = 0; i < holds.length; i++) {
            out.add(new Drawing(art(poses.get(i), "jump"), at, holds[i]));
            at += holds[i];
        }
        return out;
    }

    /** A flipbook whose feet line lies at a height of its parent. */
    static Element book(String name, List<Drawing> drawings, int rate, Flipbook.Ending ending, double left, double ground) {
        return Art.named(name, new Flipbook(drawings, BOX, rate, ending), Values.NONE.with(Properties.POSITION,
                new Point(left, ground).plus(new Point(BOX.x() / 2, BOX.y() - GROUND))).with(Properties.PIVOT, new Point(0.5, 1)));
    }

    private static Element art(Pose p, String move) {
        var parts = new ArrayList<Element>();
        parts.add(ear("Far ear", p, -14, "#E4EBEF"));
        parts.add(leg("Far hind leg", p, new Point(5, -1), p.hip, p.hind, "#8E9CA4"));
        parts.add(leg("Far fore leg", p, new Point(5, -1), p.shoulder, p.fore, "#8E9CA4"));
        Point back = p.hip.minus(p.shoulder).times(1 / p.hip.distance(p.shoulder));
        Point tail = p.hip.plus(back.times(21)).plus(new Point(0, -4));
        parts.add(Scenery.inked(Art.circle("Tail", tail.x(), tail.y(), 6.5, "#FFFFFF")));
        Gradient fur = Gradient.linear(List.of(new Gradient.Stop(0, Art.color("#FFFFFF")), new Gradient.Stop(0.6, Art.color("#F7F1EA")),
                new Gradient.Stop(1, Art.color("#CFDCE3")))).placed(new Point(0.5, 0), new Point(0.5, 1), new Point(-0.5, 0));
        parts.add(Scenery.inked(Art.path("Body", body(p)).with(Properties.FILL, fur)));
        parts.add(leg("Hind leg", p, Point.ZERO, p.hip, p.hind, "#53626B"));
        parts.add(leg("Fore leg", p, Point.ZERO, p.shoulder, p.fore, "#53626B"));
        parts.add(ear("Near ear", p, 8, "#FFFFFF"));
        parts.add(Scenery.inked(Art.circle("Head", p.head.x(), p.head.y(), 14, "#FFFFFF").with(Properties.SIZE, new Point(32, 26)).with(Properties.ROTATION, 18.0)));
        parts.add(Art.circle("Eye", p.head.x() + 5, p.head.y() - 3, 2.2, "#1D2926"));
        String id = "s-" + move + "-" + p.name.toLowerCase(java.util.Locale.ROOT);
        var own = parts.stream().map(e -> e.withId(id + e.id().substring(1))).toList();
        return Flipbook.blank(p.name, BOX).withId(id).withChildren(own);
    }

    /** Around hip and shoulder, rounder at the hip, as large however far they lie apart. */
    private static Outline body(Pose p) {
        Point along = p.shoulder.minus(p.hip);
        double length = along.length();
        Point u = along.times(1 / length), up = new Point(u.y(), -u.x());
        // what it gains in length it loses in girth
        double girth = Math.sqrt(38 / length);
        double hip = 21 * girth, chest = 15.5 * girth;
        Point[] at = {p.hip.minus(u.times(20)).plus(up.times(2)), p.hip.plus(up.times(hip)), p.hip.lerp(p.shoulder, 0.55).plus(up.times(hip * 0.92)),
            p.shoulder.plus(up.times(chest)), p.shoulder.plus(u.times(14)), p.shoulder.minus(up.times(chest * 0.9)), p.hip.lerp(p.shoulder, 0.5).minus(up.times(hip * 0.62)),
            p.hip.minus(up.times(hip * 0.78)).minus(u.times(6))};
        var nodes = new ArrayList<Node>();
        for (int i = 0; i < at.length; i++) {
            Point before = at[Math.floorMod(i - 1, at.length)], after = at[(i + 1) % at.length];
            Point tangent = after.minus(before).times(1 / after.distance(before));
            nodes.add(new Node(at[i], tangent.times(-at[i].distance(before) / 3), tangent.times(at[i].distance(after) / 3), true));
        }
        return new Outline(List.of(new Contour(nodes, true)));
    }

    private static Element leg(String name, Pose p, Point by, Point from, double[] xy, String color) {
        double[] all = new double[xy.length + 2];
        all[0] = from.x() + by.x();
        all[1] = from.y() + 8 + by.y();
        for (int i = 0; i < xy.length; i++) {
            all[i + 2] = xy[i] + (i % 2 == 0 ? by.x() : i + 1 == xy.length ? 0 : by.y());
        }
        return Art.line(name, color, 3.4, all).with(Properties.STROKE_ENDS, "round").with(Properties.STROKE_JOINS, "round");
    }

    /** A leaf from the head, laid back by the pose. */
    private static Element ear(String name, Pose p, double aside, String fill) {
        Outline leaf = Outline.of(true, Node.corner(-4, 0), new Node(new Point(0, -36), new Point(-9, 12), new Point(9, 12), true), Node.corner(4, 0));
        var turned = Affine.translate(p.head.x() - 5, p.head.y() - 9).times(Affine.rotate(-p.ears + aside));
        return Scenery.inked(Art.path(name, leaf.through(turned)).with(Properties.FILL, Art.color(fill)));
    }
}
