package tundra.app.timeline;

import javafx.geometry.VPos;
import javafx.scene.Group;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import tundra.app.widget.Palette;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Numbers;

/** The playhead: a line and its time. Shapes of their own, so that moving it paints no more than what it covers. */
final class PlayheadMark extends Group {
    private static final double TAG = 56;
    private final Rectangle line = new Rectangle(2, 0);
    private final Rectangle tag = new Rectangle(TAG, 17);
    private final Text time = new Text();

    PlayheadMark() {
        setMouseTransparent(true);
        setManaged(false);
        line.setY(RulerPainter.BAND + 14);
        tag.setY(RulerPainter.BAND + 1);
        tag.setArcWidth(8);
        tag.setArcHeight(8);
        time.setFont(TimelinePainter.mono(11));
        time.setTextOrigin(VPos.CENTER);
        time.setY(RulerPainter.BAND + 10);
        getChildren().addAll(line, tag, time);
    }

    /** Puts it at a time of a view of this size; out of view it isn't shown. */
    void show(long at, TimeScale scale, double w, double h, Palette colors, boolean dark) {
        double x = Math.round(scale.x(at));
        setVisible(x >= TimelinePainter.HEAD - 1 && x <= w);
        if (!isVisible()) {
            return;
        }
        line.setX(x - 1);
        line.setHeight(Math.max(0, h - line.getY()));
        line.setFill(colors.time());
        tag.setX(Numbers.clamp(x - TAG / 2, TimelinePainter.HEAD + 2, w - TAG - 2));
        tag.setFill(colors.time());
        time.setText(TimeText.clock(at));
        time.setFill(dark ? colors.field() : colors.ink1());
        time.setX(Math.round(tag.getX() + (TAG - time.getLayoutBounds().getWidth()) / 2));
    }
}
