package tundra.core.check;

import java.util.ArrayList;
import java.util.List;
import tundra.core.edit.Ways;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** Scenes that nobody comes to, and scenes that nobody gets out of. */
final class SceneChecks {
    private SceneChecks() {}

    static List<Finding> of(Project p) {
        var out = new ArrayList<Finding>();
        if (p.screens().size() < 2) {
            return out;
        }
        Ways ways = Ways.of(p);
        for (Scene s : p.screens()) {
            if (ways.unreachable().contains(s.id())) {
                out.add(new Finding(Check.UNREACHABLE, s.id(), null, null, 0, "Nothing leads to " + s.name()
                        + ": let a sentence of another scene open it, or take it out.", null));
            } else if (ways.deadEnds().contains(s.id())) {
                out.add(new Finding(Check.DEAD_END, s.id(), null, null, 0, "Nothing leads out of " + s.name()
                        + ": visitors have to load the page again to see anything else.", null));
            }
        }
        return out;
    }
}
