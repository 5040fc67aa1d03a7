package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import tundra.core.frame.Form;
import tundra.core.frame.Marks;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** The keyed dashes and reveals of one element as keyframes. */
final class StrokeChannels {
    private static final List<Property<?>> DECIDING = List.of(Properties.DASH, Properties.GAP, Properties.DASH_OFFSET, Properties.REVEAL,
            Properties.SIZE, Properties.CORNER_RADIUS, Properties.OUTLINE);
    /** What the length of the outline depends on. */
    private static final List<Property<?>> SHAPING = List.of(Properties.SIZE, Properties.CORNER_RADIUS, Properties.OUTLINE);
    private final Board board;
    private final Timeline timeline;
    private final Element element;
    private final Content.Shape shape;
    private final List<PageTrack> out = new ArrayList<>();

    private StrokeChannels(Board board, Timeline timeline, Element element, Content.Shape shape) {
        this.board = board;
        this.timeline = timeline;
        this.element = element;
        this.shape = shape;
    }

    /**
     * @param target the id of the shape; where contours are stroked apart, its number follows
     * @param mixes gets what patterns rest at that the player makes
     */
    static List<PageTrack> of(Board board, Timeline timeline, Element e, String target, Mixes mixes) {
        if (!(e.content() instanceof Content.Shape shape)) {
            return List.of();
        }
        var c = new StrokeChannels(board, timeline, e, shape);
        Point reveal = e.rest().get(Properties.REVEAL);
        boolean partly = reveal.x() > 0 || reveal.y() < 1 || Channels.keyed(board, e.id(), Properties.REVEAL);
        boolean dashed = e.rest().get(Properties.DASH) > 0 || Channels.keyed(board, e.id(), Properties.DASH);
        Property<?>[] dashes = {Properties.DASH, Properties.GAP, Properties.DASH_OFFSET};
        boolean keyed = (partly ? DECIDING : List.of(dashes)).stream().anyMatch(p -> Channels.keyed(board, e.id(), p));
        if (keyed && (partly && dashed || Mixes.apart(board, e.id(), partly ? DECIDING.toArray(Property<?>[]::new) : dashes))) {
            c.mixed(target, mixes);
        } else if (partly && DECIDING.stream().anyMatch(c::keyed)) {
            c.revealed(target);
        } else if (!partly && List.of(dashes).stream().anyMatch(c::keyed)) {
            c.through(target);
        }
        return c.out;
    }

    private boolean keyed(Property<?> p) {
        return timeline.track(element.id(), p) != null;
    }

    private Values at(double time) {
        Values v = element.rest();
        for (Property<?> p : DECIDING) {
            v = keyed(p) ? with(v, p, time) : v;
        }
        return v;
    }

    private <T> Values with(Values v, Property<T> p, double time) {
        return v.with(p, p.clamped(timeline.track(element.id(), p).at(time, p.type()::lerp)));
    }

    private List<Double> times() {
        return DECIDING.stream().filter(this::keyed).flatMap(p -> Channels.times(timeline.track(element.id(), p)).stream())
                .distinct().sorted().toList();
    }

    private void through(String target) {
        DoubleFunction<double[]> f = t -> {
            Values v = at(t);
            double dash = v.get(Properties.DASH), gap = v.get(Properties.GAP);
            return dash > 0 && gap > 0 ? new double[] {dash, gap} : new double[] {1, 0};
        };
        out.add(Channels.baked(timeline, target, "strokeDasharray", f, times(), v -> Baker.px(v[0]) + " " + Baker.px(v[1])));
        if (keyed(Properties.DASH_OFFSET) || element.rest().get(Properties.DASH_OFFSET) != 0) {
            out.add(Channels.baked(timeline, target, "strokeDashoffset", t -> new double[] {at(t).get(Properties.DASH_OFFSET)}, times(),
                    v -> Baker.px(v[0])));
        }
    }

    private void revealed(String target) {
        eachContour(target, (id, contour) -> {
            DoubleFunction<StrokeStyle> style = t -> style(at(t), contour);
            out.add(Channels.baked(timeline, id, "strokeDasharray", t -> numbers(style.apply(t)), times(), v -> Baker.px(v[0]) + " " + Baker.px(v[1])));
            out.add(Channels.baked(timeline, id, "strokeDashoffset", t -> new double[] {style.apply(t).offset()}, times(), v -> Baker.px(v[0])));
        });
    }

    /** What CSS can't blend, or what several timelines have a part in: the player makes the pattern at each frame. */
    private void mixed(String target, Mixes mixes) {
        eachContour(target, (id, contour) -> {
            Values v = element.rest();
            Point reveal = v.get(Properties.REVEAL);
            mixes.rest(id, "dashes", v.get(Properties.DASH), v.get(Properties.GAP), v.get(Properties.DASH_OFFSET), reveal.x(), reveal.y(), length(v, contour),
                    Mixes.apart(board, element.id(), SHAPING.toArray(Property<?>[]::new)) ? 1 : 0);
            List<Property<Double>> numbers = List.of(Properties.DASH, Properties.GAP, Properties.DASH_OFFSET);
            for (int i = 0; i < numbers.size(); i++) {
                part(id, i, numbers.get(i), x -> x);
            }
            part(id, 3, Properties.REVEAL, Point::x);
            part(id, 4, Properties.REVEAL, Point::y);
            if (SHAPING.stream().anyMatch(this::keyed)) {
                List<Double> times = SHAPING.stream().filter(this::keyed).flatMap(p -> Channels.times(timeline.track(element.id(), p)).stream()).distinct().sorted().toList();
                out.add(Channels.baked(timeline, id, Mixes.part("dashes", 5), t -> new double[] {length(at(t), contour)}, times, x -> Numbers.plain(x[0], 4)));
            }
        });
    }

    private <T> void part(String id, int part, Property<T> p, Function<T, Double> number) {
        Track<T> track = timeline.track(element.id(), p);
        if (track != null) {
            out.add(Channels.eased(timeline, id, Mixes.part("dashes", part), track, (a, b, q) -> Numbers.plain(number.apply(p.type().lerp(a, b, q)), 5)));
        }
    }

    /** @param contour -1 for the whole form */
    private double length(Values v, int contour) {
        Form form = form(v, contour);
        return form == null ? 0 : form.outline().segments().stream().mapToDouble(s -> s.length(0, 1)).sum();
    }

    private void eachContour(String target, BiConsumer<String, Integer> work) {
        if (!StrokeText.split(board, element)) {
            work.accept(target, -1);
            return;
        }
        for (int i = 0; i < StrokeText.contours(board, element); i++) {
            work.accept(target + "-" + i, i);
        }
    }

    /** Null for a contour that isn't there. */
    private Form form(Values v, int contour) {
        Form form = Marks.form((Content.Shape) Marks.resolved(shape, v), v);
        if (contour < 0) {
            return form;
        }
        var contours = form.outline().contours();
        return contour < contours.size() ? new Form.Curve(new Outline(List.of(contours.get(contour)))) : null;
    }

    private StrokeStyle style(Values v, int contour) {
        Form one = form(v, contour);
        return StrokeText.hiddenOr(one == null ? new Form.Curve(new Outline(List.of())) : one, v);
    }

    private static double[] numbers(StrokeStyle s) {
        return new double[] {s.pattern().isEmpty() ? 1e6 : s.pattern().get(0), s.pattern().isEmpty() ? 0 : s.pattern().get(1)};
    }
}
