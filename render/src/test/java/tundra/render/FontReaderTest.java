package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.file.FileProblem;
import tundra.core.model.Asset;

class FontReaderTest {
    private final byte[] lora = Fonts.BUNDLED.file("Lora", 700);

    @Test
    void aFontOfTheShelfJoinsTheBundledOnes() throws Exception {
        Asset a = FontReader.read("lora.ttf", lora);
        assertThat(a.mediaType()).isEqualTo("font/ttf");
        assertThat(Fonts.familyOf(a)).isEqualTo("Lora");
        Fonts with = Fonts.of(Map.of(a.hash(), a));
        assertThat(with).isSameAs(Fonts.of(Map.of(a.hash(), a))).isNotSameAs(Fonts.BUNDLED);
        assertThat(with.families()).containsAll(Fonts.BUNDLED.families());
        assertThat(with.width("Lora", 700, 100, "hare", true)).isEqualTo(Fonts.BUNDLED.width("Lora", 700, 100, "hare", true));
        assertThat(with.licence("Figtree")).isNotNull();
        assertThat(Fonts.of(Map.of())).isSameAs(Fonts.BUNDLED);
    }

    @Test
    void whatIsNoFontIsTold() {
        assertThatThrownBy(() -> FontReader.read("cut.ttf", Arrays.copyOf(lora, 300))).isInstanceOf(FileProblem.class)
                .hasMessageContaining("“cut.ttf” can't be brought in").hasMessageContaining("Nothing was changed");
        byte[] packed = Arrays.copyOf(new byte[] {'w', 'O', 'F', '2'}, 100);
        assertThatThrownBy(() -> FontReader.read("web.woff2", packed)).isInstanceOf(FileProblem.class).hasMessageContaining("packed for the web");
        byte[] many = Arrays.copyOf(new byte[] {'t', 't', 'c', 'f'}, 100);
        assertThatThrownBy(() -> FontReader.read("all.ttc", many)).isInstanceOf(FileProblem.class).hasMessageContaining("several fonts");
    }
}
