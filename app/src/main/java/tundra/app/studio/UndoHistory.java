package tundra.app.studio;

import java.util.function.BooleanSupplier;
import tundra.core.edit.History;
import tundra.core.model.Place;
import tundra.core.model.Project;

/** Takes changes back and does them again, and goes to any version; shows the place where something changed. */
public final class UndoHistory {
    private final Studio studio;

    UndoHistory(Studio studio) {
        this.studio = studio;
    }

    /** Takes the newest change back, or what is only tried. */
    public boolean undo() {
        return studio.tried().giveUp() || travel(studio.document::undo);
    }

    public boolean redo() {
        studio.document.preview(null);
        return travel(studio.document::redo);
    }

    /** Goes back or forward to a version, by its place in the order of time. */
    public boolean goToVersion(int index) {
        studio.document.preview(null);
        return travel(() -> studio.document.goTo(index));
    }

    /** How many versions of the piece there are in this run. */
    public int versions() {
        return studio.document.versions();
    }

    /** A version, from 0 in the order of time. */
    public History.Entry version(int index) {
        return studio.document.version(index);
    }

    /** Which of them is open. */
    public int version() {
        return studio.document.version();
    }

    private boolean travel(BooleanSupplier step) {
        Project before = studio.kept();
        Selection.Chosen then = studio.chosen.now();
        boolean did = step.getAsBoolean();
        showWhereItChanged(before);
        studio.settle();
        if (did) {
            studio.chosen.remember(before, then);
            if (studio.chosen.recall(studio.kept())) {
                studio.changed(Aspect.SELECTION);
                studio.settle();
            }
        }
        return did;
    }

    /** What was taken back or done again is seen: its scene is shown, unless the one that is shown changed as well. */
    private void showWhereItChanged(Project before) {
        Place shown = studio.kept().place(studio.open.id()), was = before.place(studio.open.id());
        if (shown == null || was == null || shown.board() != was.board()) {
            return;
        }
        for (Place p : studio.kept().places()) {
            Place then = before.place(p.id());
            // a motif shows as well what happens in the scene around it
            if ((then == null || then.board() != p.board()) && studio.open.way().stream().noneMatch(s -> s.place().equals(p.id()))) {
                studio.navigation().showPlace(p.id());
                return;
            }
        }
    }

    public String undoName() {
        return studio.document.undoName();
    }

    public String redoName() {
        return studio.document.redoName();
    }
}
