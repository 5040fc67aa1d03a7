package tundra.app.studio;

import java.util.Collection;
import java.util.Set;
import tundra.core.edit.Keys;
import tundra.core.edit.SplitPosition;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Marker;
import tundra.core.model.PlacedSound;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/** The timeline that is chosen: where its playhead stands, whether it plays, and which of its keys, its markers or its sounds are selected. */
public final class OpenTimeline {
    private final Studio studio;
    private String timeline;
    private long playhead;
    private boolean playing;

    OpenTimeline(Studio studio) {
        this.studio = studio;
    }

    /** The chosen timeline of a board. */
    Timeline on(Board b) {
        return b.timeline(timeline);
    }

    /** Chooses another timeline of the board; the playhead stays, within it. */
    public void choose(String id) {
        if (studio.board().timeline(id) != null && !id.equals(timeline)) {
            show(studio.board(), id, playhead);
            studio.chosen.clearKeys();
            studio.changed(Aspect.TIMELINE, Aspect.PLAYHEAD, Aspect.SELECTION);
        }
    }

    /** Another board with one of its timelines (Main where it isn't there), at a time in µs. */
    void show(Board b, String id, long time) {
        timeline = b.timeline(id) == null ? b.main().id() : id;
        playhead = Math.min(time, on(b).duration());
    }

    /** Main when the timeline is gone, and no later than its end; says whether it was gone. */
    boolean settle(Board b) {
        boolean gone = b.timeline(timeline) == null;
        show(b, timeline, playhead);
        return gone;
    }

    /** The timeline that moves a property now: of those with keys for it the one started last; the chosen one when there is none. */
    public Timeline moving(String element, Property<?> p) {
        for (Moment.Standing s : studio.picture().moment().standings().reversed()) {
            Timeline t = studio.board().timeline(s.timeline());
            if (t.track(element, p) != null || p == Properties.POSITION && SplitPosition.is(t, element)) {
                return t;
            }
        }
        return studio.timeline();
    }

    // --- the playhead ---

    /** Where the playhead stands, in µs. */
    public long playhead() {
        return playhead;
    }

    /** Moves the playhead, kept within the timeline, to the nearest frame. */
    public void seek(long time) {
        studio.scroll().forget();
        long end = studio.timeline().duration();
        long t = Math.min(end, studio.project().snap(Math.max(0, Math.min(end, time))));
        if (t == playhead) {
            return;
        }
        playhead = t;
        studio.picture().reframe();
        if (playing) {
            studio.changes.frame();
        } else {
            studio.changed(Aspect.PLAYHEAD);
            studio.book().follow();
        }
    }

    public boolean playing() {
        return playing;
    }

    void setPlaying(boolean on) {
        playing = on;
        studio.picture().reframe();
        if (!on) {
            studio.book().follow();
        }
        studio.changed(Aspect.PLAYING, Aspect.PLAYHEAD);
    }

    /** Whether a change is no more than time going on while it plays, which those who hear of each frame know already. */
    public boolean onlyGoesOn(Set<Aspect> what) {
        return playing && what.size() == 1 && what.contains(Aspect.PLAYHEAD);
    }

    // --- what is selected in it ---

    /** Chooses a marker or a sound in place of keys; null chooses none. */
    public void select(String id) {
        if (studio.chosen.chooseInTime(id)) {
            studio.changed(Aspect.SELECTION);
        }
    }

    /** The marker that is chosen; null for none. */
    public Marker marker() {
        return studio.timeline().markers().stream().filter(m -> m.id().equals(studio.chosen.timed())).findFirst().orElse(null);
    }

    /** The placed sound that is chosen; null for none. */
    public PlacedSound sound() {
        return studio.timeline().sounds().stream().filter(s -> s.id().equals(studio.chosen.timed())).findFirst().orElse(null);
    }

    public Set<Keys.Ref> keys() {
        return studio.chosen.keys();
    }

    public void selectKeys(Collection<Keys.Ref> refs) {
        if (studio.chosen.chooseKeys(refs)) {
            studio.changed(Aspect.SELECTION);
        }
    }
}
