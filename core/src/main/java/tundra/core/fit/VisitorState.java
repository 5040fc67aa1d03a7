package tundra.core.fit;

import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;

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
     * @param hidden the ids of what is hidden
     * @param order of what was brought to the front or sent to the back, by id; 0 for all others
     * @param carried what was dragged
     * @param scripted what scripts set, in place of what it is at rest
     */
    public record SceneState(String scene, Rect at, double opacity, String layout, Point size, Moment moment, Set<String> hidden, Map<String, Integer> order, List<Carried> carried, List<Scripted> scripted) {}

    /**
     * Something that was dragged away from where it stands.
     *
     * @param by in px of its parent
     * @param turn in degrees
     */
    public record Carried(String element, Point by, double turn, double opacity) {}

    /**
     * What a script said of an element's look; null where it said nothing.
     *
     * @param by in px from where it stands
     * @param rotation in degrees
     */
    public record Scripted(String element, Double opacity, Point by, Double rotation, Double scale, Color fill) {}
}
