package tundra.app.studio;

import java.nio.file.Path;
import java.util.function.UnaryOperator;
import tundra.core.edit.History;
import tundra.core.edit.Rules;
import tundra.core.fit.Lens;
import tundra.core.model.Project;

/** The document that is open: its versions, what is only tried on it, and the file that it was saved to. */
final class OpenDocument {
    private History history;
    private Object identity;
    /** What is shown in place of the project without being part of it; null for nothing. */
    private Project preview;
    private Project saved;
    private Path file;
    /** Whether it was never saved as it was taken, though it has not been changed since. */
    private boolean atRisk;

    /**
     * @param from its file; null when it has none yet
     * @param unsaved whether it is not what the file holds
     */
    void take(Project project, Path from, boolean unsaved) {
        history = new History(project);
        identity = new Object();
        preview = null;
        saved = from == null || unsaved ? null : project;
        atRisk = unsaved;
        file = from;
    }

    /** Another one once another document was taken. */
    Object identity() {
        return identity;
    }

    /** As it is shown, with what is only tried. */
    Project shown() {
        return preview != null ? preview : history.project();
    }

    /** Without what is only tried. */
    Project kept() {
        return history.project();
    }

    boolean previewing() {
        return preview != null;
    }

    void preview(Project tried) {
        preview = tried;
    }

    Path file() {
        return file;
    }

    /**
     * A version was saved to a file. A copy is a piece of its own: all versions are of its id from then on.
     *
     * @param what the version
     * @param written how it was written
     */
    void savedAs(Path to, Project what, Project written) {
        if (!written.id().equals(what.id())) {
            history.replaceAll(p -> p == what ? written : p.withId(written.id()));
            preview = preview == null ? null : preview.withId(written.id());
        }
        file = to;
        saved = written;
    }

    /** A fresh, untouched project is nothing to lose. */
    boolean unsaved() {
        return saved == null ? atRisk || history.undoName() != null : saved != kept();
    }

    /**
     * Takes a new version, if it may be one. The one way in which the document changes.
     *
     * @return the sentence of why it may not; null when it was taken, or when nothing changed
     */
    String change(String name, Object merge, UnaryOperator<Project> change) {
        preview = null;
        Project before = history.project(), after = Rules.tidied(before, Lens.followed(before, change.apply(before)));
        String refusal = Rules.refusal(before, after);
        if (refusal == null) {
            history.add(name, after, merge);
        }
        return refusal;
    }

    void cancel(Object merge) {
        history.cancel(merge);
    }

    boolean undo() {
        return history.undo();
    }

    boolean redo() {
        return history.redo();
    }

    boolean goTo(int version) {
        return history.goTo(version);
    }

    int versions() {
        return history.size();
    }

    History.Entry version(int index) {
        return history.entry(index);
    }

    int version() {
        return history.at();
    }

    String undoName() {
        return previewing() ? "what is tried" : history.undoName();
    }

    String redoName() {
        return history.redoName();
    }
}
