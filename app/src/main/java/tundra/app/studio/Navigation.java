package tundra.app.studio;

import java.util.List;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;

/** Goes from place to place: to another scene or motif, into a motif where it stands, and back. */
public final class Navigation {
    private final Studio studio;

    Navigation(Studio studio) {
        this.studio = studio;
    }

    /** Shows a scene, or a motif by itself. */
    public void showPlace(String id) {
        if (studio.project().place(id) != null && !(id.equals(studio.open.id()) && studio.open.way().isEmpty())) {
            if (studio.project().scene(id) != null) {
                studio.open.show(id);
            } else {
                studio.open.into(id, new OpenPlace.Step(studio.place().id(), null, studio.time().playhead(), studio.timeline().id()));
            }
            studio.opened(studio.board().main().id(), 0, List.of());
        }
    }

    /** Opens the motif of an instance where it stands. */
    public void openInPlace(String instance) {
        Element e = studio.board().find(instance);
        if (e != null && e.content() instanceof Content.Instance i && studio.project().motif(i.motif()) instanceof Motif m) {
            long local = studio.picture().moment().inside(studio.board(), instance, m.clock(i), m.board()).timeOf(m.board().main().id());
            studio.open.into(i.motif(), new OpenPlace.Step(studio.open.id(), instance, studio.time().playhead(), studio.timeline().id()));
            studio.opened(m.board().main().id(), studio.project().snap(local), List.of());
        }
    }

    /** Back to one of the places passed, with the instance that was opened there selected. */
    public void backTo(int step) {
        OpenPlace.Step to = studio.open.back(step);
        studio.opened(to.timeline(), to.playhead(), to.instance() == null ? List.of() : List.of(to.instance()));
    }

    /** One place up; says whether there was one. */
    public boolean goUp() {
        if (studio.open.way().isEmpty()) {
            return false;
        }
        backTo(studio.open.way().size() - 1);
        return true;
    }
}
