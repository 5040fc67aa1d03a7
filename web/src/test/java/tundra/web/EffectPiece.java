package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Point;
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
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Quad;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.ValueType;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Every effect at three values and keyed, every blend mode over a gradient, effects in both orders, groups that blend within or don't. */
final class EffectPiece {
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private final List<Element> elements = new ArrayList<>();
    private Timeline main = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());
    private int n;

    private static Project project(String id, EffectPiece p, Color background, List<Motif> motifs) {
        var board = new Board(new Point(800, 600), Values.NONE.with(Properties.BACKGROUND, background), p.elements, List.of(p.main), List.of());
        return new Project(id, id, 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of()).withMotifs(motifs);
    }

    private static Gradient sky() {
        return Gradient.linear(List.of(new Gradient.Stop(0, Color.parse("#2E5D73")), new Gradient.Stop(0.5, Color.parse("#C8503A")),
                new Gradient.Stop(1, Color.parse("#FFE39A"))));
    }

    private static Element shape(String id, Content c, double x, double y, double w, double h, Paint fill) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, fill), c);
    }

    /** Two shapes that overlap, one of them see-through. */
    private static Element subject(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)), new Content.Group(List.of(
                shape(id + "a", new Content.Rectangle(), 18, 18, 32, 32, sky()), shape(id + "b", new Content.Ellipse(), 32, 30, 26, 26,
                Color.parse("#48C9A6B0"))), new Point(44, 44)));
    }

    private void cell(Effect... effects) {
        String id = "s" + n;
        elements.add(subject(id, 50 + 80 * (n % 10), 50 + 100 * (n / 10)).withEffects(List.of(effects)));
        n++;
    }

    private <T> Effect keyed(Effect e, Property<T> p, T from, T to) {
        main = main.with(e.id(), p, new Track<>(List.of(new Key<>(0, from, GENTLE), new Key<>(4_000_000, to, Easing.LINEAR))));
        return e;
    }

    private static Effect fx(EffectKind k) {
        return new Effect(k);
    }

    private <T> void values(EffectKind k, Property<T> p, T a, T b, T c) {
        cell(fx(k).with(p, a));
        cell(fx(k).with(p, b));
        cell(fx(k).with(p, c));
        cell(keyed(fx(k).with(p, a), p, a, c));
    }

    static Project effects() {
        var p = new EffectPiece();
        p.values(EffectKind.BLUR, Properties.BLUR, new Point(1, 1), new Point(4, 4), new Point(9, 9));
        p.values(EffectKind.BRIGHTNESS, Properties.BRIGHTNESS, 0.4, 1.3, 2.5);
        p.values(EffectKind.CONTRAST, Properties.CONTRAST, 0.3, 2.0, 12.0);
        p.values(EffectKind.SATURATION, Properties.SATURATION, 0.0, 0.5, 3.0);
        p.values(EffectKind.HUE, Properties.HUE, 40.0, 150.0, 310.0);
        p.values(EffectKind.INVERT, Properties.INVERT, 0.2, 0.7, 1.0);
        p.values(EffectKind.CHANNELS, Properties.SLOPE, new Quad(-0.7, -0.7, -0.7, 1), new Quad(2, 0.5, 1, 0.6), new Quad(1, 1, 1, 0.2));
        p.values(EffectKind.CHANNELS, Properties.OFFSET, new Quad(0.3, 0, 0, 0), new Quad(-0.2, 0.2, 0.4, 0), new Quad(0, 0, 0.8, 0));
        p.values(EffectKind.TINT, Properties.TINT_AMOUNT, 0.2, 0.6, 1.0);
        p.values(EffectKind.DROP_SHADOW, Properties.SHADOW_OFFSET, new Point(0, 0), new Point(6, 8), new Point(-8, -4));
        p.values(EffectKind.INNER_SHADOW, Properties.SHADOW_BLUR, 0.0, 3.0, 8.0);
        p.values(EffectKind.LONG_SHADOW, Properties.LONG_LENGTH, 10.0, 25.0, 40.0);
        // blurs along one axis, shadows with every number keyed, what is switched off, and effects in both orders
        p.cell(fx(EffectKind.BLUR).with(Properties.BLUR, new Point(8, 0)));
        p.cell(p.keyed(fx(EffectKind.BLUR), Properties.BLUR, new Point(0, 6), new Point(6, 0)));
        p.cell(p.keyed(p.keyed(fx(EffectKind.DROP_SHADOW), Properties.SHADOW_COLOR, Color.parse("#1D2926C0"), Color.parse("#DB7A22")),
                Properties.SHADOW_BLUR, 1.0, 7.0));
        p.cell(p.keyed(p.keyed(fx(EffectKind.LONG_SHADOW).with(Properties.LONG_LENGTH, 30.0), Properties.LONG_DIRECTION, 0.0, 180.0),
                Properties.LONG_FADE, 1.0, 0.2));
        p.cell(p.keyed(fx(EffectKind.TINT).with(Properties.TINT_AMOUNT, 0.7), Properties.TINT, Color.parse("#2F78A3"), Color.parse("#E9B44C")));
        p.cell(fx(EffectKind.INVERT).withOn(false), fx(EffectKind.HUE).with(Properties.HUE, 90.0));
        p.cell(fx(EffectKind.CONTRAST).with(Properties.CONTRAST, 4.0), fx(EffectKind.BLUR));
        p.cell(fx(EffectKind.BLUR), fx(EffectKind.CONTRAST).with(Properties.CONTRAST, 4.0));
        p.cell(fx(EffectKind.BRIGHTNESS).with(Properties.BRIGHTNESS, 0.2), fx(EffectKind.BRIGHTNESS).with(Properties.BRIGHTNESS, 5.0),
                p.keyed(fx(EffectKind.SATURATION), Properties.SATURATION, 1.0, 2.0));
        p.cell(fx(EffectKind.TINT).with(Properties.TINT_AMOUNT, 0.5), fx(EffectKind.DROP_SHADOW), p.keyed(fx(EffectKind.BLUR), Properties.BLUR,
                new Point(0, 0), new Point(3, 3)));
        p.cell(fx(EffectKind.INNER_SHADOW), fx(EffectKind.LONG_SHADOW).with(Properties.LONG_LENGTH, 20.0).with(Properties.LONG_FADE, 0.4));
        p.elements.replaceAll(e -> e.id().equals("s57") ? e.with(Properties.ROTATION, 30.0).with(Properties.SCALE, new Point(1.3, 0.9)) : e);
        return project("effects", p, Color.parse("#F3F7FA"), List.of());
    }

    static Project blends() {
        var p = new EffectPiece();
        p.elements.add(shape("sky", new Content.Rectangle(), 400, 300, 760, 560, sky()));
        List<String> modes = ((ValueType.ChoiceType) Properties.BLEND.type()).options();
        for (int i = 0; i < modes.size(); i++) {
            p.elements.add(subject("m" + i, 70 + 110 * (i % 7), 70 + 90 * (i / 7)).with(Properties.BLEND, modes.get(i))
                    .with(Properties.SCALE, new Point(1.4, 1.4)));
        }
        var keyed = subject("keyed", 730, 250);
        p.elements.add(keyed);
        p.main = p.main.with("keyed", Properties.BLEND,
                new Track<>(List.of(new Key<>(0, "multiply", Easing.HOLD), new Key<>(2_000_000, "screen", Easing.HOLD))));
        // groups: passing, isolated by the tick, faded, turned, a group in a group, and a motif that passes
        int k = 0;
        for (String how : List.of("passes", "isolated", "faded", "turned", "nested", "moved")) {
            Element inner = shape("g" + how, new Content.Ellipse(), 40, 40, 60, 60, Color.parse("#48C9A6")).with(Properties.BLEND, "difference");
            Element below = shape("b" + how, new Content.Rectangle(), 30, 50, 50, 40, Color.parse("#DB7A22"));
            Element g = new Element("G" + how, how, false, false, Values.NONE.with(Properties.POSITION, new Point(80 + 120 * k++, 400)),
                    new Content.Group(List.of(below, inner), new Point(80, 80)));
            g = switch (how) {
                case "isolated" -> g.with(Properties.ISOLATE, "yes");
                case "faded" -> g.with(Properties.OPACITY, 0.6);
                case "turned" -> g.with(Properties.ROTATION, 20.0);
                case "nested" -> new Element("outer", "outer", false, false, Values.NONE.with(Properties.POSITION, g.rest().get(Properties.POSITION)),
                        new Content.Group(List.of(g.with(Properties.POSITION, new Point(40, 40))), new Point(80, 80)));
                default -> g;
            };
            if (how.equals("moved")) {
                p.main = p.main.with(g.id(), Properties.POSITION,
                        new Track<>(List.of(new Key<>(0, new Point(680, 400), GENTLE), new Key<>(4_000_000, new Point(660, 380), GENTLE))));
            }
            p.elements.add(g);
        }
        var spot = new Motif("spot", "Spot", new Board(new Point(60, 60), Values.NONE,
                List.of(shape("q", new Content.Ellipse(), 30, 30, 50, 50, Color.parse("#2F78A3")).with(Properties.BLEND, "screen")),
                List.of(new Timeline("spot-main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of()));
        for (int i = 0; i < 3; i++) {
            p.elements.add(new Element("spot" + i, "spot" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(120 + 40 * i, 520))
                    .with(Properties.ISOLATE, i == 1 ? "yes" : "no"),
                    new Content.Instance("spot", new Point(60, 60), Clock.OWN)));
        }
        return project("blends", p, Color.parse("#F3F7FA"), List.of(spot));
    }
}
