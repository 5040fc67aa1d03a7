package tundra.core.draw;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Rect;

/** A stroke as the area that it covers. */
public final class StrokeOutline {
    private StrokeOutline() {}

    /** The outline of a stroke, dashes and all, without overlaps. */
    public static Outline of(Outline line, StrokeStyle style) {
        return Awt.outline(new Area(shape(line, style)));
    }

    /** Around what a stroke covers; null where that is nothing. Quicker than its outline. */
    public static Rect bounds(Outline line, StrokeStyle style) {
        Rectangle2D b = shape(line, style).getBounds2D();
        return b.getWidth() <= 0 && b.getHeight() <= 0 ? null : new Rect(b.getX(), b.getY(), b.getWidth(), b.getHeight());
    }

    private static Shape shape(Outline line, StrokeStyle style) {
        int ends = switch (style.ends()) {
            case "round" -> BasicStroke.CAP_ROUND;
            case "square" -> BasicStroke.CAP_SQUARE;
            default -> BasicStroke.CAP_BUTT;
        };
        int joins = switch (style.joins()) {
            case "round" -> BasicStroke.JOIN_ROUND;
            case "bevel" -> BasicStroke.JOIN_BEVEL;
            default -> BasicStroke.JOIN_MITER;
        };
        float width = (float) style.width(), limit = (float) StrokeStyle.MITER_LIMIT;
        var stroke = style.pattern().isEmpty() ? new BasicStroke(width, ends, joins, limit)
                : new BasicStroke(width, ends, joins, limit, style.intervals(), phase(style));
        return stroke.createStrokedShape(Awt.path(line));
    }

    /** A phase of the JDK's stroke can't be negative. */
    private static float phase(StrokeStyle s) {
        double period = s.pattern().stream().mapToDouble(x -> x).sum();
        return (float) (period <= 0 ? 0 : (s.offset() % period + period) % period);
    }

    /**
     * What an elliptical tip covers on its way along a line.
     *
     * @param size the longer diameter of the tip in px
     * @param roundness the shorter diameter as a fraction of the longer, 0.05 to 1
     * @param degrees how the tip's longer diameter lies, clockwise from level
     */
    public static Outline swept(Outline line, double size, double roundness, double degrees) {
        double thin = Math.max(0.05, Math.min(1, roundness));
        // in a space where the tip is a circle its sweep is a round stroke
        var toTip = new AffineTransform();
        toTip.scale(1, 1 / thin);
        toTip.rotate(-Math.toRadians(degrees));
        Shape inTipSpace = toTip.createTransformedShape(Awt.path(line));
        var area = new Area(new BasicStroke((float) size, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND).createStrokedShape(inTipSpace));
        try {
            area.transform(toTip.createInverse());
        } catch (NoninvertibleTransformException e) {
            throw new IllegalStateException(e);
        }
        return Awt.outline(area);
    }
}
