package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.model.Color;
import tundra.core.model.Swatch;

class GplPaletteTest {
    private static final String HEAD = "GIMP Palette\nName: Night\nColumns: 4\n# polar colours\n";

    @Test
    void coloursWithAndWithoutNames() throws FileProblem {
        assertThat(GplPalette.read(HEAD + "\n 28 106  94\tStation green\n255 255 255\n  0   0   0   Night  sky \r\n"))
                .containsExactly(new Swatch("Station green", Color.parse("#1C6A5E")), new Swatch("#FFFFFF", Color.WHITE),
                new Swatch("Night  sky", Color.BLACK));
    }

    @Test
    void whatIsWrittenIsReadBack() throws FileProblem {
        var all = List.of(new Swatch("Aurora", Color.parse("#5FE3B4")), new Swatch("Ice", Color.parse("#0A0B0C")));
        String text = GplPalette.write("Open\nNight", all);
        assertThat(text.lines().limit(3)).containsExactly("GIMP Palette", "Name: Open Night", "Columns: 8");
        assertThat(GplPalette.read(text)).isEqualTo(all);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "'' | first line", "'Palette of mine\n1 2 3' | first line", "'GIMP Palette\n1 2' | line 2", "'GIMP Palette\n1 2 3 ok\nred 0 0' | line 3",
        "'GIMP Palette\n256 0 0' | line 2 of the palette has a number above 255", "'GIMP Palette\n-1 0 0' | line 2",
    })
    void badPalettes(String text, String says) {
        assertThatThrownBy(() -> GplPalette.read(text)).isInstanceOf(FileProblem.class).hasMessageContaining(says);
    }

    @Test
    void moreColoursThanAnyoneNeeds() {
        assertThatThrownBy(() -> GplPalette.read("GIMP Palette\n" + "1 2 3\n".repeat(10_001))).isInstanceOf(FileProblem.class)
                .hasMessageContaining("10000");
    }
}
