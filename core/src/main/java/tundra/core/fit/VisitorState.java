package tundra.core.fit;

import java.util.List;
import java.util.Map;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * What a visitor sees at a moment.
 *
 * @param time since the page was opened, in µs
 * @param window its size in px
 * @param scenes that are seen, from back to front
 * @param values of the piece, as text, by their ids
 */
public record VisitorState(long time, Point window, List<SceneState> scenes, Map<String, String> values) {
    /**
     * A scene where it is seen.
     *
     * @param at in the window, in px
     * @param layout the id of its layout; null for the scene as it is drawn
     * @param size of its canvas; null for the layout's own
     * @param moment where its timelines stand, and its motifs
     * @param changes what reactions, scripts and hands did to its board
     */
    public record SceneState(String scene, Rect at, double opacity, String layout, Point size, Moment moment, BoardChanges changes) {}
}
