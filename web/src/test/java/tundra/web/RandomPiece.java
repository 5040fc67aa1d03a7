package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Supplier;
import tundra.core.edit.ButtonMotif;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Motif;
import tundra.core.model.Paint;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Quad;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A piece of elements of every kind, its properties, timelines, spans and easings drawn by lot; the same seed always gives the same one. */
final class RandomPiece {
    private static final List<String> EASINGS = List.of("linear", "hold", "sine-both", "cubic-out", "back-both", "bounce-out", "elastic-out",
            "cubic-bezier(0.4, 0, 0.2, 1)",
            "steps(3, jump-start)", "steps(4, jump-end)", "steps(3, jump-both)", "steps(3, jump-none)");
    private final Random random;
    private final boolean text;
    private final List<Timeline> timelines = new ArrayList<>(List.of(new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()),
            new Timeline("turn", "Turn", 1_300_000, true, true, Map.of()), new Timeline("open", "Open", 1_000_000, false, false, Map.of()),
            new Timeline("close", "Close", 1_500_000, false, false, Map.of())));

    private RandomPiece(long seed, boolean text) {
        random = new Random(seed);
        this.text = text;
    }

    static Project make(long seed, boolean text) {
        var r = new RandomPiece(seed, text);
        var elements = new ArrayList<Element>();
        for (int i = 0; i < 8; i++) {
            elements.add(r.element(i, i, true));
        }
        var board = new Board(new Point(600, 400), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), elements, r.timelines, List.of());
        return new Project("random", "Random " + seed, 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of());
    }

    /** The same with effects behind one another, also keyed, clipped groups, and what of it catches the pointer. */
    static Project rich(long seed) {
        Project plain = make(seed, false);
        var r = new RandomPiece(seed + 77_000, false);
        return plain.mapBoard("scene", b -> {
            var timelines = new ArrayList<>(b.timelines());
            Board out = b.mapElements(Tree.ids(b.elements()), e -> {
                var effects = new ArrayList<Effect>();
                for (int n = r.random.nextInt(2) == 0 ? 0 : 1 + r.random.nextInt(3); n > 0; n--) {
                    effects.add(r.effect(e.id() + "x" + n, timelines));
                }
                Content c = e.content() instanceof Content.Group g && r.random.nextBoolean() ? new Content.Group(g.children(), g.box(),
                        Outline.ellipse(new Rect(10, 10, 80, 70))) : e.content();
                String touch = List.of("what is seen", "its whole box", "lets through").get(r.random.nextInt(3));
                return e.withContent(c).with(Properties.TOUCH, touch).withEffects(effects);
            });
            return out.withTimelines(timelines);
        });
    }

    /** The same with buttons that rest at different times, and with texts that show values, wrapped and not. */
    static Project told(long seed) {
        var r = new RandomPiece(seed + 99_000, false);
        Project p = rich(seed);
        Element face = new Element("face", "face", false, false, Values.NONE.with(Properties.POSITION, new Point(40, 20))
                .with(Properties.SIZE, new Point(80, 40)).with(Properties.FILL, r.color()), new Content.Rectangle());
        Motif button = ButtonMotif.of("button", "Button", new Point(80, 40), List.of(face));
        var value = new PieceValue("v", "score", PieceValue.Kind.NUMBER, "" + r.random.nextInt(2000), false);
        return p.withMotifs(List.of(button)).withValues(List.of(value)).mapBoard("scene", b -> {
            var all = new ArrayList<>(b.elements());
            for (int i = 0; i < 3; i++) {
                all.add(new Element("button" + i, "button" + i, false, false, Values.NONE.with(Properties.POSITION,
                        new Point(r.between(50, 350), r.between(40, 260))).with(Properties.ROTATION, r.between(-40, 40)),
                        new Content.Instance("button", new Point(80, 40), Clock.OWN.withPhase(500_000L * i))));
                all.add(new Element("says" + i, "says" + i, false, false, Values.NONE.with(Properties.POSITION,
                        new Point(r.between(60, 300), r.between(40, 260))).with(Properties.FILL, r.color()),
                        new Content.Text(i == 0 ? "{score} points" : "After {score} points the light goes out", "Figtree", 400,
                        Math.rint(r.between(14, 26)), Content.Align.values()[i], 1.25, i == 2 ? 1 : 0, i == 0 ? 0 : Math.rint(r.between(90, 160)))));
            }
            return b.withElements(all);
        });
    }

    /** Shadows lie at whole px: Chromium takes those of its CSS functions there. */
    private Effect effect(String id, List<Timeline> timelines) {
        EffectKind kind = EffectKind.values()[random.nextInt(EffectKind.values().length)];
        Effect x = new Effect(kind).withId(id);
        return switch (kind) {
            case BLUR -> keyed(x.with(Properties.BLUR, even()), Properties.BLUR, timelines, this::even);
            case BRIGHTNESS -> keyed(x.with(Properties.BRIGHTNESS, between(0.5, 1.5)), Properties.BRIGHTNESS, timelines, () -> between(0.5, 1.5));
            case CONTRAST -> keyed(x.with(Properties.CONTRAST, between(0.5, 1.5)), Properties.CONTRAST, timelines, () -> between(0.5, 1.5));
            case SATURATION -> keyed(x.with(Properties.SATURATION, between(0, 2)), Properties.SATURATION, timelines, () -> between(0, 2));
            case HUE -> keyed(x.with(Properties.HUE, between(0, 360)), Properties.HUE, timelines, () -> between(0, 360));
            case INVERT -> keyed(x.with(Properties.INVERT, between(0, 1)), Properties.INVERT, timelines, () -> between(0, 1));
            case TINT -> keyed(keyed(x.with(Properties.TINT, color()), Properties.TINT_AMOUNT, timelines, () -> between(0, 1)), Properties.TINT,
                    timelines, this::color);
            case CHANNELS -> x.with(Properties.SLOPE, new Quad(between(0.5, 1), 1, between(0.5, 1), 1));
            case DROP_SHADOW, INNER_SHADOW -> x.with(Properties.SHADOW_OFFSET, new Point(random.nextInt(9) - 4, random.nextInt(9) - 4))
                    .with(Properties.SHADOW_BLUR, (double) random.nextInt(6)).with(Properties.SHADOW_COLOR, color());
            case LONG_SHADOW -> x.with(Properties.LONG_DIRECTION, between(0, 360)).with(Properties.LONG_LENGTH, between(4, 30))
                    .with(Properties.SHADOW_COLOR, color());
        };
    }

    private Point even() {
        double d = between(0, 6);
        return new Point(d, d);
    }

    private <T> Effect keyed(Effect x, Property<T> p, List<Timeline> timelines, Supplier<T> value) {
        if (random.nextInt(3) == 0) {
            int i = random.nextInt(timelines.size());
            Timeline t = timelines.get(i);
            timelines.set(i, t.with(x.id(), p,
                    new Track<>(List.of(new Key<>(0, value.get(), Easing.LINEAR), new Key<>(t.duration() / 2, value.get(),
                    EasingText.parse("sine-both")), new Key<>(t.duration(), value.get(), Easing.LINEAR)))));
        }
        return x;
    }

    private double between(double from, double to) {
        return Math.round((from + (to - from) * random.nextDouble()) * 100) / 100.0;
    }

    private Element element(int kind, int place, boolean outer) {
        String id = "e" + place + (outer ? "" : "in");
        Content c = switch (kind % 8) {
            case 0, 5 -> new Content.Rectangle();
            case 1 -> new Content.Ellipse();
            case 2 -> new Content.Polygon(3 + random.nextInt(6), between(0.3, 1));
            case 3 -> new Content.Path(outline(), new Point(80, 80));
            case 4 -> outer ? new Content.Group(List.of(element(random.nextInt(4), place, false)), new Point(100, 90), null) : new Content.Ellipse();
            case 6 -> text ? new Content.Text("Frost on the\nwindow", "Figtree", 600, 20, Content.Align.values()[random.nextInt(3)],
                    1.2) : new Content.Rectangle();
            default -> new Content.Path(outline(), new Point(80, 80));
        };
        Values v = Values.NONE.with(Properties.POSITION, new Point(80 + 145 * (place % 4), 100 + 190 * (place / 4)));
        if (!outer) {
            v = v.with(Properties.POSITION, new Point(50, 45));
        }
        // at the size that a board is drawn at it is of no account what an element is tied to
        for (Property<?> p : Properties.of(new Element(id, id, false, false, v, c)).stream().filter(x -> !Properties.TIES.contains(x)).toList()) {
            if (p != Properties.POSITION && (random.nextInt(3) == 0 || p == Properties.FILL || p == Properties.SIZE)) {
                v = with(v, p);
            }
        }
        for (Property<?> p : Properties.ALL) {
            if (Properties.keyed(p) && p.appliesTo(new Element(id, id, false, false, v, c)) && random.nextInt(3) == 0) {
                keyed(id, c, p);
            }
        }
        if (random.nextInt(4) == 0) {
            int i = random.nextInt(4);
            long d = timelines.get(i).duration(), from = (long) (d * between(0, 0.4));
            timelines.set(i, timelines.get(i).withShown(id, new Span(from, from + (long) (d * between(0.3, 0.8)))));
        }
        return new Element(id, id, false, false, v, c);
    }

    private <T> Values with(Values v, Property<T> p) {
        return v.with(p, value(p));
    }

    private <T> void keyed(String id, Content c, Property<T> p) {
        boolean half = p == Properties.POSITION_X || p == Properties.POSITION_Y;
        for (int n = 1 + random.nextInt(3); n > 0; n--) {
            int i = random.nextInt(4);
            Timeline t = timelines.get(i);
            // a timeline has keys for a place or for its halves
            boolean split = t.track(id, Properties.POSITION_X) != null || t.track(id, Properties.POSITION_Y) != null;
            if (half && t.track(id, Properties.POSITION) != null || p == Properties.POSITION && split) {
                continue;
            }
            var keys = new TreeMap<Long, Key<T>>();
            for (int k = 1 + random.nextInt(4); k > 0; k--) {
                long at = Math.round(t.duration() * between(0, 1));
                String easing = EASINGS.get(random.nextInt(EASINGS.size()));
                keys.put(at, new Key<>(at, value(p), easing.equals("hold") ? Easing.HOLD : EasingText.parse(easing)));
            }
            timelines.set(i, t.with(id, p, new Track<>(List.copyOf(keys.values()))));
        }
    }

    private Outline outline() {
        var contours = new ArrayList<Contour>();
        for (int n = 1 + random.nextInt(2); n > 0; n--) {
            int corners = 3 + random.nextInt(4);
            var nodes = new Node[corners];
            for (int i = 0; i < corners; i++) {
                double a = 2 * Math.PI * i / corners;
                double r = between(15, 40);
                nodes[i] = Node.smooth(new Point(40 + r * Math.cos(a), 40 + r * Math.sin(a)), new Point(-6 * Math.sin(a), 6 * Math.cos(a)));
            }
            contours.addAll(Outline.of(true, nodes).contours());
        }
        return new Outline(contours);
    }

    private Color color() {
        return new Color(random.nextInt(256), random.nextInt(256), random.nextInt(256), random.nextInt(3) == 0 ? 128 : 255);
    }

    private Paint paint() {
        if (random.nextInt(3) > 0) {
            return color();
        }
        var stops = List.of(new Gradient.Stop(0, color()), new Gradient.Stop(1, color()));
        return random.nextBoolean() ? Gradient.linear(stops) : Gradient.radial(stops);
    }

    private Object any(Property<?> p) {
        return switch (p.key()) {
            case "position" -> new Point(between(60, 540), between(60, 340));
            case "positionX" -> between(60, 540);
            case "positionY" -> between(60, 340);
            case "size" -> new Point(between(10, 110), between(10, 110));
            case "scale" -> new Point(between(0.4, 1.4), between(0.4, 1.4));
            case "rotation" -> between(-180, 180);
            case "pivot" -> new Point(between(0, 1), between(0, 1));
            case "opacity" -> between(0.2, 1);
            case "fill", "stroke" -> paint();
            case "background" -> color();
            case "strokeWidth" -> between(0, 9);
            case "cornerRadius" -> between(0, 60);
            case "dash" -> between(0, 25);
            case "gap" -> between(0, 15);
            case "dashOffset" -> between(-30, 30);
            case "reveal" -> new Point(between(0, 0.6), between(0.3, 1));
            case "skew" -> new Point(between(-25, 25), between(-25, 25));
            case "letterSpacing" -> between(-1, 6);
            case "outline" -> outline();
            // seen of it is nothing
            case "heading" -> "first";
            case "front" -> between(-90, 90);
            case "facePath" -> random.nextBoolean() ? "yes" : "no";
            case "strokeEnds" -> List.of("butt", "round", "square").get(random.nextInt(3));
            case "strokeJoins" -> List.of("miter", "round", "bevel").get(random.nextInt(3));
            case "shown" -> random.nextInt(4) > 0 ? "yes" : "no";
            case "overflow" -> random.nextBoolean() ? "shown" : "clipped";
            case "fontSize" -> between(12, 30);
            case "fontWeight" -> List.of(400.0, 600.0, 700.0).get(random.nextInt(3));
            case "lineHeight" -> between(0.9, 1.8);
            case "wrap" -> random.nextInt(3) == 0 ? 0.0 : between(40, 160);
            case "textAlign" -> List.of("left", "centre", "right").get(random.nextInt(3));
            case "blend" -> random.nextInt(4) > 0 ? "normal" : List.of("multiply", "screen", "overlay", "difference").get(random.nextInt(4));
            case "isolate" -> random.nextBoolean() ? "yes" : "no";
            case "cursor" -> random.nextBoolean() ? "auto" : "pointer";
            case "touch" -> List.of("what is seen", "its whole box", "lets through").get(random.nextInt(3));
            case "parallax" -> between(-1, 1);
            default -> throw new IllegalStateException("say what " + p.key() + " may be");
        };
    }

    private <T> T value(Property<T> p) {
        return p.cast(any(p));
    }
}
