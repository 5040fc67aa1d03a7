package tundra.web;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tundra.core.file.FileProblem;

/** A page in one HTML file: styles and scripts stand in it, pictures, fonts and sounds are part of their addresses. */
public final class OneFile {
    /** Browsers are slow with longer ones. */
    private static final long MOST = 64L << 20;
    private static final Pattern SCRIPT = Pattern.compile("<script src=\"([^\"]+)\"></script>"),
            STYLE = Pattern.compile("<link rel=\"stylesheet\" href=\"([^\"]+)\">");

    private OneFile() {}

    public static String of(Page page) throws FileProblem {
        long size = page.files().values().stream().mapToLong(Page.Part::length).sum();
        if (size > MOST) {
            throw new FileProblem("The page has " + (size >> 20) + " MB, which is too much for one file; make a folder. Nothing was written.");
        }
        if (page.files().keySet().stream().anyMatch(n -> n.startsWith("pages/"))) {
            throw new FileProblem("The piece shows a page of several files, which can't lie in one file; make a folder. Nothing was written.");
        }
        Map<String, String> addresses = new LinkedHashMap<>();
        page.files().forEach((name, part) -> {
            if (name.contains("/") && !name.endsWith(".txt") || name.endsWith(".png")) {
                addresses.put(name, DataUri.of(name, part.bytes()));
            }
        });
        String html = text(page, "index.html");
        html = replaced(SCRIPT, html, m -> "<script>\n" + within(text(page, m.group(1)), addresses).replace("</script", "<\\/script") + "</script>");
        html = replaced(STYLE, html, m -> "<style>\n" + within(text(page, m.group(1)), addresses) + "</style>");
        return within(html, addresses);
    }

    private static String text(Page page, String name) {
        return new String(page.files().get(name).bytes(), StandardCharsets.UTF_8);
    }

    private static String replaced(Pattern what, String in, Function<MatchResult, String> by) {
        return what.matcher(in).replaceAll(m -> Matcher.quoteReplacement(by.apply(m)));
    }

    /** With addresses that hold their files, wherever one stands between quotes or brackets. */
    private static String within(String text, Map<String, String> addresses) {
        String out = text;
        for (var e : addresses.entrySet()) {
            out = out.replace("\"" + e.getKey() + "\"", "\"" + e.getValue() + "\"").replace("(" + e.getKey() + ")", "(" + e.getValue() + ")")
                    .replace("'" + e.getKey() + "'", "'" + e.getValue() + "'");
        }
        return out;
    }
}
