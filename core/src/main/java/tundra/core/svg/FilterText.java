package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import tundra.core.frame.Filter;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;

/** Filters as an SVG filter, on sRGB values; the same for the published page and for SVG files. */
public final class FilterText {
    private FilterText() {}

    /** An attribute of one of the primitives that a filter is written as. */
    public record Attribute(String part, String name, Function<Filter, String> text) {}

    /** What a primitive is called, by the filter's place in the list and the part that it is of it. */
    public interface Names {
        String of(int filter, String part);
    }

    /**
     * Writes a definition.
     *
     * @param names the class of each primitive; null for none
     */
    public static void definition(StringBuilder out, String id, List<Filter> filters, Rect region, Names names) {
        out.append("<filter id=\"").append(id).append("\" color-interpolation-filters=\"sRGB\" filterUnits=\"userSpaceOnUse\" x=\"")
                .append(plain(region.x())).append("\" y=\"")
                .append(plain(region.y())).append("\" width=\"").append(plain(region.width())).append("\" height=\"").append(plain(region.height()))
                .append("\">");
        new Writing(out, names).all(filters);
        out.append("</filter>");
    }

    /** The attributes that say what a filter does. */
    public static List<Attribute> attributes(Filter kind) {
        return switch (kind) {
            case Filter.Blur b -> List.of(new Attribute("b", "stdDeviation", f -> pair(((Filter.Blur) f).deviation())));
            case Filter.Matrix m -> List.of(new Attribute("m", "values", f -> matrix((Filter.Matrix) f)));
            case Filter.DropShadow d -> shadow(f -> ((Filter.DropShadow) f).offset(), f -> ((Filter.DropShadow) f).deviation(),
                    f -> ((Filter.DropShadow) f).color());
            case Filter.InnerShadow i -> shadow(f -> ((Filter.InnerShadow) f).offset(), f -> ((Filter.InnerShadow) f).deviation(),
                    f -> ((Filter.InnerShadow) f).color());
            case Filter.LongShadow l -> drawnOut();
        };
    }

    private static List<Attribute> shadow(Function<Filter, Point> offset, Function<Filter, Double> deviation, Function<Filter, Color> color) {
        return List.of(new Attribute("o", "dx", f -> plain(offset.apply(f).x())), new Attribute("o", "dy", f -> plain(offset.apply(f).y())),
                new Attribute("b", "stdDeviation", f -> plain(deviation.apply(f))), flood(color), opacity(color));
    }

    private static Attribute flood(Function<Filter, Color> color) {
        return new Attribute("c", "flood-color", f -> "rgb(" + color.apply(f).red() + "," + color.apply(f).green() + "," + color.apply(f).blue()
                + ")");
    }

    private static Attribute opacity(Function<Filter, Color> color) {
        return new Attribute("c", "flood-opacity", f -> plain(color.apply(f).alpha() / 255.0));
    }

    private static List<Attribute> drawnOut() {
        var out = new ArrayList<Attribute>(List.of(flood(f -> ((Filter.LongShadow) f).color()), opacity(f -> ((Filter.LongShadow) f).color())));
        for (int i = 0; i < Filter.LongShadow.STAGES; i++) {
            int n = i;
            for (String moved : List.of("o", "p")) {
                out.add(new Attribute(moved + n, "dx", f -> plain(((Filter.LongShadow) f).step(n).x())));
                out.add(new Attribute(moved + n, "dy", f -> plain(((Filter.LongShadow) f).step(n).y())));
            }
            out.add(new Attribute("a" + n, "slope", f -> plain(((Filter.LongShadow) f).kept(n))));
        }
        return out;
    }

    private static String plain(double v) {
        return Numbers.plain(v, 6);
    }

    private static String pair(Point p) {
        return plain(p.x()) + " " + plain(p.y());
    }

    private static String matrix(Filter.Matrix m) {
        var s = new StringBuilder();
        for (double d : m.rows()) {
            s.append(s.isEmpty() ? "" : " ").append(plain(d));
        }
        return s.toString();
    }

