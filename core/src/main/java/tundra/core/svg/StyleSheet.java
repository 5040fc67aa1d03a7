package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;

/** Takes a style sheet apart into rules, in one walk over its letters (CSS Syntax 3, as far as drawings use it). */
final class StyleSheet {
    private final String text;
    private final List<Rule> out = new ArrayList<>();
    private final int most;
    private int at;

    record Rule(String selectors, String body) {}

    private StyleSheet(String text, int most) {
        this.text = text;
        this.most = most;
    }

    /** The rules in order; those for other media than a screen are left out, as is what comes after {@code most} rules. */
    static List<Rule> rules(String sheet, int most) {
        var s = new StyleSheet(withoutComments(sheet), most);
        s.read();
        return s.out;
    }

    /** A text without CSS and HTML comments; one that never ends reaches to the end. */
    static String withoutComments(String s) {
        var out = new StringBuilder(s.length());
        for (int i = 0; i < s.length(); ) {
            if (s.startsWith("/*", i)) {
                int end = s.indexOf("*/", i + 2);
                i = end < 0 ? s.length() : end + 2;
            } else if (s.startsWith("<!--", i)) {
                i += 4;
            } else if (s.startsWith("-->", i)) {
                i += 3;
            } else {
                out.append(s.charAt(i++));
            }
        }
        return out.toString();
    }

    private void read() {
        while (at < text.length() && out.size() < most) {
            int start = at;
            while (at < text.length() && "{};".indexOf(text.charAt(at)) < 0) {
                at++;
            }
            String head = text.substring(start, at).strip();
            boolean rule = at < text.length() && text.charAt(at) == '{';
            at++;
            if (!rule) {
                continue;
            }
            if (head.startsWith("@media") && screen(head)) {
                // its rules follow, and its closing brace is skipped like any that is too many
                continue;
            }
            String body = block();
            if (!head.startsWith("@")) {
                out.add(new Rule(head, body));
            }
        }
    }

    private static boolean screen(String media) {
        String of = media.substring("@media".length()).strip();
        return of.isEmpty() || of.startsWith("all") || of.startsWith("screen");
    }

    /** What stands in a block up to its closing brace, with blocks inside of it. */
    private String block() {
        int start = at, open = 1;
        while (at < text.length() && open > 0) {
            char c = text.charAt(at++);
            open += c == '{' ? 1 : c == '}' ? -1 : 0;
        }
        return text.substring(start, open == 0 ? at - 1 : at);
    }
}
