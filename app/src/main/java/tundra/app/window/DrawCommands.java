package tundra.app.window;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tundra.app.command.Commands;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.tool.Selected;
import tundra.app.tool.ToolKind;
import tundra.app.tool.ToolOptions;
import tundra.core.draw.Combine;
import tundra.core.draw.NodeEdit;
import tundra.core.draw.StrokeOutline;
import tundra.core.edit.Align;
import tundra.core.edit.Arrange;
import tundra.core.edit.Names;
import tundra.core.edit.Reshape;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.Mark;
import tundra.core.frame.Marks;
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
import tundra.core.model.Values;

/** Commands of drawing: nodes, areas, alignment. */
final class DrawCommands {
    private final Workshop w;
    private final Studio s;

    private DrawCommands(Workshop w) {
        this.w = w;
        this.s = w.studio;
    }

    static void add(Workshop w) {
        var d = new DrawCommands(w);
        d.nodes(w.commands);
        d.areas(w.commands);
        d.lines(w.commands);
        d.looks(w.commands);
    }

    private boolean several() {
        return s.selection().size() > 1;
    }

    private boolean shapes() {
        return !shapesOf(s.selection()).isEmpty();
    }

    private List<Element> shapesOf(Set<String> ids) {
        return s.board().elements().isEmpty() ? List.of()
                : ids.stream().map(s.board()::find).filter(e -> e != null && e.content() instanceof Content.Shape && !e.locked()).toList();
    }

    private void nodes(Commands c) {
        java.util.function.BooleanSupplier any = () -> w.tools.kind() == ToolKind.NODES && w.nodes.any();
        c.add("nodes-corner", "Make nodes corners", "Shift+C", any, () -> w.nodes.convert(NodeEdit.Kind.CORNER));
        c.add("nodes-smooth", "Make nodes smooth", "Shift+S", any, () -> w.nodes.convert(NodeEdit.Kind.SMOOTH));
        c.add("nodes-symmetric", "Make nodes symmetric", "Shift+Y", any, () -> w.nodes.convert(NodeEdit.Kind.SYMMETRIC));
        c.add("nodes-break", "Break path at nodes", "Shift+B", any, w.nodes::breakNodes);
        c.add("nodes-join", "Join ends, or close path", "Shift+J", any, w.nodes::join);
        c.add("to-path", "Turn into path", "Shortcut+Shift+P", this::shapes, () -> s.edit("Turn into path", b -> {
            Board out = b;
            for (Element e : shapesOf(s.selection())) {
                out = Reshape.toPath(out, e.id());
            }
            return out;
        }));
    }

    private void areas(Commands c) {
        String[] names = {"Union of areas", "Subtract the upper areas", "Intersect areas", "Exclude where areas meet"};
        for (Combine.Operation o : Combine.Operation.values()) {
            c.add("combine-" + o, names[o.ordinal()], "Alt+" + new String[] {"U", "B", "I", "X"}[o.ordinal()],
                    () -> shapesOf(s.selection()).size() > 1, () -> combine(o, names[o.ordinal()]));
        }
        c.add("outline-stroke", "Turn stroke into an outline", "Alt+O", this::shapes, this::outlineStroke);
    }

    /** The selected shapes from back to front. */
    private List<Element> inOrder() {
        var order = new ArrayList<>(tundra.core.model.Tree.ids(s.board().elements()));
        return shapesOf(s.selection()).stream().sorted(java.util.Comparator.comparingInt(e -> order.indexOf(e.id()))).toList();
    }

    private void combine(Combine.Operation operation, String name) {
        var all = inOrder();
        var outlines = new ArrayList<Outline>();
        for (Element e : all) {
            Frame.Placed p = s.frame().find(e.id());
            if (p == null) {
                return;
            }
            Values v = s.valuesOf(e.id());
            Form form = Marks.form((Content.Shape) e.content(), v);
            Outline area = form instanceof Form.Curve c && c.evenOdd() ? Combine.fromEvenOdd(c.outline()) : form.outline();
            outlines.add(area.through(p.toCanvas()));
        }
        replace(name, all, Combine.of(operation, outlines), all.getFirst());
    }

