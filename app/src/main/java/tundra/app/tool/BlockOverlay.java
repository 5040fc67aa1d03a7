package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.MapData;
import tundra.core.model.Tree;

/** Where blocks lie that show nothing yet, or never do, and what goes there. None of it is published. */
public final class BlockOverlay implements Overlay {
    private final Studio studio;
    /** The blocks of the board that was drawn last. */
    private final List<Element> blocks = new ArrayList<>();
    private Board board;

    public BlockOverlay(Studio studio) {
        this.studio = studio;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        Board now = studio.board();
        if (now != board) {
            board = now;
            blocks.clear();
            Tree.each(now.elements(), e -> {
                if (Blocks.of(e) != null) {
                    blocks.add(e);
                }
            });
        }
        blocks.forEach(e -> {
            if (Blocks.of(e) instanceof Content.Block b && words(b) instanceof String words && studio.picture()
                    .placed(e.id()) instanceof Frame.Placed p) {
                var c = p.corners().stream().map(v::toView).toList();
                g.save();
                g.setStroke(Color.web("#1C6A5E"));
                g.setLineWidth(1);
                g.setLineDashes(4, 3);
                g.strokePolygon(c.stream().mapToDouble(Point::x).toArray(), c.stream().mapToDouble(Point::y).toArray(), c.size());
                double width = Math.abs(c.get(1).x() - c.get(0).x());
                if (!words.isEmpty() && width > 60) {
                    g.setFill(Color.web("#5C6B66"));
                    g.setFont(Font.font("Figtree", 12.5));
                    g.setTextAlign(TextAlignment.CENTER);
                    g.setTextBaseline(VPos.CENTER);
                    g.fillText(words, (c.get(0).x() + c.get(2).x()) / 2, (c.get(0).y() + c.get(2).y()) / 2, width - 12);
                }
                g.restore();
            }
        });
    }

    /** Null for a block that shows something. */
    private static String words(Content.Block b) {
        if (b.kind().gallery()) {
            return b.children().isEmpty() ? "Drop pictures here" : null;
        }
        return b.kind() == Blocks.MAP_BLOCK ? ((MapData) b.get(Blocks.MAP)).features().isEmpty()
                ? "Drop a GeoJSON file on the canvas, or choose one in the details" : null
                : b.kind() == Blocks.LINK_AREA ? "" : b.kind() == Blocks.PAGE && b.text(Blocks.ADDRESS).isEmpty() && b.text(Blocks.FOLDER).isEmpty()
                ? "" : b.kind() == Blocks.PAGE && !b.text(Blocks.FOLDER).isEmpty() ? "The folder's page" : null;
    }
}
