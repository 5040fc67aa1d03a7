package tundra.core.edit;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** Gives out names that nobody has yet, one after the other, each in about the same time however many there are. */
public final class FreeNames {
    private final Set<String> taken;
    /** The number from which on to look, by what stands before it. */
    private final Map<String, Integer> next = new HashMap<>();

    public FreeNames(Collection<String> taken) {
        this.taken = new HashSet<>(taken);
    }

    /** The wanted name, or the first free one of «name 2», «name 3» …; nobody else gets it from now on. */
    public String take(String wanted) {
        String base = wanted.isBlank() ? "Element" : wanted.strip();
        if (taken.add(base)) {
            return base;
        }
        String stem = base.replaceFirst(" \\d+$", "");
        int n = next.getOrDefault(stem, 2);
        while (!taken.add(stem + " " + n)) {
            n++;
        }
        next.put(stem, n + 1);
        return stem + " " + n;
    }
}
