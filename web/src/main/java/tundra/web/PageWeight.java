package tundra.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPOutputStream;
import tundra.core.model.Asset;

/** What a visitor's browser loads of a page, with texts packed as hosts pack them (gzip). */
public final class PageWeight {
    /** What files are for. */
    public enum Kind {
        PICTURES("pictures"), FONTS("fonts"), SOUND("sound and video"), DRAWING("drawing"), PLAYER("player"), PAGE("page");

        public final String words;

        Kind(String words) {
            this.words = words;
        }
    }

    /**
     * A file.
     *
     * @param bytes that are sent
     * @param first whether the first picture waits for it
     */
    public record File(String name, Kind kind, long bytes, boolean first) {}

    /** A line of a slow mobile network, in bytes a second, and how long an answer takes to begin, in s. */
    private static final double SLOW = 200_000, WAIT = 0.3;
    private final List<File> files = new ArrayList<>();

    private PageWeight() {}

    /** What only others load — stills, licences, declarations — is left out. */
    public static PageWeight of(Page page) throws IOException {
        var out = new PageWeight();
        for (var e : page.files().entrySet()) {
            String name = e.getKey();
            if (!name.matches("still.*|shared.*|.*\\.txt|.*\\.d\\.ts")) {
                Kind kind = kind(name);
                boolean text = kind == Kind.DRAWING || kind == Kind.PLAYER || kind == Kind.PAGE;
                out.files.add(new File(name, kind, text ? packed(e.getValue()) : e.getValue().length(), text || kind == Kind.FONTS));
            }
        }
        out.files.sort((a, b) -> Long.compare(b.bytes, a.bytes));
        return out;
    }

    private static Kind kind(String name) {
        return name.matches("(pictures|sheets)/.*") ? Kind.PICTURES : name.startsWith("fonts/") ? Kind.FONTS : name.matches("(sounds|videos)/.*")
                ? Kind.SOUND
                : name.startsWith("tundra-player") ? Kind.PLAYER : name.matches("index\\.html|piece.*") ? Kind.DRAWING : Kind.PAGE;
    }

    private static long packed(Page.Part p) throws IOException {
        var out = new ByteArrayOutputStream();
        try (InputStream in = p.open(); OutputStream zip = new GZIPOutputStream(out)) {
            in.transferTo(zip);
        }
        return out.size();
    }

    /** The name of the file that a picture of the piece becomes. */
    public static String file(Asset picture) {
        return Markup.picturePath(picture);
    }

    /** The largest first. */
    public List<File> files() {
        return List.copyOf(files);
    }

    public long bytes() {
        return files.stream().mapToLong(File::bytes).sum();
    }

    /** By what they are for, the heaviest first; nothing for what isn't there. */
    public Map<Kind, Long> byKind() {
        var sums = new EnumMap<Kind, Long>(Kind.class);
        files.forEach(f -> sums.merge(f.kind, f.bytes, Long::sum));
        var out = new LinkedHashMap<Kind, Long>();
        sums.entrySet().stream().sorted(Map.Entry.<Kind, Long>comparingByValue().reversed()).forEach(e -> out.put(e.getKey(), e.getValue()));
        return out;
    }

    /** About how many seconds a slow mobile line takes until the first picture is there: what that needs, one after the other in two rounds. */
    public double slow() {
        return 2 * WAIT + files.stream().filter(File::first).mapToLong(File::bytes).sum() / SLOW;
    }
}
