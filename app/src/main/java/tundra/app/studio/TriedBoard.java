package tundra.app.studio;

import tundra.core.model.Board;
import tundra.core.model.Project;

/** A board that is shown in place of what is open while something is only tried, such as what a helper would write. The project has none of it. */
public final class TriedBoard {
    private final Studio studio;
    /** Whether it is put aside for something that is done, and whether that left it for good. */
    private boolean aside;
    private boolean left;

    TriedBoard(Studio studio) {
        this.studio = studio;
    }

    /** Whether something is tried and seen. */
    public boolean shown() {
        return studio.document.previewing();
    }

    /** Shows another board without changing the project, until the next change. */
    public void show(Board board) {
        studio.document.preview(studio.kept().mapBoard(studio.open().id(), b -> board));
        studio.settle();
    }

    /** Ends that; nothing happens where nothing is tried. */
    public void leave() {
        if (shown()) {
            studio.document.preview(null);
            studio.settle();
        }
    }

    /** Leaves what is tried, also where it is put aside just now; says whether anything was tried. */
    boolean giveUp() {
        boolean tried = shown() || aside;
        left |= aside;
        leave();
        return tried;
    }

    /**
     * Does something with what is kept in sight: what is only tried is put aside, and comes back where nothing was changed and nothing else
     * is tried. So whatever is worked out meanwhile, before an edit as well as within it, is worked out of what is kept.
     */
    public void aside(Runnable work) {
        if (!shown() || aside) {
            work.run();
            return;
        }
        Board tried = studio.board();
        Project before = studio.kept();
        String place = studio.open().id();
        aside = true;
        studio.document.preview(null);
        studio.picture().reframe();
        try {
            work.run();
        } finally {
            aside = false;
            if (studio.kept() == before && !shown() && place.equals(studio.open().id()) && !left) {
                studio.document.preview(before.mapBoard(place, b -> tried));
            }
            left = false;
            studio.settle();
        }
    }
}
