package tundra.web;

import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import tundra.core.frame.ElementPaint;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Track;

/** The size of an element's box and of the rectangle, ellipse or picture in it. */
final class SizeChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.SIZE);
    }

    @Override
    public boolean everywhere() {
        return true;
    }

    @Override
    public boolean movesBox() {
        return true;
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        Point box = e.box().size();
        css.put(e.box().box(), "width", CssText.px(box.x()));
        css.put(e.box().box(), "height", CssText.px(box.y()));
        String shape = e.box().shape();
        switch (e.content()) {
            case Content.Rectangle r -> {
                css.put(shape, "width", side(box.x()));
                css.put(shape, "height", side(box.y()));
            }
            case Content.Ellipse x -> {
                css.put(shape, "cx", CssText.px(box.x() / 2));
                css.put(shape, "cy", CssText.px(box.y() / 2));
                css.put(shape, "rx", side(box.x() / 2));
                css.put(shape, "ry", side(box.y() / 2));
            }
            case Content.Picture p -> {
                css.put(shape, "width", CssText.px(box.x()));
                css.put(shape, "height", CssText.px(box.y()));
            }
            default -> { }
        }
    }

    /** Of a shape: one without any width isn't painted by browsers, and its stroke is a line. */
    private static String side(double v) {
        return CssText.px(Math.max(ElementPaint.THIN, v));
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Point> track = out.of(e, Properties.SIZE);
        if (track == null) {
            return;
        }
        length(out, e.box().inner(), "width", track, Point::x, 1);
        length(out, e.box().inner(), "height", track, Point::y, 1);
        String shape = e.box().shape();
        switch (e.content()) {
            case Content.Rectangle r -> box(out, shape, track);
            case Content.Picture p -> box(out, shape, track);
            case Content.Ellipse x -> {
                length(out, shape, "cx", track, Point::x, 0.5);
                length(out, shape, "rx", track, Point::x, 0.5);
                length(out, shape, "cy", track, Point::y, 0.5);
                length(out, shape, "ry", track, Point::y, 0.5);
            }
            default -> { }
        }
    }

    private static void box(Tracks out, String shape, Track<Point> track) {
        length(out, shape, "width", track, Point::x, 1);
        length(out, shape, "height", track, Point::y, 1);
    }

    private static void length(Tracks out, String target, String property, Track<Point> track, Function<Point, Double> part, double factor) {
        sized(out, target, property, track, s -> side(factor * part.apply(s)));
    }

    /** Text made of a size, which never goes below 0: where an easing leads there it is cut into pieces that don't. */
    static void sized(Tracks out, String target, String property, Track<Point> track, Function<Point, String> css) {
        DoubleFunction<Point> at = t -> track.at(t, Properties.SIZE.type()::lerp);
        if (Baker.leaves(track, at, s -> s.x() < 0 || s.y() < 0)) {
            out.baked(target, property, t -> new double[] {Math.max(0, at.apply(t).x()), Math.max(0, at.apply(t).y())}, Tracks.times(track),
                    v -> css.apply(new Point(v[0], v[1])));
        } else {
            out.eased(target, property, track, (a, b, p) -> css.apply(a.lerp(b, p)));
        }
    }
}
