package tundra.web;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.edit.Draggings;
import tundra.core.edit.Reach;
import tundra.core.edit.Sentences;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Condition;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.motion.EasingText;

/** The reactions of a board as the player reads them. What names something that isn't published is left out. */
final class ReactionWriter {
    /** Writes the tracks of a timeline. */
    interface TrackWriter {
        void write(ObjectNode o, Timeline t);
    }

    /** Of a motion path at most. */
    private static final int STEPS = 240;
    private final Project project;
    private final Board board;
    private final List<Reaction> reactions;
    private final Markup markup;
    private final TrackWriter tracks;
    private final boolean words;
    private final Set<String> used;
    private final Sentences sentences;

    /**
     * @param words whether what the sentences say goes along, for the log of who tries it
     * @param used gets the sections of the player's script that it takes
     */
    ReactionWriter(Project project, Board open, Reach reach, Markup markup, TrackWriter tracks, boolean words, Set<String> used) {
        this.project = project;
        board = reach.board(open);
        reactions = reach == Reach.PIECE ? project.reactions() : open.reactions();
        this.markup = markup;
        this.tracks = tracks;
        this.words = words;
        this.used = used;
        sentences = new Sentences(project, open, reach);
    }

    /** Of those of the whole piece, which set nothing of a board. */
    static ReactionWriter ofPiece(Project p, Markup markup, boolean words, Set<String> used) {
        return new ReactionWriter(p, null, Reach.PIECE, markup, (o, t) -> { }, words, used);
    }

    /** What visitors can drag. */
    void drags(ObjectNode board) {
        for (Dragging d : this.board.drags()) {
            List<Dragging.Pair> there = d.pairs().stream().filter(p -> markup.of(p.part()) != null).toList();
            if (there.isEmpty()) {
                continue;
            }
            used.add(PlayerScript.REACTIONS);
            used.add(PlayerScript.DRAGS);
            used.add(PlayerScript.VOICE);
            used.add(PlayerScript.BOX);
            ObjectNode o = board.withArray("drags").addObject();
            ArrayNode pairs = o.putArray("pairs");
            ObjectNode names = o.putObject("names"), pivots = o.putObject("pivots");
            for (Dragging.Pair p : there) {
                Element part = this.board.find(p.part());
                names.put(PageId.of(p.part()), part.name());
                Point at = part.rest().get(Properties.POSITION);
                pivots.put(PageId.of(p.part()), CssText.px(at.x()) + " " + CssText.px(at.y()));
                ArrayNode places = pairs.addArray().add(PageId.of(p.part())).addArray();
                p.places().stream().filter(x -> markup.of(x) != null).forEach(x -> {
                    places.add(PageId.of(x));
                    names.put(PageId.of(x), this.board.find(x).name());
                });
            }
            Dragging.Motion motion = d.motion();
            Dragging.Fit fit = d.fit();
            o.put("way", word(motion.way())).put("missed", word(fit.missed())).put("back", fit.back() / 1000.0)
                    .put("easing", EasingPieces.single(fit.easing())).put("overlap", word(fit.overlap())).put("share", fit.share())
                    .put("snaps", fit.snaps()).put("many", fit.many()).put("opacity", d.carried().opacity()).put("tilt", d.carried().tilt())
                    .put("cursor", d.carried().cursor().css);
            if (motion.area() != null && markup.of(motion.area()) != null) {
                o.put("area", PageId.of(motion.area()));
            }
            if (motion.glides()) {
                o.put("glides", true);
            }
            there.forEach(p -> ways(o, d, p.part()));
        }
    }

    /** How a part looks while it is carried, and its motion path where it goes along that: times in ms and places in px. */
    private void ways(ObjectNode o, Dragging d, String part) {
        if (board.timeline(SetTimelines.look(d, part)) instanceof Timeline t) {
            ObjectNode look = o.withObject("looks").putObject(PageId.of(part)).put("duration", t.duration() / 1000.0).put("easing", "ease-out");
            tracks.write(look, t);
        }
        if (d.motion().way() == Dragging.Way.PATH && Draggings.pathOf(board, part) instanceof Timeline t) {
            ArrayNode points = o.withObject("paths").putObject(PageId.of(part)).put("timeline", t.id()).putArray("points");
            used.add(PlayerScript.PATHS);
            Draggings.along(board, part, STEPS).forEach(a -> points.addArray().add(number(a.time() / 1000.0)).add(number(a.at().x()))
                    .add(number(a.at().y())));
        }
    }

