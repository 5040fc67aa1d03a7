package tundra.app.builtin;

import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.tool.Selected;
import tundra.app.tool.ToolKind;
import tundra.app.tool.ToolOptions;
import tundra.core.draw.Combine;
import tundra.core.draw.NodeEdit;
import tundra.core.draw.ShapeAreas;
import tundra.core.edit.Align;
import tundra.core.edit.GroupBox;
import tundra.core.edit.Kept;
import tundra.core.edit.Placing;
import tundra.core.edit.Reshape;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/** Commands of drawing: nodes, areas, alignment. */
public final class DrawCommands {
    private final Workshop w;
    private final Studio s;

    private DrawCommands(Workshop w) {
        this.w = w;
        this.s = w.studio;
    }

    public static void add(Workshop w) {
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
        return shapes(1);
    }

    /** Whether so many shapes are selected that aren't locked; no more of the selection is looked at than that takes. */
    private boolean shapes(int many) {
        return s.selection().stream().map(s.board()::find).filter(e -> e != null && e.content() instanceof Content.Shape && !e.locked()).limit(many)
                .count() == many;
    }

    private void nodes(Commands c) {
        BooleanSupplier any = () -> w.tools.kind() == ToolKind.NODES && w.nodes.chose();
        c.add(CommandIds.NODES_CORNER, "Make nodes corners", "Shift+C", any, () -> w.nodes.convert(NodeEdit.Kind.CORNER));
        c.add(CommandIds.NODES_SMOOTH, "Make nodes smooth", "Shift+S", any, () -> w.nodes.convert(NodeEdit.Kind.SMOOTH));
        c.add(CommandIds.NODES_SYMMETRIC, "Make nodes symmetric", "Shift+Y", any, () -> w.nodes.convert(NodeEdit.Kind.SYMMETRIC));
        c.add(CommandIds.NODES_BREAK, "Break path at nodes", "Shift+B", any, w.nodes::breakNodes);
        c.add(CommandIds.NODES_JOIN, "Join ends, or close path", "Shift+J", any, w.nodes::join);
        c.add(CommandIds.TO_PATH, "Turn into path", "Shortcut+Shift+P", this::shapes, () -> s.edit("Turn into path", b -> {
            Board out = b;
            for (Element e : ShapeAreas.shapes(s.board(), s.selection())) {
                out = Reshape.toPath(out, e.id());
            }
            return out;
        }));
    }

    private void areas(Commands c) {
        String[] names = {"Union of areas", "Subtract the upper areas", "Intersect areas", "Exclude where areas meet"};
        for (Combine.Operation o : Combine.Operation.values()) {
            c.add(CommandIds.COMBINE + o, names[o.ordinal()], "Alt+" + new String[] {"U", "B", "I", "X"}[o.ordinal()],
                    () -> shapes(2), () -> combine(o, names[o.ordinal()]));
        }
        c.add(CommandIds.OUTLINE_STROKE, "Turn stroke into an outline", "Alt+O", this::shapes, this::outlineStroke);
    }

    private void combine(Combine.Operation operation, String name) {
        make(name, k -> areas(k).combined(operation, s.selection()), "Nothing is left: the areas don't meet. They stay as they are.");
    }

    private ShapeAreas areas(Kept k) {
        return new ShapeAreas(k.board(), s.picture().frame(), s.picture()::valuesOf);
    }

    /** @param never what is told where nothing comes of it */
    private void make(String name, Function<Kept, ShapeAreas.Result> change, String never) {
        boolean[] made = new boolean[1];
        List<String> ids = s.make(name, k -> {
            var result = change.apply(k);
            made[0] = result != null;
            return result == null ? k.nothing() : k.with(result.board(), result.ids());
        });
        if (!made[0]) {
            w.notices.news(never);
        } else if (ids != null) {
            s.select(ids);
        }
    }

    private void outlineStroke() {
        make("Turn stroke into an outline", k -> areas(k).outlined(s.selection()), "None of what is selected has a stroke that is seen.");
    }

    private void lines(Commands c) {
        String[] names = {"left edges", "centres", "right edges", "top edges", "middles", "bottom edges"};
        String[] keys = {"LEFT", "C", "RIGHT", "UP", "M", "DOWN"};
        for (Align.Edge e : Align.Edge.values()) {
            c.add(CommandIds.ALIGN + e, "Align " + names[e.ordinal()], "Alt+Shift+" + keys[e.ordinal()], () -> !s.selection().isEmpty(),
                    () -> s.edit("Align " + names[e.ordinal()], b -> Align.to(b, s.selection(), s.picture().frame(), e, target())));
        }
        c.add(CommandIds.DISTRIBUTE_LEVEL, "Distribute across", "Alt+Shift+H", () -> s.selection().size() > 2,
                () -> s.edit("Distribute across", b -> Align.distribute(b, s.selection(), s.picture().frame(), true)));
        c.add(CommandIds.DISTRIBUTE_UPRIGHT, "Distribute down", "Alt+Shift+V", () -> s.selection().size() > 2,
                () -> s.edit("Distribute down", b -> Align.distribute(b, s.selection(), s.picture().frame(), false)));
        c.add(CommandIds.MATCH_WIDTH, "Match width", "Alt+Shift+W", () -> !s.selection().isEmpty(), () -> match("Match width", true, false));
        c.add(CommandIds.MATCH_HEIGHT, "Match height", "Alt+Shift+E", () -> !s.selection().isEmpty(), () -> match("Match height", false, true));
        c.add("match-size", "Match size", "Alt+Shift+S", () -> !s.selection().isEmpty(), () -> match("Match size", true, true));
    }

