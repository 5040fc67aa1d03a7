package tundra.app;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Lets the virtual machine's optimising compiler give way to the hand: on a machine of two processors it would otherwise take
 * half of one from the interface for the whole of the start. Only where each thread has a niceness of its own (Linux).
 */
public final class Courtesy {
    private static final Path THREADS = Path.of("/proc/self/task");
    /** As much of the thread's name as the system keeps. */
    private static final String COMPILER = "C2 CompilerThre";
    /** About a tenth of a processor is left to it where all are taken. */
    private static final String NICENESS = "10";

    private Courtesy() {}

    /** Returns at once; where it can't be done nothing happens, and the start only takes longer. */
    public static void begin() {
        var thread = new Thread(Courtesy::giveWay, "courtesy");
        thread.setDaemon(true);
        thread.start();
    }

    private static void giveWay() {
        try (DirectoryStream<Path> threads = Files.newDirectoryStream(THREADS)) {
            for (Path t : threads) {
                if (Files.readString(t.resolve("comm")).strip().equals(COMPILER)) {
                    new ProcessBuilder("renice", "-n", NICENESS, "-p", t.getFileName().toString())
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD).redirectError(ProcessBuilder.Redirect.DISCARD).start();
                }
            }
        } catch (IOException e) {
            // another system, or one without the program
        }
    }
}
