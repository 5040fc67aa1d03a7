package tundra.app.view;

import javafx.scene.input.DataFormat;

/** What is dragged within the window. */
public final class DropFormats {
    /** A motif, by its id. */
    public static final DataFormat MOTIF = new DataFormat("application/x-tundra-motif");

    /** A reaction, by its id. */
    public static final DataFormat REACTION = new DataFormat("application/x-tundra-reaction");
    /** A scene, by its id. */
    public static final DataFormat SCENE = new DataFormat("application/x-tundra-scene");

    private DropFormats() {}
}
