package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import org.junit.jupiter.api.Test;

class PageIdTest {
    @Test
    void noIdWithAnEndingIsThatOfAnother() {
        var ids = List.of("a", "a-b", "a_b", "a-", "a_", "a_-b", "a--b", "a-_b", "a__b", "a-b-b", "a-0", "a-w", "s-a", "_", "-", "--", "__", "_-");
        var seen = new HashMap<String, String>();
        for (String id : ids) {
            for (String ending : List.of("", "-b", "-s", "-w", "-f", "-d", "-0", "-1", "-b-0")) {
                String before = seen.put(PageId.of(id) + ending, id + " with " + ending);
                assertThat(before).as("%s with %s", id, ending).isNull();
            }
        }
    }

    @Test
    void fontsWhoseNamesLookAlikeAreToldApart() {
        var families = List.of("Снег", "Лёд", "雪", "Fig tree", "Fig-tree", "Fig  tree", "Figtree", "F".repeat(300), "F".repeat(301), "a/../b",
                "'}</style>");
        assertThat(families.stream().map(f -> PageCompiler.family(f, 400)).distinct()).hasSize(families.size())
                .allSatisfy(f -> assertThat(f).matches("[A-Za-z0-9-]{1,80}"));
        assertThat(PageCompiler.family("JetBrains Mono", 700)).isEqualTo("t-JetBrains-Mono-700");
    }
}
