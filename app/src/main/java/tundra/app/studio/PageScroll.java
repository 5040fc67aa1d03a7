package tundra.app.studio;

import tundra.core.model.Scroll;
import tundra.core.model.Timeline;

/** How far the page of the open scene is scrolled. */
public final class PageScroll {
    private final Studio studio;
    private double px;

    PageScroll(Studio studio) {
        this.studio = studio;
    }

    /** Shows the scene as it is when the page is scrolled by some px: the timeline that goes by it, and what follows it at a share. */
    public void to(double to) {
        Timeline t = studio.timeline();
        Scroll s = t.scroll();
        if (s != null && s.through() == null) {
            studio.time().seek(s.time(to / Scroll.length(studio.board()), t.duration()));
            show(to);
        }
    }

    /** In px, as {@link #to} was told last; 0 once the playhead was moved otherwise. */
    public double at() {
        return px;
    }

    /** Shows what follows the scrolling where it rests again, as when it is taken in hand. */
    public void rest() {
        if (px != 0) {
            show(0);
        }
    }

    private void show(double to) {
        px = to;
        studio.picture().reframe();
        studio.changed(Aspect.PLAYHEAD);
    }

    /** The playhead is moved otherwise. */
    void forget() {
        px = 0;
    }
}
