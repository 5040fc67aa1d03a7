package tundra.web;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.check.TouchAreas;
import tundra.core.edit.NamedElements;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/**
 * Which elements of a board stay on the page as they are: no key, reaction, drag, block or script can change or ask for them, and none blends or has
 * effects.
 * Shapes of that kind, and groups of nothing else, need no boxes of their own: neighbours share one SVG.
 *
 * <p>Between what moves each SVG is a layer of the browser's, as large as the scene. Where there would be very many, as also in motifs that are
 * {@link Crowded}, simple shapes that only move, turn, fade or change colour are written among the others too: then the page's own thread paints
 * them, which is several times as quick as so many layers.
 */
final class StillParts {
    /** What an element has to have so; of everything else CSS says the same of shapes in an SVG as of boxes. */
    private static final Map<Property<String>, String> USUAL = Map.of(Properties.BLEND, "normal", Properties.ISOLATE, "no", Properties.OVERFLOW,
            "shown", Properties.SHOWN, "yes",
            Properties.TOUCH, "what is seen", Properties.CURSOR, "auto");
    /** What such simple shapes may have keys of. */
    private static final Set<Property<?>> SIMPLE = Set.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y, Properties.ROTATION,
            Properties.SCALE, Properties.OPACITY, Properties.FILL,
            Properties.STROKE, Properties.STROKE_WIDTH);
    /** So many SVGs in one group, or directly in a scene, are layers of their own. */
    private static final int LAYERS = 200;
    static final StillParts NONE = new StillParts();
    private final Set<String> named = new HashSet<>(), moving = new HashSet<>(), still = new HashSet<>();
    private boolean crowded;

    private StillParts() {}

    /** Of a scene; nothing where a script may take hold of anything, or where what is there goes with the scene's size. */
    static StillParts of(Project p, Board b) {
        return of(p, b, false);
    }

    /** Of a scene or motif, where it is one of very many or not. */
    static StillParts of(Project p, Board b, boolean crowded) {
        if (!p.scripts().isEmpty() || !b.layouts().isEmpty() || Fluid.is(b)) {
            return NONE;
        }
        var out = new StillParts();
        out.crowded = crowded;
        out.named.addAll(NamedElements.of(p, b));
        out.named.addAll(TouchAreas.catching(p, b));
        b.timelines().forEach(t -> {
            out.moving.addAll(t.tracks().keySet());
            out.named.addAll(t.shown().keySet());
        });
        out.look(b, b.elements(), true);
        return out;
    }

    /**
     * @param free whether what they stand in doesn't take them along by its size
     * @return whether all of them are still
     */
    private boolean look(Board b, List<Element> in, boolean free) {
        boolean all = true, before = false;
        int runs = 0;
        for (Element e : in) {
            if (unpublished(e)) {
                continue;
            }
            boolean is = look(b, e.children(), !Keyed.any(b, e.id(), Properties.SIZE)) && free && !moving.contains(e.id()) && plain(b, e);
            if (is) {
                still.add(e.id());
            }
            runs += is && !before ? 1 : 0;
            all &= is;
            before = is;
        }
        if (free && (crowded || runs > LAYERS)) {
            in.stream().filter(e -> simple(b, e)).forEach(e -> still.add(e.id()));
        }
        return all;
    }

    /** Whether it is a shape that does nothing but move, turn, fade or change colour. */
    private boolean simple(Board b, Element e) {
        return moving.contains(e.id()) && e.content() instanceof Content.Shape && !unpublished(e) && plain(b, e)
                && b.timelines().stream().allMatch(t -> SIMPLE.containsAll(t.tracks().getOrDefault(e.id(), Map.of()).keySet()));
    }

    private boolean plain(Board b, Element e) {
        return usual(e) && switch (e.content()) {
            case Content.Text t -> false;
            case Content.Shape s -> !StrokeText.split(b, e);
            case Content.Group g -> g.clip() == null;
            default -> false;
        };
    }

    private boolean usual(Element e) {
        return e.effects().isEmpty() && !named.contains(e.id()) && e.rest().get(Properties.PARALLAX) == 0 && USUAL.entrySet().stream()
                .allMatch(u -> e.rest().get(u.getKey()).equals(u.getValue()));
    }

    static boolean unpublished(Element e) {
        return e.hidden() || e.guide();
    }

    boolean has(Element e) {
        return still.contains(e.id());
    }
}
