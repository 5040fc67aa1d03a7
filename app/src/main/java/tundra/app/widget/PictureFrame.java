package tundra.app.widget;

import java.io.ByteArrayInputStream;
import java.nio.file.Path;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;

/** A place of a fixed size in which a small picture stands whole, on the colour of what surrounds a canvas. */
public final class PictureFrame extends StackPane {
    private final ImageView view = new ImageView();

    /** @param width in px @param height in px */
    public PictureFrame(double width, double height) {
        view.setPreserveRatio(true);
        view.setFitWidth(width);
        view.setFitHeight(height);
        getChildren().add(view);
        getStyleClass().add("surround");
        setMinSize(width, height);
        setMaxSize(width, height);
    }

    /** Null shows none. */
    public void setImage(Image image) {
        view.setImage(image);
    }

    /** Of a file, read beside the interface thread; none where there is none. */
    public void setFile(Path png) {
        view.setImage(png == null ? null : new Image(png.toUri().toString(), true));
    }

    /** @param png null shows none */
    public void setPng(byte[] png) {
        view.setImage(png == null ? null : new Image(new ByteArrayInputStream(png)));
    }
}
