package tundra.app.studio;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Objects;
import java.util.Set;
import tundra.core.fit.Lens;
import tundra.core.fit.Override;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;

/** The layout that is worked on, and where changes go that are made in it. */
final class LayoutShown {
    /** Of each scene at most one, by their ids: whoever comes back to a scene finds it in the layout that it was left in. */
    private final Set<String> ids = new HashSet<>();
    private boolean everywhere;
    /** The layout that was told of last. */
    private String told;
    private Board of;
    private Board seen;
    private Layout ofOwn;
    private Set<Override> own = Set.of();

    /** Works on one of a scene's layouts; with null on the scene as it is drawn. */
    void show(Board base, String layout) {
        base.layouts().forEach(l -> ids.remove(l.id()));
        if (layout != null) {
            ids.add(layout);
        }
        of = null;
        seen = null;
    }

    /** Another piece is open. */
    void clear() {
        ids.clear();
        of = null;
        seen = null;
    }

    /** The layout of a scene that is worked on; null for the base. */
    Layout of(Board base) {
        return ids.isEmpty() ? null : base.layouts().stream().filter(l -> ids.contains(l.id())).findFirst().orElse(null);
    }

    /** Whether the layout that is worked on is another one than when this was asked last. */
    boolean isAnother(Layout now) {
        String id = now == null ? null : now.id(), was = told;
        told = id;
        return !Objects.equals(id, was);
    }

    boolean everywhere() {
        return everywhere;
    }

    void setEverywhere(boolean on) {
        everywhere = on;
    }

    /** A board as it is worked on; the same one for as long as its base is. */
    Board seen(Board base) {
        Layout here = of(base);
        if (here == null) {
            return base;
        }
        if (of != base) {
            of = base;
            seen = Lens.get(base, here.id());
        }
        return seen;
    }

    /** What the layout that is worked on changes; nothing for the base. */
    Set<Override> differs(Board base) {
        Layout here = of(base);
        if (here != ofOwn) {
            ofOwn = here;
            own = here == null ? Set.of() : new LinkedHashSet<>(Override.of(here.differs()));
        }
        return own;
    }

    /** A piece in which the open place is as it is worked on. */
    Project in(Project kept, String place) {
        Board base = kept.place(place).board();
        return of(base) == null ? kept : kept.mapBoard(place, b -> seen(base));
    }

    /** Whether motifs came, went or changed besides the one that is open, if one is. */
    private static boolean otherMotifs(Project a, Project b, String place) {
        if (a.motifs().size() != b.motifs().size()) {
            return true;
        }
        for (int i = 0; i < a.motifs().size(); i++) {
            if (a.motifs().get(i) != b.motifs().get(i) && !a.motifs().get(i).id().equals(place)) {
                return true;
            }
        }
        return false;
    }

    /** What was made of such a piece, with the change of its board written back. */
    Project back(Project kept, String place, Project made) {
        Board base = kept.place(place).board();
        Layout here = of(base);
        return here == null || made.place(place) == null ? made
                // what became part of a motif can't stay in the scene as well
                : made.mapBoard(place, b -> b == seen(base) ? base : Lens.put(base, here.id(), b, everywhere || otherMotifs(kept, made, place)
                        ? Lens.Scope.EVERYWHERE : Lens.Scope.ONLY_HERE));
    }
}
