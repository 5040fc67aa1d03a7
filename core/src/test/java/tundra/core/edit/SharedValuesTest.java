package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

class SharedValuesTest {
    private static final List<Property<?>> ASKED = List.of(Properties.POSITION, Properties.OPACITY, Properties.FILL, Properties.BLEND);

    private static Values at(double x, double y) {
        return Values.NONE.with(Properties.POSITION, new Point(x, y));
    }

    private static SharedValues of(Map<String, Values> all, String... owners) {
        return SharedValues.of(ASKED, List.of(owners), all::get);
    }

    @Test
    void oneOwnerSharesAllWithItself() {
        SharedValues s = of(Map.of("a", at(3, 4)), "a");
        assertThat(s.first(Properties.POSITION)).isEqualTo(new Point(3, 4));
        assertThat(ASKED).noneMatch(s::mixed);
    }

    @Test
    void aNumberIsMixedWhereAnyoneDiffersInIt() {
        Map<String, Values> all = Map.of("a", at(3, 4), "b", at(3, 5), "c", at(3, 4), "d", at(9, 4));
        SharedValues two = of(all, "a", "b");
        assertThat(two.mixed(Properties.POSITION)).isTrue();
        assertThat(two.mixed(Properties.POSITION, 0)).as("x").isFalse();
        assertThat(two.mixed(Properties.POSITION, 1)).as("y").isTrue();
        // each number by another one of them
        SharedValues four = of(all, "a", "b", "c", "d");
        assertThat(four.mixed(Properties.POSITION, 0)).as("x of four").isTrue();
        assertThat(four.mixed(Properties.POSITION, 1)).as("y of four").isTrue();
        assertThat(four.first(Properties.POSITION)).isEqualTo(new Point(3, 4));
    }

    @Test
    void whatIsNotSetIsTheStandard() {
        double half = 0.5, standard = Properties.OPACITY.standard();
        SharedValues s = of(Map.of("a", Values.NONE, "b", Values.NONE.with(Properties.OPACITY, standard), "c", Values.NONE.with(Properties.OPACITY, half)),
                "a", "b");
        assertThat(s.mixed(Properties.OPACITY)).isFalse();
        assertThat(of(Map.of("a", Values.NONE, "c", Values.NONE.with(Properties.OPACITY, half)), "a", "c").mixed(Properties.OPACITY, 0)).isTrue();
    }

    @Test
    void coloursAndWordsAreMixedAsAWhole() {
        Values red = Values.NONE.with(Properties.FILL, Color.parse("#ff0000")), same = Values.NONE.with(Properties.FILL, Color.parse("#ff0000"));
        SharedValues s = of(Map.of("a", red, "b", same, "c", Values.NONE.with(Properties.FILL, Color.parse("#00ff00"))), "a", "b");
        assertThat(s.mixed(Properties.FILL)).isFalse();
        assertThat(of(Map.of("a", red, "b", Values.NONE.with(Properties.FILL, Color.parse("#00ff00")).with(Properties.BLEND, "multiply")), "a", "b"))
                .satisfies(x -> assertThat(x.mixed(Properties.FILL)).isTrue()).satisfies(x -> assertThat(x.mixed(Properties.BLEND)).isTrue());
    }

    @Test
    void eachOwnerIsAskedOnce() {
        var asked = new ArrayList<String>();
        SharedValues.of(ASKED, List.of("a", "b", "c"), id -> {
            asked.add(id);
            return at(1, 2);
        });
        assertThat(asked).containsExactly("a", "b", "c");
    }
}
