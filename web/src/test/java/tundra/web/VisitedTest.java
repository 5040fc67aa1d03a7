package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Small pieces with a fault that a visitor met, tapped as they were. */
class VisitedTest extends InBrowser {
    /** A fill goes from a gradient to a colour, the other way, and to another gradient; what follows in the reaction is done too. */
    @ParameterizedTest
    @ValueSource(strings = {"min-fid-e-set-gradient-to-colour", "min-fid-f-set-colour-to-gradient", "min-fid-g-set-gradient-to-gradient"})
    void setFillTakesColoursAndGradients(String name) throws Exception {
        open(Visit.piece(name), name, 300, 200);
        browser.run("window.errors = []; addEventListener('error', (e) => errors.push(e.message))");
        int[] before = pixel(180, 60);
        browser.click(150, 160);
        browser.until("return !document.querySelector('.t-c').checkVisibility({ visibilityProperty: true })");
        browser.until("return document.getAnimations().every((a) => a.playState !== 'running')");
        assertThat((List<?>) browser.run("return errors")).isEmpty();
        int[] after = pixel(180, 60);
        assertThat(after).as("at 180, 60 of %s", name).isNotEqualTo(before);
        System.out.println(name + ": from " + List.of(before[0], before[1], before[2]) + " to " + List.of(after[0], after[1], after[2]));
    }

    private static int[] pixel(int x, int y) throws Exception {
        var image = javax.imageio.ImageIO.read(new java.io.ByteArrayInputStream(browser.shot()));
        int p = image.getRGB(x, y);
        return new int[] {p >> 16 & 255, p >> 8 & 255, p & 255};
    }

    /** What is told to let through does, whatever it is; what is told to be its whole box is. */
    @Test
    @SuppressWarnings("unchecked")
    void touchHoldsForEveryKind() throws Exception {
        open(Visit.piece("min-fid-p-touch-group"), "touch", 300, 120);
        browser.run("window.said = []; addEventListener('tundra', (e) => e.detail.reaction && said.push(e.detail.reaction))");
        var expected = new ArrayList<String>();
        // through the black child of a group, through the letters of a text, the corner of an ellipse's box
        for (Object[] tap : new Object[][] {{60, 60, "sc-r0"}, {162, 62, "sc-r1"}, {180, 60, "sc-r1"}, {233, 33, "sc-r2"}}) {
            browser.click((Integer) tap[0], (Integer) tap[1]);
            expected.add((String) tap[2]);
            browser.until("return said.length >= " + 2 * expected.size() + " || performance.now() > 8000");
        }
        assertThat((List<Object>) browser.run("return said.filter((x, i) => i % 2)")).containsExactlyElementsOf(expected.stream().map(x -> (Object) x).toList());
    }
}
