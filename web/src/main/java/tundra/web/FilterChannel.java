package tundra.web;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tundra.core.frame.Filter;
import tundra.core.frame.Filters;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/**
 * The effects of an element as its {@code filter}: CSS functions where there is one for each and one timeline at most keys them, since browsers
 * move those off the main thread; an SVG filter otherwise, whose attributes the player sets.
 */
final class FilterChannel implements Channel {
    private static final Set<EffectKind> FUNCTIONS = EnumSet.of(EffectKind.BLUR, EffectKind.BRIGHTNESS, EffectKind.CONTRAST, EffectKind.SATURATION, EffectKind.HUE,
            EffectKind.INVERT, EffectKind.DROP_SHADOW);
    /** Weighs a factor of 1 against a pixel, so that baked factors keep within what can be seen. */
    private static final double FACTOR = 400;

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
            for (Attribute a : attributes(x.kind())) {
                out.sampled(part(e, i, a.part), "@" + a.name, time -> numbers(List.of(x), t, time), times(List.of(x), t), time -> a.text.apply(Filters.of(x.kind(), at(x, t, time))));
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

    /** An attribute of a primitive of an effect's SVG filter. */
    private record Attribute(String part, String name, Function<Filter, String> text) {}

    private static String part(PageElement e, int effect, String part) {
        return e.box().outer() + "-x" + effect + part;
    }

    private static List<Attribute> attributes(EffectKind kind) {
        return switch (kind) {
            case BLUR -> List.of(new Attribute("b", "stdDeviation", f -> pair(((Filter.Blur) f).deviation())));
            case DROP_SHADOW -> shadow(f -> ((Filter.DropShadow) f).offset(), f -> ((Filter.DropShadow) f).deviation(), f -> ((Filter.DropShadow) f).color());
            case INNER_SHADOW -> shadow(f -> ((Filter.InnerShadow) f).offset(), f -> ((Filter.InnerShadow) f).deviation(), f -> ((Filter.InnerShadow) f).color());
            case LONG_SHADOW -> drawnOut();
            default -> List.of(new Attribute("m", "values", f -> matrix((Filter.Matrix) f)));
        };
    }

    private static List<Attribute> shadow(Function<Filter, Point> offset, Function<Filter, Double> deviation, Function<Filter, Color> color) {
        return List.of(new Attribute("o", "dx", f -> plain(offset.apply(f).x())), new Attribute("o", "dy", f -> plain(offset.apply(f).y())),
                new Attribute("b", "stdDeviation", f -> plain(deviation.apply(f))), flood(color), opacity(color));
    }

    private static Attribute flood(Function<Filter, Color> color) {
        return new Attribute("c", "flood-color", f -> "rgb(" + color.apply(f).red() + "," + color.apply(f).green() + "," + color.apply(f).blue() + ")");
    }

    private static Attribute opacity(Function<Filter, Color> color) {
        return new Attribute("c", "flood-opacity", f -> plain(color.apply(f).alpha() / 255.0));
    }

    private static List<Attribute> drawnOut() {
        var out = new ArrayList<Attribute>(List.of(flood(f -> ((Filter.LongShadow) f).color()), opacity(f -> ((Filter.LongShadow) f).color())));
        for (int i = 0; i < Filter.LongShadow.STAGES; i++) {
            int n = i;
            for (String moved : List.of("o", "p")) {
                out.add(new Attribute(moved + n, "dx", f -> plain(((Filter.LongShadow) f).step(n).x())));
                out.add(new Attribute(moved + n, "dy", f -> plain(((Filter.LongShadow) f).step(n).y())));
            }
            out.add(new Attribute("a" + n, "slope", f -> plain(((Filter.LongShadow) f).kept(n))));
        }
        return out;
    }

    private static String pair(Point p) {
        return plain(p.x()) + " " + plain(p.y());
    }

    private static String matrix(Filter.Matrix m) {
        var s = new StringBuilder();
        for (double d : m.rows()) {
            s.append(s.isEmpty() ? "" : " ").append(plain(d));
        }
        return s.toString();
    }

    /** The definition of the SVG filter; empty where there is none. */
    static String definition(PageElement e) {
        String id = svg(e);
        if (id == null) {
            return "";
        }
        // as far as any of it can reach, in px of the element's box
        var s = new StringBuilder("<svg class=\"t-p\" aria-hidden=\"true\"><filter id=\"").append(id)
                .append("\" color-interpolation-filters=\"sRGB\" filterUnits=\"userSpaceOnUse\" x=\"-4000\" y=\"-4000\" width=\"12000\" height=\"12000\">");
        String in = "SourceGraphic";
        List<Effect> all = on(e);
        for (int i = 0; i < all.size(); i++) {
            in = primitives(s, e, i, all.get(i), in);
        }
        return s.append("</filter></svg>").toString();
    }

    /** Writes what an effect does to a picture; gives the name of the result. */
    private static String primitives(StringBuilder s, PageElement e, int i, Effect x, String in) {
        Filter f = Filters.of(x.kind(), x.rest());
        String to = "r" + i;
        switch (f) {
            case Filter.Blur b -> primitive(s, e, i, "feGaussianBlur", "b", x, f, "in=\"" + in + "\" result=\"" + to + "\"");
            case Filter.Matrix m -> primitive(s, e, i, "feColorMatrix", "m", x, f, "in=\"" + in + "\" result=\"" + to + "\"");
            case Filter.DropShadow d -> {
                primitive(s, e, i, "feOffset", "o", x, f, "in=\"" + in + "\"");
                primitive(s, e, i, "feGaussianBlur", "b", x, f, "result=\"s" + i + "\"");
                primitive(s, e, i, "feFlood", "c", x, f, "");
                s.append("<feComposite in2=\"s").append(i).append("\" operator=\"in\"/><feComposite in=\"").append(in).append("\" operator=\"over\" result=\"").append(to).append("\"/>");
            }
            case Filter.InnerShadow d -> {
                primitive(s, e, i, "feFlood", "c", x, f, "");
                s.append("<feComposite in2=\"").append(in).append("\" operator=\"in\" result=\"c").append(i).append("\"/>");
                primitive(s, e, i, "feOffset", "o", x, f, "in=\"" + in + "\"");
                primitive(s, e, i, "feGaussianBlur", "b", x, f, "result=\"s" + i + "\"");
                s.append("<feComposite in=\"c").append(i).append("\" in2=\"s").append(i).append("\" operator=\"out\"/><feComposite in2=\"").append(in)
                        .append("\" operator=\"atop\" result=\"").append(to).append("\"/>");
            }
            case Filter.LongShadow l -> {
                primitive(s, e, i, "feFlood", "c", x, f, "");
                s.append("<feComposite in2=\"").append(in).append("\" operator=\"in\" result=\"l").append(i).append("-0\"/>");
                String covered = in;
                for (int n = 0; n < Filter.LongShadow.STAGES; n++) {
                    String was = "l" + i + "-" + n, next = "l" + i + "-" + (n + 1), more = "v" + i + "-" + n;
                    primitive(s, e, i, "feOffset", "o" + n, x, f, "in=\"" + was + "\"");
                    s.append("<feComponentTransfer>");
                    primitive(s, e, i, "feFuncA", "a" + n, x, f, "type=\"linear\"");
                    // only where nothing is yet, so that it never grows darker where copies meet
                    s.append("</feComponentTransfer><feComposite in2=\"").append(covered).append("\" operator=\"out\" result=\"f").append(i).append("\"/><feComposite in=\"").append(was)
                            .append("\" in2=\"f").append(i).append("\" operator=\"over\" result=\"").append(next).append("\"/>");
                    primitive(s, e, i, "feOffset", "p" + n, x, f, "in=\"" + covered + "\" result=\"f" + i + "\"");
                    s.append("<feComposite in=\"").append(covered).append("\" in2=\"f").append(i).append("\" operator=\"over\" result=\"").append(more).append("\"/>");
                    covered = more;
                }
                s.append("<feComposite in=\"").append(in).append("\" in2=\"l").append(i).append('-').append(Filter.LongShadow.STAGES).append("\" operator=\"over\" result=\"").append(to)
                        .append("\"/>");
            }
        }
        return to;
    }

    private static void primitive(StringBuilder s, PageElement e, int i, String tag, String part, Effect x, Filter f, String more) {
        s.append('<').append(tag).append(" class=\"").append(part(e, i, part)).append('"');
        for (Attribute a : attributes(x.kind())) {
            if (a.part.equals(part)) {
                s.append(' ').append(a.name).append("=\"").append(a.text.apply(f)).append('"');
            }
        }
        s.append(more.isEmpty() ? "" : " " + more).append("/>");
    }
}
