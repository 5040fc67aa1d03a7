package tundra.app.widget;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The colours of both themes: the same in the sheets and in hand-painted parts, and legible. */
class PaletteTest {
    private static Map<String, Color> roles(String sheet) throws Exception {
        var out = new HashMap<String, Color>();
        try (var in = PaletteTest.class.getResourceAsStream("/tundra/app/" + sheet + ".css")) {
            var m = Pattern.compile("(-[a-z0-9-]+): (#[0-9A-Fa-f]{6});").matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            while (m.find()) {
                out.put(m.group(1), Color.web(m.group(2)));
            }
        }
        return out;
    }

    /** WCAG 2.2, relative luminance. */
    private static double luminance(Color c) {
        double[] v = {c.getRed(), c.getGreen(), c.getBlue()};
        for (int i = 0; i < 3; i++) {
            v[i] = v[i] <= 0.04045 ? v[i] / 12.92 : Math.pow((v[i] + 0.055) / 1.055, 2.4);
        }
        return 0.2126 * v[0] + 0.7152 * v[1] + 0.0722 * v[2];
    }

    private static double contrast(Color a, Color b) {
        double x = luminance(a), y = luminance(b);
        return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
    }

    @Test
    void theContrastFormulaIsTheStandards() {
        assertThat(contrast(Color.BLACK, Color.WHITE)).isEqualTo(21, Assertions.within(1e-9));
        // the grey that just passes on white
        assertThat(contrast(Color.web("#767676"), Color.WHITE)).isBetween(4.5, 4.6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"day", "night"})
    void theEdgesOfFieldsAreSeen(String sheet) throws Exception {
        Map<String, Color> c = roles(sheet);
        for (String beside : new String[] {"-field", "-panel"}) {
            assertThat(contrast(c.get("-edge"), c.get(beside))).as(sheet + ": -edge on " + beside).isGreaterThanOrEqualTo(3);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"day", "night"})
    void textIsLegible(String sheet) throws Exception {
        Map<String, Color> c = roles(sheet);
        String[][] pairs = {{"-ink-1", "-panel"}, {"-ink-1", "-bar"}, {"-ink-1", "-field"}, {"-ink-1", "-space-soft"}, {"-ink-2", "-panel"},
                {"-ink-2", "-field"},
            {"-ink-2", "-bar"}, {"-ink-2", "-time-soft"}, {"-space", "-space-soft"}, {"-space", "-panel"}, {"-time-ink", "-time-soft"},
            {"-interaction-ink", "-interaction-soft"}, {"-verb-ink", "-verb-soft"}, {"-on-space", "-space"}, {"-problem", "-panel"}};
        for (String[] p : pairs) {
            assertThat(contrast(c.get(p[0]), c.get(p[1]))).as(sheet + ": " + p[0] + " on " + p[1]).isGreaterThanOrEqualTo(4.5);
        }
    }

    @Test
    void handPaintedPartsUseTheSameColours() throws Exception {
        for (boolean dark : new boolean[] {false, true}) {
            Map<String, Color> c = roles(dark ? "night" : "day");
            Palette p = Palette.of(dark);
            Map<String, Color> mine = Map.of("-space", p.space(), "-space-soft", p.spaceSoft(), "-time", p.time(), "-time-soft", p.timeSoft(),
                    "-interaction", p.interaction(), "-fitting", p.fitting(), "-panel", p.panel(), "-line", p.line(), "-surround", p.surround(),
                    "-ink-1", p.ink1());
            mine.forEach((role, color) -> assertThat(color).as(role.toUpperCase(Locale.ROOT)).isEqualTo(c.get(role)));
            assertThat(p.ink2()).isEqualTo(c.get("-ink-2"));
            assertThat(p.field()).isEqualTo(c.get("-field"));
        }
    }
}
