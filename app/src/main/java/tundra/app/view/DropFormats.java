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

    /** A kind of block, by its key. */
    public static final DataFormat BLOCK = new DataFormat("application/x-tundra-block");
    /** An item of a gallery, by its id. */
    public static final DataFormat ITEM = new DataFormat("application/x-tundra-item");

    private DropFormats() {}
}
