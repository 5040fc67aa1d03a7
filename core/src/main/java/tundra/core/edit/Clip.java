package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Project;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Track;

/** Elements taken to the clipboard with their keys, by timeline name, and the pictures that they show. */
public record Clip(List<Element> elements, Map<String, Map<String, Map<Property<?>, Track<?>>>> tracks, Map<String, Map<String, Span>> shown,
        Map<String, Asset> assets) {

    /** Copies elements, in their order on the board. */
    public static Clip of(Project project, Board board, Collection<String> ids) {
        var picked = new ArrayList<Element>();
        Tree.each(board.elements(), e -> {
            if (ids.contains(e.id()) && Tree.path(board.elements(), e.id()).stream().filter(ids::contains).count() == 1) {
                picked.add(e);
            }
        });
        Set<String> all = Tree.ids(picked);
        var tracks = new LinkedHashMap<String, Map<String, Map<Property<?>, Track<?>>>>();
        var shown = new LinkedHashMap<String, Map<String, Span>>();
        for (Timeline t : board.timelines()) {
            var of = new LinkedHashMap<>(t.tracks());
            of.keySet().retainAll(all);
            tracks.put(t.name(), of);
            var spans = new LinkedHashMap<>(t.shown());
            spans.keySet().retainAll(all);
            shown.put(t.name(), spans);
        }
        return new Clip(picked, tracks, shown, project.assets());
    }

    /** What a paste gives: the new board and the ids of the pasted elements. */
    public record Pasted(Board board, List<String> ids) {}

    /** Puts copies on top of the board, with new ids and free names, moved by an offset with all their keys. */
    public Pasted paste(Board board, Point offset) {
        return paste(board, board.elements(), offset);
    }

    /** @param among whose names they may not take, with those of all that lies in them */
    public Pasted paste(Board board, List<Element> among, Point offset) {
        Set<String> names = new HashSet<>();
        Tree.each(among, e -> names.add(e.name()));
        var ids = new HashMap<String, String>();
        var fresh = elements.stream().map(e -> renewed(e, ids, names)).toList();
        var all = new ArrayList<>(board.elements());
        all.addAll(fresh);
        Board b = board.withElements(all);
        for (Timeline t : board.timelines()) {
            for (var entry : tracks.getOrDefault(t.name(), Map.of()).entrySet()) {
                b = b.mapTimeline(t.id(), x -> x.withTracks(ids.get(entry.getKey()), entry.getValue()));
            }
            for (var entry : shown.getOrDefault(t.name(), Map.of()).entrySet()) {
                b = b.mapTimeline(t.id(), x -> x.withShown(ids.get(entry.getKey()), entry.getValue()));
            }
        }
        for (Element e : fresh) {
            b = Placing.shift(b, e.id(), offset);
        }
        return new Pasted(b, fresh.stream().map(Element::id).toList());
    }

    private static Element renewed(Element e, Map<String, String> ids, Set<String> names) {
        String id = Ids.next();
        ids.put(e.id(), id);
        String name = Names.free(names, e.name());
        names.add(name);
        Element copy = e.withId(id).withName(name);
        return e.children().isEmpty() ? copy : copy.withChildren(e.children().stream().map(c -> renewed(c, ids, names)).toList());
    }

    /** The project with the pictures that the clip shows. */
    public Project withAssets(Project p) {
        return withPictures(p, elements, assets);
    }

    /** A project with the pictures of some elements, taken from a shelf. */
    public static Project withPictures(Project p, List<Element> elements, Map<String, Asset> shelf) {
        Project out = p;
        var used = new HashSet<String>();
        Tree.each(elements, e -> {
            if (e.content() instanceof tundra.core.model.Content.Picture pic) {
                used.add(pic.asset());
            }
        });
        for (String hash : used) {
            if (shelf.containsKey(hash)) {
                out = out.withAsset(shelf.get(hash));
            }
        }
        return out;
    }

}
