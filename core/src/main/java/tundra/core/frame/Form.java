package tundra.core.frame;

import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** A form to fill or stroke, in the element's box. */
public sealed interface Form {
    /** A rectangle from the origin. */
    record Box(Point size, double radius) implements Form {}

    /** An ellipse that fills a box from the origin. */
    record Oval(Point size) implements Form {}

    /** @param evenOdd filled by the even-odd rule rather than by the non-zero rule */
    record Curve(Outline outline, boolean evenOdd) implements Form {
        public Curve(Outline outline) {
            this(outline, false);
        }
    }

    /** The box around it; null for a curve without segments. */
    default Rect bounds() {
        return switch (this) {
            case Box b -> new Rect(0, 0, b.size.x(), b.size.y());
            case Oval o -> new Rect(0, 0, o.size.x(), o.size.y());
            case Curve c -> c.outline.bounds();
        };
    }

    default Outline outline() {
        return switch (this) {
            case Box b -> Outline.rectangle(new Rect(0, 0, b.size.x(), b.size.y()), b.radius);
            case Oval o -> Outline.ellipse(new Rect(0, 0, o.size.x(), o.size.y()));
            case Curve c -> c.outline;
        };
    }
}
