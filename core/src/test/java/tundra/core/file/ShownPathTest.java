package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class ShownPathTest {
    @Test
    void shortPathsAreWhole() {
        assertThat(ShownPath.of(Path.of("/home/ilse/pieces"))).isEqualTo("/home/ilse/pieces");
    }

    @Test
    void longOnesAreShortenedInTheMiddle() {
        assertThat(ShownPath.of(Path.of("/home/ilse/work/of/last/winter/and/the/winter/before/that/one/pieces/arrival")))
                .isEqualTo("/home/…/winter/and/the/winter/before/that/one/pieces/arrival");
    }

    @Test
    void aNameLongerThanALineIsCutToo() {
        String s = ShownPath.of(Path.of("/home/" + "a".repeat(200) + "end"));
        assertThat(s).startsWith("/home/…/aaa").endsWith("aaend").hasSizeLessThanOrEqualTo(ShownPath.LENGTH);
        assertThat(ShownPath.of(Path.of("/" + "b".repeat(250)))).startsWith("/bbb").contains("…").hasSizeLessThanOrEqualTo(ShownPath.LENGTH);
    }
}
