package tundra.core.model;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where each element of a tree stands, looked up at once: worth it when one state of a tree is asked about many elements. */
public final class TreePaths {
    private final Map<String, Element> elements = new HashMap<>();
    private final Map<String, String> parents = new HashMap<>();

    public TreePaths(List<Element> in) {
        add(in, null);
    }

    private void add(List<Element> in, String parent) {
        for (Element e : in) {
            elements.put(e.id(), e);
            if (parent != null) {
                parents.put(e.id(), parent);
            }
            add(e.children(), e.id());
        }
    }

    /** Null when there is none. */
    public Element find(String id) {
        return elements.get(id);
    }

    /** The ids from the outermost group down to the element itself; empty when there is none. */
    public List<String> path(String id) {
        var out = new ArrayList<String>();
        for (String at = elements.containsKey(id) ? id : null; at != null; at = parents.get(at)) {
            out.add(at);
        }
        Collections.reverse(out);
        return out;
    }
}
