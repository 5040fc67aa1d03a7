package tundra.web;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import tundra.core.model.Asset;

/**
 * A page whose own document names its scripts and styles by what they hold. So a visitor who has the document of one version gets all of that
 * version, also while the next one is being written, and browsers never take an old file for a new one.
 */
final class NamedByContent {
    private static final String INDEX = "index.html";

    private NamedByContent() {}

    static Page of(Page page) {
        String html = new String(page.files().get(INDEX).bytes(), StandardCharsets.UTF_8);
        var out = new LinkedHashMap<String, Page.Part>();
        for (var e : page.files().entrySet()) {
            String name = e.getKey(), quoted = "\"" + name + "\"";
            int dot = name.lastIndexOf('.');
            // what lies in a folder is named by its hash already
            if (!name.equals(INDEX) && dot > 0 && !name.contains("/") && html.contains("=" + quoted)) {
                String by = name.substring(0, dot) + "." + Asset.hash(e.getValue().bytes()).substring(0, 8) + name.substring(dot);
                html = html.replace("=" + quoted, "=\"" + by + "\"");
                name = by;
            }
            out.put(name, e.getValue());
        }
        out.put(INDEX, Page.Part.of(html.getBytes(StandardCharsets.UTF_8)));
        return new Page(out);
    }
}
