package tundra.core.frame;

import tundra.core.model.Transition;
import tundra.core.motion.Easing;

/**
 * How a scene is seen while it comes or goes.
 *
 * @param opacity 0 to 1
 * @param x how far it is moved, in parts of its own width
 * @param y how far it is moved, in parts of its own height
 * @param scaleX about its left upper corner
 * @param scaleY about its left upper corner
 */
public record SceneLayer(double opacity, double x, double y, double scaleX, double scaleY) {
    public static final SceneLayer THERE = new SceneLayer(1, 0, 0, 1, 1);
    /** Where a zoom begins that nothing was tapped for: a tenth of the scene, in its middle. */
    private static final SceneLayer MIDDLE = new SceneLayer(0, 0.45, 0.45, 0.1, 0.1);

    /**
     * The scene that comes.
     *
     * @param share of the transition's time that has passed, 0 to 1
     * @param back whether the transition is gone backwards, as on the way back
     */
    public static SceneLayer comes(Transition t, double share, boolean back) {
        return (back ? away(t) : start(t)).to(THERE, eased(t.easing(), share));
    }

    /** The scene that goes. */
    public static SceneLayer goes(Transition t, double share, boolean back) {
        return THERE.to(back ? start(t) : away(t), eased(t.easing(), share));
    }

    /** How the scene that comes begins. */
    private static SceneLayer start(Transition t) {
        return switch (t.kind()) {
            case CUT -> THERE;
            case FADE -> new SceneLayer(0, 0, 0, 1, 1);
            case SLIDE, PUSH, COVER -> moved(t, -1);
            case ZOOM -> MIDDLE;
        };
    }

    /** How the scene that goes ends. */
    private static SceneLayer away(Transition t) {
        return switch (t.kind()) {
            case SLIDE -> new SceneLayer(0, 0, 0, 1, 1);
            case PUSH -> moved(t, 1);
            default -> THERE;
        };
    }

    private static SceneLayer moved(Transition t, double by) {
        return switch (t.side()) {
            case LEFT -> new SceneLayer(1, -by, 0, 1, 1);
            case RIGHT -> new SceneLayer(1, by, 0, 1, 1);
            case UP -> new SceneLayer(1, 0, -by, 1, 1);
            case DOWN -> new SceneLayer(1, 0, by, 1, 1);
        };
    }

    private static double eased(Easing e, double share) {
        return e.at(Math.max(0, Math.min(1, share)));
    }

    private SceneLayer to(SceneLayer end, double s) {
        return new SceneLayer(Math.max(0, Math.min(1, opacity + (end.opacity - opacity) * s)), x + (end.x - x) * s, y + (end.y - y) * s, scaleX
                + (end.scaleX - scaleX) * s, scaleY + (end.scaleY - scaleY) * s);
    }
}
