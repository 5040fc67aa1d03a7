package tundra.core.file;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import tools.jackson.core.JacksonException;
import tundra.core.model.AssetData;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;

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

    /** Why a project could not be opened again once it was saved, as a clause; null when it could. */
    public static String problem(Project p) {
        var data = new HashMap<String, AssetData>();
        p.assets().values().forEach(a -> data.put(a.hash(), a.source()));
        try {
            ProjectReader.read(ProjectWriter.write(p).getBytes(StandardCharsets.UTF_8), data, Parts.strict());
            return null;
        } catch (FileProblem e) {
            return e.getMessage();
        } catch (JacksonException | StackOverflowError | IllegalArgumentException e) {
            return "its groups lie too deep in each other";
        }
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
