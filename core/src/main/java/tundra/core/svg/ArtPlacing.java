package tundra.core.svg;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.edit.FreeNames;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Puts read drawings into projects. */
public final class ArtPlacing {
    private static final double LARGEST = 8192;

    private ArtPlacing() {}

    /** A picture in the middle of a canvas, made smaller where it is larger than that. */
    public static Element picture(Asset a, Point canvas) {
        double k = Math.min(1, Math.min(canvas.x() / a.width(), canvas.y() / a.height()));
        return new Element(a.title(), new Content.Picture(a.hash()), Values.NONE.with(Properties.POSITION, canvas.times(0.5))
                .with(Properties.SIZE, new Point(a.width() * k, a.height() * k)));
    }

    /** A project of its own with a canvas of the drawing's size; a drawing that is larger than a canvas may be is made smaller. */
    public static Project project(SvgArt art, String name, int frameRate) {
        double k = Math.min(1, LARGEST / Math.max(art.size().x(), art.size().y()));
        Point size = new Point(Math.max(1, art.size().x() * k), Math.max(1, art.size().y() * k));
        Project p = Project.empty(name, size, frameRate);
        for (var a : art.assets().values()) {
            p = p.withAsset(a);
        }
        var names = new FreeNames(List.of());
        List<Element> all = art.elements().stream().map(e -> named(e, names)).toList();
        if (k < 1) {
            var content = new Content.Group(all, art.size());
            all = List.of(new Element(names.take("Drawing"), content, Values.NONE.with(Properties.POSITION, size.times(0.5))
                    .with(Properties.SCALE, new Point(k, k))));
        }
        var elements = all;
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(elements));
    }

    /** A board and the element that was added to it. */
    public record Placed(Board board, String id) {}

    /** Adds a drawing as one group in the middle of the canvas, made smaller when it is larger than that. */
    public static Placed add(Board board, SvgArt art, String name) {
        double k = Math.min(1, Math.min(board.size().x() / Math.max(1, art.size().x()), board.size().y() / Math.max(1, art.size().y())));
        Set<String> taken = new HashSet<>();
        Tree.each(board.elements(), e -> taken.add(e.name()));
        var names = new FreeNames(taken);
        String free = names.take(name);
        List<Element> inside = art.elements().stream().map(e -> named(e, names)).toList();
        Element e;
        if (inside.size() == 1 && k == 1) {
            e = inside.getFirst().withName(free);
            e = moved(e, board.size().minus(art.size()).times(0.5));
        } else {
            e = new Element(free, new Content.Group(inside, art.size()), Values.NONE.with(Properties.POSITION, board.size().times(0.5))
                    .with(Properties.SCALE, new Point(k, k)));
        }
        var all = new ArrayList<>(board.elements());
        all.add(e);
        return new Placed(board.withElements(all), e.id());
    }

    private static Element moved(Element e, Point by) {
        return e.with(Properties.POSITION, e.rest().get(Properties.POSITION).plus(by));
    }

    private static Element named(Element e, FreeNames names) {
        Element own = e.withName(names.take(e.name()));
        UnaryOperator<Element> inner = c -> named(c, names);
        return own.content() instanceof Content.Group ? own.withChildren(e.children().stream().map(inner).toList()) : own;
    }
}
