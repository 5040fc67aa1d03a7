package tundra.core.svg;

import java.util.Locale;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.model.Color;
import tundra.core.model.Gradient;

/** Gradients as SVG. */
public final class GradientText {
    private GradientText() {}

    /**
     * Writes a definition that paints as Tundra does. A gradient without extent becomes its last stop.
     *
     * @param units objectBoundingBox or userSpaceOnUse
     * @param m from the gradient's own space to those units
     */
    public static void definition(StringBuilder out, String id, Gradient g, String units, Affine m) {
        definition(out, id, g, units, m, false);
    }

    /** @param changing whether its attributes are going to be changed: each stop gets a class, the gradient's id and its number */
    public static void definition(StringBuilder out, String id, Gradient g, String units, Affine m, boolean changing) {
        if (!m.invertible() && !changing) {
            // a gradient without extent paints its last stop, as it does in Tundra
            Color last = g.stops().getLast().color();
            out.append("<linearGradient id=\"").append(id).append("\">");
            stop(out, null, 0, last);
            out.append("</linearGradient>");
            return;
        }
        String tag = g.kind() == Gradient.Kind.LINEAR ? "linearGradient" : "radialGradient";
        out.append('<').append(tag).append(" id=\"").append(id).append("\" gradientUnits=\"").append(units).append('"');
        if (g.kind() == Gradient.Kind.LINEAR) {
            out.append(" x1=\"0\" y1=\"0\" x2=\"1\" y2=\"0\"");
        } else {
            out.append(" cx=\"0\" cy=\"0\" r=\"1\" fx=\"").append(Numbers.plain(g.focus().x(), 5)).append("\" fy=\"")
                    .append(Numbers.plain(g.focus().y(), 5)).append('"');
        }
        out.append(" gradientTransform=\"matrix(").append(matrix(m)).append(")\"");
        if (g.spread() != Gradient.Spread.PAD) {
            out.append(" spreadMethod=\"").append(g.spread().name().toLowerCase(Locale.ROOT)).append('"');
        }
        out.append('>');
        for (int i = 0; i < g.stops().size(); i++) {
            stop(out, changing ? id + "-" + i : null, g.stops().get(i).at(), g.stops().get(i).color());
        }
        out.append("</").append(tag).append('>');
    }

    private static void stop(StringBuilder out, String id, double at, Color c) {
        out.append(id == null ? "<stop" : "<stop class=\"" + id + "\"").append(" offset=\"").append(Numbers.plain(at, 5)).append("\" stop-color=\"")
                .append(c.withAlpha(255).hex());
        if (c.alpha() < 255) {
            out.append("\" stop-opacity=\"").append(Numbers.plain(c.alpha() / 255.0, 5));
        }
        out.append("\"/>");
    }

    /** The six numbers of an affine map. */
    public static String matrix(Affine m) {
        return Numbers.plain(m.a(), 6) + " " + Numbers.plain(m.b(), 6) + " " + Numbers.plain(m.c(), 6) + " " + Numbers.plain(m.d(), 6) + " "
                + Numbers.plain(m.e(), 4) + " " + Numbers.plain(m.f(), 4);
    }
}
