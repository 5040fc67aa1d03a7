package tundra.web;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tundra.core.frame.Marks;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.GradientBlend;
import tundra.core.model.Morph;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** The keys of a timeline as keyframes of CSS properties: one place that says how each property is published. */
final class Channels {
    /** What CSS cannot blend is set this often, in µs: 120 times a second. */
    static final double FRAME = 1e6 / 120;
    /** Weighs a degree against a pixel, so that baked turns keep within a thousandth of a degree. */
    private static final double TURN = 20;
    /** Weighs an opacity of 1 against a pixel, so that baked opacities keep within a hundred-thousandth. */
    private static final double OPACITY = 1600;
    private final Board board;
    private final Timeline timeline;
    private final TextMeasurer measure;
    private final Mixes mixes;
    private final List<PageTrack> out = new ArrayList<>();

    private Channels(Board board, Timeline timeline, TextMeasurer measure, Mixes mixes) {
        this.mixes = mixes;
        this.board = board;
        this.timeline = timeline;
        this.measure = measure;
    }

    /**
     * @param boxed finds how an element is marked up, by its id
     * @param mixes gets what values rest at whose parts are keyed on different timelines
     */
    static List<PageTrack> of(Board board, Timeline timeline, String sceneTarget, Function<String, Boxed> boxed,
            TextMeasurer measure, Mixes mixes) {
        var c = new Channels(board, timeline, measure, mixes);
        var ids = new LinkedHashSet<>(timeline.tracks().keySet());
        ids.addAll(timeline.shown().keySet());
        for (String id : ids) {
            if (id.equals(Board.CANVAS)) {
                c.colors(sceneTarget, "backgroundColor", timeline.track(id, Properties.BACKGROUND));
            } else if (boxed.apply(id) != null) {
                c.element(board.find(id), boxed.apply(id));
            }
        }
        return c.out;
    }

    private void element(Element e, Boxed box) {
        String id = e.id();
        position(e, box);
        rotation(e, box);
        eased(box.outer(), "transform", timeline.track(id, Properties.SKEW), (a, b, p) -> skew(a.lerp(b, p)));
        eased(box.outer(), "scale", timeline.track(id, Properties.SCALE), (a, b, p) -> pair(a.lerp(b, p), 6, ""));
        opacity(box, timeline.track(id, Properties.OPACITY));
        eased(box.inner(), "translate", timeline.track(id, Properties.PIVOT), (a, b, p) -> pair(a.lerp(b, p).times(-100), 5, "%"));
        paints(e, box, box.shape(), "fill", Properties.FILL);
        List<String> strokes = strokes(e, box);
        for (String target : strokes) {
            paints(e, box, target, "stroke", Properties.STROKE);
            eased(target, "strokeWidth", timeline.track(id, Properties.STROKE_WIDTH), (a, b, p) -> Baker.px(Math.max(0, a + (b - a) * p)));
            words(target, "!strokeLinecap", timeline.track(id, Properties.STROKE_ENDS));
            words(target, "!strokeLinejoin", timeline.track(id, Properties.STROKE_JOINS));
        }
        if (PaintText.byPlayer(board, e, box.size())) {
            out.addAll(GradientChannels.stretched(board, timeline, e, mixes));
        }
        size(e, box, timeline.track(id, Properties.SIZE));
        if (e.content() instanceof Content.Path p && keyed(board, id, Properties.OUTLINE)) {
            outline(e, p, box);
        }
        radius(e, box);
        // after what the length of the outline depends on
        out.addAll(StrokeChannels.of(board, timeline, e, box.shape(), mixes));
        out.addAll(TextChannels.of(timeline, e, box, measure));
        shown(e, box);
    }

    /** Where an easing leaves 0 to 1, engines differ in when they clamp it: there it is cut into pieces that stay within. */
    private void opacity(Boxed box, Track<Double> track) {
        DoubleFunction<Double> at = t -> track.at(t, Properties.OPACITY.type()::lerp);
        boolean leaves = false;
        for (int i = 0; track != null && i <= 400 * (track.keys().size() - 1); i++) {
            double first = track.keys().getFirst().time(), last = track.keys().getLast().time();
            double v = at.apply(first + (last - first) * i / Math.max(1, 400.0 * (track.keys().size() - 1)));
            leaves |= v < -1e-9 || v > 1 + 1e-9;
        }
        if (leaves) {
            bake(box.outer(), "opacity", t -> new double[] {Numbers.clamp(at.apply(t), 0, 1) * OPACITY}, times(track), v -> Numbers.plain(v[0] / OPACITY, 6));
        } else {
            eased(box.outer(), "opacity", track, (a, b, p) -> Numbers.plain(a + (b - a) * p, 6));
        }
    }

