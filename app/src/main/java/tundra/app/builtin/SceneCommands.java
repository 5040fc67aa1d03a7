package tundra.app.builtin;

import java.util.function.Consumer;
import tundra.app.command.CommandIds;
import tundra.app.studio.Studio;
import tundra.core.edit.Reactions;
import tundra.core.edit.Scenes;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** The scenes of the piece. */
public final class SceneCommands {
    private SceneCommands() {}

    /** @param rename lets the name of a scene be typed */
    public static void add(Workshop w, Consumer<Scene> rename) {
        Studio s = w.studio;
        var c = w.commands;
        c.add(CommandIds.SCENE_ADD, "New scene", null, () -> true, () -> made(s, "New scene", p -> Scenes.add(p, s.scene().id())));
        c.add("scene-from", () -> "New scene that looks like " + s.scene().name(), null, () -> true, () -> made(s, "New scene like " + s.scene()
                .name(), p -> Scenes.from(p, s.scene().id())));
        c.add("scene-over", () -> s.project().over() == s.scene() ? "Let " + s.scene().name() + " be a scene among the others" : "Let " + s.scene()
                .name() + " lie over all other scenes", null, () -> s.project().scenes().size() > 1, () -> {
            String id = s.project().over() == s.scene() ? "" : s.scene().id();
            s.editProject(id.isEmpty() ? "Be a scene among the others" : "Lie over all scenes", null, p -> p.withPage(p.page().withOver(id)));
        });
        c.add(CommandIds.SCENE_DUPLICATE, () -> "Duplicate scene " + s.scene().name(), null, () -> true, () -> made(s, "Duplicate scene " + s.scene()
                .name(), p -> Scenes.duplicate(p, s.scene().id())));
        c.add(CommandIds.SCENE_RENAME, () -> "Rename scene " + s.scene().name(), null, () -> true, () -> rename.accept(s.scene()));
        c.add(CommandIds.SCENE_EARLIER, "Move the scene one place earlier", null, () -> at(s) > 0, () -> move(s, -1));
        c.add(CommandIds.SCENE_LATER, "Move the scene one place later", null, () -> at(s) + 1 < s.project().scenes().size(), () -> move(s, 1));
        c.add("scene-next", "Open the next scene", "Alt+PAGE_DOWN", () -> at(s) + 1 < s.project().scenes().size(), () -> s.navigation()
                .showPlace(s.project().scenes().get(at(s) + 1).id()));
        c.add("scene-previous", "Open the scene before", "Alt+PAGE_UP", () -> at(s) > 0, () -> s.navigation()
                .showPlace(s.project().scenes().get(at(s) - 1).id()));
        c.add(CommandIds.SCENE_DELETE, () -> "Delete scene " + s.scene().name(), null, () -> s.project().scenes().size() > 1, () -> {
            Scene gone = s.scene();
            int named = Reactions.naming(s.project(), gone.id());
            s.editProject("Delete scene " + gone.name(), null, p -> Scenes.delete(p, gone.id()));
            w.notices.news("Scene “" + gone.name() + "” is deleted" + (named == 0 ? "." : ", with what leads to it in "
                    + (named == 1 ? "one reaction." : named + " reactions.")) + " Undo brings it back.");
        });
    }

    private interface Making {
        Scenes.Made of(Project p);
    }

    private static void made(Studio s, String name, Making making) {
        var id = new String[1];
        s.editProject(name, null, p -> {
            Scenes.Made m = making.of(p);
            id[0] = m.scene();
            return m.project();
        });
        s.navigation().showPlace(id[0]);
    }

    private static int at(Studio s) {
        return s.project().scenes().indexOf(s.scene());
    }

    private static void move(Studio s, int by) {
        String id = s.scene().id();
        int to = at(s) + by;
        s.editProject("Move scene", null, p -> Scenes.move(p, id, to));
    }
}
