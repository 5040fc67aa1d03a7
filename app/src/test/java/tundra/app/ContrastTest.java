package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The contrast of words and marks, worked out from the style sheets of both themes by WCAG 2's formula. */
class ContrastTest {
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)\\}"), ROLE = Pattern.compile("(-[a-z0-9-]+):\\s*(#[0-9A-Fa-f]{6})");
    /** What words lie on where their rule says nothing. */
    private static final List<String> GROUNDS = List.of("-panel", "-field");
    /** Marks that carry meaning, on what they lie. */
    private static final List<String> MARKS = List.of("-space", "-time", "-interaction", "-fitting", "-problem", "-edge");

    private static String sheet(String name) throws IOException {
        try (var in = ContrastTest.class.getResourceAsStream("/tundra/app/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).replaceAll("(?s)/\\*.*?\\*/", "");
        }
    }

    private static Map<String, String> roles(String css) {
        var out = new HashMap<String, String>();
        Matcher m = ROLE.matcher(css);
        while (m.find()) {
            out.put(m.group(1), m.group(2));
        }
        return out;
    }

    private static String value(String body, String property) {
        Matcher m = Pattern.compile("(?<![a-z-])" + property + ":\\s*([^;]+)").matcher(body);
        return m.find() ? m.group(1).strip() : null;
    }

    /** A colour of the theme, or one that is written out; null for what is neither. */
    private static String color(String text, Map<String, String> roles) {
        return text == null ? null : text.matches("#[0-9A-Fa-f]{6}") ? text : text.equals("white") ? "#FFFFFF" : roles.get(text);
    }

    private static double channel(int v) {
        double c = v / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    private static double luminance(String hex) {
        int v = Integer.parseInt(hex.substring(1), 16);
        return 0.2126 * channel(v >> 16) + 0.7152 * channel(v >> 8 & 255) + 0.0722 * channel(v & 255);
    }

    static double contrast(String a, String b) {
        double x = luminance(a), y = luminance(b);
        return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
    }

    @ParameterizedTest
    @ValueSource(strings = {"day.css", "night.css"})
    void wordsAndMarksAreSeenByAll(String theme) throws IOException {
        // of the standard: black on white is 21, and #777777 on white just too little
        assertThat(contrast("#000000", "#FFFFFF")).isEqualTo(21);
        assertThat(contrast("#777777", "#FFFFFF")).isBetween(4.47, 4.49);
        Map<String, String> roles = roles(sheet(theme));
        var faint = new ArrayList<String>();
        int looked = 0;
        Matcher m = RULE.matcher(sheet("tundra.css"));
        while (m.find()) {
            String selector = m.group(1).strip(), ink = color(value(m.group(2), "-fx-text-fill"), roles),
                    own = color(value(m.group(2), "-fx-background-color"), roles);
            // what can't be used now may be faint (1.4.3)
            if (ink == null || selector.contains(":disabled")) {
                continue;
            }
            // what a notice says lies on the notice
            own = own == null && selector.startsWith(".notice") ? "#1D2926" : own;
            for (String ground : own != null ? List.of(own) : GROUNDS.stream().map(roles::get).toList()) {
                looked++;
                if (contrast(ink, ground) < 4.5) {
                    faint.add(selector + ": " + ink + " on " + ground + " is " + Math.round(contrast(ink, ground) * 100) / 100.0);
                }
            }
        }
        for (String mark : MARKS) {
            for (String ground : GROUNDS) {
                looked++;
                if (contrast(roles.get(mark), roles.get(ground)) < 3) {
                    faint.add(mark + " on " + ground + " is " + Math.round(contrast(roles.get(mark), roles.get(ground)) * 100) / 100.0);
                }
            }
        }
        assertThat(looked).isGreaterThan(60);
        assertThat(faint).isEmpty();
    }
}
