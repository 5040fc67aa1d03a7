package tundra.core.model;

import java.util.LinkedHashMap;
import java.util.List;

/**
 * A kind of file that is made of a piece. The kinds stand in {@link Outputs}, the only table of them.
 *
 * @param key its name in the file and on the command line
 * @param label its name in the interface
 * @param hint what it is for, in one sentence
 * @param settings what can be said of it, in the order in which it is shown
 */
public record OutputKind(String key, String label, String hint, List<LabelledSlot> settings) {
    public OutputKind {
        settings = List.copyOf(settings);
    }

    /** As it is when it is chosen, outside of any piece. */
    public Output made() {
        return made("", label);
    }

    /** As it is when it is chosen. */
    public Output made(String id, String name) {
        var out = new LinkedHashMap<Slot, Object>();
        settings.forEach(s -> out.put(s.slot(), s.slot().standard()));
        return new Output(id, name, this, new Slots(out), "");
    }
}
