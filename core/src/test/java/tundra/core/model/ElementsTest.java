package tundra.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;

/** A board's elements after many changes are what they are when each change makes a new tree. */
class ElementsTest {
    private static Element leaf(String id) {
        return new Element(id, id, false, false, Values.NONE, new Content.Rectangle());
    }

    private static Element group(String id, Element... in) {
        return new Element(id, id, false, false, Values.NONE, new Content.Group(List.of(in), new Point(10, 10), null));
    }

    private static List<Element> tree() {
        var out = new ArrayList<Element>();
        for (int i = 0; i < 12; i++) {
            out.add(leaf("a" + i));
            out.add(group("g" + i, leaf("b" + i), group("h" + i, leaf("c" + i), leaf("d" + i))));
        }
        return out;
    }

    @Test
    void changesInAnyOrderAreThoseOfATreeThatIsMadeAnewEachTime() {
        var random = new Random(5);
        for (int round = 0; round < 40; round++) {
            List<Element> plain = tree();
            Elements all = Elements.of(tree());
            for (int i = 0; i < 400; i++) {
                String id = "abcdgh".charAt(random.nextInt(6)) + "" + random.nextInt(13);
                double turn = i;
                int kind = random.nextInt(12);
                UnaryOperator<Element> change = kind == 0 && Tree.find(plain, id) instanceof Element g && !g.children().isEmpty()
                        ? e -> e.withChildren(e.children().subList(0, e.children().size() - 1)) : kind == 1 ? e -> e.withName("n" + turn) : e ->
                        e.with(Properties.ROTATION, turn);
                plain = Tree.map(plain, id, change);
                all = all.map(id, change);
                if (random.nextInt(9) == 0) {
                    assertThat(all).isEqualTo(plain);
                }
                if (random.nextInt(20) == 0) {
                    all.release(null);
                }
                String asked = "abcdgh".charAt(random.nextInt(6)) + "" + random.nextInt(13);
                assertThat(all.find(asked)).isEqualTo(Tree.find(plain, asked));
                assertThat(all.path(asked)).isEqualTo(Tree.path(plain, asked));
            }
            assertThat(all).hasSameSizeAs(plain).isEqualTo(plain);
        }
    }

    @Test
    void whatStaysAsItIsIsTheSame() {
        Elements all = Elements.of(tree());
        assertThat(all.map("a1", e -> e)).isSameAs(all);
        assertThat(all.map("a1", e -> e.withName("a1"))).isSameAs(all);
        assertThat(all.map("nobody", e -> e.withName("x"))).isSameAs(all);
        Elements other = all.map("d3", e -> e.withName("x"));
        assertThat(other.get(0)).isSameAs(all.get(0));
        assertThat(other.get(7)).isNotSameAs(all.get(7));
        assertThat(other.get(7).children().getFirst()).isSameAs(all.get(7).children().getFirst());
    }
}
