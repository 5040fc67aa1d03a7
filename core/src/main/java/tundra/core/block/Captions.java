package tundra.core.block;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Timed words for a video, as in a WebVTT file (W3C). Settings of where they stand are left out, and so are notes, styles and regions.
 *
 * @param from in µs
 * @param to in µs
 * @param text with the tags that WebVTT allows
 */
public record Captions(long from, long to, String text) {
    private static final Pattern TIMES =
            Pattern.compile("(?:(\\d{2,}):)?(\\d\\d):(\\d\\d)\\.(\\d{3})\\s+-->\\s+(?:(\\d{2,}):)?(\\d\\d):(\\d\\d)\\.(\\d{3})(?:\\s.*)?");
    private static final int MOST = 20_000;

    /** Whether a file is one, by how it begins. */
    public static boolean is(String file) {
        return file.replaceFirst("^\\uFEFF", "").matches("(?s)WEBVTT([ \\t\\r\\n].*)?");
    }

    /** All cues that can be read, in the order of the file. */
    public static List<Captions> read(String file) {
        var out = new ArrayList<Captions>();
        for (String block : file.replace("\r\n", "\n").replace('\r', '\n').split("\n{2,}")) {
            List<String> lines = block.lines().toList();
            for (int i = 0; i < Math.min(2, lines.size()) && out.size() < MOST; i++) {
                Matcher m = TIMES.matcher(lines.get(i).strip());
                if (m.matches() && i + 1 < lines.size()) {
                    long from = micros(m, 1), to = micros(m, 5);
                    if (to > from) {
                        out.add(new Captions(from, to, String.join("\n", lines.subList(i + 1, lines.size()))));
                    }
                    break;
                }
            }
        }
        return out;
    }

    private static long micros(Matcher m, int g) {
        long h = m.group(g) == null ? 0 : Long.parseLong(m.group(g).substring(0, Math.min(4, m.group(g).length())));
        return (((h * 60 + Long.parseLong(m.group(g + 1))) * 60 + Long.parseLong(m.group(g + 2))) * 1000 + Long.parseLong(m.group(g + 3))) * 1000;
    }
}
