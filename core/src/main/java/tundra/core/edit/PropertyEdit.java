package tundra.core.edit;

import java.util.Collection;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;
import tundra.core.motion.WholeWay;

/** Changes of one property of one element on one timeline, in an edit scope. */
public final class PropertyEdit {
    /** What a new key gets: slow at both ends. */
    public static final Easing NEW_EASING = EasingText.parse("ease-in-out");

    private final String timeline;
    private final long time;
    private final EditScope scope;
    private final FirstKey first;
    /** Times at which what is seen stays as it is. */
    private final List<Long> kept;

    /** What becomes of the time before the first key of a property, where that stands later than 0. */
    public enum FirstKey {
        /** It changes all the way from the start. */
        FROM_START,
        /** It stays as it is until the key. */
        UNTIL_HERE
    }

    public PropertyEdit(String timeline, long time, EditScope scope) {
        this(timeline, time, scope, FirstKey.FROM_START);
    }

    /** @param time of the playhead, in µs */
    public PropertyEdit(String timeline, long time, EditScope scope, FirstKey first) {
        this(timeline, time, scope, first, List.of());
    }

    private PropertyEdit(String timeline, long time, EditScope scope, FirstKey first, List<Long> kept) {
        this.kept = kept;
        this.timeline = timeline;
        this.time = time;
        this.scope = scope;
        this.first = first;
    }

    /** The same, with what is seen at some other times kept there by keys, so that a change holds at the playhead alone. */
    public PropertyEdit keeping(Collection<Long> times) {
        return new PropertyEdit(timeline, time, scope, first, List.copyOf(times));
    }

    /** The id of the timeline that is worked on. */
    String timeline() {
        return timeline;
    }

    /** Of the playhead, in µs. */
    long time() {
        return time;
    }

    EditScope scope() {
        return scope;
    }

    /** The board with the property of an element (or {@link Board#CANVAS}) set to what should be seen at the playhead. */
    public <T> Board set(Board board, String element, Property<T> p, T value) {
        T next = p.clamped(value);
        if (!Properties.keyed(p)) {
            return Resting.with(board, element, p, next);
        }
        Timeline on = board.timeline(timeline);
        if (p == Properties.POSITION && SplitPosition.is(on, element) && scope != EditScope.REST) {
            Point at = (Point) next;
            return set(set(board, element, Properties.POSITION_X, at.x()), element, Properties.POSITION_Y, at.y());
        }
        Track<T> track = on.track(element, p);
        return switch (scope) {
            case REST -> Resting.with(board, element, p, next);
            case WHOLE_MOVE -> track == null
                    ? Resting.with(board, element, p, next)
                    : board.mapTimeline(timeline, t -> t.with(element, p, shifted(t, element, track, p, next)));
            case KEY -> {
                Track<T> held = held(board, on, element, p, track);
                yield board.mapTimeline(timeline, t -> t.with(element, p, keyed(board, t, element, p, held, next)));
            }
        };
    }

    /** The board after a drag that leads from one seen value to another: where the resting value changes, it changes by as much. */
    public <T> Board drag(Board board, String element, Property<T> p, T from, T to) {
        return set(board, element, p, scope == EditScope.REST ? p.type().shifted(Resting.of(board, element, p), from, to) : to);
    }

    /** The value that the playhead shows. */
    public static <T> T valueAt(Board board, Timeline t, String element, Property<T> p, long time) {
        Track<T> track = t.track(element, p);
        if (track == null) {
            return p == Properties.POSITION && SplitPosition.is(t, element) ? p.cast(SplitPosition.at(board, t, element, time))
                    : Resting.of(board, element, p);
        }
        long local = t.worked(time);
        if (p == Properties.POSITION) {
            return p.cast(new MotionPath(t.track(element, Properties.POSITION)).at(local));
        }
        return p.clamped(track.at(local, p.type()::lerp));
    }

