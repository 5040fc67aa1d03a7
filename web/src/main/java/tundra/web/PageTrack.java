package tundra.web;

import java.util.List;

/**
 * The keys of one CSS property of one published element.
 *
 * @param target the name of a part of the page
 * @param property in the camel case of Web Animations; an attribute that the player sets itself begins with @, what only jumps
 *     from value to value and is switched by the player with !
 */
record PageTrack(String target, String property, List<PageKey> keys) {
    /**
     * A keyframe.
     *
     * @param offset 0..1 of the timeline
     * @param value CSS text
     * @param easing to the next one
     */
    record PageKey(double offset, String value, String easing) {}
}
