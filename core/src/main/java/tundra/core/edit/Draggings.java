package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Makes and changes what visitors can drag. */
public final class Draggings {
    private Draggings() {}

    /** Elements that can be dragged, each once: those that can be already are left as they are. */
    public static Board add(Board b, Collection<String> parts) {
        var free = parts.stream().filter(id -> of(b, id) == null).map(id -> new Dragging.Pair(id, List.of())).toList();
        return free.isEmpty() ? b : b.withDrags(Reactions.plus(b.drags(), Dragging.of(Ids.next(), free)));
    }

    /** What makes an element catch the pointer in all of its box and show nothing. */
    public static Values touch() {
        return Values.NONE.with(Properties.FILL, Color.NONE).with(Properties.TOUCH, "its whole box");
    }

    /** An element that nobody sees and that catches the pointer: around some elements, or in the middle of the canvas. */
    public static Element touchArea(Board b, Frame seen, Collection<String> around) {
        Rect r = null;
        for (String id : around) {
            Frame.Placed p = seen.find(id);
            r = p == null ? r : r == null ? p.bounds() : r.union(p.bounds());
        }
        if (r == null) {
            r = new Rect(b.size().x() / 2 - 80, b.size().y() / 2 - 60, 160, 120);
        }
        return new Element(Ids.next(), Names.free(b, "Touch area"), false, false, touch().with(Properties.POSITION, r.centre())
                .with(Properties.SIZE, new Point(Math.max(24, r.width()), Math.max(24, r.height()))), new Content.Rectangle());
    }

    /** What lets an element be dragged; null for nothing. */
    public static Dragging of(Board b, String part) {
        return b.drags().stream().filter(d -> d.pairs().stream().anyMatch(p -> p.part().equals(part))).findFirst().orElse(null);
    }

    /** The timeline that the motion path of a part is on; null when it has none. */
    public static Timeline pathOf(Board b, String part) {
        return b.timelines().stream().filter(t -> moves(t, part)).findFirst().orElse(null);
    }

    private static boolean moves(Timeline t, String part) {
        return Stream.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y).anyMatch(p -> keys(t, part, p).size() > 1);
    }

    private static List<? extends Key<?>> keys(Timeline t, String part, Property<?> p) {
        return t.tracks().getOrDefault(part, Map.of()).get(p) instanceof Track<?> track ? track.keys() : List.of();
    }

    /** Where a part is at a time of its motion path, in px of what it lies in. */
    public record Along(long time, Point at) {}

    /** Its motion path from its first key to its last, in as many steps as asked for at most and at least one in 40 ms; empty where it has none. */
    public static List<Along> along(Board b, String part, int most) {
        Timeline t = pathOf(b, part);
        if (t == null) {
            return List.of();
        }
        var times = Stream.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y).flatMap(p -> keys(t, part, p).stream())
                .mapToLong(Key::time).summaryStatistics();
        var builder = new FrameBuilder(b, null);
        int steps = (int) Math.clamp((times.getMax() - times.getMin()) / 40_000, 2, most);
        var out = new ArrayList<Along>();
        for (int i = 0; i <= steps; i++) {
            long at = times.getMin() + Math.round((times.getMax() - times.getMin()) * (double) i / steps);
            out.add(new Along(at, builder.valuesAt(part, Moment.editing(b, t.id(), at)).get(Properties.POSITION)));
        }
        return out;
    }

    public static Board map(Board b, String id, UnaryOperator<Dragging> change) {
        return b.withDrags(b.drags().stream().map(d -> d.id().equals(id) ? change.apply(d) : d).filter(d -> d != null && !d.pairs().isEmpty())
                .toList());
    }

    /** With a part, or with more places where it is one already. */
    public static Dragging pair(Dragging d, String part, List<String> places) {
        var out = new ArrayList<Dragging.Pair>();
        boolean there = false;
        for (Dragging.Pair p : d.pairs()) {
            boolean it = p.part().equals(part);
            there |= it;
            var all = new ArrayList<>(p.places());
            if (it) {
                places.stream().filter(x -> !all.contains(x) && !x.equals(part)).forEach(all::add);
            }
            out.add(new Dragging.Pair(p.part(), all));
        }
        if (!there) {
            out.add(new Dragging.Pair(part, places.stream().filter(x -> !x.equals(part)).toList()));
        }
        return d.withPairs(out);
    }

    /**
     * Finds the places of parts by their names: a place is called like its part with a word more, such as “Vane” and “Vane slot”. Parts
     * that have a place, and places that have a part, stay as they are.
     */
    public static Dragging pairByName(Board b, Dragging d) {
        Map<String, String> names = new HashMap<>();
        Tree.each(b.elements(), e -> names.put(e.id(), words(e)));
        Dragging out = d;
        for (Dragging.Pair p : d.pairs()) {
            if (!p.places().isEmpty()) {
                continue;
            }
            String part = names.getOrDefault(p.part(), "");
            for (Element e : b.elements()) {
                boolean taken = out.pairs().stream().anyMatch(x -> x.part().equals(e.id()) || x.places().contains(e.id()));
                String name = words(e);
                if (!taken && !part.isEmpty() && !name.equals(part) && (" " + name + " ").contains(" " + part + " ")) {
                    out = pair(out, p.part(), List.of(e.id()));
                    break;
                }
            }
        }
        return out;
    }

    private static String words(Element e) {
        return e.name().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }

    /** The reaction that says what happens when a part lands; null when there is none. */
    public static Reaction landing(Board b, String part) {
        return b.reactions().stream().filter(r -> r.when().kind() == Events.LANDED && part.equals(r.when().slots().get(Events.ELEMENT))).findFirst()
                .orElse(null);
    }

    /** With a reaction to a part's landing. */
    public static Board addLanding(Board b, String part) {
        return landing(b, part) != null ? b : Reactions.with(b, new Reaction(Ids.next(), Events.of(Events.LANDED, part), List.of(Reactions.next(b))));
    }
}
