package tundra.app.interact;

import java.util.List;
import java.util.Objects;
import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;

/** Marks each element that reacts with the number of its reaction. */
public final class BadgeOverlay implements Overlay {
    private final Studio studio;

    public BadgeOverlay(Studio studio) {
        this.studio = studio;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        List<Reaction> reactions = studio.board().reactions();
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.setFont(Font.font("Figtree SemiBold", 11));
        for (int i = 0; i < reactions.size(); i++) {
            if (reactions.get(i).when().slots().first(Slot.Type.ELEMENT) instanceof String id && studio.picture().frame()
                    .find(id) instanceof Frame.Placed p) {
                Point at = v.toView(p.bounds().topLeft()).plus(new Point(18 * earlier(reactions, i), 0));
                g.setFill(Palette.of(studio.dark()).interaction());
                g.fillOval(at.x() - 10, at.y() - 10, 20, 20);
                g.setStroke(Color.WHITE);
                g.setLineWidth(2);
                g.strokeOval(at.x() - 10, at.y() - 10, 20, 20);
                g.setFill(studio.dark() ? Palette.DARK.field() : Color.WHITE);
                g.fillText(String.valueOf(i + 1), at.x(), at.y() + 0.5);
            }
        }
    }

    /** How many earlier reactions are to the same element, so that their badges stand side by side. */
    private static long earlier(List<Reaction> all, int i) {
        return all.subList(0, i).stream().filter(r -> Objects.equals(r.when().slots().first(Slot.Type.ELEMENT), all.get(i).when().slots()
                .first(Slot.Type.ELEMENT))).count();
    }
}
