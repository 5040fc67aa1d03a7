package tundra.app.tool;

import java.util.HashSet;
import java.util.Set;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** What the drawing tools were set to last. */
public final class ToolOptions {
    /** Of the freehand pencil and the brush, 0 to 1. */
    public double smoothing = 0.35;
    /** The longer diameter of the brush's tip in px. */
    public double brushSize = 14;
    /** The shorter diameter as a fraction of the longer. */
    public double roundness = 0.6;
    public int points = 5;
    /** The inner radius of a star as a fraction of the outer; 1 draws a polygon. */
    public double inner = 0.45;
    /** What a polygon of these settings is called. */
    public String polygonName() {
        return inner < 1 ? "Star" : points == 3 ? "Triangle" : points == 5 ? "Pentagon" : points == 6 ? "Hexagon" : "Polygon";
    }

    /** The properties whose two numbers keep their proportions in the details. */
    public final Set<Property<?>> linked = new HashSet<>(Set.of(Properties.SCALE));

    /** What several elements are aligned by. */
    public AlignTo alignTo = AlignTo.SELECTION;

    /** The canvas, the box around the selection, or the element that was selected last. */
    public enum AlignTo {
        CANVAS("the canvas"), SELECTION("the selection"), LAST("the last selected");

        public final String words;

        AlignTo(String words) {
            this.words = words;
        }
    }

    /** What several elements turn around. */
    public TurnAround turnAround = TurnAround.MIDDLE;

    /** The middle of all, the pivot of the one selected last, or each around its own pivot. */
    public enum TurnAround {
        MIDDLE("their middle"), LAST("the last one's pivot"), EACH("each its own pivot");

        public final String words;

        TurnAround(String words) {
            this.words = words;
        }
    }

    /** Whether the handles of a group set its bounds rather than its scale. */
    public boolean bounds;

    /** The widest gap between strokes that a region may have, in px. */
    public double gap = 4;
}
