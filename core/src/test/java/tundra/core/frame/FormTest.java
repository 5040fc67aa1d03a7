package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

class FormTest {
    /** What is said to lie around a form is what lies around the curves that it is painted with. */
    @Test
    void boundsAreThoseOfTheOutline() {
        for (Form f : List.of(new Form.Box(new Point(30, 20), 0), new Form.Box(new Point(30, 20), 8), new Form.Box(new Point(5, 90), 200),
                new Form.Oval(new Point(44, 11)), new Form.Curve(Outline.ellipse(new Rect(-7, 3, 12, 40))))) {
            Rect said = f.bounds(), painted = f.outline().bounds();
            assertThat(said.x()).as("left of %s", f).isCloseTo(painted.x(), within(1e-9));
            assertThat(said.y()).as("top of %s", f).isCloseTo(painted.y(), within(1e-9));
            assertThat(said.right()).as("right of %s", f).isCloseTo(painted.right(), within(1e-9));
            assertThat(said.bottom()).as("bottom of %s", f).isCloseTo(painted.bottom(), within(1e-9));
        }
    }
}
