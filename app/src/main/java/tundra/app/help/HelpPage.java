package tundra.app.help;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.Node;

/**
 * A page of the help that ships.
 *
 * @param key such as {@code timeline}
 * @param panels the simple names of the classes of panels that it is of
 * @param commands ids of the commands that it names with their keys
 * @param purpose what it is for
 * @param things to do, three of them
 */
public record HelpPage(String key, String title, List<String> panels, List<String> commands, String purpose, List<String> things) {
    /** All of them, in the order of the book. */
    public static final List<HelpPage> ALL = read();

    private static List<HelpPage> read() {
        try (InputStream in = HelpPage.class.getResourceAsStream("/tundra/app/help/pages.txt")) {
            var out = new ArrayList<HelpPage>();
            for (String part : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("(?m)^== ")) {
                if (!part.startsWith("#") && !part.isBlank()) {
                    out.add(page(part.lines().filter(l -> !l.isBlank()).toList()));
                }
            }
            return List.copyOf(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static HelpPage page(List<String> lines) {
        String[] head = lines.get(0).split(" \\| ");
        return new HelpPage(head[0], head[1], List.of(lines.get(1).substring("of: ".length()).split(" ")),
                List.of(lines.get(2).substring("commands: ".length()).split(" ")), lines.get(3),
                lines.subList(4, lines.size()).stream().map(l -> l.substring(2)).toList());
    }

    /** Null when there is none. */
    public static HelpPage byKey(String key) {
        return ALL.stream().filter(p -> p.key.equals(key)).findFirst().orElse(null);
    }

    /** The page of the panel that a part of the window lies in; null where none is about it. */
    public static HelpPage of(Node n) {
        for (Node x = n; x != null; x = x.getParent()) {
            String name = x.getClass().getSimpleName();
            HelpPage page = ALL.stream().filter(p -> p.panels.contains(name)).findFirst().orElse(null);
            if (page != null) {
                return page;
            }
        }
        return null;
    }

    /** Whether all of some words stand anywhere on it. */
    public boolean holds(String words) {
        String all = (title + " " + purpose + " " + String.join(" ", things)).toLowerCase(Locale.ROOT);
        return List.of(words.toLowerCase(Locale.ROOT).strip().split("\\s+")).stream().allMatch(all::contains);
    }
}