    /** The primitives, one filter after the other. */
    private record Writing(StringBuilder s, Names names) {
        void all(List<Filter> filters) {
            String in = "SourceGraphic";
            for (int i = 0; i < filters.size(); i++) {
                in = primitives(i, filters.get(i), in);
            }
        }

        /** Writes what a filter does to a picture; gives the name of the result. */
        private String primitives(int i, Filter f, String in) {
            String to = "r" + i;
            switch (f) {
                case Filter.Blur b -> primitive(i, "feGaussianBlur", "b", f, "in=\"" + in + "\" result=\"" + to + "\"");
                case Filter.Matrix m -> primitive(i, "feColorMatrix", "m", f, "in=\"" + in + "\" result=\"" + to + "\"");
                case Filter.DropShadow d -> {
                    primitive(i, "feOffset", "o", f, "in=\"" + in + "\"");
                    primitive(i, "feGaussianBlur", "b", f, "result=\"s" + i + "\"");
                    primitive(i, "feFlood", "c", f, "");
                    s.append("<feComposite in2=\"s").append(i).append("\" operator=\"in\"/><feComposite in=\"").append(in)
                            .append("\" operator=\"over\" result=\"").append(to).append("\"/>");
                }
                case Filter.InnerShadow d -> {
                    primitive(i, "feFlood", "c", f, "");
                    s.append("<feComposite in2=\"").append(in).append("\" operator=\"in\" result=\"c").append(i).append("\"/>");
                    primitive(i, "feOffset", "o", f, "in=\"" + in + "\"");
                    primitive(i, "feGaussianBlur", "b", f, "result=\"s" + i + "\"");
                    s.append("<feComposite in=\"c").append(i).append("\" in2=\"s").append(i).append("\" operator=\"out\"/><feComposite in2=\"")
                            .append(in)
                            .append("\" operator=\"atop\" result=\"").append(to).append("\"/>");
                }
                case Filter.LongShadow l -> drawnOut(i, f, in, to);
            }
            return to;
        }

        private void drawnOut(int i, Filter f, String in, String to) {
            primitive(i, "feFlood", "c", f, "");
            s.append("<feComposite in2=\"").append(in).append("\" operator=\"in\" result=\"l").append(i).append("-0\"/>");
            String covered = in;
            for (int n = 0; n < Filter.LongShadow.STAGES; n++) {
                String was = "l" + i + "-" + n, next = "l" + i + "-" + (n + 1), more = "v" + i + "-" + n;
                primitive(i, "feOffset", "o" + n, f, "in=\"" + was + "\"");
                s.append("<feComponentTransfer>");
                primitive(i, "feFuncA", "a" + n, f, "type=\"linear\"");
                // only where nothing is yet, so that it never grows darker where copies meet
                s.append("</feComponentTransfer><feComposite in2=\"").append(covered).append("\" operator=\"out\" result=\"f").append(i)
                        .append("\"/><feComposite in=\"").append(was)
                        .append("\" in2=\"f").append(i).append("\" operator=\"over\" result=\"").append(next).append("\"/>");
                primitive(i, "feOffset", "p" + n, f, "in=\"" + covered + "\" result=\"f" + i + "\"");
                s.append("<feComposite in=\"").append(covered).append("\" in2=\"f").append(i).append("\" operator=\"over\" result=\"").append(more)
                        .append("\"/>");
                covered = more;
            }
            s.append("<feComposite in=\"").append(in).append("\" in2=\"l").append(i).append('-').append(Filter.LongShadow.STAGES)
                    .append("\" operator=\"over\" result=\"").append(to).append("\"/>");
        }

        private void primitive(int i, String tag, String part, Filter f, String more) {
            s.append('<').append(tag);
            if (names != null) {
                s.append(" class=\"").append(names.of(i, part)).append('"');
            }
            for (Attribute a : attributes(f)) {
                if (a.part.equals(part)) {
                    s.append(' ').append(a.name).append("=\"").append(a.text.apply(f)).append('"');
                }
            }
            s.append(more.isEmpty() ? "" : " " + more).append("/>");
        }
    }
}
