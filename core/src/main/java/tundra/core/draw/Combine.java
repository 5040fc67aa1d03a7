package tundra.core.draw;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.util.List;
import tundra.core.geometry.Outline;

/** Areas put together. Curves stay curves: each is cut where the outlines meet. */
public final class Combine {
    private Combine() {}

    /** How areas are put together. */
    public enum Operation {
        UNION, SUBTRACT, INTERSECT, EXCLUDE
    }

    /** The first outline combined with each of the others in turn; open contours count as closed. */
    public static Outline of(Operation operation, List<Outline> outlines) {
        var area = new Area(Awt.path(outlines.getFirst()));
        for (Outline o : outlines.subList(1, outlines.size())) {
            var other = new Area(Awt.path(o));
            switch (operation) {
                case UNION -> area.add(other);
                case SUBTRACT -> area.subtract(other);
                case INTERSECT -> area.intersect(other);
                case EXCLUDE -> area.exclusiveOr(other);
            }
        }
        return Awt.outline(area);
    }

    /** An outline filled by the even-odd rule as one that is filled the same by the non-zero rule. */
    public static Outline fromEvenOdd(Outline o) {
        Path2D p = Awt.path(o);
        p.setWindingRule(Path2D.WIND_EVEN_ODD);
        return Awt.outline(new Area(p));
    }
}
