package tundra.core.file;

import java.util.List;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** Holds edits to what a file can hold, so that what was made can always be saved. */
public final class Savable {
    private Savable() {}

    /** One sentence that says why a board can't be made from another; null when it can. */
    public static String refusal(Board before, Board after) {
        if (before.elements() == after.elements()) {
            return null;
        }
        var count = new Count();
        count.walk(after.elements(), 1);
        if (count.deepest > Limits.NESTING) {
            return "Groups can lie " + Limits.NESTING + " deep in each other, and that would be more. Nothing was changed.";
        }
        if (count.elements > Limits.ELEMENTS) {
            return "A scene can hold " + Limits.ELEMENTS + " elements, and that would be " + count.elements + ". Nothing was changed.";
        }
        return count.letters > Limits.TEXT_CHARS ? "A text can have " + Limits.TEXT_CHARS + " letters, and that would be " + count.letters + ". Nothing was changed." : null;
    }

    private static final class Count {
        private int elements;
        private int deepest;
        private int letters;

        private void walk(List<Element> in, int depth) {
            if (in.isEmpty() || deepest > Limits.NESTING) {
                return;
            }
            deepest = Math.max(deepest, depth);
            elements += in.size();
            for (Element e : in) {
                if (e.content() instanceof Content.Text t) {
                    letters = Math.max(letters, t.text().length());
                }
                walk(e.children(), depth + 1);
            }
        }
    }
}