    /** Puts one path in the place of shapes, with the look of one of them. */
    private void replace(String name, List<Element> old, Outline onCanvas, Element look) {
        List<String> path = s.board().path(look.id());
        Frame.Placed parent = path.size() < 2 ? null : s.frame().find(path.get(path.size() - 2));
        Outline local = parent == null ? onCanvas : onCanvas.through(parent.toCanvas().inverse());
        Rect r = local.bounds();
        if (r == null) {
            w.notices.news("Nothing is left: the areas don't meet. They stay as they are.");
            return;
        }
        Point box = new Point(r.width(), r.height());
        Element e = new Element(look.name(), new Content.Path(local.through(Affine.translate(-r.x(), -r.y())), box),
                look.rest().with(Properties.POSITION, r.centre()).with(Properties.SIZE, box).with(Properties.PIVOT, new Point(0.5, 0.5))
                        .with(Properties.ROTATION, 0.0).with(Properties.SCALE, new Point(1, 1)));
        s.edit(name, b -> {
            Board out = b.withElements(tundra.core.model.Tree.replace(b.elements(), look.id(), x -> List.of(x, e)));
            out = Arrange.delete(out, old.stream().map(Element::id).toList());
            return Names.rename(out.mapElement(e.id(), x -> x.withName("")), e.id(), look.name());
        });
        s.select(List.of(e.id()));
    }

    private void outlineStroke() {
        for (Element e : inOrder()) {
            Values v = s.valuesOf(e.id());
            Frame.Placed p = s.frame().find(e.id());
            if (p == null || p.node().marks().stream().noneMatch(m -> m instanceof Mark.Stroke)) {
                continue;
            }
            var outlines = new ArrayList<Outline>();
            for (StrokeStyle.Run run : StrokeStyle.runs(Marks.form((Content.Shape) e.content(), v), v)) {
                outlines.add(StrokeOutline.of(run.form().outline(), run.style()));
            }
            Element painted = e.with(Properties.FILL, v.get(Properties.STROKE)).with(Properties.STROKE, Color.NONE);
            Outline stroke = Combine.of(Combine.Operation.UNION, outlines).through(p.toCanvas());
            if (v.get(Properties.FILL).visible()) {
                // the area stays beneath its own outline
                s.edit("Turn stroke into an outline", b -> b.mapElement(e.id(), x -> x.with(Properties.STROKE, Color.NONE)));
                Element top = path(painted.name() + " outline", stroke, painted);
                s.edit("Turn stroke into an outline", b -> s.add(b, top));
                s.select(List.of(top.id()));
            } else {
                replace("Turn stroke into an outline", List.of(e), stroke, painted);
            }
        }
    }

    private static Element path(String name, Outline onCanvas, Element look) {
        Rect r = onCanvas.bounds();
        Point box = new Point(r.width(), r.height());
        return new Element(name, new Content.Path(onCanvas.through(Affine.translate(-r.x(), -r.y())), box), Values.NONE
                .with(Properties.POSITION, r.centre()).with(Properties.SIZE, box).with(Properties.FILL, look.rest().get(Properties.FILL)));
    }

    private void lines(Commands c) {
        String[] names = {"left edges", "centres", "right edges", "top edges", "middles", "bottom edges"};
        String[] keys = {"LEFT", "C", "RIGHT", "UP", "M", "DOWN"};
        for (Align.Edge e : Align.Edge.values()) {
            c.add("align-" + e, "Align " + names[e.ordinal()], "Alt+Shift+" + keys[e.ordinal()], () -> !s.selection().isEmpty(),
                    () -> s.edit("Align " + names[e.ordinal()], b -> Align.to(b, s.selection(), s.frame(), e, target())));
        }
        c.add("distribute-level", "Distribute across", "Alt+Shift+H", () -> s.selection().size() > 2,
                () -> s.edit("Distribute across", b -> Align.distribute(b, s.selection(), s.frame(), true)));
        c.add("distribute-upright", "Distribute down", "Alt+Shift+V", () -> s.selection().size() > 2,
                () -> s.edit("Distribute down", b -> Align.distribute(b, s.selection(), s.frame(), false)));
        c.add("match-width", "Match width", "Alt+Shift+W", () -> !s.selection().isEmpty(), () -> match("Match width", true, false));
        c.add("match-height", "Match height", "Alt+Shift+E", () -> !s.selection().isEmpty(), () -> match("Match height", false, true));
        c.add("match-size", "Match size", "Alt+Shift+S", () -> !s.selection().isEmpty(), () -> match("Match size", true, true));
    }

    private void match(String name, boolean width, boolean height) {
        s.edit(name, b -> Align.matchSize(b, s.selection(), s.frame(), width, height, target()));
    }

    /** What alignment goes by: what was chosen; with one element selected always the canvas. */
    private Rect target() {
        Point size = s.board().size();
        Rect canvas = new Rect(0, 0, size.x(), size.y());
        Rect found = switch (several() ? w.options.alignTo : ToolOptions.AlignTo.CANVAS) {
            case CANVAS -> canvas;
            case SELECTION -> Align.around(s.board(), s.selection(), s.frame());
            case LAST -> Align.around(s.board(), List.of(List.copyOf(s.selection()).getLast()), s.frame());
        };
        return found == null ? canvas : found;
    }

