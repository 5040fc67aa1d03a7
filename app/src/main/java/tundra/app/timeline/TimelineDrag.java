package tundra.app.timeline;

import java.util.Set;
import tundra.core.edit.Keys;
import tundra.core.geometry.Rect;
import tundra.core.model.Clock;
import tundra.core.model.Marker;
import tundra.core.model.PlacedSound;
import tundra.core.model.Span;

/** What the pointer is doing on the timeline. */
sealed interface TimelineDrag {
    record Scrub() implements TimelineDrag {}

    /** Moves keys in time and, in a curve editor, the one that is held in value. */
    record Move(double x, double y, Set<Keys.Ref> refs, LanePainter.Bead held, LanePainter.Scale values, TimeSnap snap, Object merge, boolean moved)
            implements TimelineDrag {}

    record Stretch(Set<Keys.Ref> refs, long around, long held, TimeSnap snap, Object merge) implements TimelineDrag {}

    record Ease(LanePainter.Grip grip, LanePainter.Scale values, Object merge) implements TimelineDrag {}

    record Marquee(double x, double y, Rect area, boolean add) implements TimelineDrag {}

    /** Changes when an element is seen: -1 its start, 1 its end, 0 both. */
    record Trim(String element, Span start, int side, double x, TimeSnap snap, Object merge) implements TimelineDrag {}

    record MoveCue(String reaction, TimeSnap snap, Object merge) implements TimelineDrag {}

    record MoveMarker(Marker marker, TimeSnap snap, Object merge) implements TimelineDrag {}

    record Range(long fixed, TimeSnap snap, Object merge) implements TimelineDrag {}

    record MoveSound(PlacedSound sound, double x, TimeSnap snap, Object merge) implements TimelineDrag {}

    /** Moves what an instance plays; its phase goes the other way. */
    record Phase(String element, Clock clock, double x, Object merge) implements TimelineDrag {}

    record Height(TimeRows.Row row) implements TimelineDrag {}

    /** Something in a row's head, which is done where it is let go. */
    record Head(Rect at, Runnable done) implements TimelineDrag {}
}
