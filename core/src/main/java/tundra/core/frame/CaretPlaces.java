package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;

/** Where the letters of a laid out text stand, for a caret: indices to places in its box and back. */
public final class CaretPlaces {
    private final Content.Text text;
    private final TextLayout layout;
    private final TextMeasurer measure;

    public CaretPlaces(Content.Text text, TextMeasurer measure) {
        this.text = text;
        this.layout = TextLayout.of(text, measure);
        this.measure = measure;
    }

    private double height() {
        return text.size() * text.lineHeight();
    }

    /** The line of an index, and the first index of that line. A break takes one letter, be it a space or a line end. */
    private int[] line(int index) {
        int start = 0;
        for (int i = 0; i < layout.lines().size(); i++) {
            int length = layout.lines().get(i).text().length();
            if (index <= start + length || i == layout.lines().size() - 1) {
                return new int[] {i, start};
            }
            start += length + 1;
        }
        return new int[] {0, 0};
    }

    private double x(int line, int offset) {
        TextLayout.Line l = layout.lines().get(line);
        String before = l.text().substring(0, Math.max(0, Math.min(l.text().length(), offset)));
        return l.x() + measure.width(text.family(), text.weight(), text.size(), before, text.spacing() == 0)
                + text.spacing() * before.codePointCount(0, before.length());
    }

    /** The caret's line: no width, as high as the line of text. */
    public Rect caret(int index) {
        int[] at = line(index);
        return new Rect(x(at[0], index - at[1]), at[0] * height(), 0, height());
    }

    /** The boxes over what is selected, one for each line. */
    public List<Rect> selection(int from, int to) {
        var out = new ArrayList<Rect>();
        int start = 0;
        for (int i = 0; i < layout.lines().size(); i++) {
            int length = layout.lines().get(i).text().length();
            int a = Math.max(from, start), b = Math.min(to, start + length);
            if (a < b) {
                double x = x(i, a - start);
                out.add(new Rect(x, i * height(), x(i, b - start) - x, height()));
            }
            start += length + 1;
        }
        return out;
    }

    /** The index nearest to a place. */
    public int index(Point p) {
        int i = (int) Math.max(0, Math.min(layout.lines().size() - 1, Math.floor(p.y() / height())));
        int start = 0;
        for (int k = 0; k < i; k++) {
            start += layout.lines().get(k).text().length() + 1;
        }
        int best = 0;
        for (int k = 1; k <= layout.lines().get(i).text().length(); k++) {
            if (Math.abs(x(i, k) - p.x()) < Math.abs(x(i, best) - p.x())) {
                best = k;
            }
        }
        return start + best;
    }

    /** The index one line further down or up. */
    public int vertical(int index, boolean down) {
        Rect c = caret(index);
        return index(new Point(c.x(), c.y() + height() * (down ? 1.5 : -0.5)));
    }

    /** The first or last index of the line. */
    public int lineEnd(int index, boolean end) {
        int[] at = line(index);
        return at[1] + (end ? layout.lines().get(at[0]).text().length() : 0);
    }
}
