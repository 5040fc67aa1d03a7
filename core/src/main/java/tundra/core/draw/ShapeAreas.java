package tundra.core.draw;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tundra.core.edit.Arrange;
import tundra.core.edit.FreeNames;
import tundra.core.edit.Names;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.Mark;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Shapes of a board as areas: put together into one path, or their strokes turned into paths. Everything as it is seen now. */
public final class ShapeAreas {
    private final Board board;
    private final Frame seen;
    private final Function<String, Values> values;

    /** @param values what the shapes look like now, by their ids */
    public ShapeAreas(Board board, Frame seen, Function<String, Values> values) {
        this.board = board;
        this.seen = seen;
        this.values = values;
    }

    /** The board and the ids of the paths that were made. */
    public record Result(Board board, List<String> ids) {}

    /** The shapes of some ids that aren't locked, from back to front. */
    public static List<Element> shapes(Board board, Collection<String> ids) {
        Set<String> meant = new HashSet<>(ids);
        var out = new ArrayList<Element>();
        Tree.each(board.elements(), e -> {
            if (meant.contains(e.id()) && e.content() instanceof Content.Shape && !e.locked()) {
                out.add(e);
            }
        });
        return out;
    }

    /** One path in the place of shapes, with the look of the lowest; null when nothing is left or one of them isn't seen. */
    public Result combined(Combine.Operation operation, Collection<String> ids) {
        List<Element> all = shapes(board, ids);
        var outlines = new ArrayList<Outline>();
        for (Element e : all) {
            Frame.Placed p = seen.find(e.id());
            if (p == null) {
                return null;
            }
            Form form = form(e);
            Outline area = form instanceof Form.Curve c && c.evenOdd() ? Combine.fromEvenOdd(c.outline()) : form.outline();
            outlines.add(area.through(p.toCanvas()));
        }
        Element look = all.getFirst();
        Element path = path(look, toParent(look.id(), Combine.of(operation, outlines)), look.name());
        if (path == null) {
            return null;
        }
        Board out = board.withElements(Tree.replace(board.elements(), look.id(), x -> List.of(x, path)));
        out = Arrange.delete(out, all.stream().map(Element::id).toList());
        return new Result(Names.rename(out.mapElement(path.id(), x -> x.withName("")), path.id(), look.name()), List.of(path.id()));
    }

    /** The strokes of shapes as paths: in the place of a shape without a fill, else right above it. */
    public Result outlined(Collection<String> ids) {
        var names = new HashSet<String>();
        Tree.each(board.elements(), e -> names.add(e.name()));
        var free = new FreeNames(names);
        Map<String, List<Element>> instead = new HashMap<>();
        var made = new ArrayList<String>();
        var gone = new ArrayList<String>();
        for (Element e : shapes(board, ids)) {
            Frame.Placed p = seen.find(e.id());
            if (p == null || p.node().marks().stream().noneMatch(m -> m instanceof Mark.Stroke)) {
                continue;
            }
            Values v = values.apply(e.id());
            var outlines = StrokeStyle.runs(form(e), v).stream().map(run -> StrokeOutline.of(run.form().outline(), run.style())).toList();
            Outline stroke = toParent(e.id(), Combine.of(Combine.Operation.UNION, outlines).through(p.toCanvas()));
            boolean filled = v.get(Properties.FILL).visible();
            Element painted = e.with(Properties.FILL, v.get(Properties.STROKE)).with(Properties.STROKE, Color.NONE);
            Element path = path(painted, stroke, filled ? free.take(e.name() + " outline") : e.name());
            if (path != null) {
                instead.put(e.id(), filled ? List.of(e.with(Properties.STROKE, Color.NONE), path) : List.of(e, path));
                made.add(path.id());
                if (!filled) {
                    gone.add(e.id());
                }
            }
        }
        return made.isEmpty() ? null : new Result(Arrange.delete(board.withElements(Tree.replaced(board.elements(), instead)), gone), made);
    }

    private Form form(Element e) {
        Values v = values.apply(e.id());
        return ElementPaint.form((Content.Shape) ElementPaint.resolved(e.content(), v), v);
    }

    private Outline toParent(String id, Outline onCanvas) {
        List<String> path = board.path(id);
        Frame.Placed parent = path.size() < 2 ? null : seen.find(path.get(path.size() - 2));
        return parent == null ? onCanvas : onCanvas.through(parent.toCanvas().inverse());
    }

    /** An outline in a parent as an element of its own, with the look of another; null for an empty one. */
    private static Element path(Element look, Outline local, String name) {
        Rect r = local.bounds();
        if (r == null) {
            return null;
        }
        Point box = new Point(r.width(), r.height());
        return new Element(name, new Content.Path(local.through(Affine.translate(-r.x(), -r.y())), box),
                look.rest().with(Properties.POSITION, r.centre()).with(Properties.SIZE, box).with(Properties.PIVOT, new Point(0.5, 0.5))
                        .with(Properties.ROTATION, 0.0).with(Properties.SCALE, new Point(1, 1)).with(Properties.SKEW, Point.ZERO));
    }
}