    static String skew(Point degrees) {
        return "skewX(" + Numbers.plain(degrees.x(), 5) + "deg) skewY(" + Numbers.plain(degrees.y(), 5) + "deg)";
    }

    /** Seen means no more than that it isn't hidden itself: it inherits whether what holds it is. */
    private void shown(Element e, Boxed box) {
        Span s = timeline.shown().get(e.id());
        if (s == null) {
            return;
        }
        double d = timeline.duration();
        var keys = new ArrayList<PageTrack.PageKey>();
        keys.add(new PageTrack.PageKey(0, s.from() == 0 ? "inherit" : "hidden", "step-end"));
        if (s.from() > 0 && s.from() <= d) {
            keys.add(new PageTrack.PageKey(s.from() / d, "inherit", "step-end"));
        }
        if (s.to() <= d) {
            keys.add(new PageTrack.PageKey(s.to() / d, "hidden", "step-end"));
        }
        add(box.outer(), "!visibility", keys);
    }

    private void rotation(Element e, Boxed box) {
        Track<Double> own = timeline.track(e.id(), Properties.ROTATION);
        Track<Point> places = timeline.track(e.id(), Properties.POSITION);
        Track<String> faces = timeline.track(e.id(), Properties.FACE_PATH);
        Track<Double> fronts = timeline.track(e.id(), Properties.FRONT);
        boolean ever = keyed(board, e.id(), Properties.FACE_PATH) || e.rest().get(Properties.FACE_PATH).equals("yes");
        if (ever && keyed(board, e.id(), Properties.POSITION)
                && Mixes.apart(board, e.id(), Properties.ROTATION, Properties.POSITION, Properties.FACE_PATH, Properties.FRONT)) {
            turn(e, box.outer());
            return;
        }
        boolean facing = faces != null || e.rest().get(Properties.FACE_PATH).equals("yes");
        if (!facing || places == null) {
            eased(box.outer(), "rotate", own, (a, b, p) -> Numbers.plain(a + (b - a) * p, 5) + "deg");
            return;
        }
        var path = new MotionPath(places);
        DoubleFunction<double[]> turn = t -> {
            double r = own == null ? e.rest().get(Properties.ROTATION) : own.at(t, Properties.ROTATION.type()::lerp);
            boolean on = faces == null || faces.at(t, Properties.FACE_PATH.type()::lerp).equals("yes");
            double front = fronts == null ? e.rest().get(Properties.FRONT) : fronts.at(t, Properties.FRONT.type()::lerp);
            return new double[] {(on ? r + path.direction(t) - front : r) * TURN};
        };
        bake(box.outer(), "rotate", turn, all(times(own), times(places), times(faces), times(fronts)), v -> Numbers.plain(v[0] / TURN, 5) + "deg");
    }

    /** The parts of a turn that are keyed here, where others are keyed elsewhere. */
    private void turn(Element e, String target) {
        mixes.rest(target, "turn", e.rest().get(Properties.ROTATION), e.rest().get(Properties.FACE_PATH).equals("yes") ? 1 : 0, null, e.rest().get(Properties.FRONT));
        number(target, Mixes.part("turn", 0), timeline.track(e.id(), Properties.ROTATION));
        Track<String> faces = timeline.track(e.id(), Properties.FACE_PATH);
        if (faces != null) {
            words(target, Mixes.part("turn", 1), new Track<>(faces.keys().stream().map(k -> k.with(k.value().equals("yes") ? "1" : "0")).toList()));
        }
        Track<Point> places = timeline.track(e.id(), Properties.POSITION);
        if (places != null) {
            var path = new MotionPath(places);
            bake(target, Mixes.part("turn", 2), t -> new double[] {path.direction(t) * TURN}, times(places), v -> Numbers.plain(v[0] / TURN, 5));
        }
        number(target, Mixes.part("turn", 3), timeline.track(e.id(), Properties.FRONT));
    }

