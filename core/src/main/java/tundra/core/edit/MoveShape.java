package tundra.core.edit;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** A motion path as a drawn shape. */
final class MoveShape {
    private MoveShape() {}

    @SuppressWarnings("unchecked")
    static Element of(String name, Track<?> track, Values look) {
        var path = new MotionPath((Track<Point>) track);
        boolean closed = track.shape().closed();
        var keys = path.keys();
        var nodes = keys.subList(0, closed ? keys.size() - 1 : keys.size()).stream()
                .map(k -> new Node(k.value(), k.in(), k.out(), k.curved())).toList();
        var outline = new Outline(List.of(new Contour(nodes, closed)));
        Rect r = outline.bounds();
        var content = new Content.Path(outline.through(Affine.translate(-r.x(), -r.y())), new Point(r.width(), r.height()));
        return new Element(name, content, look.with(Properties.POSITION, r.centre()).with(Properties.SIZE, new Point(r.width(), r.height())));
    }
}
