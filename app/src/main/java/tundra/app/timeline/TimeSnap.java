package tundra.app.timeline;

import java.util.HashSet;
import java.util.Set;
import tundra.app.studio.Studio;
import tundra.core.edit.Keys;
import tundra.core.model.Timeline;
import tundra.core.motion.Track;

/** Brings dragged times to what is near: markers, the playhead, keys that stay; else to the nearest frame. */
final class TimeSnap {
    private static final double REACH = 6;
    private static final int MOST = 5000;
    private final Set<Long> magnets = new HashSet<>();
    private final Studio studio;

    /**
     * @param moving keys that are dragged and therefore hold nothing
     * @param rows those in the view: a key in a folded row holds nothing, since it can't be seen
     */
    TimeSnap(Studio studio, Set<Keys.Ref> moving, TimeRows rows) {
        this.studio = studio;
        Timeline t = studio.timeline();
        t.markers().forEach(m -> magnets.add(m.time()));
        magnets.add(studio.time().playhead());
        magnets.add(0L);
        magnets.add(t.duration());
        if (t.range() != null) {
            magnets.add(t.range().from());
            magnets.add(t.range().to());
        }
        for (TimeRows.Row r : rows.all()) {
            Track<?> track = r.property() == null ? null : t.track(r.element(), r.property());
            if (track != null && magnets.size() < MOST) {
                track.keys().stream().filter(k -> !moving.contains(new Keys.Ref(r.element(), r.property(), k.time())))
                        .forEach(k -> magnets.add(k.time()));
            }
        }
    }

    /** @param free no snapping at all, not even to frames */
    long at(double time, TimeScale scale, boolean free) {
        long t = Math.round(Math.max(0, Math.min(studio.timeline().duration(), time)));
        if (free) {
            return t;
        }
        long best = -1;
        for (long m : magnets) {
            if (Math.abs(scale.x(m) - scale.x(time)) <= REACH && (best < 0 || Math.abs(m - time) < Math.abs(best - time))) {
                best = m;
            }
        }
        return best >= 0 ? best : Math.min(studio.timeline().duration(), studio.project().snap(t));
    }
}
