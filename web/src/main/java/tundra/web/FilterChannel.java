package tundra.web;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tundra.core.frame.Filters;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.svg.FilterText;

/**
 * The effects of an element as its {@code filter}: CSS functions where there is one for each and one timeline at most keys them, since browsers
 * move those off the main thread; an SVG filter otherwise, whose attributes the player sets.
 */
final class FilterChannel implements Channel {
    private static final Set<EffectKind> FUNCTIONS = EnumSet.of(EffectKind.BLUR, EffectKind.BRIGHTNESS, EffectKind.CONTRAST, EffectKind.SATURATION, EffectKind.HUE,
            EffectKind.INVERT, EffectKind.DROP_SHADOW);
    /** Weighs a factor of 1 against a pixel, so that baked factors keep within what can be seen. */
    private static final double FACTOR = 400;
    /** As far as any of it can reach, in px of the element's box. */
    private static final Rect REGION = new Rect(-4000, -4000, 12_000, 12_000);

    @Override
    public List<Property<?>> of() {
        return List.of();
    }

    @Override
    public boolean everywhere() {
        return true;
    }

    private static List<Effect> on(PageElement e) {
        return e.element().effects().stream().filter(Effect::on).toList();
    }

    /** Whether CSS functions say all of it. */
    private static boolean functions(PageElement e) {
        long keyed = e.board().timelines().stream().filter(t -> on(e).stream().anyMatch(x -> !t.tracksOf(x.id()).isEmpty())).count();
        return keyed <= 1 && on(e).stream().allMatch(x -> FUNCTIONS.contains(x.kind()) && (x.kind() != EffectKind.BLUR || even(e, x)));
    }

    /** Whether a blur is the same along both axes at all times. */
    private static boolean even(PageElement e, Effect x) {
        return same(x.rest().get(Properties.BLUR)) && e.board().timelines().stream().map(t -> t.track(x.id(), Properties.BLUR))
                .allMatch(t -> t == null || t.keys().stream().allMatch(k -> same(k.value())));
    }

    private static boolean same(Point p) {
        return p.x() == p.y();
    }

    /** The name of the SVG filter; null where there is none. */
    static String svg(PageElement e) {
        return on(e).isEmpty() || functions(e) ? null : e.box().outer() + "-x";
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        if (!on(e).isEmpty()) {
            css.put(e.box().outer(), "filter", svg(e) != null ? "url(#" + svg(e) + ")" : text(e, x -> x.rest()));
        }
    }

    private static String text(PageElement e, Function<Effect, Values> at) {
        return on(e).stream().map(x -> function(x, at.apply(x))).collect(Collectors.joining(" "));
    }

    private static String function(Effect x, Values v) {
        return switch (x.kind()) {
            case BLUR -> "blur(" + CssText.px(v.get(Properties.BLUR).x()) + ")";
            case BRIGHTNESS -> "brightness(" + plain(v.get(Properties.BRIGHTNESS)) + ")";
            case CONTRAST -> "contrast(" + plain(v.get(Properties.CONTRAST)) + ")";
            case SATURATION -> "saturate(" + plain(v.get(Properties.SATURATION)) + ")";
            case HUE -> "hue-rotate(" + CssText.deg(v.get(Properties.HUE)) + ")";
            case INVERT -> "invert(" + plain(v.get(Properties.INVERT)) + ")";
            case DROP_SHADOW -> "drop-shadow(" + CssText.pair(v.get(Properties.SHADOW_OFFSET), 4, "px") + " " + CssText.px(v.get(Properties.SHADOW_BLUR)) + " "
                    + v.get(Properties.SHADOW_COLOR).hex() + ")";
            default -> throw new IllegalArgumentException("no function for " + x.kind());
        };
    }

    private static String plain(double v) {
        return Numbers.plain(v, 6);
    }

    /** The values of an effect at a time of a timeline; what other timelines key rests. */
    private static Values at(Effect x, Timeline t, double time) {
        Values v = x.rest();
        for (Property<?> p : t.tracksOf(x.id()).keySet()) {
            v = with(v, p, x, t, time);
        }
        return v;
    }

    private static <T> Values with(Values v, Property<T> p, Effect x, Timeline t, double time) {
        return v.with(p, p.clamped(t.track(x.id(), p).at(time, p.type()::lerp)));
    }

    private static List<Double> times(List<Effect> of, Timeline t) {
        return of.stream().flatMap(x -> t.tracksOf(x.id()).values().stream()).flatMap(k -> Tracks.times(k).stream()).distinct().sorted().toList();
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Timeline t = out.timeline();
        List<Effect> keyed = on(e).stream().filter(x -> !t.tracksOf(x.id()).isEmpty()).toList();
        if (keyed.isEmpty()) {
            return;
        }
        if (svg(e) == null) {
            // sampled as numbers, said as text at the same times
            out.sampled(e.box().outer(), "filter", time -> numbers(keyed, t, time), times(keyed, t), time -> text(e, x -> at(x, t, time)));
            return;
        }
        for (Effect x : keyed) {
            int i = on(e).indexOf(x);
            for (FilterText.Attribute a : FilterText.attributes(Filters.of(x.kind(), x.rest()))) {
                out.sampled(part(e, i, a.part()), "@" + a.name(), time -> numbers(List.of(x), t, time), times(List.of(x), t), time -> a.text().apply(Filters.of(x.kind(), at(x, t, time))));
            }
        }
    }

    private static double[] numbers(List<Effect> of, Timeline t, double time) {
        var out = new ArrayList<Double>();
        for (Effect x : of) {
            Values v = at(x, t, time);
            for (Property<?> p : x.kind().properties()) {
                add(out, p, v);
            }
        }
        return out.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static <T> void add(List<Double> out, Property<T> p, Values v) {
        boolean lengths = p.unit().equals("px") || p.unit().equals("°");
        for (double d : p.type().parts(v.get(p))) {
            out.add(d * (p.standard() instanceof Color ? 0.05 : lengths ? 1 : FACTOR));
        }
    }

    /** The class of a primitive of the SVG filter. */
    private static String part(PageElement e, int effect, String part) {
        return e.box().outer() + "-x" + effect + part;
    }

    /** The definition of the SVG filter; empty where there is none. */
    static String definition(PageElement e) {
        String id = svg(e);
        if (id == null) {
            return "";
        }
        var s = new StringBuilder("<svg class=\"t-p\" aria-hidden=\"true\">");
        FilterText.definition(s, id, on(e).stream().map(x -> Filters.of(x.kind(), x.rest())).toList(), REGION, (effect, part) -> part(e, effect, part));
        return s.append("</svg>").toString();
    }
}