    private void number(String target, String property, Track<Double> track) {
        eased(target, property, track, (a, b, p) -> Numbers.plain(a + (b - a) * p, 5));
    }

    @SafeVarargs
    static List<Double> all(List<Double>... times) {
        return Stream.of(times).flatMap(List::stream).distinct().sorted().toList();
    }

    /** The form of a path that changes, stretched to its size. */
    private void outline(Element e, Content.Path p, Boxed box) {
        Track<Outline> track = timeline.track(e.id(), Properties.OUTLINE);
        Track<Point> size = timeline.track(e.id(), Properties.SIZE);
        boolean apart = Mixes.apart(board, e.id(), Properties.OUTLINE, Properties.SIZE);
        forms(e, p, track, apart ? null : size, apart, box.shape(), -1);
        if (StrokeText.split(board, e)) {
            for (int i = 0; i < StrokeText.contours(board, e); i++) {
                forms(e, p, track, apart ? null : size, apart, box.shape() + "-" + i, i);
            }
        }
        if (apart) {
            stretching(e, p, box, size);
        }
    }

    /** @param contour the one that is meant; -1 for all */
    private void forms(Element e, Content.Path p, Track<Outline> track, Track<Point> size, boolean apart, String target, int contour) {
        if (track == null) {
            return;
        }
        if (size == null) {
            Point rest = apart ? p.box() : e.rest().get(Properties.SIZE);
            var keys = new ArrayList<PageTrack.PageKey>();
            double d = timeline.duration();
            for (int i = 0; i + 1 < track.keys().size(); i++) {
                Key<Outline> a = track.keys().get(i), b = track.keys().get(i + 1);
                for (EasingPieces.Piece piece : EasingPieces.of(a.easing())) {
                    double t = a.time() + (b.time() - a.time()) * piece.from();
                    keys.add(new PageTrack.PageKey(t / d, form(p, Morph.at(a.value(), b.value(), piece.low()), rest, contour), piece.css()));
                }
                // each interval ends with as many nodes as it had
                keys.add(new PageTrack.PageKey(b.time() / d, form(p, Morph.at(a.value(), b.value(), 1), rest, contour), "linear"));
            }
            if (keys.isEmpty()) {
                keys.add(new PageTrack.PageKey(0, form(p, track.keys().getFirst().value(), rest, contour), "linear"));
            }
            add(target, apart ? Mixes.part("form", 0) : "@d", keys);
            return;
        }
        var keys = new ArrayList<PageTrack.PageKey>();
        for (double t = 0; t <= timeline.duration(); t += FRAME) {
            keys.add(key(p, track, size, t, contour));
        }
        for (double t : all(times(track), times(size))) {
            keys.add(key(p, track, size, Math.max(0, t - 1), contour));
            keys.add(key(p, track, size, t, contour));
        }
        keys.sort(Comparator.comparingDouble(PageTrack.PageKey::offset));
        add(target, "@d", keys);
    }

    private PageTrack.PageKey key(Content.Path p, Track<Outline> track, Track<Point> size, double t, int contour) {
        return new PageTrack.PageKey(t / timeline.duration(), form(p, track.at(t, Morph::at), size.at(t, Properties.SIZE.type()::lerp), contour), "linear");
    }

    /** The size's part in forms that are keyed on another timeline. */
    private void stretching(Element e, Content.Path p, Boxed box, Track<Point> size) {
        int contours = StrokeText.split(board, e) ? StrokeText.contours(board, e) : 0;
        Point rest = e.rest().get(Properties.SIZE);
        for (int i = -1; i < contours; i++) {
            String target = i < 0 ? box.shape() : box.shape() + "-" + i;
            mixes.rest(target, "form", form(p, p.outline(), p.box(), i), factor(rest.x(), p.box().x()), factor(rest.y(), p.box().y()));
            if (size != null) {
                eased(target, Mixes.part("form", 1), size, (a, b, q) -> Numbers.plain(factor(a.lerp(b, q).x(), p.box().x()), 6));
                eased(target, Mixes.part("form", 2), size, (a, b, q) -> Numbers.plain(factor(a.lerp(b, q).y(), p.box().y()), 6));
            }
        }
    }

