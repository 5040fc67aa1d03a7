package tundra.core.svg;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Counts what could not be kept, by the sentence that tells of it. */
final class Report {
    private final Map<String, Integer> counts = new LinkedHashMap<>();

    /** @param what such as “blur left out” */
    void lost(String what) {
        counts.merge(what, 1, Integer::sum);
    }

    List<String> sentences() {
        var out = new ArrayList<String>();
        counts.forEach((what, n) -> out.add(n == 1 ? what : what + " (" + n + " times)"));
        return out;
    }
}
