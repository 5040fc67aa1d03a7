package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import tundra.core.frame.Form;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** The dashes of a stroke and how much of it is revealed, as one pattern. */
final class DashChannel implements Channel {
    private static final List<Property<Double>> DASHES = List.of(Properties.DASH, Properties.GAP, Properties.DASH_OFFSET);
    /** What the length of the outline depends on. */
    private static final List<Property<?>> SHAPING = List.of(Properties.SIZE, Properties.CORNER_RADIUS, Properties.OUTLINE);
    private static final List<Property<?>> DECIDING = all();

    private static List<Property<?>> all() {
        var out = new ArrayList<Property<?>>(DASHES);
        out.add(Properties.REVEAL);
        out.addAll(SHAPING);
        return List.copyOf(out);
    }

    @Override
    public List<Property<?>> of() {
        return DECIDING;
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        eachContour(e, (target, contour) -> {
            StrokeStyle s = style(e, e.element().rest(), contour);
            if (!s.pattern().isEmpty()) {
                css.put(target, "stroke-dasharray", StrokeText.dashes(s));
                if (s.offset() != 0) {
                    css.put(target, "stroke-dashoffset", CssText.px(s.offset()));
                }
            }
        });
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        if (!(e.content() instanceof Content.Shape)) {
            return;
        }
        boolean partly = StrokeText.partly(e.board(), e.element());
        boolean dashed = e.rest(Properties.DASH) > 0 || e.keyed(Properties.DASH);
        List<? extends Property<?>> deciding = partly ? DECIDING : DASHES;
        if (deciding.stream().anyMatch(e::keyed) && (partly && dashed || e.apart(deciding.toArray(Property<?>[]::new)))) {
            mixed(e, out);
        } else if (deciding.stream().anyMatch(p -> out.of(e, p) != null)) {
            if (partly) {
                revealed(e, out);
            } else {
                through(e, out);
            }
        }
    }

    /** The values of an element at a time of a timeline, as far as they decide. */
    private static Values at(PageElement e, Tracks out, double time) {
        Values v = e.element().rest();
        for (Property<?> p : DECIDING) {
            v = out.of(e, p) == null ? v : with(v, p, e, out, time);
        }
        return v;
    }

    private static <T> Values with(Values v, Property<T> p, PageElement e, Tracks out, double time) {
        return v.with(p, p.clamped(out.of(e, p).at(time, p.type()::lerp)));
    }

    private static List<Double> times(PageElement e, Tracks out, List<Property<?>> of) {
        return of.stream().filter(p -> out.of(e, p) != null).flatMap(p -> Tracks.times(out.of(e, p)).stream()).distinct().sorted().toList();
    }

    private static void through(PageElement e, Tracks out) {
        DoubleFunction<double[]> f = t -> {
            Values v = at(e, out, t);
            double dash = v.get(Properties.DASH), gap = v.get(Properties.GAP);
            return dash > 0 && gap > 0 ? new double[] {dash, gap} : new double[] {1, 0};
        };
        for (String target : e.strokes()) {
            out.baked(target, "strokeDasharray", f, times(e, out, DECIDING), v -> CssText.px(v[0]) + " " + CssText.px(v[1]));
            if (out.of(e, Properties.DASH_OFFSET) != null || e.rest(Properties.DASH_OFFSET) != 0) {
                out.baked(target, "strokeDashoffset", t -> new double[] {at(e, out, t).get(Properties.DASH_OFFSET)}, times(e, out, DECIDING),
                        v -> CssText.px(v[0]));
            }
        }
    }

    private static void revealed(PageElement e, Tracks out) {
        eachContour(e, (target, contour) -> {
            DoubleFunction<StrokeStyle> style = t -> style(e, at(e, out, t), contour);
            List<Double> times = times(e, out, DECIDING);
            out.baked(target, "strokeDasharray", t -> numbers(style.apply(t)), times, v -> CssText.px(v[0]) + " " + CssText.px(v[1]));
            out.baked(target, "strokeDashoffset", t -> new double[] {style.apply(t).offset()}, times, v -> CssText.px(v[0]));
        });
    }

    private static double[] numbers(StrokeStyle s) {
        return new double[] {s.pattern().isEmpty() ? 1e6 : s.pattern().get(0), s.pattern().isEmpty() ? 0 : s.pattern().get(1)};
    }

    /** What CSS can't blend, or what several timelines have a part in: the player makes the pattern at each frame. */
    private static void mixed(PageElement e, Tracks out) {
        eachContour(e, (target, contour) -> {
            Values v = e.element().rest();
            Point reveal = v.get(Properties.REVEAL);
            out.mixes().rest(target, "dashes", v.get(Properties.DASH), v.get(Properties.GAP), v.get(Properties.DASH_OFFSET), reveal.x(), reveal.y(),
                    length(e, v, contour),
                    e.apart(SHAPING.toArray(Property<?>[]::new)) ? 1 : 0);
            for (int i = 0; i < DASHES.size(); i++) {
                part(e, out, target, i, DASHES.get(i), x -> x);
            }
            part(e, out, target, 3, Properties.REVEAL, Point::x);
            part(e, out, target, 4, Properties.REVEAL, Point::y);
            List<Double> times = times(e, out, SHAPING);
            if (!times.isEmpty()) {
                out.baked(target, Mixes.part("dashes", 5), t -> new double[] {length(e, at(e, out, t), contour)}, times, x -> Numbers.plain(x[0], 4));
            }
        });
    }

    private static <T> void part(PageElement e, Tracks out, String target, int part, Property<T> p, Function<T, Double> number) {
        out.eased(target, Mixes.part("dashes", part), out.of(e, p), (a, b, q) -> Numbers.plain(number.apply(p.type().lerp(a, b, q)), 5));
    }

    private static double length(PageElement e, Values v, int contour) {
        Form form = form(e, v, contour);
        return form == null ? 0 : form.outline().segments().stream().mapToDouble(s -> s.length(0, 1)).sum();
    }

    /** @param work gets the name of each part that is stroked and its contour; -1 for the whole form */
    private static void eachContour(PageElement e, BiConsumer<String, Integer> work) {
        List<String> parts = e.strokes();
        boolean split = StrokeText.split(e.board(), e.element());
        for (int i = 0; i < parts.size(); i++) {
            work.accept(parts.get(i), split ? i : -1);
        }
    }

    /** Null for a contour that isn't there. */
    private static Form form(PageElement e, Values v, int contour) {
        Form form = ElementPaint.form((Content.Shape) ElementPaint.resolved(e.content(), v), v);
        if (contour < 0) {
            return form;
        }
        var contours = form.outline().contours();
        return contour < contours.size() ? new Form.Curve(new Outline(List.of(contours.get(contour)))) : null;
    }

    private static StrokeStyle style(PageElement e, Values v, int contour) {
        Form one = form(e, v, contour);
        return StrokeText.hiddenOr(one == null ? new Form.Curve(new Outline(List.of())) : one, v);
    }
}