    private static double factor(double size, double box) {
        return box == 0 ? 1 : Math.max(0, size) / box;
    }

    /** A contour that isn't there yet or any more is a point, which paints nothing. */
    private static String form(Content.Path p, Outline o, Point size, int contour) {
        Outline meant = contour < 0 ? o : contour < o.contours().size() ? new Outline(List.of(o.contours().get(contour))) : null;
        return meant == null ? "M0 0" : meant.through(Affine.scale(factor(size.x(), p.box().x()), factor(size.y(), p.box().y()))).svgCurves(4);
    }

    /** The elements that carry the stroke: the shape itself, or one for each of its contours. */
    private List<String> strokes(Element e, Boxed box) {
        if (!StrokeText.split(board, e)) {
            return box.shape() == null ? List.of() : List.of(box.shape());
        }
        int n = StrokeText.contours(board, e);
        return IntStream.range(0, n).mapToObj(i -> box.shape() + "-" + i).toList();
    }

    private void position(Element e, Boxed box) {
        Track<Point> track = timeline.track(e.id(), Properties.POSITION);
        Track<Double> x = timeline.track(e.id(), Properties.POSITION_X), y = timeline.track(e.id(), Properties.POSITION_Y);
        if (Mixes.apart(board, e.id(), Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y)) {
            place(e, box);
            return;
        }
        if (x != null || y != null) {
            Point rest = e.rest().get(Properties.POSITION);
            bake(box.outer(), "translate", t -> new double[] {
                (x == null ? rest.x() : x.at(t, Properties.POSITION_X.type()::lerp)) - box.shift().x(),
                (y == null ? rest.y() : y.at(t, Properties.POSITION_Y.type()::lerp)) - box.shift().y()
            }, all(times(x), times(y)), v -> Baker.px(v[0]) + " " + Baker.px(v[1]));
            return;
        }
        if (track == null) {
            return;
        }
        var path = new MotionPath(track);
        Easing whole = track.shape().whole();
        boolean bent = whole != null || Stream.iterate(0, i -> i + 1).limit(track.keys().size() - 1L).anyMatch(path::curved);
        if (bent) {
            var cuts = cuts(track, path);
            bake(box.outer(), "translate", t -> {
                Point p = path.at(t).minus(box.shift());
                return new double[] {p.x(), p.y()};
            }, cuts, v -> Baker.px(v[0]) + " " + Baker.px(v[1]));
        } else {
            eased(box.outer(), "translate", track, (a, b, p) -> pair(a.lerp(b, p).minus(box.shift()), 4, "px"));
        }
    }

    /** When the pieces of a path meet. */
    private static List<Double> cuts(Track<Point> track, MotionPath path) {
        Easing whole = track.shape().whole();
        return whole == null ? times(track)
                : all(times(new Track<>(List.of(track.keys().getFirst().with(whole), track.keys().getLast().at(last(track))))), passes(track, path));
    }

    /** The parts of a place that are keyed here, where others are keyed elsewhere. */
    private void place(Element e, Boxed box) {
        Point rest = e.rest().get(Properties.POSITION).minus(box.shift());
        mixes.rest(box.outer(), "place", rest.x(), rest.y(), null, null);
        Track<Point> track = timeline.track(e.id(), Properties.POSITION);
        if (track != null) {
            var path = new MotionPath(track);
            for (int i = 0; i < 2; i++) {
                int axis = i;
                bake(box.outer(), Mixes.part("place", i), t -> {
                    Point p = path.at(t).minus(box.shift());
                    return new double[] {axis == 0 ? p.x() : p.y()};
                }, cuts(track, path), v -> Numbers.plain(v[0], 4));
            }
        }
        Track<Double> x = timeline.track(e.id(), Properties.POSITION_X), y = timeline.track(e.id(), Properties.POSITION_Y);
        eased(box.outer(), Mixes.part("place", 2), x, (a, b, p) -> Numbers.plain(a + (b - a) * p - box.shift().x(), 5));
        eased(box.outer(), Mixes.part("place", 3), y, (a, b, p) -> Numbers.plain(a + (b - a) * p - box.shift().y(), 5));
    }

    private static long last(Track<?> track) {
        return Math.max(track.keys().getLast().time(), track.keys().getFirst().time() + 1);
    }

