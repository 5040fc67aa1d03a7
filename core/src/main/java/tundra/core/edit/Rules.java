package tundra.core.edit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Limits;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Script;
import tundra.core.model.Timeline;

/**
 * What a document may be. Every version of it passes here, whatever made it: what names something that is gone goes with it, and a version
 * that could not be kept is refused with a sentence. Only what differs from the version before is looked at, so a step costs what it changed.
 */
public final class Rules {
    private static final String UNCHANGED = " Nothing was changed.";
    private static final int SCENES = 1000, WORDS = 2000;

    private Rules() {}

    /** A version as it may stand: without what names something that went, and with scripts that follow what was renamed. */
    public static Project tidied(Project before, Project after) {
        return after == before ? after : Scripts.follow(before, Scenes.grounded(before, OutputEdits.tidied(Reactions.tidied(after))));
    }

    /** One sentence that says why a version can't follow another; null when it can. Whatever was so before is no reason. */
    public static String refusal(Project before, Project after) {
        if (after == before) {
            return null;
        }
        String why = ofPiece(before, after);
        for (Place p : why != null ? List.<Place>of() : after.places()) {
            Place was = before.place(p.id());
            if (was != p && why == null) {
                why = ofPlace(after, p, was == null ? null : was.board(), before.assets() != after.assets());
            }
        }
        return why == null ? null : why + UNCHANGED;
    }

    private static String ofPiece(Project before, Project after) {
        if (after.scenes().isEmpty() || after.scenes().size() > SCENES) {
            return "A piece can hold 1 to " + SCENES + " scenes, and that would be " + after.scenes().size() + ".";
        }
        if (after.scripts() != before.scripts()) {
            for (Script s : after.scripts()) {
                if (s.source().length() > Limits.TEXT_CHARS) {
                    return tooLong("A script", s.source().length());
                }
            }
        }
        if (after.assets() != before.assets() && !after.assets().keySet().containsAll(before.assets().keySet())) {
            // what was taken off the shelf may be shown in a place that did not change
            String missing = after.places().stream().map(p -> missing(after, p)).filter(x -> x != null).findFirst().orElse(null);
            if (missing != null) {
                return missing;
            }
        }
        if (after.motifs() != before.motifs() && after.motifs().size() < before.motifs().size()) {
            for (Place p : after.places()) {
                Element stray = stray(after, p.board());
                if (stray != null) {
                    return "“" + stray.name() + "” in " + p.name() + " shows a motif that is not in this piece.";
                }
            }
        }
        String outputs = after.outputs() == before.outputs() ? null : OutputEdits.refusal(after);
        return outputs != null || after.reactions() == before.reactions() ? outputs : ofReactions(after.reactions());
    }

    private static String ofPlace(Project after, Place p, Board was, boolean otherShelf) {
        Board b = p.board();
        if (tooLong(p.name())) {
            return tooLong("A name", p.name().length());
        }
        String why = null;
        if (was == null || was.elements() != b.elements()) {
            var count = new Count();
            count.walk(b.elements(), 1);
            why = count.problem();
            if (why == null && count.instances) {
                Element stray = stray(after, b);
                String shown = Shown.problem(after);
                why = stray != null ? "“" + stray.name() + "” shows a motif that is not in this piece."
                        : p instanceof Motif && Motifs.holds(after, p.id(), p.id()) ? "The motif “" + p.name()
                        + "” can't show itself, be it through another motif."
                        : shown != null ? "That would be too much: " + shown + "." : null;
            }
        }
        boolean sounds = was == null || was.timelines() != b.timelines();
        if (why == null && (sounds || was.layouts() != b.layouts())) {
            why = ofTimelines(b);
        }
        if (why == null && (was == null || otherShelf || was.elements() != b.elements() || sounds)) {
            why = missing(after, p);
        }
        if (why == null && (was == null || was.layouts() != b.layouts())) {
            why = ofLayouts(b);
        }
        return why != null || was != null && was.reactions() == b.reactions() ? why : ofReactions(b.reactions());
    }

    private static String ofLayouts(Board b) {
        if (b.layouts().size() > Limits.LAYOUTS) {
            return "A scene can have " + Limits.LAYOUTS + " layouts, and that would be " + b.layouts().size() + ".";
        }
        for (Layout l : b.layouts()) {
            int letters = l.differs().words().values().stream().mapToInt(String::length).max().orElse(0);
            String why = tooLong(l.name()) ? tooLong("A name", l.name().length()) : letters > Limits.TEXT_CHARS ? tooLong("A text", letters)
                    : ofReactions(List.copyOf(l.differs().reactions().values()));
            if (why != null) {
                return why;
            }
        }
        return null;
    }

