package tundra.core.model;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The colours of a piece, the most used first. */
public final class ColorsUsed {
    private ColorsUsed() {}

    public static List<Color> of(Project p, int most) {
        Map<Color, Integer> counts = new LinkedHashMap<>();
        for (Place s : p.places()) {
            count(s.board().canvas(), counts);
            s.board().elements().forEach(e -> count(e, counts));
            s.board().timelines().forEach(t -> t.tracks().values().forEach(of -> of.values().forEach(
                    track -> track.keys().forEach(k -> value(k.value(), counts)))));
        }
        return counts.entrySet().stream().sorted(Map.Entry.comparingByValue(Comparator.reverseOrder())).limit(most).map(Map.Entry::getKey).toList();
    }

    private static void count(Element e, Map<Color, Integer> counts) {
        count(e.rest(), counts);
        e.children().forEach(c -> count(c, counts));
    }

    private static void count(Values v, Map<Color, Integer> counts) {
        Properties.ALL.stream().filter(v::has).forEach(p -> value(v.get(p), counts));
    }

    private static void value(Object v, Map<Color, Integer> counts) {
        switch (v) {
            case Color c when c.visible() -> counts.merge(c.withAlpha(255), 1, Integer::sum);
            case Gradient g -> g.stops().forEach(s -> value(s.color(), counts));
            default -> { }
        }
    }
}