    /** When a path with one easing passes its corners: by steps of a 480th of a second, near enough for the pieces to meet. */
    private static List<Double> passes(Track<Point> track, MotionPath path) {
        var out = new ArrayList<Double>();
        double from = track.keys().getFirst().time(), to = track.keys().getLast().time();
        for (double t = from; t < to; t += FRAME / 4) {
            out.add(t);
        }
        return path.length() == 0 ? List.of() : out;
    }

    private void size(Element e, Boxed box, Track<Point> track) {
        if (track == null) {
            return;
        }
        length(box.inner(), "width", track, Point::x, 1);
        length(box.inner(), "height", track, Point::y, 1);
        if (e.content() instanceof Content.Path && Mixes.apart(board, e.id(), Properties.OUTLINE, Properties.SIZE)) {
            return;
        }
        switch (e.content()) {
            case Content.Rectangle r -> {
                length(box.shape(), "width", track, Point::x, 1);
                length(box.shape(), "height", track, Point::y, 1);
            }
            case Content.Ellipse x -> {
                length(box.shape(), "cx", track, Point::x, 0.5);
                length(box.shape(), "rx", track, Point::x, 0.5);
                length(box.shape(), "cy", track, Point::y, 0.5);
                length(box.shape(), "ry", track, Point::y, 0.5);
            }
            case Content.Polygon p -> sized(box.shape(), "@d", track, s -> Outline.star(s, p.points(), p.inner()).svgPath());
            case Content.Path p when timeline.track(e.id(), Properties.OUTLINE) != null -> { }
            case Content.Path p -> {
                sized(box.shape(), "@d", track, s -> stretched(p, s));
                if (StrokeText.split(board, e)) {
                    for (int i = 0; i < p.outline().contours().size(); i++) {
                        var one = new Content.Path(new Outline(List.of(p.outline().contours().get(i))), p.box());
                        sized(box.shape() + "-" + i, "@d", track, s -> stretched(one, s));
                    }
                }
            }
            case Content.Picture p -> {
                length(box.shape(), "width", track, Point::x, 1);
                length(box.shape(), "height", track, Point::y, 1);
            }
            default -> { }
        }
    }

    private void length(String target, String property, Track<Point> track, Function<Point, Double> part, double factor) {
        sized(target, property, track, s -> Baker.px(Math.max(Marks.THIN, factor * part.apply(s))));
    }

    /** Text made of a size, which never goes below 0: where an easing leads there it is cut into pieces that don't. */
    private void sized(String target, String property, Track<Point> track, Function<Point, String> css) {
        if (target == null) {
            return;
        }
        DoubleFunction<Point> at = t -> track.at(t, Properties.SIZE.type()::lerp);
        double first = track.keys().getFirst().time(), last = track.keys().getLast().time();
        boolean leaves = false;
        for (int i = 0, n = 400 * (track.keys().size() - 1); i <= n; i++) {
            Point s = at.apply(first + (last - first) * i / Math.max(1, n));
            leaves |= s.x() < 0 || s.y() < 0;
        }
        if (leaves) {
            bake(target, property, t -> new double[] {Math.max(0, at.apply(t).x()), Math.max(0, at.apply(t).y())}, times(track), v -> css.apply(new Point(v[0], v[1])));
        } else {
            eased(target, property, track, (a, b, p) -> css.apply(a.lerp(b, p)));
        }
    }

    static String stretched(Content.Path p, Point size) {
        double kx = p.box().x() == 0 ? 1 : Math.max(0, size.x()) / p.box().x();
        double ky = p.box().y() == 0 ? 1 : Math.max(0, size.y()) / p.box().y();
        return kx == 1 && ky == 1 ? p.outline().svgPath() : p.outline().through(Affine.scale(kx, ky)).svgPath();
    }

