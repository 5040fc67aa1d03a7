package tundra.app.tool;

import tundra.app.view.Viewport;
import tundra.core.geometry.Point;

/** The pointer over the canvas, in canvas and in view coordinates, with the keys held. */
public record Pointer(Point at, Point view, Viewport viewport, boolean shift, boolean alt, boolean ctrl, int clicks) {}
