package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.tool.ToolKind;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Properties;

/** Choosing paint in the details, with mouse and keyboard in a real window. */
class PaintTest extends InWindow {
    private Element e;

    @BeforeEach
    void draw() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        e = t.studio.selected();
        Node swatch = RealWindow.fx(() -> t.node("field-fill").lookup(".swatch-button"));
        t.click(RealWindow.fx(() -> t.screen(swatch, 8, 8)));
    }

    private void press(String selector, double x, double y) throws Exception {
        Node n = t.popup(selector);
        t.click(RealWindow.fx(() -> t.screen(n, x, y)));
    }

    private Object fill() {
        return t.studio.board().find(e.id()).rest().get(Properties.FILL);
    }

    @Test
    void aColourBecomesAGradientWithStopsOfItsOwn() throws Exception {
        press("#paint-LINEAR", 12, 10);
        var two = (Gradient) fill();
        assertThat(two.stops()).hasSize(2);
        assertThat(t.w.tools.kind()).as("to be placed on the canvas").isEqualTo(ToolKind.GRADIENT);
        // a click in the middle of the bar adds a stop of the colour that is seen there
        press("#stop-bar", 126, 9);
        var three = (Gradient) fill();
        assertThat(three.stops()).hasSize(3);
        assertThat(three.stops().get(1).at()).isCloseTo(0.5, within(0.02));
        assertThat(three.stops().get(1).color()).isEqualTo(two.at(three.stops().get(1).at()));
        // the hex value goes to that stop
        var hex = (TextField) t.popup("#picker-hex");
        RealWindow.fx(() -> {
            hex.setText("#FFE39A");
            hex.fireEvent(new ActionEvent());
            return null;
        });
        t.settle();
        assertThat(((Gradient) fill()).stops().get(1).color().withAlpha(255)).isEqualTo(Color.parse("#FFE39A"));
        // dragged along the bar it moves, and one step takes that back
        Node bar = t.popup("#stop-bar");
        t.drag(RealWindow.fx(() -> t.screen(bar, 126, 26)), RealWindow.fx(() -> t.screen(bar, 200, 26)));
        assertThat(((Gradient) fill()).stops().get(1).at()).isGreaterThan(0.7);
        t.run("undo");
        assertThat(((Gradient) fill()).stops().get(1).at()).isCloseTo(0.5, within(0.02));
    }

    @Test
    void noneAndBackKeepTheColourAndASwatchIsKept() throws Exception {
        Color before = (Color) fill();
        press("#paint-NONE", 12, 10);
        assertThat(((Color) fill()).visible()).isFalse();
        press("#paint-SOLID", 12, 10);
        assertThat(fill()).isEqualTo(before);
        press("#keep-swatch", 8, 8);
        assertThat(t.studio.project().swatches()).singleElement().satisfies(s -> assertThat(s.color()).isEqualTo(before));
    }

    @Test
    void theDetailsShowWhatAStrokeHasOnceThereIsOne() throws Exception {
        t.keys(KeyCode.ESCAPE);
        Node dash = t.node("field-dash");
        assertThat(RealWindow.fx(() -> dash.getParent().isVisible())).isFalse();
        Node swatch = RealWindow.fx(() -> t.node("field-stroke").lookup(".swatch-button"));
        t.click(RealWindow.fx(() -> t.screen(swatch, 8, 8)));
        press("#paint-SOLID", 12, 10);
        assertThat(t.studio.board().find(e.id()).rest().get(Properties.STROKE).visible()).isTrue();
        assertThat(t.<Node>popup("#picker-hex")).as("the popover stays open").isNotNull();
        t.keys(KeyCode.ESCAPE);
        t.click("field-dash");
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.type("12");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.board().find(e.id()).rest().get(Properties.DASH)).isEqualTo(12);
        List<Point> corners = RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).corners());
        assertThat(corners).hasSize(4);
    }
}