    /** The radius never exceeds half of a side; SVG would clamp each axis on its own. */
    private void radius(Element e, Boxed box) {
        Track<Double> radius = timeline.track(e.id(), Properties.CORNER_RADIUS);
        Track<Point> size = timeline.track(e.id(), Properties.SIZE);
        boolean ever = keyed(board, e.id(), Properties.CORNER_RADIUS) || e.rest().get(Properties.CORNER_RADIUS) > 0;
        if (e.content() instanceof Content.Rectangle && ever && Mixes.apart(board, e.id(), Properties.CORNER_RADIUS, Properties.SIZE)) {
            corner(e, box.shape(), radius, size);
            return;
        }
        if (!(e.content() instanceof Content.Rectangle) || radius == null && (size == null || e.rest().get(Properties.CORNER_RADIUS) == 0)) {
            return;
        }
        var times = Stream.concat(times(radius).stream(), times(size).stream()).distinct().sorted().toList();
        for (String property : List.of("rx", "ry")) {
            bake(box.shape(), property, t -> {
                Point s = size == null ? e.rest().get(Properties.SIZE) : size.at(t, Properties.SIZE.type()::lerp);
                double r = radius == null ? e.rest().get(Properties.CORNER_RADIUS) : radius.at(t, Properties.CORNER_RADIUS.type()::lerp);
                return new double[] {Math.max(0, Math.min(r, Math.min(s.x(), s.y()) / 2))};
            }, times, v -> Baker.px(v[0]));
        }
    }

    /** The parts of a corner that are keyed here, where others are keyed elsewhere. */
    private void corner(Element e, String target, Track<Double> radius, Track<Point> size) {
        Point rest = e.rest().get(Properties.SIZE);
        mixes.rest(target, "corner", e.rest().get(Properties.CORNER_RADIUS), rest.x(), rest.y());
        number(target, Mixes.part("corner", 0), radius);
        if (size != null) {
            eased(target, Mixes.part("corner", 1), size, (a, b, p) -> Numbers.plain(a.lerp(b, p).x(), 4));
            eased(target, Mixes.part("corner", 2), size, (a, b, p) -> Numbers.plain(a.lerp(b, p).y(), 4));
        }
    }

    /** The times at which a track's curve starts anew or jumps, in µs. */
    static <T> List<Double> times(Track<T> track) {
        var out = new ArrayList<Double>();
        if (track != null) {
            var keys = track.keys();
            for (int i = 0; i < keys.size(); i++) {
                double t = keys.get(i).time();
                out.add(t);
                if (i + 1 < keys.size() && keys.get(i).easing() instanceof tundra.core.motion.StepsEasing s) {
                    for (int k = 1; k < s.count(); k++) {
                        out.add(t + (keys.get(i + 1).time() - t) * k / s.count());
                    }
                }
            }
        }
        return out;
    }

    private void bake(String target, String property, java.util.function.DoubleFunction<double[]> f, List<Double> times,
            Function<double[], String> css) {
        out.add(baked(timeline, target, property, f, times, css));
    }

    /** A function of time as straight pieces. */
    static PageTrack baked(Timeline timeline, String target, String property, java.util.function.DoubleFunction<double[]> f, List<Double> times,
            Function<double[], String> css) {
        var keys = new ArrayList<PageTrack.PageKey>();
        if (times.size() == 1) {
            keys.add(new PageTrack.PageKey(0, css.apply(f.apply(times.getFirst())), "linear"));
        } else {
            for (Baker.Sample s : Baker.straight(f, times)) {
                keys.add(new PageTrack.PageKey(s.time() / timeline.duration(), css.apply(s.at()), "linear"));
            }
        }
        return new PageTrack(target, property, closed(keys));
    }

    /** CSS text of a value between two keys. */
    interface Between<T> {
        String css(T a, T b, double p);
    }

    private <T> void eased(String target, String property, Track<T> track, Between<T> value) {
        if (track != null && target != null) {
            out.add(eased(timeline, target, property, track, value));
        }
    }

    static <T> PageTrack eased(Timeline timeline, String target, String property, Track<T> track, Between<T> value) {
        var keys = new ArrayList<PageTrack.PageKey>();
        double duration = timeline.duration();
        for (int i = 0; i + 1 < track.keys().size(); i++) {
            Key<T> a = track.keys().get(i), b = track.keys().get(i + 1);
            for (EasingPieces.Piece piece : EasingPieces.of(a.easing())) {
                double t = a.time() + (b.time() - a.time()) * piece.from();
                keys.add(new PageTrack.PageKey(t / duration, value.css(a.value(), b.value(), piece.low()), piece.css()));
            }
        }
        Key<T> last = track.keys().getLast();
        keys.add(new PageTrack.PageKey(last.time() / duration, value.css(last.value(), last.value(), 0), "linear"));
        return new PageTrack(target, property, closed(keys));
    }

