package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Content;

/** Where the lines of a text stand in its box, in px. Half of the leading goes above a line and half below, as in CSS. */
public record TextLayout(Point box, List<Line> lines) {

    /** One line: its start and baseline. */
    public record Line(String text, double x, double baseline) {}

    public static TextLayout of(Content.Text t, TextMeasurer measure) {
        String[] texts = t.text().split("\n", -1);
        double[] widths = new double[texts.length];
        double widest = 0;
        for (int i = 0; i < texts.length; i++) {
            widths[i] = measure.width(t.family(), t.weight(), t.size(), texts[i]);
            widest = Math.max(widest, widths[i]);
        }
        double height = t.size() * t.lineHeight();
        double ascent = measure.ascent(t.family(), t.weight()) * t.size(), descent = measure.descent(t.family(), t.weight()) * t.size();
        var lines = new ArrayList<Line>();
        for (int i = 0; i < texts.length; i++) {
            double free = widest - widths[i];
            double x = switch (t.align()) {
                case LEFT -> 0;
                case CENTRE -> free / 2;
                case RIGHT -> free;
            };
            lines.add(new Line(texts[i], x, i * height + (height - ascent - descent) / 2 + ascent));
        }
        return new TextLayout(new Point(widest, height * texts.length), lines);
    }
}
