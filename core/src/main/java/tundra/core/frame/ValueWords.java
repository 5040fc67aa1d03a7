package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import tundra.core.model.Content;
import tundra.core.model.PieceValue;

/** Values that stand in texts: a value's name between braces is its place, which shows what it is at first, and on the page what it is now. */
public final class ValueWords {
    /** A value within a text, from an index up to another. */
    public record Span(int from, int to, PieceValue value) {}

    /**
     * A text as it is shown.
     *
     * @param values where values stand in it
     */
    public record Shown(String text, List<Span> values) {}

    private ValueWords() {}

    /** How a value is written in a text. */
    public static String written(PieceValue v) {
        return "{" + v.name() + "}";
    }

    /** Where values stand in a text as it is written. */
    public static List<Span> in(String text, List<PieceValue> values) {
        var out = new ArrayList<Span>();
        for (int at = text.indexOf('{'); at >= 0 && !values.isEmpty(); at = text.indexOf('{', at)) {
            PieceValue found = null;
            for (PieceValue v : values) {
                // the longest name, should one hold another
                if (text.startsWith(written(v), at) && (found == null || v.name().length() > found.name().length())) {
                    found = v;
                }
            }
            int end = found == null ? at + 1 : at + written(found).length();
            if (found != null) {
                out.add(new Span(at, end, found));
            }
            at = end;
        }
        return out;
    }

    /** A text with other words where values stand in it. */
    public static String with(String text, List<PieceValue> values, Function<PieceValue, String> words) {
        var out = new StringBuilder();
        int done = 0;
        for (Span s : in(text, values)) {
            out.append(text, done, s.from).append(words.apply(s.value));
            done = s.to;
        }
        return done == 0 ? text : out.append(text.substring(done)).toString();
    }

    /** A text with what its values are at first. */
    public static Shown shown(String text, List<PieceValue> values) {
        List<Span> places = in(text, values);
        if (places.isEmpty()) {
            return new Shown(text, List.of());
        }
        var words = new StringBuilder();
        var out = new ArrayList<Span>();
        int done = 0;
        for (Span s : places) {
            words.append(text, done, s.from);
            out.add(new Span(words.length(), words.length() + s.value.start().length(), s.value));
            words.append(s.value.start());
            done = s.to;
        }
        return new Shown(words.append(text.substring(done)).toString(), out);
    }

    /** A content as it is shown: texts with what their values are at first. */
    public static Content shown(Content c, List<PieceValue> values) {
        return with(c, values, PieceValue::start);
    }

    /** A content with other words where values stand in a text; the same where none does. */
    public static Content with(Content c, List<PieceValue> values, Function<PieceValue, String> words) {
        if (values.isEmpty() || !(c instanceof Content.Text t) || t.text().indexOf('{') < 0) {
            return c;
        }
        String now = with(t.text(), values, words);
        return now.equals(t.text()) ? c : t.withText(now);
    }
}
