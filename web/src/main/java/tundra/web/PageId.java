package tundra.web;

/** The ids of elements on the page. What is added to one for a part of it begins with - alone, so no two can be the same whatever the ids are. */
final class PageId {
    private PageId() {}

    /** The id on the page of a scene or an element: letters and digits as they are, _ as __ and - as _-, anything else by its number in Unicode. */
    static String of(String id) {
        var out = new StringBuilder("t-");
        id.codePoints().forEach(c -> {
            if (c == '_' || c == '-') {
                out.append('_').append((char) c);
            } else if (c < 128 && Character.isLetterOrDigit(c)) {
                out.append((char) c);
            } else {
                out.append("_x").append(Integer.toHexString(c)).append('_');
            }
        });
        return out.toString();
    }
}
