package tundra.web;

import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/**
 * The names of the parts that an element has on the page: an HTML box that moves; for some one around it that spans of time hide, and one
 * inside that the pivot shifts or that is cut before effects are laid over it; and the shape.
 *
 * @param outer the box that place, rotation, scale and opacity go to
 * @param inner the inner box; null when the outer one is the box itself
 * @param span the box around; null where spans hide the outer one, since nothing else does
 * @param shape what is painted; null for a group
 * @param shift what to take off the position, in px; zero when an inner box does it
 * @param size at rest, in px
 */
record PartNames(String outer, String inner, String span, String shape, Point shift, Point size) {
    static PartNames of(Board board, Element e, Point size) {
        String name = PageId.of(e.id());
        boolean split = FilterChannel.inside(board, e) || Tied.wraps(e) || Channels.TABLE.stream().anyMatch(c -> c.movesBox() && c.of().stream()
                .anyMatch(p -> Keyed.any(board, e.id(), p)));
        // the same in all layouts
        boolean spans = (board.timelines().stream().anyMatch(t -> t.shown().containsKey(e.id())) || board.layouts().stream()
                .anyMatch(l -> l.differs().timelines().values().stream().anyMatch(t -> t.shown().containsKey(e.id()))))
                && (Keyed.any(board, e.id(), Properties.SHOWN) || e.rest().get(Properties.SHOWN).equals("no") || board.layouts().stream()
                .anyMatch(l -> l.differs().values().containsKey(e.id()) && l.differs().values().get(e.id()).has(Properties.SHOWN)));
        return new PartNames(name, split ? name + "-b" : null, spans ? name + "-v" : null, e.content() instanceof Content.Parent
                || e.content() instanceof Content.Instance ? null : name + "-s",
                split ? Point.ZERO : e.rest().get(Properties.PIVOT).times(size), size);
    }

    /** Of one that never moves and is written in an SVG with its neighbours: one part is all of it. */
    static PartNames still(Element e, Point size) {
        String name = PageId.of(e.id());
        return new PartNames(name, null, null, e.content() instanceof Content.Parent ? null : name, e.rest().get(Properties.PIVOT).times(size), size);
    }

    /** The box of its width and height. */
    String box() {
        return inner == null ? outer : inner;
    }
}
