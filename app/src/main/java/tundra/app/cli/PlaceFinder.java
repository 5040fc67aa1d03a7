package tundra.app.cli;

import java.util.stream.Collectors;
import tundra.core.model.Place;
import tundra.core.model.Project;

/** Finds a scene or a motif by name. */
final class PlaceFinder {
    private PlaceFinder() {}

    /** The first scene when the name is null. */
    static Place of(Project p, String name) {
        if (name == null) {
            return p.scenes().getFirst();
        }
        return p.places().stream().filter(s -> s.name().equalsIgnoreCase(name)).findFirst().orElseThrow(() -> new IllegalArgumentException(
                "There is no scene or motif “" + name + "”; there is " + p.places().stream().map(Place::name).collect(Collectors.joining(", "))
                + "."));
    }
}
