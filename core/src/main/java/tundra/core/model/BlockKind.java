package tundra.core.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tundra.core.geometry.Point;

/**
 * A kind of block. The kinds stand in {@link Blocks}, the only table of them.
 *
 * @param key its name in the file and on the page
 * @param label its name in the interface
 * @param family where it stands on the shelf
 * @param hint what it is for, in one sentence
 * @param box its size when it is placed, in px
 * @param settings what can be said of it, in the order in which it is shown
 */
public record BlockKind(String key, String label, Family family, String hint, Point box, List<LabelledSlot> settings) {
    /** What belongs together on the shelf. */
    public enum Family {
        GALLERY("Galleries"), MEDIA("Video, sound, pages"), MAP("Map"), LINK("Links"), FIELD("Fields"), SHOWN("Shown values");

        public final String label;

        Family(String label) {
            this.label = label;
        }
    }

    public BlockKind {
        settings = List.copyOf(settings);
    }

    /** What an element of it is called in sentences. */
    public String word() {
        return label.toLowerCase(Locale.ROOT);
    }

    /** Whether it shows items that are elements of their own. */
    public boolean gallery() {
        return family == Family.GALLERY && key.matches("strip|stack|turntable");
    }

    /** The setting of a slot; null when it has none. */
    public LabelledSlot setting(Slot slot) {
        return settings.stream().filter(s -> s.slot() == slot).findFirst().orElse(null);
    }

    /** As it is when it is placed. */
    public Slots standard() {
        var out = new LinkedHashMap<Slot, Object>();
        settings.forEach(s -> out.put(s.slot(), s.slot().standard()));
        return new Slots(out);
    }

    /** Settings with those that are missing at first as they are when a block is placed, in their order. */
    public Slots complete(Map<Slot, Object> some) {
        var out = new LinkedHashMap<Slot, Object>();
        settings.forEach(s -> out.put(s.slot(), some.getOrDefault(s.slot(), s.slot().standard())));
        return new Slots(out);
    }

    /** A block of it, as it is placed. */
    public Content.Block made() {
        return new Content.Block(this, standard(), List.of(), box);
    }

    @Override
    public boolean equals(Object o) {
        return this == o;
    }

    @Override
    public int hashCode() {
        return key.hashCode();
    }

    @Override
    public String toString() {
        return key;
    }
}
