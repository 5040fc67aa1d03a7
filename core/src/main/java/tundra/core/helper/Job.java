package tundra.core.helper;

import java.util.List;
import java.util.TreeMap;
import tundra.core.edit.PropertyEdit;
import tundra.core.edit.SplitPosition;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * What a helper works on.
 *
 * @param elements by their ids, in the order of the outline
 * @param at where the move begins, in µs
 */
public record Job(Project project, Board board, String timeline, List<String> elements, long at, TextMeasurer measure) {
    public Timeline time() {
        return board.timeline(timeline);
    }

    /** What is seen of a property at the start. */
    <T> T seen(String element, Property<T> p) {
        return PropertyEdit.valueAt(board, time(), element, p, at);
    }

    /** µs from the start on, brought to the nearest frame. */
    long frame(double seconds) {
        return project.snap(at + Math.round(seconds * 1e6));
    }

    /** With these keys instead of those that stand between the first and the last of them; the timeline grows when it is too short. */
    static <T> Board write(Board b, String timeline, String element, Property<T> p, List<Key<T>> keys) {
        Timeline t = b.timeline(timeline);
        Track<T> track = t.track(element, p);
        long from = keys.getFirst().time(), to = keys.getLast().time();
        var all = new TreeMap<Long, Key<T>>();
        if (track != null) {
            track.keys().stream().filter(k -> k.time() < from || k.time() > to).forEach(k -> all.put(k.time(), k));
        }
        keys.forEach(k -> all.put(k.time(), new Key<>(k.time(), p.clamped(k.value()), k.easing(), k.in(), k.out(), k.own())));
        Track<T> out = track == null ? new Track<>(List.copyOf(all.values())) : track.withKeys(List.copyOf(all.values()));
        return b.mapTimeline(timeline, x -> x.withDuration(Math.max(x.duration(), to)).with(element, p, out));
    }

    /** The board with an element's position keys as x and y apart, which a fall and a travel need; without any it stays as it is. */
    Board apart(Board b, String element) {
        return SplitPosition.split(b, timeline, element, project::snap);
    }

    static <T> Key<T> key(long time, T value, Easing easing) {
        return new Key<>(time, value, easing);
    }

    /** Its box in px. */
    Point box(String element) {
        return new FrameBuilder(board, measure).boxAt(board.find(element), Moment.editing(board, timeline, at));
    }

    /** What an element covers of the canvas of a board at a time; null where it isn't shown. */
    Rect bounds(Board b, String element, long time) {
        Frame.Placed p = new FrameBuilder(b, measure).at(Moment.editing(b, timeline, time)).find(element);
        return p == null ? null : p.bounds();
    }

    Point place(String element) {
        return seen(element, Properties.POSITION);
    }
}