    private void looks(Commands c) {
        c.add("guide", () -> allGuides() ? "Publish again" : "Make a guide", "Shortcut+Shift+L", () -> !s.selection().isEmpty(), () -> {
            boolean on = !allGuides();
            s.edit(on ? "Make a guide" : "Publish again", b -> {
                Board out = b;
                for (String id : s.selection()) {
                    out = out.mapElement(id, e -> e.withGuide(on));
                }
                return out;
            });
        });
        c.add("solo", () -> s.solo().isEmpty() ? "Show only what is selected" : "Show everything again", "Shift+H",
                () -> !s.solo().isEmpty() || !s.selection().isEmpty(), () -> s.setSolo(s.solo().isEmpty() ? s.selection() : Set.of()));
        c.add("flip-level", "Flip across", "Shift+X", () -> !s.selection().isEmpty(), () -> flip("Flip across", new Point(-1, 1)));
        c.add("flip-upright", "Flip upside down", "Shift+V", () -> !s.selection().isEmpty(), () -> flip("Flip upside down", new Point(1, -1)));
        turns(c);
        c.add("fit-bounds", "Fit the group's bounds to its content", null,
                () -> s.selected() != null && s.selected().content() instanceof Content.Parent, this::fitBounds);
        c.add("read-swatches", "Read swatches from a palette (.gpl)", null, () -> true, w.files::readSwatches);
        c.add("write-swatches", "Write the swatches to a palette (.gpl)", null, () -> !s.project().swatches().isEmpty(), w.files::writeSwatches);
        c.add("rulers", () -> w.canvas.rulers() ? "Hide rulers" : "Show rulers", "Shortcut+R", () -> s.desk() == Desk.DRAW,
                () -> w.canvas.setRulers(!w.canvas.rulers()));
        c.add("clear-lines", "Take away all ruler lines", null, () -> !s.board().lines().isEmpty(),
                () -> s.edit("Take away ruler lines", b -> b.withLines(List.of())));
    }

    private void turns(Commands c) {
        c.add("turn-right", "Turn a quarter to the right", null, () -> !s.selection().isEmpty(), () -> turn("Turn a quarter to the right", 90));
        c.add("turn-left", "Turn a quarter to the left", null, () -> !s.selection().isEmpty(), () -> turn("Turn a quarter to the left", -90));
        c.add("pivot-middle", "Pivot to the middle", null, () -> !s.selection().isEmpty(), () -> pivot("Pivot to the middle", new Point(0.5, 0.5)));
        c.add("pivot-feet", "Pivot to the middle of the lower edge", null, () -> !s.selection().isEmpty(), () -> pivot("Pivot to the lower edge", new Point(0.5, 1)));
    }

    private void turn(String name, double degrees) {
        var several = Selected.turning(s, w.options);
        s.edit(name, b -> several.turn(b, degrees, Selected.dragging(s, several.parts())));
    }

    private void pivot(String name, Point pivot) {
        Frame seen = s.frame();
        s.edit(name, b -> {
            Board out = b;
            for (String id : s.selection()) {
                Frame.Placed p = seen.find(id);
                if (p != null && !b.find(id).locked()) {
                    out = tundra.core.edit.Placing.pivot(out, id, pivot, p.node().toParent(), p.node().box());
                }
            }
            return out;
        });
    }

    private void fitBounds() {
        Element g = s.selected();
        Frame.Placed placed = s.frame().find(g.id());
        if (placed == null) {
            w.notices.news(g.name() + " isn't seen here: show it, or go to a time at which it is seen. Its bounds stay as they are.");
            return;
        }
        Rect all = null;
        for (var child : placed.node().children()) {
            all = child.toParent().bounds(new Rect(0, 0, child.box().x(), child.box().y())).union(all);
        }
        Rect box = all;
        if (box != null) {
            s.edit("Fit bounds of " + g.name(), b -> tundra.core.edit.GroupBox.set(b, g.id(), box));
        }
    }

    private boolean allGuides() {
        return s.selection().stream().allMatch(id -> s.board().find(id).guide());
    }

    private void flip(String name, Point by) {
        s.edit(name, b -> {
            Board out = b;
            for (String id : s.selection()) {
                out = s.set(out, id, Properties.SCALE, s.valueAt(id, Properties.SCALE).times(by));
            }
            return out;
        });
    }
}
