package tundra.app.view;

import tundra.app.paint.SkiaGraphics;

/** Draws over the picture, in view coordinates. */
public interface Overlay {
    void draw(SkiaGraphics g, Viewport v);
}