    /** An instance whose motif is not there; null for none. */
    private static Element stray(Project p, Board b) {
        Set<String> motifs = new HashSet<>();
        p.motifs().forEach(m -> motifs.add(m.id()));
        return Motifs.instances(b, id -> !motifs.contains(id)).stream().findFirst().orElse(null);
    }

    /** Says what of the shelf a place shows or plays that isn't on it; null for nothing. */
    private static String missing(Project p, Place place) {
        for (Timeline t : place.board().timelines()) {
            if (t.sounds().stream().anyMatch(s -> !is(p, s.asset(), Asset.Kind.SOUND))) {
                return "A sound on " + t.name() + " of " + place.name() + " is not on the shelf.";
            }
        }
        var pictures = new Pictures(p);
        pictures.walk(place.board().elements());
        return pictures.missing == null ? null : "The picture of “" + pictures.missing.name() + "” in " + place.name() + " is not on the shelf.";
    }

    private static boolean is(Project p, String hash, Asset.Kind kind) {
        Asset a = p.assets().get(hash);
        return a != null && a.kind() == kind;
    }

    private static String ofTimelines(Board b) {
        long keys = 0;
        for (Timeline t : b.timelines()) {
            for (var tracks : t.tracks().values()) {
                for (var track : tracks.values()) {
                    keys += track.keys().size();
                }
            }
            if (t.duration() < 1 || t.duration() > Limits.TIME) {
                return "A timeline can last up to 24 hours, and " + t.name() + " would last longer.";
            }
            if (tooLong(t.name())) {
                return tooLong("A name", t.name().length());
            }
        }
        for (Layout l : b.layouts()) {
            for (var x : l.differs().timelines().values()) {
                keys += x.tracks().values().stream().mapToLong(t -> t.keys().size()).sum();
            }
        }
        return keys > Limits.KEYS ? "A scene can hold " + Limits.KEYS + " keys, and that would be " + keys + "." : null;
    }

    private static String ofReactions(List<Reaction> all) {
        for (Reaction r : all) {
            int longest = r.group().length();
            for (var slots : r.slots()) {
                for (Object v : slots.values().values()) {
                    longest = v instanceof String s ? Math.max(longest, s.length()) : longest;
                }
            }
            if (longest > WORDS) {
                return "The words in a sentence can have " + WORDS + " letters, and that would be " + longest + ".";
            }
        }
        return null;
    }

    private static boolean tooLong(String text) {
        return text.length() > Limits.TEXT_CHARS;
    }

    private static String tooLong(String what, int letters) {
        return what + " can have " + Limits.TEXT_CHARS + " letters, and that would be " + letters + ".";
    }

    private static final class Pictures {
        private final Project project;
        private Element missing;

        Pictures(Project project) {
            this.project = project;
        }

        private void walk(List<Element> in) {
            for (Element e : in) {
                if (e.content() instanceof Content.Picture p && !is(project, p.asset(), Asset.Kind.PICTURE)) {
                    missing = e;
                }
                if (BlockSettings.files(e).stream().anyMatch(h -> !project.assets().containsKey(h))) {
                    missing = e;
                }
                walk(e.children());
            }
        }
    }

    /** What a board holds, in one walk. */
    private static final class Count {
        private int elements;
        private int deepest;
        private int letters;
        private int named;
        private int effects;
        private long nodes;
        private boolean instances;

        private void walk(List<Element> in, int depth) {
            if (in.isEmpty() || deepest > Limits.NESTING) {
                return;
            }
            deepest = Math.max(deepest, depth);
            elements += in.size();
            for (Element e : in) {
                named = Math.max(named, e.name().length());
                effects = Math.max(effects, e.effects().size());
                switch (e.content()) {
                    case Content.Text t -> letters = Math.max(letters, t.text().length());
                    case Content.Path p -> nodes += p.outline().contours().stream().mapToInt(c -> c.nodes().size()).sum();
                    case Content.Instance i -> instances = true;
                    default -> { }
                }
                walk(e.children(), depth + 1);
            }
        }

        private String problem() {
            return deepest > Limits.NESTING ? "Groups can lie " + Limits.NESTING + " deep in each other, and that would be more."
                    : effects > Limits.EFFECTS ? "One thing can have " + Limits.EFFECTS + " effects, and that would be " + effects + "."
                    : elements > Limits.ELEMENTS ? "A scene can hold " + Limits.ELEMENTS + " elements, and that would be " + elements + "."
                    : nodes > Limits.NODES ? "A scene can hold " + Limits.NODES + " path nodes, and that would be " + nodes + "."
                    : letters > Limits.TEXT_CHARS ? tooLong("A text", letters) : named > Limits.TEXT_CHARS ? tooLong("A name", named) : null;
        }
    }
}
