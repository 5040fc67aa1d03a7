package tundra.app.outline;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TextField;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.util.Duration;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.core.edit.Arrange;
import tundra.core.frame.Frame;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/** The list of the scene's elements, the front one first: renamed, reordered, locked and hidden here. */
public final class OutlinePanel extends VBox {
    /** The height of a row in px. */
    private static final double ROW = 26;
    private final Studio studio;
    private final ListView<Row> list = new ListView<>();
    private final Set<String> open = new HashSet<>();
    private Shown shown;
    private Seen last;
    private String renaming;
    private String pressed;
    private double pressedY;
    /** The element that the dragged row would go to; null for none. Rows come and go meanwhile, elements are known by their ids. */
    private String target;
    private final PauseTransition soon = new PauseTransition(Duration.millis(140));
    private Where where;

    /** Where a dragged row goes: the list has the front one first. */
    private enum Where {
        ABOVE, BELOW, INTO
    }

    /** An element in the list, and how deep in groups it lies. */
    record Row(Element element, int depth) {}

    public OutlinePanel(Studio studio, Commands commands) {
        this.studio = studio;
        setId("outline");
        getStyleClass().add("outline");
        var title = Words.section("Outline");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        LightButton add = Buttons.text(commands.get(CommandIds.BRING_IN), "Bring in…");
        add.getStyleClass().addAll("flat", "small");
        var head = new HBox(title, gap, add);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("panel-head");
        list.setId("outline-list");
        list.setAccessibleText("Elements");
        list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        list.setCellFactory(v -> new OutlineCell(this));
        // JavaFX knows where each row lies without measuring others
        list.setFixedCellSize(ROW);
        list.setPlaceholder(nothing());
        setVgrow(list, Priority.ALWAYS);
        // the list comes with its first row
        var space = new StackPane(nothing());
        setVgrow(space, Priority.ALWAYS);
        getChildren().addAll(head, space);
        // the studio decides what is selected; the list only shows it
        list.addEventFilter(MouseEvent.MOUSE_PRESSED, this::press);
        list.addEventFilter(MouseEvent.MOUSE_DRAGGED, this::drag);
        list.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> release());
        studio.listen(what -> {
            if (what.contains(Aspect.SELECTION)) {
                reveal();
            }
            if (studio.time().onlyGoesOn(what)) {
                return;
            }
            // a run through the drawings of a flipbook is not held up
            if (stepping(what)) {
                soon.playFromStart();
            } else {
                refresh();
            }
        });
        soon.setOnFinished(e -> refresh());
        reveal();
        refresh();
    }

    private static Text nothing() {
        return Words.of("Nothing drawn yet.\nPress R and drag on the canvas\nfor a first rectangle.", "quiet");
    }

    private boolean stepping(Set<Aspect> what) {
        return what.contains(Aspect.PLAYHEAD) && !what.contains(Aspect.DOCUMENT) && studio.book().is() && studio.selection().isEmpty();
    }

    /** Unfolds the groups around what was selected elsewhere. */
    private void reveal() {
        if (studio.groups().inside() != null) {
            open.addAll(studio.board().path(studio.groups().inside()));
        }
        for (String id : studio.selection()) {
            List<String> path = studio.board().path(id);
            if (path.size() > 1) {
                open.addAll(path.subList(0, path.size() - 1));
            }
        }
    }

    private void refresh() {
        var seen = new Seen(studio.board().elements(), studio.time().playhead(), Set.copyOf(studio.selection()), renaming, Set.copyOf(open));
        if (shown != null && seen.same(last)) {
            return;
        }
        last = seen;
        var rows = new ArrayList<Row>();
        collect(seen.elements, 0, rows);
        var now = new Shown(rows, seen.selection, renaming);
        boolean same = shown != null && now.same(shown);
        shown = now;
        if (same) {
            return;
        }
        if (!rows.isEmpty() && list.getParent() == null) {
            getChildren().set(1, list);
        }
        if (!list.getItems().equals(rows)) {
            list.getItems().setAll(rows);
        }
        list.refresh();
    }

    /** What the list is made from; the playhead says which drawing of a flipbook. A drag of keys leaves all of it as it is. */
    private record Seen(List<Element> elements, long playhead, Set<String> selection, String renaming, Set<String> open) {
        boolean same(Seen o) {
            return o != null && o.elements == elements && o.playhead == playhead && o.selection.equals(selection)
                    && Objects.equals(o.renaming, renaming) && o.open.equals(open);
        }
    }

    /** What of the list can be seen: a drag on the canvas changes none of it. */
    private record Shown(List<Row> rows, Set<String> selection, String renaming) {
        boolean same(Shown o) {
            if (rows.size() != o.rows.size() || !selection.equals(o.selection) || !Objects.equals(renaming, o.renaming)) {
                return false;
            }
            for (int i = 0; i < rows.size(); i++) {
                Row a = rows.get(i), b = o.rows.get(i);
                if (a.depth != b.depth || a.element != b.element && !looks(a).equals(looks(b))) {
                    return false;
                }
            }
            return true;
        }
    }

    private static List<Object> looks(Row r) {
        Element e = r.element();
        return List.of(e.id(), e.called(), e.content().word(), e.locked(), e.hidden(), e.guide(), r.depth(), OutlineCell.color(e));
    }

    private void collect(List<Element> in, int depth, List<Row> out) {
        for (Element e : in.reversed()) {
            out.add(new Row(e, depth));
            if (open.contains(e.id())) {
                collect(shownOf(e), depth + 1, out);
            }
        }
    }

    /** The children in the list: of a flipbook those of the drawing that is seen. */
    private List<Element> shownOf(Element e) {
        return e.content() instanceof Flipbook ? drawing(e) == null ? List.of() : drawing(e).children() : e.children();
    }

    private Element drawing(Element flipbook) {
        Drawing d = ((Flipbook) flipbook.content()).at(studio.picture().mainTime());
        return d == null ? null : d.art();
    }

    private void press(MouseEvent e) {
        if (e.getButton() != MouseButton.PRIMARY || !(e.getTarget() instanceof Node n)) {
            return;
        }
        for (Node at = n; at != null && at != list; at = at.getParent()) {
            if (at instanceof LightButton || at instanceof TextField || at.getStyleClass().contains("scroll-bar")) {
                return;
            }
            if (at instanceof OutlineCell cell && cell.getItem() != null) {
                if (e.getClickCount() == 2) {
                    rename(cell.getItem().element().id());
                } else {
                    select(cell.getItem().element().id(), e.isShiftDown(), e.isShortcutDown());
                    pressed = cell.getItem().element().id();
                    pressedY = e.getSceneY();
                }
                list.requestFocus();
                return;
            }
        }
    }

    /** Shows where the pressed row would go. */
    private void drag(MouseEvent e) {
        if (pressed == null || target == null && Math.abs(e.getSceneY() - pressedY) < 4) {
            return;
        }
        e.consume();
        mark(null, null);
        for (Node n : list.lookupAll(".list-cell")) {
            var b = n.localToScene(n.getLayoutBounds());
            if (n instanceof OutlineCell c && c.getItem() != null && !c.isEmpty() && e.getSceneY() >= b.getMinY() && e.getSceneY() < b.getMaxY()
                    && !c.getItem().element().id().equals(pressed)) {
                Row row = c.getItem();
                Where at = where(row.element(), (e.getSceneY() - b.getMinY()) / b.getHeight());
                mark(at == Where.BELOW ? outward(row, e.getSceneX() - b.getMinX()) : row.element().id(), at);
            }
        }
    }

    /** Below the last row of a group the pointer's place from the left tells which of the groups that end there is meant. */
    private String outward(Row row, double x) {
        List<String> path = studio.board().path(row.element().id()), rows = list.getItems().stream().map(r -> r.element().id()).toList();
        int at = list.getItems().indexOf(row), depth = row.depth();
        int next = at + 1 < rows.size() ? list.getItems().get(at + 1).depth() : 0;
        String id = row.element().id();
        for (int i = path.size() - 2; i >= 0 && depth > next && x < 24 + depth * 14; i--) {
            // a drawing has no row of its own
            if (rows.contains(path.get(i))) {
                depth--;
                id = path.get(i);
            }
        }
        return id;
    }

    private static Where where(Element onto, double height) {
        if (onto.content() instanceof Content.Parent && !(onto.content() instanceof Content.Block b && !b.kind().gallery()) && height > 0.28
                && height < 0.72) {
            return Where.INTO;
        }
        return height < 0.5 ? Where.ABOVE : Where.BELOW;
    }

    private void mark(String element, Where at) {
        target = element;
        where = at;
        list.lookupAll(".list-cell").forEach(n -> {
            if (n instanceof OutlineCell c) {
                c.mark();
            }
        });
    }

    /** How a row shows that what is dragged goes there: the end of a style class; null for not at all. */
    String dropOn(Element e) {
        return e.id().equals(target) ? where.name().toLowerCase(Locale.ROOT) : null;
    }

    private void release() {
        Element moved = pressed == null ? null : studio.board().find(pressed), onto = target == null ? null : studio.board().find(target);
        Where at = where;
        giveUp();
        // either may be gone meanwhile
        if (moved != null && onto != null) {
            drop(moved.id(), onto, at);
        }
    }

    /** Lets go of a dragged row; says whether there was one. */
    public boolean giveUp() {
        boolean any = pressed != null && target != null;
        pressed = null;
        mark(null, null);
        return any;
    }

    private void select(String id, boolean range, boolean toggle) {
        if (toggle) {
            var next = new LinkedHashSet<>(studio.selection());
            if (!next.remove(id)) {
                next.add(id);
            }
            studio.select(next);
        } else if (range && !studio.selection().isEmpty()) {
            var ids = list.getItems().stream().map(r -> r.element().id()).toList();
            int a = ids.indexOf(studio.selection().iterator().next()), b = ids.indexOf(id);
            studio.select(a < 0 ? List.of(id) : ids.subList(Math.min(a, b), Math.max(a, b) + 1));
        } else {
            studio.select(List.of(id));
        }
    }

    Studio studio() {
        return studio;
    }

    boolean isOpen(Element e) {
        return open.contains(e.id());
    }

    void fold(Element e) {
        if (!open.remove(e.id())) {
            open.add(e.id());
        }
        shown = null;
        refresh();
    }

    /** Lets the name of an element be typed in its row. */
    public void rename(String id) {
        renaming = id;
        refresh();
    }

    boolean renames(Element e) {
        return e.id().equals(renaming);
    }

    void renamed() {
        renaming = null;
        refresh();
    }

    /** Puts an element in front of another one, behind it, or into it when it is a group. */
    private void drop(String moved, Element onto, Where where) {
        Frame seen = studio.picture().frame();
        Element drawing = onto.content() instanceof Flipbook ? drawing(onto) : null;
        Element into = drawing == null ? onto : drawing;
        studio.edit((where == Where.INTO ? "Move into " + onto.name() + ": " : "Reorder ") + studio.board().find(moved).name(), b -> {
            if (where == Where.INTO) {
                return Arrange.into(b, moved, into.id(), into.children().size(), seen);
            }
            List<String> path = b.path(onto.id());
            String parent = path.size() == 1 ? null : path.get(path.size() - 2);
            var siblings = parent == null ? b.elements() : b.find(parent).children();
            var ids = siblings.stream().map(Element::id).filter(x -> !x.equals(moved)).toList();
            return Arrange.into(b, moved, parent, ids.indexOf(onto.id()) + (where == Where.ABOVE ? 1 : 0), seen);
        });
        if (where == Where.INTO) {
            open.add(onto.id());
            refresh();
        }
    }
}
