package tundra.web;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Morph;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** The data of a path or a polygon: its form stretched to its size. The markup has it at rest. */
final class FormChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.OUTLINE, Properties.SIZE);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        if (e.content() instanceof Content.Path p && p.evenOdd()) {
            css.put(e.box().shape(), "fill-rule", "evenodd");
        }
    }

    /** The data of a path or a polygon in a box. */
    static String data(Content.Shape shape, Point box) {
        return switch (shape) {
            case Content.Path p -> stretched(p, box);
            case Content.Polygon p -> Outline.star(box, p.points(), p.inner()).svgPath();
            default -> throw new IllegalArgumentException("no path: " + shape);
        };
    }

    private static String stretched(Content.Path p, Point size) {
        double kx = factor(size.x(), p.box().x()), ky = factor(size.y(), p.box().y());
        return kx == 1 && ky == 1 ? p.outline().svgPath() : p.outline().through(Affine.scale(kx, ky)).svgPath();
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Point> size = out.of(e, Properties.SIZE);
        switch (e.content()) {
            case Content.Polygon p when size != null -> SizeChannel.sized(out, e.box().shape(), "@d", size, s -> data(p, s));
            case Content.Path p -> path(e, p, size, out);
            default -> { }
        }
    }

    private static void path(PageElement e, Content.Path p, Track<Point> size, Tracks out) {
        Track<Outline> track = out.of(e, Properties.OUTLINE);
        boolean apart = e.apart(Properties.OUTLINE, Properties.SIZE);
        int contours = StrokeText.split(e.board(), e.element()) ? StrokeText.contours(e.board(), e.element()) : 0;
        for (int i = -1; i < contours; i++) {
            String target = i < 0 ? e.box().shape() : e.box().shape() + "-" + i;
            if (track != null) {
                forms(e, p, track, apart ? null : size, apart, target, i, out);
            } else if (size != null && !apart && i < p.outline().contours().size()) {
                var one = i < 0 ? p : new Content.Path(new Outline(List.of(p.outline().contours().get(i))), p.box());
                SizeChannel.sized(out, target, "@d", size, s -> stretched(one, s));
            }
        }
        if (apart) {
            stretching(e, p, contours, size, out);
        }
    }

    /** @param contour the one that is meant; -1 for all */
    private static void forms(PageElement e, Content.Path p, Track<Outline> track, Track<Point> size, boolean apart, String target, int contour,
            Tracks out) {
        var keys = new ArrayList<PageTrack.PageKey>();
        var blend = new Morph.Matching();
        double d = out.timeline().duration();
        if (size == null) {
            Point rest = apart ? p.box() : e.rest(Properties.SIZE);
            for (int i = 0; i + 1 < track.keys().size(); i++) {
                Key<Outline> a = track.keys().get(i), b = track.keys().get(i + 1);
                for (EasingPieces.Piece piece : EasingPieces.of(a.easing())) {
                    double t = a.time() + (b.time() - a.time()) * piece.from();
                    keys.add(new PageTrack.PageKey(t / d, form(p, blend.at(a.value(), b.value(), piece.low()), rest, contour), piece.css()));
                }
                // each interval ends with as many nodes as it had
                keys.add(new PageTrack.PageKey(b.time() / d, form(p, blend.at(a.value(), b.value(), 1), rest, contour), "linear"));
            }
            if (keys.isEmpty()) {
                keys.add(new PageTrack.PageKey(0, form(p, track.keys().getFirst().value(), rest, contour), "linear"));
            }
            out.add(target, apart ? Mixes.part("form", 0) : "@d", keys, out.timeline().loop() ? calm(track) : 0);
            return;
        }
        for (double t = 0; t <= d; t += Baker.FRAME) {
            keys.add(key(p, track, blend, size, t, d, contour));
        }
        for (double t : Tracks.all(Tracks.times(track), Tracks.times(size))) {
            keys.add(key(p, track, blend, size, Math.max(0, t - 1), d, contour));
            keys.add(key(p, track, blend, size, t, d, contour));
        }
        keys.sort(Comparator.comparingDouble(PageTrack.PageKey::offset));
        out.add(target, "@d", keys);
    }

    /** For how many ms no node goes farther than a px; what loops for ever is not set more often than that, nor less than 8 times a second. */
    private static double calm(Track<Outline> track) {
        return Math.round(Math.min(125, 1000 / Math.max(1, Morph.speed(track))));
    }

    private static PageTrack.PageKey key(Content.Path p, Track<Outline> track, Morph.Matching blend, Track<Point> size, double t, double duration,
            int contour) {
        return new PageTrack.PageKey(t / duration, form(p, track.at(t, blend), size.at(t, Properties.SIZE.type()::lerp), contour), "linear");
    }

    /** The size's part in forms that are keyed on another timeline. */
    private static void stretching(PageElement e, Content.Path p, int contours, Track<Point> size, Tracks out) {
        Point rest = e.rest(Properties.SIZE);
        for (int i = -1; i < contours; i++) {
            String target = i < 0 ? e.box().shape() : e.box().shape() + "-" + i;
            out.mixes().rest(target, "form", form(p, p.outline(), p.box(), i), factor(rest.x(), p.box().x()), factor(rest.y(), p.box().y()));
            out.eased(target, Mixes.part("form", 1), size, (a, b, q) -> Channels.plain(factor(a.lerp(b, q).x(), p.box().x())));
            out.eased(target, Mixes.part("form", 2), size, (a, b, q) -> Channels.plain(factor(a.lerp(b, q).y(), p.box().y())));
        }
    }

    private static double factor(double size, double box) {
        return box < 1e-9 ? 1 : Math.max(0, size) / box;
    }

    /** A contour that isn't there yet or any more is a point, which paints nothing. */
    private static String form(Content.Path p, Outline o, Point size, int contour) {
        Outline meant = contour < 0 ? o : contour < o.contours().size() ? new Outline(List.of(o.contours().get(contour))) : null;
        return meant == null ? "M0 0" : meant.through(Affine.scale(factor(size.x(), p.box().x()), factor(size.y(), p.box().y()))).svgCurves(4);
    }
}
