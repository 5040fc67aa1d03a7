package tundra.app.tool;

import java.util.LinkedHashSet;
import java.util.List;
import tundra.app.studio.Studio;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/** Which element a press on the canvas means: the group, or deeper where one went in, or what lies beneath. */
final class ElementChoice {
    private final Studio studio;
    private final TextEditing typing;

    ElementChoice(Studio studio, TextEditing typing) {
        this.studio = studio;
        this.typing = typing;
    }

    /** A double click: into a group, or to the words of a text. Says whether there was something to go to. */
    boolean goIn(List<List<String>> under) {
        List<String> path = level(under.getFirst());
        Element e = studio.board().find(path.getFirst());
        if (e.content() instanceof Content.Text) {
            studio.select(List.of(e.id()));
            typing.start(e.id());
            return true;
        }
        if (e.content() instanceof Content.Instance) {
            studio.navigation().openInPlace(e.id());
            return true;
        }
        if (e.content() instanceof Content.Parent && path.size() > 1) {
            int inner = e.content() instanceof Flipbook && path.size() > 2 ? 2 : 1;
            studio.groups().enter(e.id());
            studio.select(List.of(path.get(inner)));
            return true;
        }
        return false;
    }

    /** The rest of a path from the group that is being edited on. */
    private List<String> level(List<String> path) {
        int at = studio.groups().inside() == null ? -1 : path.indexOf(studio.groups().inside());
        return at + 1 < path.size() ? path.subList(at + 1, path.size()) : path;
    }

    /** What lies at the pointer on the level that is being edited, topmost first. */
    List<String> choices(List<List<String>> under) {
        var out = new LinkedHashSet<String>();
        under.forEach(path -> {
            if (studio.groups().inside() == null || path.contains(studio.groups().inside())) {
                out.add(level(path).getFirst());
            }
        });
        return List.copyOf(out);
    }

    String pick(List<List<String>> under) {
        List<String> all = choices(under);
        for (String id : under.getFirst()) {
            if (studio.selection().contains(id) && !id.equals(studio.groups().inside())) {
                return id;
            }
        }
        return all.getFirst();
    }

    /** The next one down from what is selected; after the lowest the topmost again. */
    String beneath(List<List<String>> under) {
        List<String> all = choices(under);
        for (int i = 0; i < all.size(); i++) {
            if (studio.selection().contains(all.get(i))) {
                return all.get((i + 1) % all.size());
            }
        }
        return all.getFirst();
    }
}
