package tundra.core.file;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;

/** Why a file could not be written, in words. */
public final class WriteTrouble {
    private WriteTrouble() {}

    public static String words(IOException e) {
        String reason = e instanceof FileSystemException f && f.getReason() != null ? f.getReason() : e.getMessage();
        return e instanceof AccessDeniedException ? "you may not write there" : e instanceof NoSuchFileException ? "the folder is not there"
                : e instanceof NotDirectoryException ? "that is no folder" : reason == null ? e.getClass().getSimpleName()
                : reason.contains("No space left") ? "the disk is full"
                : reason.contains("Read-only") ? "the disk can only be read" : reason;
    }
}
