package tundra.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;

class TreePathsTest {
    private static Element leaf(String id) {
        return new Element(id, id, false, false, Values.NONE, new Content.Rectangle());
    }

    private static Element group(String id, Element... in) {
        return new Element(id, id, false, false, Values.NONE, new Content.Group(List.of(in), new Point(10, 10)));
    }

    @Test
    void everyElementIsFoundWithTheGroupsAroundIt() {
        Element snow = leaf("snow"), roof = leaf("roof"), hut = group("hut", roof, group("door", leaf("knob")));
        var paths = new TreePaths(List.of(snow, hut));
        assertThat(paths.path("snow")).containsExactly("snow");
        assertThat(paths.path("roof")).containsExactly("hut", "roof");
        assertThat(paths.path("knob")).containsExactly("hut", "door", "knob");
        assertThat(paths.path("chimney")).isEmpty();
        assertThat(paths.find("roof")).isSameAs(roof);
        assertThat(paths.find("chimney")).isNull();
    }
}
