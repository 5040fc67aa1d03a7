package tundra.app.paint;

import io.github.humbleui.skija.FontMetrics;
import io.github.humbleui.skija.TextLine;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.text.Font;
import tundra.render.Fonts;

/** Shaped lines of the window's own words, those that were painted last. Interface thread only. */
final class Letters {
    private static final int KEPT = 2000;
    /** What JavaFX calls a face by, and its weight. */
    private static final Map<String, Integer> WEIGHTS = Map.of(" Medium", 500, " SemiBold", 600, " Bold", 700);
    private static final Map<Words, Line> LINES = new LinkedHashMap<>(64, 0.75f, true);

    private Letters() {}

    private record Words(String text, String family, double size) {}

    /** A line that is ready to be painted; its height above and below the base line in px. */
    record Line(TextLine shaped, double width, double ascent, double descent) {}

    /** A line in one of the window's fonts. */
    static Line of(String text, Font font) {
        Line known = LINES.computeIfAbsent(new Words(text, font.getFamily().equals(font.getName()) ? font.getFamily() : font.getName(),
                font.getSize()), Letters::shaped);
        if (LINES.size() > KEPT) {
            var oldest = LINES.entrySet().iterator();
            oldest.next().getValue().shaped.close();
            oldest.remove();
        }
        return known;
    }

    private static Line shaped(Words w) {
        String family = w.family.replaceFirst(" Regular$", "");
        int weight = 400;
        for (var e : WEIGHTS.entrySet()) {
            if (family.endsWith(e.getKey())) {
                family = family.substring(0, family.length() - e.getKey().length());
                weight = e.getValue();
                break;
            }
        }
        try (var f = Fonts.BUNDLED.font(family, weight, w.size)) {
            FontMetrics m = f.getMetrics();
            TextLine line = Fonts.shape(w.text, f, true);
            return new Line(line, line.getWidth(), -m.getAscent(), m.getDescent());
        }
    }
}
