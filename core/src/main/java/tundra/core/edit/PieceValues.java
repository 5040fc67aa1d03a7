package tundra.core.edit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import tundra.core.frame.ValueWords;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** The values of a piece: added, named, changed, taken away. */
public final class PieceValues {
    private PieceValues() {}

    private static String free(Project p, String wanted, String but) {
        Set<String> taken = new HashSet<>();
        p.values().stream().filter(v -> !v.id().equals(but)).forEach(v -> taken.add(v.name()));
        return Names.free(taken, wanted);
    }

    public static Project add(Project p, String wanted, PieceValue.Kind kind) {
        return p.withValues(Reactions.plus(p.values(), new PieceValue(Ids.next(), free(p, wanted.strip(), null), kind, kind.standard, false)));
    }

    /** What is written to show a value at a place in a text: with a space before it where words end there. */
    public static String shown(String text, int at, PieceValue v) {
        return (at > 0 && !Character.isWhitespace(text.charAt(at - 1)) ? " " : "") + ValueWords.written(v);
    }

    /** With a new number that a text of a place shows, where it is told to. */
    public static Project addShown(Project p, String place, String element, int at, String wanted) {
        Project with = add(p, wanted, PieceValue.Kind.NUMBER);
        PieceValue v = with.values().getLast();
        return with.mapBoard(place, b -> b.mapElement(element, e -> e.content() instanceof Content.Text t
                ? e.withContent(t.withText(t.text().substring(0, at) + shown(t.text(), at, v) + t.text().substring(at))) : e));
    }

    /** A name that another value has gets a number; an empty one stays as it was. */
    public static Project map(Project p, String id, UnaryOperator<PieceValue> change) {
        List<PieceValue> all = p.values().stream().map(v -> {
            if (!v.id().equals(id)) {
                return v;
            }
            PieceValue now = change.apply(v);
            return now.withName(now.name().isBlank() ? v.name() : free(p, now.name().strip(), id));
        }).toList();
        if (all.equals(p.values())) {
            return p;
        }
        Project out = p.withValues(all);
        return out.value(id).name().equals(p.value(id).name()) ? out : inTexts(out, p.values(), v -> ValueWords.written(out.value(v.id())));
    }

    /** How many texts show a value. */
    public static int showing(Project p, String id) {
        int[] n = {0};
        p.places().forEach(x -> Tree.each(x.board().elements(), e -> n[0] += values(p, e).stream().anyMatch(s -> s.value().id().equals(id)) ? 1 : 0));
        return n[0];
    }

    /** Whether any text of a board shows a value. */
    public static boolean shows(Project p, Board b) {
        boolean[] any = {false};
        Tree.each(b.elements(), e -> any[0] |= shows(p, e));
        return any[0];
    }

    /** Whether an element is a text that shows a value. */
    public static boolean shows(Project p, Element e) {
        return !values(p, e).isEmpty();
    }

    private static List<ValueWords.Span> values(Project p, Element e) {
        return e.content() instanceof Content.Text t ? ValueWords.in(t.text(), p.values()) : List.of();
    }

    /** With other words where values stand in texts. */
    private static Project inTexts(Project p, List<PieceValue> values, Function<PieceValue, String> words) {
        return p.mapBoards(b -> {
            var ids = new HashSet<String>();
            Tree.each(b.elements(), e -> {
                if (ValueWords.with(e.content(), values, words) != e.content()) {
                    ids.add(e.id());
                }
            });
            return ids.isEmpty() ? b : b.mapElements(ids, e -> e.withContent(ValueWords.with(e.content(), values, words)));
        });
    }

    /** With what values are at first in the texts where they stand. */
    static Project spelled(Project p, List<PieceValue> values) {
        return inTexts(p, values, PieceValue::start);
    }

    /** Without a value and the sentences' parts that name it; texts keep what it was at first. */
    public static Project delete(Project p, String id) {
        return Reactions.tidied(inTexts(p, p.values(), v -> v.id().equals(id) ? v.start() : ValueWords.written(v))
                .withValues(p.values().stream().filter(v -> !v.id().equals(id)).toList()));
    }
}