    private <T> Track<T> shifted(Timeline t, String element, Track<T> track, Property<T> p, T next) {
        T seen = p == Properties.POSITION ? p.cast(new MotionPath(t.track(element, Properties.POSITION)).at(t.worked(time)))
                : track.at(t.worked(time), p.type()::lerp);
        return track.map(k -> k.with(p.clamped(p.type().shifted(k.value(), seen, next))));
    }

    /** The track with a key at each of the times that are kept. */
    private <T> Track<T> held(Board board, Timeline t, String element, Property<T> p, Track<T> track) {
        Track<T> out = track;
        for (long at : kept) {
            if (at == time || at > t.duration() || out != null && out.keyAt(at) != null) {
                continue;
            }
            T seen = valueAt(board, t, element, p, at);
            out = out == null ? new Track<>(List.of(new Key<>(at, seen, NEW_EASING))) : Keys.insert(out, at, seen);
        }
        return out;
    }

    private <T> Track<T> keyed(Board board, Timeline t, String element, Property<T> p, Track<T> track, T next) {
        long at = Math.min(time, t.duration());
        if (track == null) {
            Track<T> one = new Track<>(List.of(new Key<>(at, next, NEW_EASING)));
            return at == 0 ? one : one.with(new Key<>(0, Resting.of(board, element, p), first == FirstKey.FROM_START ? NEW_EASING : Easing.HOLD));
        }
        boolean within = at > track.keys().getFirst().time() && at < track.keys().getLast().time();
        if (p == Properties.POSITION && WholeWay.is(track) && within) {
            return p.castTrack(WholeWay.through(t.track(element, Properties.POSITION), at, (Point) next));
        }
        Key<T> old = track.keyAt(at);
        Track<T> out = old != null ? track.with(old.with(next)) : Keys.insert(track, at, next);
        return p == Properties.POSITION && track.shape().closed() ? ClosedPath.ends(out, at) : out;
    }

    /** What dragging would do now, as the edit strip says it. */
    public String consequence(Board board, Element e) {
        Track<Point> track = board.timeline(timeline).track(e.id(), Properties.POSITION);
        String name = e.name();
        if (scope != EditScope.REST && SplitPosition.is(board.timeline(timeline), e.id())) {
            return scope == EditScope.WHOLE_MOVE ? "dragging " + name + " shifts its whole move, x and y alike"
                    : "dragging " + name + (SplitPosition.keyed(board.timeline(timeline), e.id(), time) ? " changes its x and y keys here"
                    : " adds x and y keys here");
        }
        return switch (scope) {
            case REST -> track == null
                    ? "dragging " + name + " moves it for the whole scene"
                    : "dragging " + name + " changes where it rests; its " + count(track) + " still decide what is seen";
            case WHOLE_MOVE -> track == null
                    ? "dragging " + name + " moves it for the whole scene: it has no position keys"
                    : "dragging " + name + " shifts its whole move, " + count(track);
            case KEY -> {
                if (track == null) {
                    yield time == 0 ? "dragging " + name + " sets its first position key, at the start"
                            : "dragging " + name + " sets its first position key here: "
                            + (first == FirstKey.FROM_START ? "it moves all the way from 0 s" : "it stays as it is until here");
                }
                if (WholeWay.is(track) && time > track.keys().getFirst().time() && time < track.keys().getLast().time()) {
                    yield "dragging " + name + " bends its way here: one easing runs over all of it, keys only shape it";
                }
                Key<Point> here = track.keyAt(time);
                yield here == null ? "dragging " + name + " adds a position key here"
                        : "dragging " + name + " changes its " + ordinal(track.keys().indexOf(here) + 1) + " position key";
            }
        };
    }

    private static String count(Track<?> t) {
        return t.keys().size() == 1 ? "one position key" : t.keys().size() + " position keys";
    }

    private static String ordinal(int n) {
        String[] words = {"first", "second", "third", "fourth", "fifth", "sixth"};
        return n <= words.length ? words[n - 1] : n + "th";
    }
}
