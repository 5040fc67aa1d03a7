package tundra.app.cli;

import java.util.stream.Collectors;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** Finds a scene by name. */
final class Scenes {
    private Scenes() {}

    /** The first scene when the name is null. */
    static Scene of(Project p, String name) {
        if (name == null) {
            return p.scenes().getFirst();
        }
        return p.scenes().stream().filter(s -> s.name().equalsIgnoreCase(name)).findFirst().orElseThrow(() -> new IllegalArgumentException(
                "There is no scene “" + name + "”; there is " + p.scenes().stream().map(Scene::name).collect(Collectors.joining(", ")) + "."));
    }
}
