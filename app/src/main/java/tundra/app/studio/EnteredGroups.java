package tundra.app.studio;

import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/** The group or drawing that is edited in place, and what is shown alone meanwhile. */
public final class EnteredGroups {
    private final Studio studio;

    EnteredGroups(Studio studio) {
        this.studio = studio;
    }

    /** The elements that are shown alone while drawing; empty shows all. */
    public Set<String> solo() {
        return studio.chosen.solo();
    }

    public void setSolo(Collection<String> ids) {
        studio.chosen.setSolo(ids);
        studio.picture().reframe();
        studio.changed(Aspect.DOCUMENT);
    }

    /** The group that is edited in place; null when it is the scene itself. */
    public String inside() {
        return studio.chosen.inside();
    }

    /** Goes into a group, or with null out of all of them. Into a flipbook means into the drawing that it shows. */
    public void enter(String group) {
        String to = group;
        if (group != null && studio.board().find(group) instanceof Element e && e.content() instanceof Flipbook b
                && b.at(studio.picture().mainTime()) instanceof Drawing d) {
            to = d.id();
        }
        if (!Objects.equals(to, inside())) {
            List<String> path = to != null ? List.of() : studio.board().path(inside());
            studio.chosen.enter(to, path.isEmpty() ? null : path.getFirst());
            studio.picture().reframe();
            studio.changed(Aspect.SELECTION);
        }
    }

    /** Whether an element is a drawing of a flipbook. */
    public boolean isDrawing(String id) {
        List<String> path = studio.board().path(id);
        return path.size() > 1 && studio.board().find(path.get(path.size() - 2)).content() instanceof Flipbook;
    }

    /** The group or flipbook that was left last, while it is there and nothing is entered; null for none. */
    public Element left() {
        return studio.chosen.left() == null ? null : studio.board().find(studio.chosen.left());
    }

    /** Goes into what was left last. */
    public void goBackIn() {
        Element e = left();
        if (e != null) {
            studio.select(List.of());
            enter(e.id());
        }
    }

    /** One group further out; says whether there was one to leave. The group, or the flipbook, that was left is selected. */
    public boolean leave() {
        if (inside() == null) {
            return false;
        }
        List<String> path = studio.board().path(inside());
        int left = path.size() - 1;
        if (left > 0 && studio.board().find(path.get(left - 1)).content() instanceof Flipbook) {
            left--;
        }
        studio.chosen.enter(left > 0 ? path.get(left - 1) : null, path.isEmpty() ? null : path.get(left));
        studio.picture().reframe();
        studio.changed(Aspect.SELECTION);
        studio.select(path.isEmpty() ? List.of() : List.of(path.get(left)));
        return true;
    }
}
