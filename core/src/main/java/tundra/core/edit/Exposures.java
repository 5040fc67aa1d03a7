package tundra.core.edit;

import java.util.ArrayList;
import java.util.function.Predicate;
import tundra.core.model.Board;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** The speed of flipbooks: exposures that are scaled, with the error that whole frames make of it. */
public final class Exposures {
    private Exposures() {}

    /**
     * A flipbook after its speed was changed.
     *
     * @param error how far the start or end of a drawing lies off where it should be at most, in frames of the new rate
     */
    public record Scaled(Flipbook book, double error) {}

    /**
     * The drawings that are meant, and the empty frames between them, made longer or shorter by a factor from the first of them
     * on; what follows moves along. Every edge goes to the nearest frame, so that errors don't add up.
     */
    public static Scaled scaled(Flipbook book, Predicate<Drawing> meant, double factor) {
        var out = new ArrayList<Drawing>();
        double at = 0, error = 0;
        int free = 0;
        Drawing before = null;
        for (Drawing d : book.drawings()) {
            boolean scales = meant.test(d);
            int gap = before == null ? d.start() : d.start() - before.end();
            boolean gapScales = scales && (before == null ? book.drawings().stream().allMatch(meant) : meant.test(before));
            at += gap * (gapScales ? factor : 1);
            int start = Math.max(free, (int) Math.rint(at));
            error = Math.max(error, Math.abs(start - at));
            at += d.frames() * (scales ? factor : 1);
            int end = Math.max(start + 1, (int) Math.rint(at));
            error = Math.max(error, Math.abs(end - at));
            out.add(new Drawing(d.art(), start, end - start));
            free = end;
            before = d;
        }
        return new Scaled(book.withDrawings(out), error);
    }

    /** The drawings that are meant, from the start of the first to the end of the last, brought to a number of frames. */
    public static Scaled retimed(Flipbook book, Predicate<Drawing> meant, int frames) {
        var of = book.drawings().stream().filter(meant).toList();
        if (of.isEmpty() || frames < 1) {
            return new Scaled(book, 0);
        }
        int length = of.getLast().end() - of.getFirst().start();
        return scaled(book, d -> d.start() >= of.getFirst().start() && d.end() <= of.getLast().end(), (double) frames / length);
    }

    /**
     * A project at another frame rate.
     *
     * @param error how far an edge of a drawing lies off its time before at most, in seconds
     */
    public record Converted(Project project, double error) {}

    /** The project at another rate with all seconds kept: keys stay, the edges of drawings go to the nearest frame. */
    public static Converted atRate(Project project, int rate) {
        double[] error = {0};
        return new Converted(project.mapBoards(b -> board(b, rate, error)).withFrameRate(rate), error[0]);
    }

    private static Board board(Board board, int rate, double[] error) {
        Board[] b = {board};
        Tree.each(board.elements(), e -> {
            if (e.content() instanceof Flipbook) {
                b[0] = b[0].mapElement(e.id(), x -> converted(x, rate, error));
            }
        });
        return b[0];
    }

    private static Element converted(Element e, int rate, double[] error) {
        var book = (Flipbook) e.content();
        Scaled s = scaled(book, d -> true, (double) rate / book.rate());
        error[0] = Math.max(error[0], s.error() / rate);
        return e.withContent(s.book().withRate(rate));
    }
}
