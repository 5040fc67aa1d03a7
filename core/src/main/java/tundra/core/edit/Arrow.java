package tundra.core.edit;

import java.util.List;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** A round button with an arrow, as plain shapes. */
final class Arrow {
    private static final double SIDE = 40;

    private Arrow() {}

    /** @param on whether it points to the right */
    static Element of(String name, boolean on, Point at) {
        double w = 8, h = 14;
        var round = new Element("Round", new Content.Ellipse(), Values.NONE.with(Properties.POSITION, new Point(SIDE / 2, SIDE / 2))
                .with(Properties.SIZE, new Point(SIDE, SIDE)).with(Properties.FILL, Color.parse("#1D2926B3")));
        var mark = new Content.Path(Outline.of(false, Node.corner(on ? 0 : w, 0), Node.corner(on ? w : 0, h / 2), Node.corner(on ? 0 : w, h)),
                new Point(w, h));
        var arrow = new Element("Arrow", mark, Values.NONE.with(Properties.POSITION, new Point(SIDE / 2 + (on ? 1 : -1), SIDE / 2))
                .with(Properties.SIZE, new Point(w, h)).with(Properties.STROKE, Color.WHITE)
                .with(Properties.STROKE_WIDTH, 2.5).with(Properties.STROKE_ENDS, "round").with(Properties.STROKE_JOINS, "round"));
        return new Element(name, new Content.Group(List.of(round, arrow), new Point(SIDE, SIDE)), Values.NONE.with(Properties.POSITION, at));
    }
}
