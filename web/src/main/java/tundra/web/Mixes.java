package tundra.web;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Values of the page that are made of several properties which are keyed on different timelines: each timeline moves its parts, and
 * the player makes the value of what they hold now. The mixes themselves are the player's {@code MIXES}.
 */
final class Mixes {
    private final Map<String, Mix> all = new LinkedHashMap<>();

    /**
     * @param rest what its parts are while no timeline has a say: numbers, texts, or null for what is only there as keys
     * @param data what it is made with besides; null for nothing
     */
    record Mix(List<Object> rest, Object data) {}

    void rest(String target, String mix, Object... parts) {
        with(target, mix, null, parts);
    }

    void with(String target, String mix, Object data, Object... parts) {
        all.put(target + " " + mix, new Mix(Arrays.asList(parts), data));
    }

    /** The property of a track that moves a part. */
    static String part(String mix, int part) {
        return "%" + mix + " " + part;
    }

    /** By target and mix. */
    Map<String, Mix> all() {
        return all;
    }
}
