package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
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

    private static Pose pose(String name, double hx, double hy, double sx, double sy, double headX, double headY, double ears, double[] hind,
            double... fore) {
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

    /** How deep the snow is pressed in each of the drawings of a hop, in px. */
    static final double[] PRESSED = {6, 15, 22, 12, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0};
    /** How high a hop on the snow goes, in px. */
    private static final double HIGH = 118;

    /** A hop on snow that gives way and throws it up again, ending as it began: 20 drawings, one frame each. */
    static List<Drawing> hop() {
        Pose touch = pose("Touch", 64, 66, 98, 68, 120, 50, -12, hind(80, 82, 62, 92, 84, 99), 106, 86, 112, 99);
        Pose squash = pose("Squash", 60, 80, 99, 80, 122, 66, 58, hind(80, 90, 58, 96, 84, 99), 110, 92, 116, 99);
        Pose push = pose("Push", 64, 64, 100, 58, 121, 38, 34, hind(72, 82, 58, 92, 80, 99), 110, 78, 116, 92);
        Pose rise = pose("Rise", 66, 62, 100, 50, 120, 32, 62, hind(58, 78, 50, 88, 60, 98), 114, 62, 126, 72);
        Pose top = pose("Top", 64, 66, 100, 64, 122, 47, 30, hind(74, 84, 58, 88, 76, 94), 112, 80, 118, 90);
        Pose fall = pose("Fall", 64, 62, 99, 66, 121, 50, -16, hind(72, 80, 60, 90, 72, 99), 108, 84, 114, 96);
        var out = new ArrayList<Drawing>();
        for (int i = 0; i < PRESSED.length; i++) {
            double flight = (i - 3.0) / (PRESSED.length - 3), up = i < 4 ? 0 : HIGH * 4 * flight * (1 - flight);
            Pose p = switch (i) {
                case 0 -> touch;
                case 1, 2 -> squash;
                case 3 -> push;
                default -> flight < 0.3 ? between(push, rise, flight / 0.3) : flight < 0.55 ? between(rise, top, (flight - 0.3) / 0.25)
                        : flight < 0.85 ? between(top, fall, (flight - 0.55) / 0.3) : between(fall, touch, (flight - 0.85) / 0.15);
            };
            out.add(new Drawing(art(moved(p, HIGH + PRESSED[i] - up, i + 1), "hop", new Point(BOX.x(), BOX.y() + HIGH)), i, 1));
        }
        return out;
    }

    private static Pose between(Pose a, Pose b, double t) {
        double[] hind = new double[a.hind.length], fore = new double[a.fore.length];
        for (int i = 0; i < hind.length; i++) {
            hind[i] = a.hind[i] + (b.hind[i] - a.hind[i]) * t;
        }
        for (int i = 0; i < fore.length; i++) {
            fore[i] = a.fore[i] + (b.fore[i] - a.fore[i]) * t;
        }
        return new Pose(t < 0.5 ? a.name : b.name, a.hip.lerp(b.hip, t), a.shoulder.lerp(b.shoulder, t), a.head.lerp(b.head, t), a.ears
                + (b.ears - a.ears) * t, hind, fore);
    }

    /** A pose lower by so many px, with a number in its name. */
    private static Pose moved(Pose p, double down, int number) {
        Point by = new Point(0, down);
        double[] hind = p.hind.clone(), fore = p.fore.clone();
        for (int i = 1; i < hind.length; i += 2) {
            hind[i] += down;
        }
        for (int i = 1; i < fore.length; i += 2) {
            fore[i] += down;
        }
        return new Pose(p.name + " " + number, p.hip.plus(by), p.shoulder.plus(by), p.head.plus(by), p.ears, hind, fore);
    }

    /** A flipbook whose feet line lies at a height of its parent. */
    static Element book(String name, List<Drawing> drawings, int rate, Flipbook.Ending ending, double left, double ground) {
        Point box = ((Content.Group) drawings.getFirst().art().content()).box();
        return Art.named(name, new Flipbook(drawings, box, rate, ending), Values.NONE.with(Properties.POSITION,
                new Point(left, ground).plus(new Point(box.x() / 2, BOX.y() - GROUND))).with(Properties.PIVOT, new Point(0.5, 1)));
    }

    private static Element art(Pose p, String move) {
        return art(p, move, BOX);
    }

    private static Element art(Pose p, String move, Point box) {
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
        parts.add(Scenery.inked(Art.circle("Head", p.head.x(), p.head.y(), 14, "#FFFFFF").with(Properties.SIZE, new Point(32, 26))
                .with(Properties.ROTATION, 18.0)));
        parts.add(Art.circle("Eye", p.head.x() + 5, p.head.y() - 3, 2.2, "#1D2926"));
        String id = "s-" + move + "-" + p.name.toLowerCase(Locale.ROOT).replace(' ', '-');
        var own = parts.stream().map(e -> e.withId(id + e.id().substring(1))).toList();
        return Flipbook.blank(p.name, box).withId(id).withChildren(own);
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
            p.shoulder.plus(up.times(chest)), p.shoulder.plus(u.times(14)), p.shoulder.minus(up.times(chest * 0.9)), p.hip.lerp(p.shoulder, 0.5)
            .minus(up.times(hip * 0.62)),
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
        Outline leaf = Outline.of(true, Node.corner(-4, 0), new Node(new Point(0, -36), new Point(-9, 12), new Point(9, 12), true),
                Node.corner(4, 0));
        var turned = Affine.translate(p.head.x() - 5, p.head.y() - 9).times(Affine.rotate(-p.ears + aside));
        return Scenery.inked(Art.path(name, leaf.through(turned)).with(Properties.FILL, Art.color(fill)));
    }
}
