package tundra.web;

import java.util.List;

/**
 * The keys of one CSS property of one published element.
 *
 * @param target the name of a part of the page
 * @param property in the camel case of Web Animations; an attribute that the player sets itself begins with @, what only jumps
 *     from value to value and is switched by the player with !
 * @param round where the keys are those of one round that begins again and again; null where they are the whole timeline's
 * @param every what the player sets itself it sets anew after so many ms at the latest; 0 for every picture
 */
record PageTrack(String target, String property, List<PageKey> keys, Round round, double every) {
    PageTrack(String target, String property, List<PageKey> keys, Round round) {
        this(target, property, keys, round, 0);
    }

    PageTrack(String target, String property, List<PageKey> keys) {
        this(target, property, keys, null);
    }

    /**
     * For a property that jumps: instead of a timeline's length of keys those of one round.
     *
     * @param length in µs
     * @param begin when the first one begins, in µs of the timeline
     * @param before what holds until then
     */
    record Round(long length, long begin, String before) {}

    /**
     * A keyframe.
     *
     * @param offset 0..1 of the timeline
     * @param value CSS text
     * @param easing to the next one
     */
    record PageKey(double offset, String value, String easing) {}
}
