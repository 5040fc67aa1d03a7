package tundra.app.widget;

import javafx.scene.layout.Region;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;

/** Tundra's own line icons on a grid of 24. */
public enum Icon {
    DRAW("M5 19L6 14.5L15.5 5L19 8.5L9.5 18L5 19ZM13 7.5L16.5 11"),
    ANIMATE("M4 18C11 18 11 6 20 6M4 18m-1.8 0a1.8 1.8 0 1 0 3.6 0a1.8 1.8 0 1 0 -3.6 0M20 6m-1.8 0a1.8 1.8 0 1 0 3.6 0a1.8 1.8 0 1 0 -3.6 0"),
    INTERACT("M10 10L20 13.5L15.5 15.5L13.5 20ZM9 3V6M3 9H6M4.5 4.5L6.7 6.7M13.5 4.5L11.8 6.2M4.5 13.5L6.2 11.8"),
    PUBLISH("M12 15V4M8 8L12 4L16 8M5 13V19H19V13"),
    SELECT("M6 4L18 11L12.5 12.5L10 18Z"),
    PEN("M4 20L8 19L18 9L15 6L5 16ZM13.5 7.5L16.5 10.5"),
    RECTANGLE("M5 6.5H19V17.5H5Z"),
    ELLIPSE("M12 6C16.4 6 20 8.7 20 12C20 15.3 16.4 18 12 18C7.6 18 4 15.3 4 12C4 8.7 7.6 6 12 6Z"),
    TEXT("M5 7V5H19V7M12 5V19M9.5 19H14.5"),
    PICTURE("M4 6H20V18H4ZM4 16L9 11L13 15L16 12.5L20 16M15.5 9.5m-1 0a1 1 0 1 0 2 0a1 1 0 1 0 -2 0"),
    HAND("M8 12V6.5M8 12V5C8 3.8 10.5 3.8 10.5 5V11M10.5 5C10.5 3.5 13 3.5 13 5V11M13 6C13 4.8 15.5 4.8 15.5 6V12M15.5 8.5C15.5 7.4 18 7.4 18 8.5V14C18 18 15.5 20 12.5 20C9.5 20 8 18.5 6.5 16L4.5 12.5C4 11.3 5.8 10.4 6.6 11.5L8 13.5"),
    ZOOM("M10.5 5a5.5 5.5 0 1 0 0.01 0ZM14.8 14.8L20 20M8 10.5H13M10.5 8V13"),
    PLAY("M8 5.5L18.5 12L8 18.5Z"),
    PAUSE("M8 6V18M16 6V18"),
    TO_START("M7 6V18M18 6L10 12L18 18Z"),
    LOOP("M6 9.5C7 7.5 9.3 6 12 6C15.3 6 18 8.7 18 12M18 12L15.6 10M18 12L20.2 9.8M18 14.5C17 16.5 14.7 18 12 18C8.7 18 6 15.3 6 12M6 12L8.4 14M6 12L3.8 14.2"),
    UNDO("M5 10H14.5C17.5 10 19.5 12 19.5 14.5C19.5 17 17.5 19 14.5 19H9M5 10L9 6M5 10L9 14"),
    REDO("M19 10H9.5C6.5 10 4.5 12 4.5 14.5C4.5 17 6.5 19 9.5 19H15M19 10L15 6M19 10L15 14"),
    EYE("M3 12C6 7 9 5.8 12 5.8C15 5.8 18 7 21 12C18 17 15 18.2 12 18.2C9 18.2 6 17 3 12ZM12 9.4a2.6 2.6 0 1 0 0.01 0Z"),
    EYE_OFF("M3 12C6 7 9 5.8 12 5.8C15 5.8 18 7 21 12C18 17 15 18.2 12 18.2C9 18.2 6 17 3 12ZM5 20L19 4"),
    LOCK("M6.5 11H17.5V19H6.5ZM9 11V8.5C9 4.5 15 4.5 15 8.5V11"),
    UNLOCK("M6.5 11H17.5V19H6.5ZM9 11V8C9 4.5 14 4 15 7"),
    CLOSE("M7 7L17 17M17 7L7 17"),
    FOLDER("M4 7H10L12 9H20V18H4Z"),
    RIDGE("M1 19L8 8L12 14L16 6L23 19Z");

    private final String path;

    Icon(String path) {
        this.path = path;
    }

    /** A drawing of it whose colour the style class {@code icon} decides. */
    public Region node(double size) {
        var shape = new SVGPath();
        shape.setContent(path);
        shape.getStyleClass().add("icon");
        if (this == RIDGE || this == PLAY) {
            shape.getStyleClass().add("solid");
        }
        shape.setStrokeWidth(1.6);
        shape.setStrokeLineCap(StrokeLineCap.ROUND);
        shape.setStrokeLineJoin(StrokeLineJoin.ROUND);
        double k = size / 24;
        var frame = new javafx.scene.layout.Pane(shape);
        shape.getTransforms().add(new javafx.scene.transform.Scale(k, k, 0, 0));
        frame.setMinSize(size, size);
        frame.setPrefSize(size, size);
        frame.setMaxSize(size, size);
        frame.setMouseTransparent(true);
        return frame;
    }
}
