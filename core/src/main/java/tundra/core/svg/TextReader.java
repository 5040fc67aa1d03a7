package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.w3c.dom.Node;
import org.w3c.dom.Text;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Limits;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Reads text as lines of Tundra's own fonts, one element for each run that stands on its own. */
final class TextReader {
    /** How far italic letters lean, in degrees. */
    private static final double SLANT = 12;
    private final Style style;
    private final TextMeasurer measure;
    private final Report report;

    /** The paint of a text of a style in a box. */
    interface Fill {
        Paint of(Map<String, String> css, Rect box);
    }

    private static final class Run {
        final StringBuilder words = new StringBuilder();
        final Map<String, String> css;
        double x;
        double y;

        Run(Map<String, String> css, double x, double y) {
            this.css = css;
            this.x = x;
            this.y = y;
        }
    }

    TextReader(Style style, TextMeasurer measure, Report report) {
        this.style = style;
        this.measure = measure;
        this.report = report;
    }

    List<SvgReader.Made> read(org.w3c.dom.Element e, Affine ctm, Map<String, String> css, Fill fill) {
        var runs = new ArrayList<Run>();
        runs.add(new Run(css, first(e, "x", 0), first(e, "y", 0)));
        collect(e, css, runs);
        var out = new ArrayList<SvgReader.Made>();
        double after = Double.NaN;
        Run before = null;
        for (Run r : runs) {
            String words = r.words.toString().replaceAll("\\s+", " ");
            if (Double.isNaN(r.x)) {
                r.x = after;
                r.y = Double.isNaN(r.y) ? before.y : r.y;
            } else {
                words = words.stripLeading();
            }
            before = r;
            if (words.isBlank() || "hidden".equals(r.css.get("visibility"))) {
                after = Double.isNaN(after) ? r.x : r.x;
                continue;
            }
            after = r.x + add(r, words, ctm, fill, out);
        }
        return out;
    }

    private static double first(org.w3c.dom.Element e, String attribute, double standard) {
        double[] v = SvgText.numbers(e.getAttribute(attribute));
        return v.length == 0 ? standard : v[0];
    }

    private void collect(org.w3c.dom.Element e, Map<String, String> css, List<Run> runs) {
        for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof Text t) {
                if (runs.getLast().css != css) {
                    runs.add(new Run(css, Double.NaN, Double.NaN));
                }
                runs.getLast().words.append(t.getData().replaceAll("\\s+", " "));
            } else if (n instanceof org.w3c.dom.Element c && (Style.name(c).equals("tspan") || Style.name(c).equals("a"))) {
                var own = style.of(c, css);
                if ("none".equals(own.get("display"))) {
                    continue;
                }
                Run last = runs.getLast();
                double x = first(c, "x", Double.NaN), y = first(c, "y", Double.isNaN(x) ? Double.NaN : last.y);
                var r = new Run(own, x, y);
                double dy = first(c, "dy", 0);
                if (dy != 0 && !Double.isNaN(last.y)) {
                    r.y = (Double.isNaN(r.y) ? last.y : r.y) + SvgText.length(c.getAttribute("dy").split("[\\s,]+")[0], dy, 100, size(own));
                }
                runs.add(r);
                collect(c, own, runs);
            } else if (n instanceof org.w3c.dom.Element c && Style.name(c).equals("textPath")) {
                report.lost("Text along a path became a straight line");
                collect(c, style.of(c, css), runs);
            }
        }
    }

    private static double size(Map<String, String> css) {
        return Math.max(0.1, Math.min(5000, SvgText.length(css.get("font-size"), 16, 16, 16)));
    }

    /** The width of the run in its own space. */
    private double add(Run r, String all, Affine ctm, Fill fill, List<SvgReader.Made> out) {
        String words = all.substring(0, Math.min(all.length(), Limits.TEXT_CHARS));
        if (words.length() < all.length()) {
            report.lost("A text was cut off after " + Limits.TEXT_CHARS + " letters");
        }
        double size = size(r.css);
        String asked = r.css.getOrDefault("font-family", "sans-serif");
        String first = asked.split(",")[0].replaceAll("[\"']", "").strip();
        String family = family(asked);
        boolean italic = r.css.getOrDefault("font-style", "normal").matches("(italic|oblique).*");
        int weight = weight(r.css.get("font-weight"));
        double spacing = SvgText.length(r.css.get("letter-spacing"), 0, size, size);
        if (!first.equalsIgnoreCase(family)) {
            report.lost("Text in the font “" + first + "” is set in " + family);
        }
        if (italic) {
            report.lost("Italic text is made of upright letters that are slanted");
        }
        var own = new Content.Text(words, family, weight, size, Content.Align.LEFT, 1.2);
        TextLayout layout = TextLayout.of(own.withSpacing(spacing), measure);
        double width = layout.box().x();
        double x = r.x - switch (r.css.getOrDefault("text-anchor", "start")) {
            case "middle" -> width / 2;
            case "end" -> width;
            default -> 0;
        };
        Placement p = Placement.of(ctm, report);
        double k = Math.abs(p.scaleY());
        if (!(k >= 1e-6 && p.scaleX() >= 1e-6)) {
            return width;
        }
        var text = own.withSize(Math.max(0.1, Math.min(10_000, size * k)));
        double top = r.y - layout.lines().getFirst().baseline();
        Rect box = new Rect(x, top, width, layout.box().y());
        // slanted about the baseline, while the pivot lies at the top
        Point corner = italic ? box.topLeft().plus(new Point(layout.lines().getFirst().baseline() * Math.tan(Math.toRadians(SLANT)), 0))
                : box.topLeft();
        Values v = Values.NONE.with(Properties.POSITION, ctm.apply(corner)).with(Properties.PIVOT, Point.ZERO)
                .with(Properties.ROTATION, p.rotation()).with(Properties.SCALE, new Point(p.scaleX() / k, p.scaleY() < 0 ? -1 : 1))
                .with(Properties.FILL, fill.of(r.css, new Rect(0, 0, width, layout.box().y())));
        if (italic) {
            v = v.with(Properties.SKEW, new Point(-SLANT, 0));
        }
        if (spacing != 0) {
            v = v.with(Properties.LETTER_SPACING, spacing * k);
        }
        out.add(new SvgReader.Made(new Element(words.strip().length() > 24 ? words.strip().substring(0, 24) : words.strip(), text, v),
                ctm.bounds(box)));
        return width;
    }

    private static int weight(String css) {
        if (css == null || css.equals("normal")) {
            return 400;
        }
        return css.equals("bold") || css.equals("bolder") ? 700 : css.matches("[1-9]00") ? Integer.parseInt(css) : 400;
    }

    /** The first of the wanted families that is there, else the bundled one that is nearest in kind. */
    private String family(String css) {
        for (String wanted : css.split(",")) {
            String name = wanted.replaceAll("[\"']", "").strip();
            for (String there : measure.families()) {
                if (there.equalsIgnoreCase(name)) {
                    return there;
                }
            }
        }
        String f = css.toLowerCase(Locale.ROOT);
        if (f.contains("mono") || f.contains("courier") || f.contains("console")) {
            return "JetBrains Mono";
        }
        if (f.contains("script") || f.contains("cursive") || f.contains("hand")) {
            return "Caveat";
        }
        return f.contains("serif") && !f.contains("sans") || f.contains("times") || f.contains("roman") || f.contains("georgia") ? "Lora" : "Figtree";
    }
}
