package tundra.core.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tundra.core.model.Color;
import tundra.core.model.Swatch;

/** Swatches as a GIMP palette: a header, then a line of red, green, blue and a name for each colour. */
public final class GplPalette {
    private static final String HEADER = "GIMP Palette";
    private static final Pattern LINE = Pattern.compile("\\s*(\\d{1,3})\\s+(\\d{1,3})\\s+(\\d{1,3})(?:\\s+(.*))?");
    private static final int MOST = 10_000;

    private GplPalette() {}

    public static List<Swatch> read(String text) throws FileProblem {
        List<String> lines = text.lines().toList();
        if (lines.isEmpty() || !lines.getFirst().strip().equals(HEADER)) {
            throw new FileProblem("it isn't a palette: its first line should be “" + HEADER + "”");
        }
        var out = new ArrayList<Swatch>();
        for (int i = 1; i < lines.size(); i++) {
            String line = lines.get(i);
            if (line.isBlank() || line.startsWith("#") || line.startsWith("Name:") || line.startsWith("Columns:")) {
                continue;
            }
            Matcher m = LINE.matcher(line);
            if (!m.matches()) {
                throw new FileProblem("line " + (i + 1) + " of the palette isn't a colour");
            }
            int r = Integer.parseInt(m.group(1)), g = Integer.parseInt(m.group(2)), b = Integer.parseInt(m.group(3));
            if (r > 255 || g > 255 || b > 255) {
                throw new FileProblem("line " + (i + 1) + " of the palette has a number above 255");
            }
            Color c = new Color(r, g, b, 255);
            out.add(new Swatch(m.group(4) == null || m.group(4).isBlank() ? c.hex() : m.group(4).strip(), c));
            if (out.size() > MOST) {
                throw new FileProblem("the palette holds more than " + MOST + " colours");
            }
        }
        return out;
    }

    public static String write(String name, List<Swatch> swatches) {
        var s = new StringBuilder(HEADER + "\nName: " + name.replaceAll("\\R", " ") + "\nColumns: 8\n#\n");
        for (Swatch w : swatches) {
            s.append(String.format(Locale.ROOT, "%3d %3d %3d\t%s%n", w.color().red(), w.color().green(), w.color().blue(),
                    w.name().replaceAll("\\R", " ")));
        }
        return s.toString();
    }
}
