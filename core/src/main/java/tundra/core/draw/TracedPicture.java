package tundra.core.draw;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Traced sheets as a group of paths that stands where the picture stood. */
public final class TracedPicture {
    private TracedPicture() {}

    /** @param w the width of the traced pixels, which the picture's size stands for */
    public static Element group(List<Trace.Sheet> sheets, int w, int h, Element picture) {
        Point size = picture.rest().get(Properties.SIZE);
        var paths = new ArrayList<Element>();
        for (Trace.Sheet s : sheets) {
            Outline o = s.outline().through(Affine.scale(size.x() / w, size.y() / h));
            Rect r = o.bounds();
            var content = new Content.Path(o.through(Affine.translate(-r.x(), -r.y())), new Point(r.width(), r.height()), true);
            paths.add(new Element(picture.name() + " " + s.color().hex(), content, Values.NONE.with(Properties.POSITION, r.centre())
                    .with(Properties.SIZE, new Point(r.width(), r.height())).with(Properties.FILL, s.color())));
        }
        Values v = Values.NONE;
        for (var p : List.of(Properties.POSITION, Properties.SCALE, Properties.PIVOT)) {
            v = v.with(p, picture.rest().get(p));
        }
        v = v.with(Properties.ROTATION, picture.rest().get(Properties.ROTATION)).with(Properties.OPACITY, picture.rest().get(Properties.OPACITY));
        return new Element(picture.name() + " traced", new Content.Group(paths, size), v);
    }
}
