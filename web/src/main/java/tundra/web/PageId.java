package tundra.web;

import java.util.regex.Pattern;

/** The ids of elements on the page. What is added to one for a part of it begins with - alone, so no two can be the same whatever the ids are. */
public final class PageId {
    private static final Pattern NAME = Pattern.compile("^t-((?:[A-Za-z0-9]|_[_-]|_x[0-9a-f]+_)+)"),
            PART = Pattern.compile("_([_-])|_x([0-9a-f]+)_|[A-Za-z0-9]");

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

    /** The id of a scene or an element by its id on the page, or by that of a part of it; the text itself where it is none. */
    public static String idOf(String name) {
        var m = NAME.matcher(name);
        if (!m.find()) {
            return name;
        }
        var out = new StringBuilder();
        for (var part = PART.matcher(m.group(1)); part.find(); ) {
            out.append(part.group(2) != null ? Character.toString(Integer.parseInt(part.group(2), 16)) : part.group(1) != null ? part.group(1)
                    : part.group());
        }
        return out.toString();
    }
}