    private void match(String name, boolean width, boolean height) {
        s.edit(name, b -> Align.matchSize(b, s.selection(), s.picture().frame(), width, height, target()));
    }

    /** What alignment goes by: what was chosen; with one element selected always the canvas. */
    private Rect target() {
        Point size = s.board().size();
        Rect canvas = new Rect(0, 0, size.x(), size.y());
        Rect found = switch (several() ? w.options.alignTo : ToolOptions.AlignTo.CANVAS) {
            case CANVAS -> canvas;
            case SELECTION -> Align.around(s.board(), s.selection(), s.picture().frame());
            case LAST -> Align.around(s.board(), List.of(List.copyOf(s.selection()).getLast()), s.picture().frame());
        };
        return found == null ? canvas : found;
    }

    private void looks(Commands c) {
        c.add(CommandIds.GUIDE, () -> allGuides() ? "Publish again" : "Make a guide", "Shortcut+Shift+L", () -> !s.selection().isEmpty(), () -> {
            boolean on = !allGuides();
            s.edit(on ? "Make a guide" : "Publish again", b -> {
                Board out = b;
                for (String id : s.selection()) {
                    out = out.mapElement(id, e -> e.withGuide(on));
                }
                return out;
            });
        });
        c.add(CommandIds.SOLO, () -> s.groups().solo().isEmpty() ? "Show only what is selected" : "Show everything again", "Shift+H",
                () -> !s.groups().solo().isEmpty() || !s.selection().isEmpty(), () -> s.groups().setSolo(s.groups().solo().isEmpty() ? s.selection()
                : Set.of()));
        c.add(CommandIds.FLIP_LEVEL, "Flip across", "Shift+X", () -> !s.selection().isEmpty(), () -> flip("Flip across", new Point(-1, 1)));
        c.add(CommandIds.FLIP_UPRIGHT, "Flip upside down", "Shift+V", () -> !s.selection().isEmpty(),
                () -> flip("Flip upside down", new Point(1, -1)));
        turns(c);
        c.add(CommandIds.FIT_BOUNDS, "Fit the group's bounds to its content", null,
                () -> s.selected() != null && s.selected().content() instanceof Content.Parent, this::fitBounds);
        c.add(CommandIds.READ_SWATCHES, "Read swatches from a palette (.gpl)", null, () -> true, w.files.swatches::read);
        c.add(CommandIds.WRITE_SWATCHES, "Write the swatches to a palette (.gpl)", null, () -> !s.project().swatches().isEmpty(),
                w.files.swatches::write);
        c.add("rulers", () -> w.canvas.rulers() ? "Hide rulers" : "Show rulers", "Shortcut+R", () -> s.desk() == Desk.DRAW,
                () -> w.canvas.setRulers(!w.canvas.rulers()));
        c.add("clear-lines", "Take away all ruler lines", null, () -> !s.board().lines().isEmpty(),
                () -> s.edit("Take away ruler lines", b -> b.withLines(List.of())));
    }

    private void turns(Commands c) {
        c.add("turn-right", "Turn a quarter to the right", null, () -> !s.selection().isEmpty(), () -> turn("Turn a quarter to the right", 90));
        c.add("turn-left", "Turn a quarter to the left", null, () -> !s.selection().isEmpty(), () -> turn("Turn a quarter to the left", -90));
        c.add("pivot-middle", "Pivot to the middle", null, () -> !s.selection().isEmpty(), () -> pivot("Pivot to the middle", new Point(0.5, 0.5)));
        c.add("pivot-feet", "Pivot to the middle of the lower edge", null, () -> !s.selection().isEmpty(), () -> pivot("Pivot to the lower edge",
                new Point(0.5, 1)));
    }

    private void turn(String name, double degrees) {
        var several = Selected.turning(s, w.options);
        s.edit(name, b -> several.turn(b, degrees, Selected.dragging(s, several.parts())));
    }

    private void pivot(String name, Point pivot) {
        Frame seen = s.picture().frame();
        s.edit(name, b -> {
            Board out = b;
            for (String id : s.selection()) {
                Frame.Placed p = seen.find(id);
                if (p != null && !b.find(id).locked()) {
                    out = Placing.pivot(out, id, pivot, p.node().toParent(), p.node().box());
                }
            }
            return out;
        });
    }

    private void fitBounds() {
        Element g = s.selected();
        Frame.Placed placed = s.picture().frame().find(g.id());
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
            s.edit("Fit bounds of " + g.name(), b -> GroupBox.set(b, g.id(), box));
        }
    }

    private boolean allGuides() {
        return s.selection().stream().allMatch(id -> s.board().find(id).guide());
    }

    private void flip(String name, Point by) {
        s.edit(name, b -> {
            Board out = b;
            for (String id : s.selection()) {
                out = s.target().set(out, id, Properties.SCALE, s.target().valueAt(id, Properties.SCALE).times(by));
            }
            return out;
        });
    }
}
