package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Track;

/** Brings elements of an earlier version of a piece into this one. */
public final class BringBack {
    private BringBack() {}

    /** The outermost elements of a place that are otherwise now, or gone, in the order of the outline; the place may be gone, too. */
    public static List<Element> changed(Project now, Project then, String place) {
        Place before = then.place(place), here = now.place(place);
        var out = new ArrayList<Element>();
        for (Element e : before == null ? List.<Element>of() : before.board().elements()) {
            if (here == null || !e.equals(here.board().find(e.id())) || !tracks(before.board(), e.id()).equals(tracks(here.board(), e.id()))) {
                out.add(e);
            }
        }
        return out;
    }

    private static List<Object> tracks(Board b, String id) {
        var out = new ArrayList<Object>();
        b.timelines().forEach(t -> ids(b.find(id)).forEach(x -> out.add(t.tracks().get(x))));
        return out;
    }

    private static Set<String> ids(Element e) {
        return e == null ? Set.of() : Tree.ids(List.of(e));
    }

    /**
     * With elements as they were, with their keys, and what they show of the piece. What stands where they stood is replaced; what is gone
     * comes back behind what it followed.
     *
     * @param ids of outermost elements of the place in the earlier version
     */
    public static Project elements(Project now, Project then, String place, Set<String> ids) {
        Board before = then.place(place).board();
        List<Element> all = before.elements().stream().filter(e -> ids.contains(e.id())).toList();
        Project out = withWhatTheyShow(now, then, all).mapBoard(place, b -> {
            Board board = b;
            for (Element e : all) {
                board = brought(board, before, e);
            }
            return board;
        });
        // what was brought in comes back with what shows it; fonts always do
        var assets = new LinkedHashMap<String, Asset>();
        out.assets().forEach((hash, a) -> {
            if (now.assets().containsKey(hash) || a.kind() == Asset.Kind.FONT || Shelf.used(out, a, null)) {
                assets.put(hash, a);
            }
        });
        return out.withAssets(assets);
    }

    private static Board brought(Board b, Board before, Element e) {
        Set<String> ids = ids(e);
        Element there = b.find(e.id());
        var gone = new HashSet<>(ids);
        if (there != null) {
            gone.remove(e.id());
            gone.removeAll(ids(there));
        }
        Board out = gone.isEmpty() ? b : b.withElements(without(b.elements(), gone));
        if (there != null) {
            out = out.mapElement(e.id(), x -> e);
        } else {
            var list = new ArrayList<>(out.elements());
            list.add(index(list, before.elements(), e), e);
            out = out.withElements(list);
        }
        for (Timeline t : before.timelines()) {
            if (out.timeline(t.id()) != null) {
                out = out.mapTimeline(t.id(), x -> keyed(x, t, ids));
            }
        }
        return out;
    }

    private static Timeline keyed(Timeline now, Timeline then, Set<String> ids) {
        Timeline out = now;
        for (String id : ids) {
            var all = new LinkedHashSet<Property<?>>(now.tracks().getOrDefault(id, Map.of()).keySet());
            all.addAll(then.tracks().getOrDefault(id, Map.of()).keySet());
            for (Property<?> p : all) {
                out = keyed(out, then, id, p);
            }
        }
        return out;
    }

    private static <T> Timeline keyed(Timeline now, Timeline then, String id, Property<T> p) {
        Track<T> track = then.track(id, p);
        return now.with(id, p, track);
    }

    private static int index(List<Element> now, List<Element> then, Element e) {
        for (int i = then.indexOf(e) - 1; i >= 0; i--) {
            String before = then.get(i).id();
            for (int j = 0; j < now.size(); j++) {
                if (now.get(j).id().equals(before)) {
                    return j + 1;
                }
            }
        }
        return 0;
    }

    private static List<Element> without(List<Element> all, Set<String> ids) {
        return all.stream().filter(e -> !ids.contains(e.id())).map(e -> e.children().isEmpty() ? e : e.withChildren(without(e.children(), ids)))
                .toList();
    }

    /** Motifs that are gone, and all that was brought in. */
    private static Project withWhatTheyShow(Project now, Project then, List<Element> all) {
        var wanted = new LinkedHashSet<String>();
        motifs(then, all, wanted);
        var motifs = new ArrayList<>(now.motifs());
        for (String id : wanted) {
            if (now.motif(id) == null && then.motif(id) instanceof Motif m) {
                motifs.add(m);
            }
        }
        Project out = motifs.size() == now.motifs().size() ? now : now.withMotifs(motifs);
        for (var a : then.assets().values()) {
            out = out.assets().containsKey(a.hash()) ? out : out.withAsset(a);
        }
        return out;
    }

    private static void motifs(Project then, List<Element> all, Set<String> out) {
        Tree.each(all, e -> {
            if (e.content() instanceof Content.Instance i && out.add(i.motif()) && then.motif(i.motif()) instanceof Motif m) {
                motifs(then, m.board().elements(), out);
            }
        });
    }
}
