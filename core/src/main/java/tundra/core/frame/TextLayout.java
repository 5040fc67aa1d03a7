package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Content;

/**
 * Where the lines of a text stand in its box, in px. Half of the leading goes above a line and half below, as in CSS.
 *
 * @param ligatures whether letters may join and change with their neighbours, as they do where no letters are spaced
 */
public record TextLayout(Point box, List<Line> lines, boolean ligatures) {

    /** One line: its start and baseline. */
    public record Line(String text, double x, double baseline) {}

    /** A text that rests. */
    public static TextLayout of(Content.Text t, TextMeasurer measure) {
        return of(t, t, t.spacing() == 0, measure);
    }

    /**
     * A text that may be moving: its lines break where they do at rest, at the wrap width that it has now.
     *
     * @param rest the text as it rests
     * @param ligatures whether its letters may join
     */
    public static TextLayout of(Content.Text t, Content.Text rest, boolean ligatures, TextMeasurer measure) {
        String[] texts = broken(rest.withWrap(t.wrap()), measure);
        double[] widths = new double[texts.length];
        double widest = 0;
        for (int i = 0; i < texts.length; i++) {
            widths[i] = width(t, texts[i], measure, ligatures);
            widest = Math.max(widest, widths[i]);
        }
        double height = t.size() * t.lineHeight();
        double ascent = measure.ascent(t.family(), t.weight()) * t.size(), descent = measure.descent(t.family(), t.weight()) * t.size();
        var lines = new ArrayList<Line>();
        for (int i = 0; i < texts.length; i++) {
            double free = Math.max(t.wrap(), widest) - widths[i];
            double x = switch (t.align()) {
                case LEFT -> 0;
                case CENTRE -> free / 2;
                case RIGHT -> free;
            };
            lines.add(new Line(texts[i], x, i * height + (height - ascent - descent) / 2 + ascent));
        }
        return new TextLayout(new Point(Math.max(t.wrap(), widest), height * texts.length), lines, ligatures);
    }

    /** The width of a line, with its letter distances but none after the last letter. */
    public static double width(Content.Text t, String line, TextMeasurer measure, boolean ligatures) {
        double w = measure.width(t.family(), t.weight(), t.size(), line, ligatures);
        return line.isEmpty() ? w : w + t.spacing() * (line.codePointCount(0, line.length()) - 1);
    }

    /** The lines as written, broken at spaces where they would be wider than the wrap width; a longer word stays whole. */
    public static String[] broken(Content.Text t, TextMeasurer measure) {
        boolean ligatures = t.spacing() == 0;
        String[] written = t.text().split("\n", -1);
        if (t.wrap() <= 0) {
            return written;
        }
        var out = new ArrayList<String>();
        for (String line : written) {
            int start = 0, fits = -1;
            for (int i = line.indexOf(' '); ; i = line.indexOf(' ', i + 1)) {
                int end = i < 0 ? line.length() : i;
                if (fits > start && width(t, line.substring(start, end), measure, ligatures) > t.wrap()) {
                    out.add(line.substring(start, fits));
                    start = fits + 1;
                }
                fits = end;
                if (i < 0) {
                    break;
                }
            }
            out.add(line.substring(start));
        }
        return out.toArray(String[]::new);
    }
}
