package tundra.app.details;

import java.util.List;
import java.util.stream.Stream;
import tundra.app.studio.Desk;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** Which properties the details show together, in which order. */
final class PropertyGroups {
    static final List<Property<?>> PLACE = List.of(Properties.POSITION, Properties.SIZE, Properties.ROTATION, Properties.SCALE,
            Properties.OPACITY, Properties.PIVOT, Properties.SKEW, Properties.HEADING, Properties.TOUCH, Properties.PARALLAX);
    /** Of how an element follows its parent, what the diagram doesn't say. */
    static final List<Property<?>> FOLLOWING = List.of(Properties.WIDTH_IN, Properties.HEIGHT_IN, Properties.WAY_IN, Properties.RESIZE,
            Properties.RESIZE_POINT, Properties.SIZE_IN, Properties.SIZE_LEAST, Properties.SIZE_MOST);
    static final List<Property<?>> STROKE = List.of(Properties.STROKE, Properties.STROKE_WIDTH, Properties.STROKE_ENDS,
            Properties.STROKE_JOINS, Properties.DASH, Properties.GAP, Properties.DASH_OFFSET, Properties.REVEAL);
    static final List<Property<?>> BLENDING = List.of(Properties.BLEND, Properties.ISOLATE);
    static final List<Property<?>> TYPE = List.of(Properties.FONT_SIZE, Properties.FONT_WEIGHT, Properties.LINE_HEIGHT, Properties.TEXT_ALIGN,
            Properties.WRAP, Properties.LETTER_SPACING);
    static final List<Property<?>> ALONG = List.of(Properties.FACE_PATH, Properties.FRONT);
    /** What only the page does. */
    private static final List<Property<?>> ON_THE_PAGE = List.of(Properties.HEADING, Properties.TOUCH, Properties.PARALLAX);

    private PropertyGroups() {}

    /** What stands in no other group. */
    static List<Property<?>> look(List<Property<?>> of) {
        return of.stream().filter(p -> Stream.of(PLACE, STROKE, ALONG, TYPE, BLENDING, Properties.TIES).noneMatch(group -> group.contains(p)))
                .toList();
    }

    /** What only the page does is left out while drawing. */
    static boolean shownAt(Desk desk, Property<?> p) {
        return desk != Desk.DRAW || !ON_THE_PAGE.contains(p);
    }
}
