package tundra.web;

import java.util.List;
import java.util.stream.IntStream;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Property;

/**
 * An element of a board and its parts on the page.
 *
 * @param lets whether what it holds blends with what lies behind it
 */
record PageElement(Board board, Element element, PartNames box, TextMeasurer measure, boolean lets) {
    /** What is the same element is the same. */
    @Override
    public boolean equals(Object o) {
        return this == o;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(this);
    }

    String id() {
        return element.id();
    }

    Content content() {
        return element.content();
    }

    <T> T rest(Property<T> p) {
        return element.rest().get(p);
    }

    /** Whether a property is keyed on any timeline. */
    boolean keyed(Property<?> p) {
        return Keyed.any(board, element.id(), p);
    }

    /** Whether properties are keyed on different timelines, so that none knows the whole value. */
    boolean apart(Property<?>... of) {
        return Keyed.apart(board, element.id(), of);
    }

    /** The parts that carry the stroke: the shape itself, or one for each of its contours. */
    List<String> strokes() {
        if (!(content() instanceof Content.Shape)) {
            return List.of();
        }
        return StrokeText.split(board, element) ? IntStream.range(0, StrokeText.contours(board, element)).mapToObj(i -> box.shape() + "-" + i)
                .toList()
                : List.of(box.shape());
    }
}