    private static BigDecimal number(double v) {
        return new BigDecimal(Numbers.plain(v, 2));
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    void write(ArrayNode out) {
        for (Reaction r : reactions) {
            Reaction there = r.off() ? null : r.map(s -> s.mapIds(Set.of(Slot.Type.ELEMENT, Slot.Type.ELEMENTS, Slot.Type.PLAYER),
                    id -> markup.of(id) == null && board.timeline(id) == null ? null : id));
            if (there != null) {
                used.add(PlayerScript.REACTIONS);
                if (r.slots().stream().anyMatch(s -> s.names(Slot.INSTANCE))) {
                    used.add(PlayerScript.INSTANCE);
                }
                reaction(out.addObject(), r);
            }
        }
    }

    private void reaction(ObjectNode o, Reaction r) {
        o.put("id", r.id());
        sentence(o, "when", r.when().kind(), r.when().slots());
        used.add(PlayerScript.event(r.when().kind().key()));
        if (r.when().kind() == Events.PASSED || r.when().kind() == Events.REACHED) {
            used.add(PlayerScript.CUES);
        }
        if (r.when().kind() == Events.ENDED || r.when().kind() == Events.INSTANCE_REACHED) {
            used.add(PlayerScript.MARKS);
        }
        if (!r.conditions().isEmpty()) {
            ArrayNode all = o.putArray("if");
            for (Condition c : r.conditions()) {
                sentence(all.addObject(), "condition", c.kind(), c.slots());
                used.add(PlayerScript.condition(c.kind().key()));
            }
        }
        if (r.any()) {
            o.put("any", true);
        }
        actions(o.putArray("do"), r, false, r.actions());
        if (!r.otherwise().isEmpty()) {
            actions(o.putArray("otherwise"), r, true, r.otherwise());
        }
    }

    private void actions(ArrayNode out, Reaction r, boolean otherwise, List<Action> actions) {
        for (int i = 0; i < actions.size(); i++) {
            Action a = actions.get(i);
            Slots there = a.slots().mapIds(Set.of(Slot.Type.ELEMENT, Slot.Type.ELEMENTS, Slot.Type.PLAYER), id -> markup.of(id) == null
                    && board.timeline(id) == null ? null : id);
            if (there == null) {
                continue;
            }
            ObjectNode o = out.addObject();
            used.add(PlayerScript.action(a.kind().key()));
            if (a.kind() == Actions.SET || a.kind() == Actions.CHANGE_BY) {
                o.put("action", a.kind().key());
                says(o, a.kind(), a.slots());
                Timeline t = board.timeline(SetTimelines.id(r, otherwise, i));
                ObjectNode to = o.putObject("to").put("duration", (Long) a.slots().get(Actions.OVER) / 1000.0)
                        .put("easing", EasingPieces.single(EasingText.parse((String) a.slots().get(Actions.EASING))));
                if (words) {
                    to.put("set", t.id());
                }
                tracks.write(to, t);
            } else {
                sentence(o, "action", a.kind(), there);
                if (a.kind() == Actions.RUN) {
                    used.addAll(Set.of(PlayerScript.SCRIPTS, PlayerScript.VOICE, PlayerScript.VALUES));
                }
                if (a.kind() == Actions.SEND) {
                    used.add(PlayerScript.VALUES);
                }
                if (a.kind() == Actions.SAY) {
                    used.add(PlayerScript.VOICE);
                }
            }
        }
    }

    /** Its time in ms. */
    static void transition(ObjectNode o, Transition t) {
        o.put("kind", t.kind().word).put("time", t.time() / 1000.0).put("easing", EasingPieces.single(t.easing()));
        if (t.kind().moves()) {
            o.put("side", t.side().word());
        }
    }

    private void says(ObjectNode o, SentenceKind kind, Slots slots) {
        if (words) {
            o.put("says", sentences.of(kind, slots));
        }
    }

    /** Elements by their names on the page, times in ms, sounds by their files. */
    private void sentence(ObjectNode o, String field, SentenceKind kind, Slots slots) {
        o.put(field, kind.key());
        says(o, kind, slots);
        slots.values().forEach((slot, value) -> {
            String k = slot.key();
            switch (slot.type()) {
                case ELEMENT -> o.put(k, PageId.of((String) value));
                case ELEMENTS -> {
                    ArrayNode all = o.putArray(k);
                    ((List<?>) value).forEach(id -> all.add(id.equals(Slot.EVERYTHING) ? Slot.EVERYTHING : PageId.of((String) id)));
                }
                case PLAYER -> o.put(k, board.timeline((String) value) != null || value.equals(Slot.EVERYTHING)
                        ? (String) value : PageId.of((String) value));
                case MARKER -> {
                    Timeline t = Sentences.timelineOf(board, (String) value);
                    o.put("timeline", t.id()).put("time", Sentences.marker(board, (String) value).time() / 1000.0);
                }
                case MOTIF_MARKER -> {
                    Board inner = project.motifs().stream().map(Motif::board).filter(b -> Sentences.marker(b, (String) value) != null).findFirst()
                            .orElseThrow();
                    o.put("timeline", Sentences.timelineOf(inner, (String) value).id()).put("time", Sentences.marker(inner, (String) value)
                            .time() / 1000.0);
                }
                case TIME, DURATION -> o.put(k, (Long) value / 1000.0);
                case NUMBER -> o.put(k, (Double) value);
                case SOUND -> {
                    Asset a = project.assets().get((String) value);
                    o.put(k, PageCompiler.soundPath(a));
                }
                case VALUE -> {
                    used.add(PlayerScript.VALUES);
                    o.put(k, (String) value);
                }
                case TRANSITION -> {
                    if (Transition.parse((String) value) instanceof Transition t) {
                        used.add(PlayerScript.WAYS);
                        transition(o.putObject(k), t);
                    }
                }
                case LAYOUT -> o.put(k, value.equals(Slot.DRAWN) ? Slot.DRAWN : PageId.of((String) value));
                case SETTING, CHANGE -> throw new IllegalStateException("settings are timelines");
                default -> o.put(k, (String) value);
            }
        });
    }
}
