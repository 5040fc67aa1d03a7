package tundra.core.model;

import java.util.List;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** What an element is. */
public sealed interface Content {

    /** Has a fill, a stroke and a size. */
    sealed interface Shape extends Content {}

    record Rectangle() implements Shape {}

    record Ellipse() implements Shape {}

    /** An outline that lies in the box (0, 0)–{@code box}; the size property stretches it from there. */
    record Path(Outline outline, Point box) implements Shape {}

    /** Lines of text; {@code size} and line height (a multiple of it) in px. */
    record Text(String text, String family, int weight, double size, Align align, double lineHeight) implements Content {}

    /** A picture of the shelf, by its content hash. */
    record Picture(String asset) implements Content {}

    /** Children from back to front, in a box of its own. */
    record Group(List<Element> children, Point box) implements Content {
        public Group {
            children = List.copyOf(children);
        }
    }

    /** How lines of text stand to each other. */
    enum Align {
        LEFT, CENTRE, RIGHT
    }

    /** The word for it in the interface. */
    default String word() {
        return switch (this) {
            case Rectangle r -> "rectangle";
            case Ellipse e -> "ellipse";
            case Path p -> "path";
            case Text t -> "text";
            case Picture p -> "picture";
            case Group g -> "group";
        };
    }
}
