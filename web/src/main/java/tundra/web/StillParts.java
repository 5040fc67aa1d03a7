package tundra.web;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.check.TouchAreas;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Slots;

/**
 * Which elements of a board stay on the page as they are: no key, reaction, drag, block or script can change or ask for them, and none blends or has effects.
 * Shapes of that kind, and groups of nothing else, need no boxes of their own: neighbours share one SVG.
 */
final class StillParts {
    /** What an element has to have so; of everything else CSS says the same of shapes in an SVG as of boxes. */
    private static final Map<Property<String>, String> USUAL = Map.of(Properties.BLEND, "normal", Properties.ISOLATE, "no", Properties.OVERFLOW, "shown", Properties.SHOWN, "yes",
            Properties.TOUCH, "what is seen", Properties.CURSOR, "auto");
    static final StillParts NONE = new StillParts();
    private final Set<String> named = new HashSet<>(), still = new HashSet<>();

    private StillParts() {}

    /** Of a scene or motif; nothing where a script may take hold of anything, or where what is there goes with the scene's size. */
    static StillParts of(Project p, Board b) {
        if (!p.scripts().isEmpty() || !b.layouts().isEmpty() || Fluid.is(b)) {
            return NONE;
        }
        var out = new StillParts();
        p.allReactions().forEach(r -> r.slots().forEach(out::name));
        b.drags().forEach(d -> {
            out.named.add(d.motion().area());
            d.pairs().forEach(x -> {
                out.named.add(x.part());
                out.named.addAll(x.places());
            });
        });
        out.named.addAll(TouchAreas.catching(p, b));
        b.timelines().forEach(t -> {
            out.named.addAll(t.tracks().keySet());
            out.named.addAll(t.shown().keySet());
        });
        out.blocks(b.elements());
        b.elements().forEach(e -> out.look(b, e, true));
        return out;
    }

    private void name(Slots slots) {
        for (Object v : slots.values().values()) {
            if (v instanceof String s) {
                named.add(s);
            } else if (v instanceof List<?> l) {
                l.forEach(x -> named.add(String.valueOf(x)));
            } else if (v instanceof Map<?, ?> m) {
                m.keySet().forEach(x -> named.add(String.valueOf(x)));
            }
        }
    }

    private void blocks(List<Element> in) {
        for (Element e : in) {
            if (e.content() instanceof Content.Block k) {
                name(k.settings());
            }
            blocks(e.children());
        }
    }

    /** @param free whether what it stands in doesn't take it along by its size */
    private boolean look(Board b, Element e, boolean free) {
        boolean within = !Keyed.any(b, e.id(), Properties.SIZE), all = true;
        for (Element c : e.children()) {
            all &= look(b, c, within) || unpublished(c);
        }
        boolean is = free && all && plain(e) && switch (e.content()) {
            case Content.Text t -> false;
            case Content.Shape s -> !StrokeText.split(b, e);
            case Content.Group g -> g.clip() == null;
            default -> false;
        };
        if (is) {
            still.add(e.id());
        }
        return is;
    }

    private boolean plain(Element e) {
        return e.effects().isEmpty() && !named.contains(e.id()) && e.rest().get(Properties.PARALLAX) == 0 && USUAL.entrySet().stream().allMatch(u -> e.rest().get(u.getKey()).equals(u.getValue()));
    }

    static boolean unpublished(Element e) {
        return e.hidden() || e.guide();
    }

    boolean has(Element e) {
        return still.contains(e.id());
    }
}
