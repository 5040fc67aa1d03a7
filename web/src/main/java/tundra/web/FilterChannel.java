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
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.svg.FilterText;

/**
 * The effects of an element as {@code filter}: CSS functions where there is one for each and one timeline at most keys them, since browsers
 * move those off the main thread; SVG filters otherwise, whose attributes the player sets.
 */
final class FilterChannel implements Channel {
    private static final Set<EffectKind> FUNCTIONS = EnumSet.of(EffectKind.BLUR, EffectKind.BRIGHTNESS, EffectKind.CONTRAST, EffectKind.SATURATION,
            EffectKind.HUE,
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

    /**
     * A box that some effects are laid on. Each of several has a box of its own inside that of the next, since browsers work out a long chain
     * in one box anew for each of its links; what CSS functions say all of is one.
     *
     * @param first its place among the element's effects
     */
    private record Step(List<Effect> effects, int first, String box, boolean css) {
        /** The name of its SVG filter. */
        String id() {
            return box + "-x";
        }
    }

    private static List<Effect> on(Element e) {
        return e.effects().stream().filter(Effect::on).toList();
    }

    private static List<Step> steps(PageElement e) {
        return steps(e.board(), e.element(), e.box().outer());
    }

    /** The boxes from the inside out; the last one is the element's outer box. */
    private static List<Step> steps(Board board, Element e, String outer) {
        List<Effect> on = on(e);
        if (on.isEmpty()) {
            return List.of();
        }
        if (keyed(board, on) <= 1 && on.stream().allMatch(x -> function(board, x))) {
            return List.of(new Step(on, 0, outer, true));
        }
        var out = new ArrayList<Step>();
        for (int i = 0; i < on.size(); i++) {
            Effect x = on.get(i);
            out.add(new Step(List.of(x), i, i == on.size() - 1 ? outer : outer + "-f" + i, function(board, x) && keyed(board, List.of(x)) <= 1));
        }
        return out;
    }

    /** Whether what an element shows needs a box inside its outer one, so that its effects are laid over what is cut and reach beyond it. */
    static boolean inside(Board board, Element e) {
        return steps(board, e, "").size() > 1 || !on(e).isEmpty() && e.content() instanceof Content.Group;
    }

    /** The boxes between the outer one and what it shows, from the outside in. */
    static List<String> between(PageElement e) {
        List<Step> all = steps(e);
        return all.isEmpty() ? List.of() : all.subList(0, all.size() - 1).reversed().stream().map(Step::box).toList();
    }

    /** How many timelines key any of some effects. */
    private static long keyed(Board board, List<Effect> of) {
        return board.timelines().stream().filter(t -> of.stream().anyMatch(x -> !t.tracksOf(x.id()).isEmpty())).count();
    }

    /** Whether a CSS function says an effect at all times. */
    private static boolean function(Board board, Effect x) {
        return FUNCTIONS.contains(x.kind()) && (x.kind() != EffectKind.BLUR || same(x.rest().get(Properties.BLUR)) && board.timelines().stream()
                .map(t -> t.track(x.id(), Properties.BLUR))
                .allMatch(t -> t == null || t.keys().stream().allMatch(k -> same(k.value()))));
    }

    private static boolean same(Point p) {
        return p.x() == p.y();
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        for (Step s : steps(e)) {
            css.put(s.box(), "filter", s.css() ? text(s, x -> x.rest()) : "url(#" + s.id() + ")");
        }
    }

    private static String text(Step s, Function<Effect, Values> at) {
        return s.effects().stream().map(x -> function(x, at.apply(x))).collect(Collectors.joining(" "));
    }

    private static String function(Effect x, Values v) {
        return switch (x.kind()) {
            case BLUR -> "blur(" + CssText.px(v.get(Properties.BLUR).x()) + ")";
            case BRIGHTNESS -> "brightness(" + plain(v.get(Properties.BRIGHTNESS)) + ")";
            case CONTRAST -> "contrast(" + plain(v.get(Properties.CONTRAST)) + ")";
            case SATURATION -> "saturate(" + plain(v.get(Properties.SATURATION)) + ")";
            case HUE -> "hue-rotate(" + CssText.deg(v.get(Properties.HUE)) + ")";
            case INVERT -> "invert(" + plain(v.get(Properties.INVERT)) + ")";
            case DROP_SHADOW -> "drop-shadow(" + CssText.pair(v.get(Properties.SHADOW_OFFSET), 4, "px") + " "
                    + CssText.px(v.get(Properties.SHADOW_BLUR)) + " "
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
        if (on(e.element()).stream().allMatch(x -> t.tracksOf(x.id()).isEmpty())) {
            return;
        }
        for (Step s : steps(e)) {
            List<Effect> keyed = s.effects().stream().filter(x -> !t.tracksOf(x.id()).isEmpty()).toList();
            if (!keyed.isEmpty() && s.css()) {
                // sampled as numbers, said as text at the same times
                out.sampled(s.box(), "filter", time -> numbers(keyed, t, time), times(keyed, t), time -> text(s, x -> at(x, t, time)));
            } else if (!keyed.isEmpty()) {
                attributes(e, s, out);
            }
        }
    }

    /** What a timeline keys of an SVG filter. */
    private static void attributes(PageElement e, Step s, Tracks out) {
        Timeline t = out.timeline();
        Effect x = s.effects().getFirst();
        for (FilterText.Attribute a : FilterText.attributes(Filters.of(x.kind(), x.rest()))) {
            List<Property<?>> of = of(x.kind(), a.name()).stream().filter(p -> t.track(x.id(), p) != null).toList();
            if (of.isEmpty()) {
                continue;
            }
            String part = part(e, s.first(), a.part());
            if (Keyed.apart(e.board(), x.id(), of(x.kind(), a.name()).toArray(Property<?>[]::new))) {
                FilterMixes.keys(x, part, a, out);
            } else {
                out.sampled(part, "@" + a.name(), time -> numbers(List.of(x), t, time), times(List.of(x), t), time -> a.text()
                        .apply(Filters.of(x.kind(), at(x, t, time))));
            }
        }
    }

    /** The properties of an effect that an attribute of its SVG filter is made of. */
    private static List<Property<?>> of(EffectKind kind, String attribute) {
        boolean shadow = kind == EffectKind.DROP_SHADOW || kind == EffectKind.INNER_SHADOW;
        return switch (attribute) {
            case "dx", "dy" -> shadow ? List.of(Properties.SHADOW_OFFSET) : List.of(Properties.LONG_DIRECTION, Properties.LONG_LENGTH);
            case "stdDeviation" -> List.of(shadow ? Properties.SHADOW_BLUR : Properties.BLUR);
            case "flood-color", "flood-opacity" -> List.of(Properties.SHADOW_COLOR);
            case "slope" -> List.of(Properties.LONG_FADE);
            default -> kind.properties();
        };
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

    /** The definitions of the SVG filters; empty where there are none. */
    static String definition(PageElement e) {
        var s = new StringBuilder();
        for (Step step : steps(e)) {
            if (!step.css()) {
                FilterText.definition(s, step.id(), step.effects().stream().map(x -> Filters.of(x.kind(), x.rest())).toList(), REGION,
                        (effect, part) -> part(e, step.first() + effect, part));
            }
        }
        return s.isEmpty() ? "" : "<svg class=\"t-p\" aria-hidden=\"true\">" + s + "</svg>";
    }
}
