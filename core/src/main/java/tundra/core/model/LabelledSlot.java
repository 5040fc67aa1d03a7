package tundra.core.model;

import java.util.List;

/**
 * What can be said of a kind of block or of output.
 *
 * @param label its name in the interface
 * @param unit what a number counts, such as px, %, ° or s; empty for none
 * @param group under which heading it stands
 */
public record LabelledSlot(Slot slot, String label, String unit, String group) {
    /** Whether it is ticked rather than chosen from a list. */
    public boolean yesNo() {
        return slot.type() == Slot.Type.CHOICE && slot.choices().size() == 2 && slot.choices().containsAll(List.of("yes", "no"));
    }
}
