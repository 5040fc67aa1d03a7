package tundra.core.file;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Properties;
import tundra.core.model.Ids;

/** Says beside a file that it is open, by which process and on which machine, so that two windows notice each other. */
public final class OpenMark implements AutoCloseable {
    /** A process of another machine that has not said for so long that it is there is no longer. */
    private static final Duration GONE = Duration.ofMinutes(10);
    private final Path mark;
    private final String own;

    private OpenMark(Path mark, String own) {
        this.mark = mark;
        this.own = own;
    }

    /** Who has a file open. @param here whether it is on this machine */
    public record Holder(String host, long process, boolean here) {
        /** “another window of Tundra”, or one on a machine. */
        public String words() {
            return here ? "another window of Tundra" : "Tundra on “" + host + "”";
        }
    }

    private static Path of(Path file) {
        return file.toAbsolutePath().resolveSibling("." + file.getFileName() + ".open");
    }

    private static String host() {
        try {
            return InetAddress.getLocalHost().getHostName();
        } catch (UnknownHostException e) {
            return "this machine";
        }
    }

    /** Which other process has a file open; null for none, also where a mark is left of one that ended. */
    public static Holder holder(Path file) {
        Path mark = of(file);
        var about = new Properties();
        try {
            about.load(new StringReader(Files.readString(mark)));
            long process = Long.parseLong(about.getProperty("process", "")), started = Long.parseLong(about.getProperty("started", "0"));
            String host = about.getProperty("host", "");
            boolean here = host.equals(host());
            boolean there = here ? ProcessHandle.of(process).filter(h -> started(h) == started).isPresent()
                    : System.currentTimeMillis() - Files.getLastModifiedTime(mark).toMillis() < GONE.toMillis();
            return there && !(here && process == ProcessHandle.current().pid()) ? new Holder(host, process, here) : null;
        } catch (IOException | IllegalArgumentException e) {
            // none, or none that says anything
            return null;
        }
    }

    /** When a process began, in ms since 1970, by which a number that was given anew is told from the one before; 0 where it can't be known. */
    private static long started(ProcessHandle h) {
        return h.info().startInstant().map(Instant::toEpochMilli).orElse(0L);
    }

    /** Marks a file as open here, over what was left by others; null where nothing can be written beside it. */
    public static OpenMark put(Path file) {
        var about = new Properties();
        about.setProperty("host", host());
        about.setProperty("process", String.valueOf(ProcessHandle.current().pid()));
        about.setProperty("started", String.valueOf(started(ProcessHandle.current())));
        about.setProperty("window", Ids.next());
        var text = new StringWriter();
        try {
            about.store(text, null);
            Files.writeString(of(file), text.toString());
            return new OpenMark(of(file), about.getProperty("window"));
        } catch (IOException e) {
            // a folder that nothing can be written to holds nothing that could be written over either
            return null;
        }
    }

    /** Says that it still is; may be called on any thread. */
    public void refresh() {
        try {
            if (mine()) {
                Files.setLastModifiedTime(mark, FileTime.fromMillis(System.currentTimeMillis()));
            }
        } catch (IOException e) {
            // the drive is gone; saving tells it
        }
    }

    private boolean mine() throws IOException {
        var about = new Properties();
        about.load(new StringReader(Files.readString(mark)));
        return own.equals(about.getProperty("window"));
    }

    @Override
    public void close() {
        try {
            if (mine()) {
                Files.deleteIfExists(mark);
            }
        } catch (IOException | IllegalArgumentException e) {
            // a mark of a process that is gone counts for nothing
        }
    }
}
