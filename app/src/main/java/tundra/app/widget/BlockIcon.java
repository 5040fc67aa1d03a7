package tundra.app.widget;

import java.util.Map;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.transform.Scale;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;

/** The signs of the kinds of blocks, drawn on a square of 24. */
public final class BlockIcon {
    private static final double SQUARE = 24;
    private static final Map<BlockKind, String> PATHS = Map.ofEntries(
            Map.entry(Blocks.STRIP, "M8 7H16V17H8ZM5 9H2V15H5M19 9H22V15H19"),
            Map.entry(Blocks.STACK, "M4 9H15V20H4ZM7 6H18V17M10 3H21V14"),
            Map.entry(Blocks.TURNTABLE, "M9 9H15V18H9ZM3 8H6V13H3ZM18 8H21V13H18ZM4 18C7 21 17 21 20 18"),
            Map.entry(Blocks.DOTS, "M5 12m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0M12 12m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0M19 12m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0"),
            Map.entry(Blocks.VIDEO, "M3 6H21V18H3ZM10 9V15L15 12Z"),
            Map.entry(Blocks.SOUND, "M4 10V14H7L11 17V7L7 10ZM15 9C16.5 10.5 16.5 13.5 15 15M18 7C20.5 9.5 20.5 14.5 18 17"),
            Map.entry(Blocks.PAGE, "M3 5H21V19H3ZM3 9H21M6 7H7M9 7H10"),
            Map.entry(Blocks.MAP_BLOCK, "M3 6L9 4L15 6L21 4V18L15 20L9 18L3 20ZM9 4V18M15 6V20"),
            Map.entry(Blocks.CALL, "M6 4H9L11 9L8.5 11C9.5 13.5 11 15 13.5 16L15.5 13.5L20 15.5V18.5C12 20.5 4 12 6 4Z"),
            Map.entry(Blocks.MAIL_LINK, "M3 6H21V18H3ZM3 7L12 13L21 7"),
            Map.entry(Blocks.LINK_AREA, "M4 4H7M10 4H14M17 4H20V7M20 10V14M4 7V10M4 14V20H7M10 20H12M14 13L21 16L18 17L17 20Z"),
            Map.entry(Blocks.TEXT_FIELD, "M3 8H21V16H3ZM6 10V14"),
            Map.entry(Blocks.TICK, "M5 5H19V19H5ZM8.5 12L11 15L16 9"),
            Map.entry(Blocks.CHOICE, "M3 8H21V16H3ZM15 11L17 13L19 11"),
            Map.entry(Blocks.SLIDER, "M3 12H21M9 12m-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0"),
            Map.entry(Blocks.PROGRESS, "M3 10H21V14H3ZM3 12H13"),
            Map.entry(Blocks.COUNTDOWN, "M12 5m-7 8a7 7 0 1 0 14 0a7 7 0 1 0 -14 0M12 9V13L15 15M10 3H14"));

    private BlockIcon() {}

    public static Node of(BlockKind kind, double size) {
        var path = new SVGPath();
        path.setContent(PATHS.get(kind));
        path.getStyleClass().add("icon");
        path.setStrokeWidth(1.6);
        path.setStrokeLineCap(StrokeLineCap.ROUND);
        path.setStrokeLineJoin(StrokeLineJoin.ROUND);
        path.getTransforms().add(new Scale(size / SQUARE, size / SQUARE, 0, 0));
        var box = new Pane(path);
        box.setMinSize(size, size);
        box.setMaxSize(size, size);
        return box;
    }
}
