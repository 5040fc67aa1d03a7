package tundra.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import tundra.core.edit.Arrange;
import tundra.core.edit.Draggings;
import tundra.core.edit.Reactions;
import tundra.core.edit.Sentences;
import tundra.core.edit.TimeText;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Numbers;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;

/** Reactions that nothing sets off, and places to tap that are covered, small, nameless or out of the keyboard's reach. */
final class ReactionChecks {
    /** The least side of a place to tap, in px: WCAG 2.2, success criterion 2.5.8. */
    private static final double LEAST = 24;
    private static final double COVERED = 0.5;
    /** What no key stands for. */
    private static final Set<EventKind> MOUSE = Set.of(Events.PRESSED, Events.RELEASED, Events.HELD, Events.SWIPED, Events.PINCHED);
    private final Project project;
    private final Place place;
    private final Board board;
    private final List<Finding> out = new ArrayList<>();

    private ReactionChecks(Project project, Place place) {
        this.project = project;
        this.place = place;
        board = place.board();
    }

    static List<Finding> of(Project p, Place place, TextMeasurer measure) {
        if (place.board().reactions().isEmpty() && place.board().drags().isEmpty()) {
            return List.of();
        }
        var c = new ReactionChecks(p, place);
        place.board().reactions().stream().filter(r -> !r.off()).forEach(c::dead);
        place.board().reactions().stream().filter(r -> !r.off()).forEach(c::already);
        place.board().drags().forEach(c::still);
        c.mouseOnly();
        c.areas(measure);
        return c.out;
    }

    private void add(Check check, String element, long time, String text, Finding.Fix fix) {
        out.add(new Finding(check, place.id(), element, null, time, text, fix));
    }

    private void dead(Reaction r) {
        String words = new Sentences(project, board).of(r.when().kind(), r.when().slots());
        String element = (String) r.when().slots().first(Slot.Type.ELEMENT);
        var off = new Finding.Fix("Delete this reaction", b -> b.withReactions(Reactions.delete(b.reactions(), r.id())));
        Element e = element == null ? null : board.find(element);
        if (e != null && absent(e)) {
            add(Check.DEAD, element, 0, "“" + words + "” never happens: " + why(e), off);
        }
        if (r.when().kind() == Events.PASSED) {
            Timeline t = board.timeline((String) r.when().slots().get(Events.TIMELINE));
            long at = (Long) r.when().slots().get(Events.TIME);
            if (at > t.duration()) {
                add(Check.DEAD, null, 0, "“" + words + "” never happens: " + t.name() + " ends at " + TimeText.seconds(t.duration()) + ".", off);
            } else if (!t.starts() && t.scroll() == null && !played(t)) {
                add(Check.DEAD, null, at, "“" + words + "” never happens: nothing plays " + t.name() + ".", off);
            }
        }
    }

    /** What plays by itself, or goes by the page's scrolling, needs no reaction. */
    private void already(Reaction r) {
        for (int i = 0; i < r.actions().size(); i++) {
            Action a = r.actions().get(i);
            if (a.kind() != Actions.PLAY && a.kind() != Actions.PLAY_FROM_START
                    || !(board.timeline((String) a.slots().get(Actions.PLAYER)) instanceof Timeline t)) {
                continue;
            }
            boolean first = r.when().kind() == Events.OPENED && r.conditions().isEmpty();
            if (t.scroll() != null || first && t.starts()) {
                int at = i;
                add(Check.ALREADY, null, 0, "“" + new Sentences(project, board).of(a.kind(), a.slots()) + "” does nothing: " + t.name()
                        + (t.scroll() != null ? " goes by the page's scrolling." : " starts by itself when the scene opens."),
                        new Finding.Fix("Take this action away", b -> b.withReactions(b.reactions().stream()
                        .map(x -> x.id().equals(r.id()) ? without(x, at) : x).filter(Objects::nonNull).toList())));
            }
        }
    }

    private static Reaction without(Reaction r, int action) {
        var left = Reactions.mapped(r.actions(), action, a -> null);
        return left.isEmpty() && r.otherwise().isEmpty() ? null : r.withActions(left);
    }

