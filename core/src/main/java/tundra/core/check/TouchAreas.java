package tundra.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Tree;

/** What on a scene catches the pointer because something reacts to it, and by what it is covered. */
public final class TouchAreas {
    /** Points across and down at which an area is looked at; fewer where there are many areas. */
    private static final int POINTS = 16, FEW = 4;
    /** So many areas are looked at in full. */
    private static final int AREAS = 20;
    static final Set<EventKind> POINTER = Set.of(Events.TAPPED, Events.TAPPED_TWICE, Events.PRESSED, Events.RELEASED, Events.HELD, Events.OVER,
            Events.OUT, Events.SWIPED, Events.PINCHED);

    /**
     * One that reacts.
     *
     * @param bounds around what of it is seen, on the canvas
     * @param covered which share of it lies beneath what, by the ids of what does
     */
    public record Area(String element, Rect bounds, Map<String, Double> covered) {
        /** Which share of it lies beneath anything. */
        public double hidden() {
            return covered.values().stream().mapToDouble(d -> d).sum();
        }
    }

    private TouchAreas() {}

    /** The ids of what reacts to the pointer: by a reaction, by being dragged, or as an instance of a motif with states. */
    public static Set<String> reacting(Project p, Board b) {
        var out = new LinkedHashSet<String>();
        for (Reaction r : b.reactions()) {
            if (!r.off() && POINTER.contains(r.when().kind())) {
                out.add((String) r.when().slots().get(Events.ELEMENT));
            }
        }
        b.reactions().stream().filter(r -> !r.off()).flatMap(r -> Stream.concat(r.actions().stream(), r.otherwise().stream()))
                .filter(a -> a.kind() == Actions.WAIT_UNTIL)
                .forEach(a -> out.add((String) a.slots().get(Events.ELEMENT)));
        b.drags().forEach(d -> d.pairs().forEach(x -> out.add(x.part())));
        Tree.each(b.elements(), e -> {
            if (e.content() instanceof Content.Instance i && p.motif(i.motif()) instanceof Motif m && (m.states() != null || m.board().reactions()
                    .stream()
                    .anyMatch(r -> !r.off() && POINTER.contains(r.when().kind()) && r.when().slots().names(Slot.INSTANCE)))) {
                out.add(e.id());
            }
        });
        return out;
    }

    /**
     * The ids of what catches the pointer, with all that it holds, unless it is told to let it through; anything else lets it through to what
     * lies behind. That is what reacts, what has a cursor of its own, and what scripts name.
     */
    public static Set<String> catching(Project p, Board b) {
        Set<String> out = reacting(p, b);
        // a tap on it is none elsewhere
        b.reactions().stream().filter(r -> !r.off() && r.when().kind() == Events.TAPPED_ELSEWHERE)
                .forEach(r -> out.add((String) r.when().slots().get(Events.ELEMENT)));
        Tree.each(b.elements(), e -> {
            String name = e.name();
            if (!e.rest().get(Properties.CURSOR).equals(Properties.CURSOR.standard())
                    || p.scripts().stream().anyMatch(s -> s.source().contains("\"" + name + "\"") || s.source().contains("'" + name + "'")
                    || s.source().contains("`" + name + "`"))) {
                out.add(e.id());
            }
        });
        return out;
    }

    /** All of a board that are seen at a moment. */
    public static List<Area> of(Project p, Board board, TextMeasurer measure, Moment at) {
        Set<String> reacting = reacting(p, board);
        if (reacting.isEmpty()) {
            return List.of();
        }
        Board touched = touched(board, catching(p, board));
        Frame frame = Frames.of(p, touched, measure).at(at);
        var out = new ArrayList<Area>();
        int points = (int) Math.max(FEW, Math.min(POINTS, POINTS * Math.sqrt((double) AREAS / reacting.size())));
        for (String id : reacting) {
            Frame.Placed placed = frame.find(id);
            if (placed != null && placed.node().inked() != null) {
                out.add(area(frame, touched, id, points, placed.toCanvas().bounds(placed.node().inked())));
            }
        }
        return out;
    }

    /** As the pointer meets it: nothing is locked, what lets through is not there, and whole boxes are filled. */
    private static Board touched(Board b, Set<String> catching) {
        return b.mapElements(Tree.ids(b.elements()), e -> {
            Element open = e.withLocked(false);
            boolean through = e.children().isEmpty() && b.path(e.id()).stream().noneMatch(catching::contains);
            return switch (e.rest().get(Properties.TOUCH)) {
                case "what is seen" -> through ? open.withHidden(true) : open;
                case "lets through" -> open.withHidden(true);
                case "its whole box" -> e.content() instanceof Content.Shape ? open.with(Properties.FILL, Color.BLACK) : open;
                default -> open;
            };
        });
    }

    private static Area area(Frame frame, Board b, String id, int points, Rect r) {
        var covered = new LinkedHashMap<String, Integer>();
        int inside = 0;
        Rect canvas = new Rect(0, 0, b.size().x(), b.size().y());
        for (int i = 0; i < points * points; i++) {
            var at = new Point(r.x() + r.width() * (i % points + 0.5) / points, r.y() + r.height() * (i / points + 0.5) / points);
            List<List<String>> under = canvas.contains(at) ? HitTest.under(frame, at, 0) : List.of();
            if (under.stream().noneMatch(path -> path.contains(id))) {
                continue;
            }
            inside++;
            List<String> top = under.getFirst();
            if (!top.contains(id)) {
                List<String> own = b.path(id);
                String by = top.stream().filter(x -> !own.contains(x)).findFirst().orElse(top.getLast());
                covered.merge(by, 1, Integer::sum);
            }
        }
        int all = inside;
        var shares = new LinkedHashMap<String, Double>();
        covered.entrySet().stream().sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder()))
                .forEach(e -> shares.put(e.getKey(), (double) e.getValue() / all));
        return new Area(id, r, shares);
    }
}
