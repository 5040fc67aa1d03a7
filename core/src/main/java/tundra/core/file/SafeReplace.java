package tundra.core.file;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import tundra.core.model.Ids;

/**
 * Puts a new version in a file's place in one step: written beside it, synced, checked, renamed. Whoever is stopped in between leaves the
 * old file whole. The version before stays beside it as NAME.previous. A file that is a link is replaced where it leads; rights and owner stay.
 */
public final class SafeReplace {
    private static final String BEGIN = ".tundra-", SAVING = ".saving";
    /** Only what was not written to for so long is a left-over; another save may be about to lock what is newer. In ms. */
    private static final long LEFT_OVER = 600_000;

    private SafeReplace() {}

    /** Writes the content of a file. */
    public interface Writing {
        void to(OutputStream out) throws IOException;
    }

    interface Check {
        /** Throws when what was written isn't good. */
        void of(Path written) throws IOException;
    }

    /** What was written did not pass its check; it is kept beside the file. */
    static final class Unfit extends IOException {
        private static final long serialVersionUID = 1;
        final transient Path kept;

        Unfit(Path kept, IOException why) {
            super(why.getMessage(), why);
            this.kept = kept;
        }
    }

    /** Writes a file that has no version before it to be kept: beside it first, then in its place. Throws when nothing was replaced. */
    public static void put(Path file, byte[] content) throws IOException {
        put(file, out -> out.write(content));
    }

    /** The same with what is written as it comes. */
    public static void put(Path file, Writing writing) throws IOException {
        Path target = led(file.toAbsolutePath());
        Path temporary = target.resolveSibling(BEGIN + Ids.next() + SAVING);
        try {
            try (FileChannel ch = FileChannel.open(temporary, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                var out = new BufferedOutputStream(Channels.newOutputStream(ch), 1 << 16);
                writing.to(out);
                out.flush();
                ch.force(true);
            }
            if (Files.exists(target)) {
                like(target, temporary);
            }
            Files.move(temporary, target, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    public static void put(Path file, String text) throws IOException {
        put(file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Throws an IOException when nothing was replaced, an {@link Unfit} when the check refused what was written. */
    static void write(Path file, Writing writing, Check check) throws IOException {
        Path target = led(file.toAbsolutePath());
        Path folder = target.getParent();
        sweep(folder);
        Path temporary = folder.resolve(BEGIN + Ids.next() + SAVING);
        try {
            // held until it is in place, so that no other save takes it for a left-over
            try (FileChannel ch = FileChannel.open(temporary, StandardOpenOption.CREATE_NEW, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
                FileLock lock = lock(ch);
                var out = new BufferedOutputStream(Channels.newOutputStream(ch), 1 << 16);
                writing.to(out);
                out.flush();
                ch.force(true);
                try {
                    check.of(temporary);
                } catch (IOException e) {
                    Path kept = folder.resolve(shortened(target.getFileName().toString(), ".unsaved"));
                    Files.move(temporary, kept, StandardCopyOption.REPLACE_EXISTING);
                    throw new Unfit(kept, e);
                }
                if (Files.exists(target)) {
                    like(target, temporary);
                    keepPrevious(target);
                }
                Files.move(temporary, target, StandardCopyOption.ATOMIC_MOVE);
                if (lock != null) {
                    lock.release();
                }
            }
            sync(folder);
        } finally {
            Files.deleteIfExists(temporary);
        }
    }

    /** Where a link leads, also when nothing is there yet. */
    private static Path led(Path file) throws IOException {
        if (Files.exists(file)) {
            return file.toRealPath();
        }
        return Files.isSymbolicLink(file) ? file.resolveSibling(Files.readSymbolicLink(file)).normalize() : file;
    }

    private static FileLock lock(FileChannel ch) {
        try {
            return ch.tryLock();
        } catch (IOException | UnsupportedOperationException e) {
            // some network folders know no locks; their left-overs can't be told from running saves and stay
            return null;
        }
    }

    /** Removes what killed saves left behind: temporary files that nobody holds. */
    private static void sweep(Path folder) throws IOException {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, BEGIN + "*" + SAVING)) {
            for (Path p : all) {
                sweepOne(p);
            }
        }
    }

    private static void sweepOne(Path p) {
        try {
            if (System.currentTimeMillis() - Files.getLastModifiedTime(p).toMillis() > LEFT_OVER && !held(p)) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            // another save has put it in its place meanwhile
        }
    }

    private static boolean held(Path p) {
        try (FileChannel ch = FileChannel.open(p, StandardOpenOption.WRITE)) {
            return ch.tryLock() == null;
        } catch (OverlappingFileLockException | IOException | UnsupportedOperationException e) {
            return true;
        }
    }

    private static void like(Path target, Path temporary) throws IOException {
        PosixFileAttributeView to = Files.getFileAttributeView(temporary, PosixFileAttributeView.class, LinkOption.NOFOLLOW_LINKS);
        if (to == null) {
            return;
        }
        PosixFileAttributes from = Files.readAttributes(target, PosixFileAttributes.class);
        PosixFileAttributes now = to.readAttributes();
        try {
            if (!from.owner().equals(now.owner())) {
                to.setOwner(from.owner());
            }
            if (!from.group().equals(now.group())) {
                to.setGroup(from.group());
            }
        } catch (IOException e) {
            // only an administrator can give files away; the rights are kept all the same
        }
        to.setPermissions(from.permissions());
    }

    /** The version before, complete under its name or not touched at all: linked, or copied where links aren't known, and renamed. */
    private static void keepPrevious(Path target) throws IOException {
        // of another ending: as a link it is as old as the file, and would be swept
        Path temporary = target.resolveSibling(BEGIN + Ids.next() + ".keeping");
        try {
            try {
                Files.createLink(temporary, target);
            } catch (IOException | UnsupportedOperationException e) {
                Files.copy(target, temporary, StandardCopyOption.COPY_ATTRIBUTES);
            }
            Files.move(temporary, target.resolveSibling(shortened(target.getFileName().toString(), ".previous")), StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            // a copy that can't be kept — a full disk, a folder of that name — is no reason not to save
            Files.deleteIfExists(temporary);
        }
    }

    /** A name with an ending, cut where it would be longer than file systems take. */
    static String shortened(String name, String ending) {
        String begin = name;
        while ((begin + ending).getBytes(StandardCharsets.UTF_8).length > 255) {
            begin = begin.substring(0, begin.offsetByCodePoints(begin.length(), -1));
        }
        return begin + ending;
    }

    /** Makes the rename last through a power cut, where the system can open a folder. */
    private static void sync(Path folder) {
        try (FileChannel ch = FileChannel.open(folder, StandardOpenOption.READ)) {
            ch.force(true);
        } catch (IOException e) {
            // Windows can't open folders; the rename is then as lasting as that system makes it
        }
    }
}
