package tundra.web;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.geometry.Point;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;

/**
 * A piece as an element for pages that are there already: one script that makes the element known, and the files beside it. What it shows
 * stands in a shadow root, so no style leaks in or out.
 */
public final class Embed {
    public static final String SCRIPT = "embed.js";
    private static final String EXAMPLE = "index.html";
    private static final JsonMapper JSON = new JsonMapper();
    private static final Pattern FACE = Pattern.compile("@font-face\\{font-family:'([^']+)';font-weight:(\\d+);src:url\\(([^)]+)\\)[^}]*\\}\n"),
            LOADED = Pattern.compile("<script src=\"([^\"]+)\"></script>"),
            STARTED = Pattern.compile("^Tundra\\.players\\[\"([^\"]+)\"\\]\\.start\\((.*)\\);\\s*$", Pattern.DOTALL);

    private Embed() {}

    /** The name of the element: of the piece, in small letters, with a hyphen. */
    public static String tag(Project p) {
        String plain = p.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return (plain.matches("[a-z].*") ? plain : "a-" + PageId.of(p.id()).toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"))
                .replaceAll("-$", "") + "-piece";
    }

    /** What is put into a page. @param folder where the page finds the files of the element */
    public static String snippet(Project p, String folder) {
        return "<script src=\"" + Markup.escape(folder) + "/" + SCRIPT + "\" async></script>\n<" + tag(p) + "></" + tag(p) + ">\n";
    }

    /** What is put into a page to show another page within it. @param folder where the page finds it */
    public static String frame(Project p, String folder) {
        Point size = p.scenes().getFirst().board().size();
        return "<iframe src=\"" + Markup.escape(folder) + "/index.html\" title=\"" + Markup.escape(p.name()) + "\" width=\"" + Math.round(size.x())
                + "\" height=\"" + Math.round(size.y())
                + "\" loading=\"lazy\" allow=\"fullscreen\"></iframe>\n";
    }

    /** @param page as it is compiled for a folder */
    public static Page of(Project p, Page page) {
        String html = text(page, "index.html"), css = text(page, "piece.css");
        String main = html.substring(html.indexOf("<main "), html.indexOf("</main>") + "</main>".length());
        ObjectNode known = JSON.createObjectNode().put("tag", tag(p)).put("markup", main);
        ArrayNode faces = known.putArray("faces");
        FACE.matcher(css).results().forEach(m -> faces.addArray().add(m.group(1)).add(m.group(2)).add(m.group(3)));
        known.put("style", FACE.matcher(css).replaceAll(""));
        Point size = p.scenes().getFirst().board().size();
        known.putArray("size").add(size.x()).add(size.y());
        ObjectNode values = known.putObject("values");
        p.values().forEach((PieceValue v) -> values.put(v.name(), v.id()));
        var out = new StringBuilder("// An element that shows the piece; docs/embed.md of Tundra says what can be asked of it.\n");
        var files = new LinkedHashMap<>(page.files());
        for (Matcher m = LOADED.matcher(html); m.find(); ) {
            String source = text(page, m.group(1));
            Matcher started = STARTED.matcher(source);
            if (started.matches()) {
                known.put("player", started.group(1));
                out.append("Tundra.element(").append(known.toString().replace("</", "<\\/")).append(",\n").append(started.group(2)).append(");\n");
            } else {
                out.append(source);
                if (m.group(1).startsWith("tundra-player")) {
                    out.append(PlayerScript.element());
                }
            }
            files.remove(m.group(1));
        }
        files.remove("piece.css");
        files.remove("still.css");
        files.put(SCRIPT, Page.Part.of(out.toString().getBytes(StandardCharsets.UTF_8)));
        files.put(EXAMPLE, Page.Part.of(example(p).getBytes(StandardCharsets.UTF_8)));
        return new Page(files);
    }

    private static String text(Page page, String name) {
        return new String(page.files().get(name).bytes(), StandardCharsets.UTF_8);
    }

    private static String example(Project p) {
        return "<!doctype html>\n<html lang=\"" + Markup.escape(p.page().language())
                + "\">\n<head>\n<meta charset=\"utf-8\">\n<meta name=\"viewport\" content=\"width=device-width,initial-scale=1\">\n<meta name=\"generator\" content=\"" + PageCompiler.GENERATOR + "\">\n<title>"
                + Markup.escape(p.name()) + " within a page</title>\n<script src=\"" + SCRIPT
                + "\" async></script>\n</head>\n<body>\n<p>The piece as it stands in a page:</p>\n<" + tag(p) + "></" + tag(p)
                + ">\n</body>\n</html>\n";
    }
}
