package tundra.app.job;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import tundra.core.geometry.Point;

/** The questions that the desktop asks. Tests answer them in their own way. */
public interface Dialogs {
    /** What to do with changes that would be lost. */
    public enum Unsaved {
        SAVE, DISCARD, CANCEL
    }

    /** A new piece. */
    public record NewPiece(Point size, int frameRate) {}

    /** @param beside the folder that is shown first; null for whichever was seen last */
    Optional<Path> open(String title, String kind, List<String> patterns, Path beside);

    /** The same for several files at once. */
    default Optional<List<Path>> openSeveral(String title, String kind, List<String> patterns, Path beside) {
        return open(title, kind, patterns, beside).map(List::of);
    }

    Optional<Path> save(String title, String name, Path beside);

    Optional<Path> folder(String title, Path start);

    Unsaved unsaved(String project);

    /** What to do with a file that someone else changed since it was opened. */
    enum Outside {
        /** Mine under another name beside it. */
        KEEP_BOTH, TAKE_THEIRS, WRITE_MINE, CANCEL
    }

    Outside changedOutside(String file);

    /** Whether a file is opened that somebody else has open. @param who such as “another window of Tundra” */
    default boolean openAnyway(String file, String who) {
        return true;
    }

    Optional<NewPiece> newPiece();

    /** Asks for the secret of a place, which is nowhere written down; empty where it isn't given. */
    default Optional<String> secret(String place) {
        return Optional.empty();
    }

    /** Tells at length: a headline, what it means, and a line for each thing. */
    void report(String headline, String meaning, List<String> lines);
}
