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
        if (operation == Operation.SUBTRACT) {
            if (outlines.size() > 1) {
                area.subtract(all(Operation.UNION, outlines.subList(1, outlines.size())));
            }
            return Awt.outline(area);
        }
        return Awt.outline(all(operation, outlines));
    }

    /** In pairs, and the pairs in pairs: each is taken up a few times only, however many there are. */
    private static Area all(Operation operation, List<Outline> outlines) {
        int n = outlines.size();
        if (n == 1) {
            return new Area(Awt.path(outlines.getFirst()));
        }
        Area area = all(operation, outlines.subList(0, n / 2)), other = all(operation, outlines.subList(n / 2, n));
        switch (operation) {
            case UNION -> area.add(other);
            case INTERSECT -> area.intersect(other);
            case EXCLUDE -> area.exclusiveOr(other);
            case SUBTRACT -> area.subtract(other);
        }
        return area;
    }

    /** An outline filled by the even-odd rule as one that is filled the same by the non-zero rule. */
    public static Outline fromEvenOdd(Outline o) {
        Path2D p = Awt.path(o);
        p.setWindingRule(Path2D.WIND_EVEN_ODD);
        return Awt.outline(new Area(p));
    }
}
