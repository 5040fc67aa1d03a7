package tundra.app.studio;

import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import tundra.core.edit.Keys;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Timeline;

/** What is chosen on the open board: elements, keys or something else in time, the group that is entered, and what is shown alone. */
final class Selection {
    private Set<String> elements = Set.of();
    private Set<Keys.Ref> keys = Set.of();
    private String inside;
    private String left;
    private String timed;
    private Set<String> solo = Set.of();
    private String pointed;
    /** What was chosen when a version of the project was left. */
    private final Map<Project, Chosen> remembered = new IdentityHashMap<>();
    private Object merged;

    /** What comes back together with a version: elements, keys, and the group that is entered. */
    record Chosen(Set<String> elements, Set<Keys.Ref> keys, String inside) {}

    /** Nothing is chosen, and nothing remembered. */
    void clear() {
        remembered.clear();
        clear(Set.of());
    }

    /** No more than some elements is chosen, as when another board is opened. */
    void clear(Collection<String> chosen) {
        elements = new LinkedHashSet<>(chosen);
        keys = Set.of();
        inside = null;
        left = null;
        timed = null;
        solo = Set.of();
    }

    Set<String> elements() {
        return elements;
    }

    /** Says whether that is a change. */
    boolean choose(Collection<String> ids) {
        var next = new LinkedHashSet<>(ids);
        if (next.equals(elements) && timed == null) {
            return false;
        }
        elements = next;
        timed = null;
        return true;
    }

    Set<Keys.Ref> keys() {
        return keys;
    }

    void clearKeys() {
        keys = Set.of();
    }

    /** Says whether that is a change. */
    boolean chooseKeys(Collection<Keys.Ref> refs) {
        var next = new LinkedHashSet<>(refs);
        if (next.equals(keys) && (next.isEmpty() || timed == null)) {
            return false;
        }
        keys = next;
        timed = next.isEmpty() ? timed : null;
        return true;
    }

    /** The marker or sound that is chosen; null for none. */
    String timed() {
        return timed;
    }

    /** Chooses a marker or a sound in place of keys; says whether that is a change. */
    boolean chooseInTime(String id) {
        if (Objects.equals(id, timed)) {
            return false;
        }
        keys = id == null ? keys : Set.of();
        timed = id;
        return true;
    }

    /** The group that is entered; null for none. */
    String inside() {
        return inside;
    }

    /** The group that was left last; null for none. */
    String left() {
        return inside != null ? null : left;
    }

    /** @param from the outermost group that is left by that; null to keep what was left before */
    void enter(String group, String from) {
        left = from == null && group != null ? left : from;
        inside = group;
    }

    Set<String> solo() {
        return solo;
    }

    void setSolo(Collection<String> ids) {
        solo = Set.copyOf(ids);
    }

    /** Where the pointer is in a list of elements; null for nowhere. */
    String pointed() {
        return pointed;
    }

    void pointAt(String element) {
        pointed = element;
    }

    /** Remembers what was chosen when a version was changed, so that it is chosen again when that version comes back. */
    void remember(Project before, boolean changed, Object merge) {
        if (changed && (merge == null || merge != merged)) {
            remember(before, now());
        }
        merged = merge;
    }

    void remember(Project version, Chosen then) {
        remembered.put(version, then);
    }

    Chosen now() {
        return new Chosen(elements, keys, inside);
    }

    /** Chooses what was chosen with a version; says whether that is known. */
    boolean recall(Project version) {
        Chosen then = remembered.get(version);
        if (then == null) {
            return false;
        }
        elements = then.elements;
        keys = then.keys;
        inside = then.inside;
        return true;
    }

    /** What is gone can't stay entered; says whether it was. */
    boolean lost(Board b) {
        boolean gone = inside != null && b.find(inside) == null;
        inside = gone ? null : inside;
        return gone;
    }

    /** What is gone can't stay selected; says whether something was. */
    boolean settle(Board b, Timeline t) {
        // mostly all of it is still there, and it may be very much
        boolean lost = elements.stream().anyMatch(id -> b.find(id) == null), lostKeys = keys.stream().anyMatch(r -> gone(t, r));
        if (lost) {
            elements = new LinkedHashSet<>(elements);
            elements.removeIf(id -> b.find(id) == null);
        }
        if (lostKeys) {
            keys = new LinkedHashSet<>(keys);
            keys.removeIf(r -> gone(t, r));
        }
        return lost || lostKeys;
    }

    private static boolean gone(Timeline t, Keys.Ref r) {
        var track = t.track(r.element(), r.property());
        return track == null || track.keyAt(r.time()) == null;
    }
}
