package tundra.web;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Moves the styles of a page's elements from their attributes into classes of a style sheet, so that the page may be served where inline
 * styles are forbidden (Content-Security-Policy without 'unsafe-inline').
 */
final class InlineStyles {
    private static final String STYLE = " style=\"", CLASS = " class=\"";
    private final Map<String, String> classes = new LinkedHashMap<>();
    private final StringBuilder html = new StringBuilder();

    /** @param markup whose texts and attributes are escaped, so that these words stand in it as attributes only */
    InlineStyles(String markup) {
        int at = 0;
        for (int open; (open = markup.indexOf('<', at)) >= 0; ) {
            int close = markup.indexOf('>', open);
            html.append(markup, at, open).append(tag(markup.substring(open, close + 1)));
            at = close + 1;
        }
        html.append(markup.substring(at));
    }

    private String tag(String tag) {
        int style = tag.indexOf(STYLE);
        if (style < 0) {
            return tag;
        }
        int from = style + STYLE.length(), to = tag.indexOf('"', from);
        String rest = tag.substring(0, style) + tag.substring(to + 1);
        String css = tag.substring(from, to);
        if (css.isEmpty()) {
            return rest;
        }
        String name = classes.computeIfAbsent(css, c -> "t-c" + classes.size());
        int own = rest.indexOf(CLASS);
        if (own >= 0) {
            int at = own + CLASS.length();
            return rest.substring(0, at) + name + " " + rest.substring(at);
        }
        int word = rest.indexOf(' ') > 0 ? rest.indexOf(' ') : rest.length() - (rest.endsWith("/>") ? 2 : 1);
        return rest.substring(0, word) + CLASS + name + "\"" + rest.substring(word);
    }

    String html() {
        return html.toString();
    }

    /** The rules of the classes; they weigh more than those of the page itself, as styles of attributes do. */
    String css() {
        var out = new StringBuilder();
        classes.forEach((css, name) -> out.append(":root:root .").append(name).append('{')
                .append(css.replace("&quot;", "\"").replace("&#39;", "'").replace("&lt;", "<").replace("&gt;", ">").replace("&amp;", "&")).append("}\n"));
        return out.toString();
    }
}
