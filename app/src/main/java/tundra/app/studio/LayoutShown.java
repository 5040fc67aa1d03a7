package tundra.app.studio;

import tundra.core.fit.Lens;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;

/** The layout that is worked on, and where changes go that are made in it. */
final class LayoutShown {
    private String id;
    private boolean everywhere;
    private Board of;
    private Board seen;

    /** Null for the scene as it is drawn. */
    String id() {
        return id;
    }

    void show(String layout) {
        id = layout;
    }

    /** The layout of a scene that is worked on; null for the base. */
    Layout of(Board base) {
        return id == null ? null : base.layout(id);
    }

    boolean everywhere() {
        return everywhere;
    }

    void setEverywhere(boolean on) {
        everywhere = on;
    }

    /** A board as it is worked on; the same one for as long as its base is. */
    Board seen(Board base) {
        if (of(base) == null) {
            return base;
        }
        if (of != base || seen == null) {
            of = base;
            seen = Lens.get(base, id);
        }
        return seen;
    }

    /** Forgets what was worked out for another layout. */
    void forget() {
        of = null;
        seen = null;
    }

    /** A piece in which the open place is as it is worked on. */
    Project in(Project kept, String place) {
        Board base = kept.place(place).board();
        return of(base) == null ? kept : kept.mapBoard(place, b -> seen(base));
    }

    /** What was made of such a piece, with the change of its board written back. */
    Project back(Project kept, String place, Project made) {
        Board base = kept.place(place).board();
        return of(base) == null || made.place(place) == null ? made
                : made.mapBoard(place, b -> b == seen(base) ? base : Lens.put(base, id, b, everywhere ? Lens.Scope.EVERYWHERE : Lens.Scope.ONLY_HERE));
    }
}
