package tundra.app.job;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import tundra.core.file.FileProblem;

/** What went wrong, in one sentence. */
public final class Troubles {
    private Troubles() {}

    /** Why the system didn't let a file be written or read; null where it is said already. */
    private static String reason(FileSystemException f) {
        String name = f.getFile() == null ? "it" : "“" + Path.of(f.getFile()).getFileName() + "”", why = f.getReason() == null ? "" : f.getReason();
        return f instanceof AccessDeniedException || why.contains("Read-only") ? "You may not write to " + name + "."
                : why.contains("No space left") ? "There is no room left on the disk for " + name + "."
                : f instanceof NoSuchFileException ? "There is no " + name + "."
                : f instanceof FileAlreadyExistsException || why.contains("Is a directory") || f instanceof NotDirectoryException ? name
                + " is there already and is something else." : null;
    }

    /** The sentence of an exception, or, for errors that have none, what they mean to who works with Tundra. */
    public static String sentence(Throwable e) {
        return switch (e) {
            case OutOfMemoryError m ->
                    "There is not enough memory for that. Nothing was changed; make pictures and sounds smaller, or close other programs, and try again.";
            case StackOverflowError s -> "That is nested too deep. Nothing was changed; take some groups apart and try again.";
            case FileProblem f when f.getMessage() != null -> f.getMessage();
            case FileSystemException f when reason(f) != null -> reason(f) + " Nothing was changed.";
            case IOException i when i.getMessage() != null && i.getMessage().contains("No space left") ->
                    "There is no room left on the disk. Nothing was changed.";
            case Error x -> "That could not be done (" + x + "). Nothing was changed; save the piece under another name and go on there.";
            default -> e.getMessage() == null || e.getMessage().isBlank() ? e.toString() : e.getMessage();
        };
    }
}
