package tundra.core.file;

import tundra.core.model.Property;

/** Names the objects of the file that unknown fields are kept for. */
final class FileObjects {
    static final String PROJECT = "project";

    private FileObjects() {}

    static String of(String kind, String id) {
        return kind + ":" + id;
    }

    /** Of an object within a layout. */
    static String in(String layout, String kind, String id) {
        return "layout:" + layout + "/" + kind + ":" + id;
    }

    static String keys(String timeline, String element) {
        return "keys:" + timeline + "/" + element;
    }

    static String key(String timeline, String element, Property<?> p, long time) {
        return "key:" + timeline + "/" + element + "/" + p.key() + "@" + time;
    }
}
