package tundra.app.view;

import javafx.scene.input.DataFormat;

/** What is dragged within the window. */
public final class DropFormats {
    /** A motif, by its id. */
    public static final DataFormat MOTIF = new DataFormat("application/x-tundra-motif");

    private DropFormats() {}
}