    /** What can be dragged but is not on the page, or goes along a motion path and has none. */
    private void still(Dragging d) {
        for (Dragging.Pair p : d.pairs()) {
            Element e = board.find(p.part());
            if (absent(e)) {
                add(Check.DEAD, p.part(), 0, "Nobody can drag " + e.name() + ": " + why(e), null);
            } else if (d.motion().way() == Dragging.Way.PATH && Draggings.pathOf(board, p.part()) == null) {
                add(Check.DEAD, p.part(), 0, e.name() + " has no motion path to be dragged along: key its position, or let it move freely.",
                        new Finding.Fix("Let it move freely", b -> Draggings.map(b, d.id(), x -> x.withMotion(m -> m.withWay(Dragging.Way.FREE)))));
            } else if (!p.places().isEmpty() && p.places().stream().map(board::find).allMatch(ReactionChecks::absent)) {
                add(Check.DEAD, p.part(), 0, e.name() + " can land nowhere: no place that it fits is on the page.", null);
            }
        }
    }

    /** Whether an element is not on the page, and why. */
    private static boolean absent(Element e) {
        return e.hidden() || e.guide();
    }

    private static String why(Element e) {
        return e.name() + (e.hidden() ? " is hidden." : " is a guide, which isn't published.");
    }

    private boolean played(Timeline t) {
        return board.reactions().stream().anyMatch(r -> r.actions().stream().anyMatch(a -> a.slots().names(t.id())) || r.otherwise().stream()
                .anyMatch(a -> a.slots().names(t.id()))
                || r.slots().stream().anyMatch(s -> t.markers().stream().anyMatch(m -> s.names(m.id()))));
    }

    private void mouseOnly() {
        var tapped = new HashSet<String>();
        board.reactions().stream().filter(r -> !r.off() && (r.when().kind() == Events.TAPPED || r.when().kind() == Events.TAPPED_TWICE))
                .forEach(r -> tapped.add((String) r.when().slots().get(Events.ELEMENT)));
        boolean keys = board.reactions().stream().anyMatch(r -> !r.off() && r.when().kind() == Events.KEY_PRESSED);
        var told = new HashSet<String>();
        for (Reaction r : board.reactions()) {
            String id = (String) r.when().slots().first(Slot.Type.ELEMENT);
            if (!r.off() && MOUSE.contains(r.when().kind()) && !tapped.contains(id) && !keys && told.add(id)) {
                add(Check.MOUSE_ONLY, id, 0, "“" + new Sentences(project, board).of(r.when().kind(), r.when().slots())
                        + "” can't be done from the keyboard: let a tap or a key do the same.", null);
            }
        }
    }

    private void areas(TextMeasurer measure) {
        for (TouchAreas.Area a : TouchAreas.of(project, board, measure, Moment.opened(board, board.main().duration()))) {
            Element e = board.find(a.element());
            if (a.hidden() >= COVERED) {
                String by = a.covered().keySet().iterator().next();
                Element over = board.find(by);
                String name = over == null ? "something" : over.name();
                // brought in front only where both lie in the same group
                boolean beside = board.elements().contains(e) && board.elements().contains(over);
                add(Check.COVERED, a.element(), board.main().duration(), e.name() + " is covered by " + name + ": "
                        + Numbers.plain(100 * a.covered().get(by), 0) + " %.",
                        beside ? new Finding.Fix("Bring " + e.name() + " in front", b -> Arrange.reorder(b, e.id(), b.elements().size())) : null);
            }
            double least = Math.min(a.bounds().width(), a.bounds().height());
            if (least < LEAST - 0.01) {
                add(Check.SMALL, a.element(), 0, e.name() + " is only " + Numbers.plain(a.bounds().width(), 0) + " × "
                        + Numbers.plain(a.bounds().height(), 0) + " px; fingers need " + Numbers.plain(LEAST, 0) + ".", null);
            }
            if (e.name().matches("(?i)(rectangle|ellipse|path|polygon|group|picture|text|line|instance|element)( \\d+)?")) {
                add(Check.NAMELESS, a.element(), 0, "Screen readers would call it “" + e.name() + "”: give it a name that says what it does.", null);
            }
        }
    }
}