    /** Colours blend by themselves; between gradients a gradient of the interval's own is changed. */
    private void paints(Element e, Boxed box, String target, String property, Property<Paint> p) {
        Track<Paint> track = timeline.track(e.id(), p);
        if (track == null || target == null) {
            return;
        }
        var keys = new ArrayList<PageTrack.PageKey>();
        double d = timeline.duration();
        for (int i = 0; i < track.keys().size(); i++) {
            Key<Paint> k = track.keys().get(i);
            Key<Paint> next = i + 1 < track.keys().size() ? track.keys().get(i + 1) : null;
            var pair = next == null ? null : GradientBlend.pair(k.value(), next.value());
            boolean blends = k.value() instanceof Color && (next == null || next.value() instanceof Color);
            if (pair != null) {
                String id = PaintText.blendId(e, p, timeline, i);
                if (i > 0 && track.keys().get(i - 1).value() instanceof Color && k.value() instanceof Color) {
                    // the blend of two colours ends with a colour
                    keys.add(new PageTrack.PageKey(k.time() / d, PaintText.css(e, p, k.value()), "linear"));
                }
                keys.add(new PageTrack.PageKey(k.time() / d, "url(#" + id + ")", "step-end"));
                out.addAll(GradientChannels.of(timeline, id, k, next, pair, PaintText.byShape(board, e, box.size()) ? new Point(1, 1)
                        : PaintText.byPlayer(board, e, box.size()) ? null : box.size()));
            } else {
                if (blends) {
                    keys.add(new PageTrack.PageKey(k.time() / d, PaintText.css(e, p, k.value()), EasingPieces.single(k.easing())));
                } else {
                    held(keys, track.keys(), i, v -> PaintText.css(e, p, v));
                }
            }
        }
        add(target, property, keys);
    }

    /** A value that can't blend with the next one: it jumps to it for as long as its easing is there. */
    private <T> void held(List<PageTrack.PageKey> out, List<Key<T>> keys, int i, Function<T, String> css) {
        Key<T> k = keys.get(i);
        double d = timeline.duration();
        out.add(new PageTrack.PageKey(k.time() / d, css.apply(k.value()), "step-end"));
        if (i + 1 < keys.size()) {
            Key<T> next = keys.get(i + 1);
            boolean there = k.easing().at(0) >= 1;
            for (double p : EasingPieces.arrivals(k.easing())) {
                there = !there;
                out.add(new PageTrack.PageKey((k.time() + (next.time() - k.time()) * p) / d, css.apply(there ? next.value() : k.value()), "step-end"));
            }
        }
    }

    private void words(String target, String property, Track<String> track) {
        if (track != null) {
            var keys = new ArrayList<PageTrack.PageKey>();
            for (int i = 0; i < track.keys().size(); i++) {
                held(keys, track.keys(), i, v -> v);
            }
            add(target, property, keys);
        }
    }

    private void colors(String target, String property, Track<Color> track) {
        if (track == null || target == null) {
            return;
        }
        var keys = track.keys().stream().map(k -> new PageTrack.PageKey((double) k.time() / timeline.duration(), k.value().hex(),
                EasingPieces.single(k.easing()))).toList();
        add(target, property, new ArrayList<>(keys));
    }

    /** Adds the still stretches before the first key and after the last. */
    private void add(String target, String property, List<PageTrack.PageKey> keys) {
        out.add(new PageTrack(target, property, closed(keys)));
    }

    static List<PageTrack.PageKey> closed(List<PageTrack.PageKey> keys) {
        var first = keys.getFirst();
        if (first.offset() > 0) {
            keys.addFirst(new PageTrack.PageKey(0, first.value(), "linear"));
        }
        var last = keys.getLast();
        if (last.offset() < 1) {
            keys.add(new PageTrack.PageKey(1, last.value(), "linear"));
        }
        return keys;
    }

    static String pair(Point p, int decimals, String unit) {
        return Numbers.plain(p.x(), decimals) + unit + " " + Numbers.plain(p.y(), decimals) + unit;
    }

    /** Whether a property of an element is keyed on any timeline. */
    static boolean keyed(Board board, String id, Property<?> p) {
        return board.timelines().stream().anyMatch(t -> t.track(id, p) != null);
    }
}
