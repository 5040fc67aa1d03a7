package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.stream.Stream;
import tundra.core.frame.Form;
import tundra.core.frame.Marks;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** The keyed dashes and reveals of one element as keyframes. */
final class StrokeChannels {
    /** A pattern that CSS cannot blend is set this often, in µs: 60 times a second. */
    private static final double STEP = 1e6 / 60;
    private static final List<Property<?>> DECIDING = List.of(Properties.DASH, Properties.GAP, Properties.DASH_OFFSET, Properties.REVEAL,
            Properties.SIZE, Properties.CORNER_RADIUS, Properties.OUTLINE);
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

    /** @param target the id of the shape; where contours are stroked apart, its number follows */
    static List<PageTrack> of(Board board, Timeline timeline, Element e, String target) {
        if (!(e.content() instanceof Content.Shape shape)) {
            return List.of();
        }
        var c = new StrokeChannels(board, timeline, e, shape);
        Point reveal = e.rest().get(Properties.REVEAL);
        boolean partly = reveal.x() > 0 || reveal.y() < 1 || c.keyed(Properties.REVEAL);
        if (!partly && (c.keyed(Properties.DASH) || c.keyed(Properties.GAP) || c.keyed(Properties.DASH_OFFSET))) {
            c.through(target);
        } else if (partly && DECIDING.stream().anyMatch(c::keyed)) {
            c.revealed(target);
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
        boolean split = StrokeText.split(board, element);
        int contours = split ? Marks.form(shape, element.rest()).outline().contours().size() : 1;
        boolean dashed = Stream.of(Properties.DASH).anyMatch(p -> keyed(p) || element.rest().get(p) > 0);
        for (int i = 0; i < contours; i++) {
            int contour = i;
            String id = split ? target + "-" + i : target;
            DoubleFunction<StrokeStyle> style = t -> style(at(t), split ? contour : -1);
            if (dashed) {
                stepped(id, style);
            } else {
                out.add(Channels.baked(timeline, id, "strokeDasharray", t -> numbers(style.apply(t)), times(),
                        v -> Baker.px(v[0]) + " " + Baker.px(v[1])));
                out.add(Channels.baked(timeline, id, "strokeDashoffset", t -> new double[] {style.apply(t).offset()}, times(),
                        v -> Baker.px(v[0])));
            }
        }
    }

    private StrokeStyle style(Values v, int contour) {
        Form form = Marks.form((Content.Shape) Marks.resolved(shape, v), v);
        Form one = contour < 0 ? form : new Form.Curve(new Outline(List.of(form.outline().contours().get(contour))));
        return StrokeText.hiddenOr(one, v);
    }

    private static double[] numbers(StrokeStyle s) {
        return new double[] {s.pattern().isEmpty() ? 1e6 : s.pattern().get(0), s.pattern().isEmpty() ? 0 : s.pattern().get(1)};
    }

    private void stepped(String id, DoubleFunction<StrokeStyle> style) {
        var dashes = new ArrayList<PageTrack.PageKey>();
        var offsets = new ArrayList<PageTrack.PageKey>();
        for (double t = 0; t <= timeline.duration(); t += STEP) {
            StrokeStyle s = style.apply(t);
            double at = t / timeline.duration();
            dashes.add(new PageTrack.PageKey(at, StrokeText.dashes(s), "step-end"));
            offsets.add(new PageTrack.PageKey(at, Baker.px(s.offset()), "step-end"));
        }
        out.add(new PageTrack(id, "strokeDasharray", Channels.closed(dashes)));
        out.add(new PageTrack(id, "strokeDashoffset", Channels.closed(offsets)));
    }
}
