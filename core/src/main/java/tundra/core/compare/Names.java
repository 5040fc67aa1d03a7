package tundra.core.compare;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Tree;

/** What is called how in some versions of a piece: the last one that has it says its name. */
final class Names {
    private final Map<String, String> names = new HashMap<>();

    Names(Project... versions) {
        for (Project p : versions) {
            p.scenes().forEach(this::place);
            p.motifs().forEach(this::place);
            p.values().forEach(v -> names.put(v.id(), "value “" + v.name() + "”"));
            p.scripts().forEach(s -> names.put(s.id(), "script “" + s.name() + "”"));
            p.outputs().forEach(o -> names.put(o.id(), "output “" + o.name() + "”"));
            p.assets().values().forEach(a -> names.put(a.hash(), "“" + a.name() + "”"));
        }
    }

    private void place(Place p) {
        names.put(p.id(), "“" + p.name() + "”");
        Tree.each(p.board().elements(), e -> names.put(e.id(), "“" + e.name() + "”"));
        p.board().timelines().forEach(t -> names.put(t.id(), "timeline “" + t.name() + "”"));
        p.board().layouts().forEach(l -> names.put(l.id(), "layout “" + l.name() + "”"));
    }

    /** Its name with what it is; null for what has none. */
    String of(String id) {
        return names.get(id);
    }

    /** The part of a document at the end of a path, such as “Fill of “Sky” in “Arrival””. */
    String spot(List<String> path) {
        String last = path.isEmpty() ? "The piece" : path.getLast(), what = names.containsKey(last) ? capital(names.get(last)) : property(last);
        StringBuilder out = new StringBuilder(what);
        for (int i = path.size() - 2, told = 0; i >= 0 && told < 3; i--) {
            String name = names.get(path.get(i));
            if (name != null) {
                out.append(told == 0 && !names.containsKey(last) ? " of " : " in ").append(name);
                told++;
            }
        }
        return out.toString();
    }

    /** How a field is called on the desktop. */
    static String property(String field) {
        var p = Properties.byKey(field);
        return p != null ? p.label() : capital(field.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT));
    }

    static String capital(String s) {
        return s.isEmpty() ? s : Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
