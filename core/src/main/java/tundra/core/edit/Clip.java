package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Track;

/**
 * Elements taken to the clipboard with their keys.
 *
 * @param tracks by the names of timelines
 * @param shown when they are seen, by the names of timelines
 * @param reactions what they start
 * @param timelines the names of the timelines that the reactions move, by their ids
 * @param drags the rows that say how those of them are dragged that can be
 * @param from the piece that they were taken from, for what they show of its shelf and its motifs
 */
public record Clip(List<Element> elements, Map<String, Map<String, Map<Property<?>, Track<?>>>> tracks, Map<String, Map<String, Span>> shown,
        List<Reaction> reactions, Map<String, String> timelines, List<Dragging> drags, Project from) {

    /** Copies elements, in their order on the board. */
    public static Clip of(Project project, Board board, Collection<String> ids) {
        List<Element> picked = Tree.topmost(board.elements(), Set.copyOf(ids));
        Set<String> all = Tree.owners(picked);
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
        var reactions = board.reactions().stream().filter(r -> all.contains(r.when().slots().first(Slot.Type.ELEMENT))).toList();
        var names = new LinkedHashMap<String, String>();
        board.timelines().forEach(t -> names.put(t.id(), t.name()));
        return new Clip(picked, tracks, shown, reactions, names, dragged(board, all), project);
    }

    /** How some elements are dragged: the rows of the board, each with those parts only. */
    private static List<Dragging> dragged(Board b, Set<String> ids) {
        return b.drags().stream().map(d -> d.withPairs(d.pairs().stream().filter(p -> ids.contains(p.part())).toList()))
                .filter(d -> !d.pairs().isEmpty()).toList();
    }

    /** What a paste gives: the new board and the ids of the pasted elements. */
    public record Pasted(Board board, List<String> ids) {}

    /** Puts copies on top of the board, with new ids and free names, moved by an offset with all their keys. */
    public Pasted paste(Board board, Point offset) {
        return paste(board, board.elements(), offset);
    }

    /** @param among whose names they may not take, with those of all that lies in them */
    public Pasted paste(Board board, List<Element> among, Point offset) {
        Set<String> taken = new HashSet<>();
        Tree.each(among, e -> taken.add(e.name()));
        var names = new FreeNames(taken);
        var ids = new HashMap<String, String>();
        var copies = elements.stream().map(e -> renewed(e, ids, names)).toList();
        var fresh = copies.stream().map(e -> named(e, ids)).toList();
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
        b = withDrags(withReactions(b, ids), ids);
        return new Pasted(b, fresh.stream().map(Element::id).toList());
    }

    /** With the reactions to the copies, each in its group; what moves a timeline that isn't on this board is left out. */
    private Board withReactions(Board b, Map<String, String> ids) {
        List<Reaction> all = b.reactions();
        for (Reaction r : reactions) {
            Reaction here = r.map(s -> there(s, b, ids));
            if (here != null) {
                Reaction copy = here.withId(Ids.next()).withGroup("");
                all = Reactions.group(Reactions.plus(all, copy), copy.id(), here.group());
            }
        }
        return all.size() == b.reactions().size() ? b : b.withReactions(all);
    }

    /** Copies of parts can be dragged as those were: to copies of their places, and to the places that are on this board as well. */
    private Board withDrags(Board b, Map<String, String> ids) {
        var all = new ArrayList<>(b.drags());
        for (Dragging d : drags) {
            UnaryOperator<String> here = id -> ids.containsKey(id) ? ids.get(id) : b.find(id) == null ? null : id;
            Dragging copies = d.map(id -> d.pairs().stream().anyMatch(p -> p.part().equals(id)) ? ids.get(id) : here.apply(id));
            if (copies == null) {
                continue;
            }
            int at = IntStream.range(0, all.size()).filter(i -> all.get(i).id().equals(d.id())).findFirst().orElse(-1);
            if (at < 0) {
                all.add(copies.withId(Ids.next()));
            } else {
                var pairs = new ArrayList<>(all.get(at).pairs());
                pairs.addAll(copies.pairs());
                all.set(at, all.get(at).withPairs(pairs));
            }
        }
        return all.size() == b.drags().size() && drags.isEmpty() ? b : b.withDrags(all);
    }

    /** What is named, as it is called on another board; null when something isn't there. */
    private Slots there(Slots slots, Board b, Map<String, String> ids) {
        return slots.mapIds(Reactions.OF_BOARD, id -> {
            if (timelines.containsKey(id)) {
                return b.timelines().stream().filter(t -> t.name().equals(timelines.get(id))).map(Timeline::id).findFirst().orElse(null);
            }
            boolean here = ids.containsKey(id) || b.find(id) != null || b.timelines().stream()
                    .anyMatch(t -> t.markers().stream().anyMatch(m -> m.id().equals(id)));
            return here ? ids.getOrDefault(id, id) : null;
        });
    }

    /** Blocks that name what was copied with them name the copies. */
    private static Element named(Element e, Map<String, String> ids) {
        Element own = BlockSettings.renamed(e, ids);
        return e.children().isEmpty() ? own : own.withChildren(e.children().stream().map(c -> named(c, ids)).toList());
    }

    private static Element renewed(Element e, Map<String, String> ids, FreeNames names) {
        String id = Ids.next();
        ids.put(e.id(), id);
        Element copy = e.withId(id).withName(names.take(e.name())).withEffects(Effects.renewed(e.effects(), ids));
        return e.children().isEmpty() ? copy : copy.withChildren(e.children().stream().map(c -> renewed(c, ids, names)).toList());
    }

    /** The project with what the clip shows and it doesn't have: pictures, fonts that its texts are set in, and motifs with all that these show. */
    public Project withParts(Project p, Function<Asset, String> familyOf) {
        return withParts(p, elements, from, familyOf);
    }

    /**
     * A project with the pictures, fonts and motifs that some elements need, taken from the piece that they are of.
     *
     * @param familyOf the family that a font of the shelf belongs to
     */
    public static Project withParts(Project p, List<Element> elements, Project from, Function<Asset, String> familyOf) {
        Project out = withFiles(p, elements, from.assets(), familyOf);
        var missing = new LinkedHashSet<Motif>();
        Tree.each(elements, e -> {
            if (e.content() instanceof Content.Instance i && p.motif(i.motif()) == null) {
                missing.addAll(Motifs.within(from, i.motif()));
            }
        });
        return missing.isEmpty() ? out : MotifParts.bring(out, MotifParts.alone(from, missing, familyOf), false);
    }

    private static Project withFiles(Project p, List<Element> elements, Map<String, Asset> shelf, Function<Asset, String> familyOf) {
        var used = new HashSet<String>();
        var families = new HashSet<String>();
        Tree.each(elements, e -> {
            switch (e.content()) {
                case Content.Picture x -> used.add(x.asset());
                case Content.Text x -> families.add(x.family());
                default -> {
                    used.addAll(BlockSettings.files(e));
                    families.add(BlockSettings.family(e));
                }
            }
        });
        Project out = p;
        for (Asset a : shelf.values()) {
            boolean needed = a.kind() == Asset.Kind.FONT ? !families.isEmpty() && families.contains(familyOf.apply(a)) : used.contains(a.hash());
            if (needed && !p.assets().containsKey(a.hash())) {
                out = out.withAsset(a);
            }
        }
        return out;
    }
}
