package tundra.app.studio;

import java.util.Collection;
import java.util.Objects;
import java.util.Set;
import tundra.core.fit.Layouts;
import tundra.core.fit.Override;
import tundra.core.fit.Room;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Layout;

/** The layout that is worked on, what it changes, and how far a change goes. */
public final class WorkedLayout {
    private final Studio studio;

    WorkedLayout(Studio studio) {
        this.studio = studio;
    }

    /** Shows the scene at any size, in the layout for that width and where its ties take it, until something is changed. */
    public void tryAt(Point size) {
        Layout l = Layouts.at(studio.base(), size.x());
        setLayout(l == null ? null : l.id());
        Board kept = studio.drawn();
        studio.tried().leave();
        if (!size.equals(kept.size())) {
            studio.tried().show(Room.of(kept, size, studio.picture().fonts(), studio.time().playhead()));
        }
    }

    /** What the layout that is worked on changes. */
    public Set<Override> differs() {
        return studio.layout.differs(studio.base());
    }

    /** Hands some of it back to the scene as it is drawn. */
    public void handBack(String what, Collection<Override> of) {
        String id = studio.layout().id();
        studio.editBase("Hand back " + what, null, b -> Layouts.handBack(b, id, of));
    }

    /** Works on another layout, or with null on the scene as it is drawn. */
    public void setLayout(String id) {
        if (!Objects.equals(id, studio.layout() == null ? null : studio.layout().id())) {
            studio.tried().leave();
            studio.layout.show(studio.base(), id);
            studio.settle();
        }
    }

    /** Whether a change goes to every layout that does not differ there, rather than to the one that is worked on alone. */
    public boolean everyLayout() {
        return studio.layout() == null || studio.layout.everywhere();
    }

    public void setEveryLayout(boolean on) {
        studio.layout.setEverywhere(on);
        studio.changed(Aspect.SCOPE);
    }
}
