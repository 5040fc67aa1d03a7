package tundra.app.view;

import javafx.scene.canvas.GraphicsContext;

/** Draws over the picture, in view coordinates. */
public interface Overlay {
    void draw(GraphicsContext g, Viewport v);
}
