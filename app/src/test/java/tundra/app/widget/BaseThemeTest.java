package tundra.app.widget;

import static org.assertj.core.api.Assertions.assertThat;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import atlantafx.base.theme.Theme;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What of the base theme is left out: whoever takes a newer one is told what to look at. */
class BaseThemeTest {
    private static final Pattern CLASS = Pattern.compile("\\.([a-z][-a-z0-9]*)");
    private static final Pattern SELECTORS = Pattern.compile("([^{}]+)\\{");

    /** The classes whose rules are kept. */
    private static final String KEPT = """
            accent alt-icon arrow arrow-button axis axis-minor-tick-mark axis-tick-mark bar bordered box button-bar button-circle
            button-icon button-outlined cell center-pill check check-box check-menu-item clipped-container combo-box combo-box-base
            combo-box-popup container content context-menu corner decrement-arrow decrement-button dense details-button
            determinate-indicator dialog-pane edge-to-edge error expandable-content flat font-icon graphic-container header-panel
            horizontal-grabber increment-arrow increment-button indicator information label large left-container left-pill line list-cell
            list-view mark medium menu menu-bar menu-button menu-down-arrow menu-item menu-up-arrow mnemonic-underline no-arrow
            percentage placeholder popup progress progress-bar progress-indicator progress-slider radio radio-menu-item right-container
            right-pill root rounded scroll-arrow scroll-bar scroll-pane segment segment0 segment1 segment10 segment11 segment2 segment3
            segment4 segment5 segment6 segment7 segment8 segment9 separator sheet slider small split-pane split-pane-divider striped
            success text text-area text-field text-input text-italic thumb tick toggle-button tooltip track vertical-grabber viewport
            virtual-flow warning
            """;

    private static String css(Theme theme) throws IOException {
        try (InputStream in = Theme.class.getResourceAsStream(theme.getUserAgentStylesheet())) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).replaceAll("(?s)/\\*.*?\\*/", "");
        }
    }

    private static TreeSet<String> classes(String css) {
        var out = new TreeSet<String>();
        Matcher m = SELECTORS.matcher(css);
        while (m.find()) {
            CLASS.matcher(m.group(1)).results().forEach(r -> out.add(r.group(1)));
        }
        return out;
    }

    @Test
    void everythingThatIsLeftOutIsThere() throws IOException {
        for (Theme theme : new Theme[] {new PrimerLight(), new PrimerDark()}) {
            String css = css(theme);
            for (String begin : BaseTheme.UNUSED) {
                assertThat(Pattern.compile("\\." + begin).matcher(css).find()).as(theme.getName() + " has no ." + begin).isTrue();
            }
        }
    }

    /** A class that a newer theme has besides these is either used by Tundra, and named here, or belongs to those that are left out. */
    @Test
    void nothingNewIsKept() throws IOException {
        assertThat(classes(BaseTheme.trim(css(new PrimerLight())))).isEqualTo(classes(BaseTheme.trim(css(new PrimerDark()))));
        assertThat(classes(BaseTheme.trim(css(new PrimerLight())))).containsExactly(KEPT.strip().split("\\s+"));
    }
}
