package tundra.app.studio;

import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Timeline;

/** When: the timeline that is chosen, where its playhead stands, and whether it plays. */
final class TimeShown {
    private String timeline;
    private long playhead;
    private boolean playing;

    String timeline() {
        return timeline;
    }

    Timeline timeline(Board b) {
        return b.timeline(timeline);
    }

    /** Another board with one of its timelines (Main where it isn't there), at a time in µs. */
    void show(Board b, String id, long time) {
        timeline = b.timeline(id) == null ? b.main().id() : id;
        playhead = Math.min(time, timeline(b).duration());
    }

    /** Main when the timeline is gone, and no later than its end; says whether it was gone. */
    boolean settle(Board b) {
        boolean gone = b.timeline(timeline) == null;
        show(b, timeline, playhead);
        return gone;
    }

    long playhead() {
        return playhead;
    }

    /** Moves the playhead to the nearest frame within the timeline; says whether it moved. */
    boolean seek(Project p, Board b, long time) {
        long end = timeline(b).duration();
        long t = Math.min(end, p.snap(Math.max(0, Math.min(end, time))));
        boolean moved = t != playhead;
        playhead = t;
        return moved;
    }

    boolean playing() {
        return playing;
    }

    void setPlaying(boolean on) {
        playing = on;
    }
}
