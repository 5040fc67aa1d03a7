package tundra.app.page;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import javafx.application.Platform;
import tundra.app.job.Work;

/** A process in which a page runs, so that the page can hang or die without the window. */
final class PageProcess {
    private final Executor line = Work.line("to the page");
    private volatile Process process;
    private volatile SharedPicture picture;
    private volatile boolean ended;
    private Pipe pipe;

    /**
     * Starts it beside the interface thread; what is sent before it has begun waits.
     *
     * @param room how many pixels its pictures may have
     * @param told on the interface thread
     * @param gone on the interface thread, with how the process ended, unless it was ended by {@link #end}
     */
    void start(int room, Consumer<Message> told, IntConsumer gone) {
        line.execute(() -> {
            try {
                begin(room, told, gone);
            } catch (IOException e) {
                Work.trouble("starting the page's process", e);
                Platform.runLater(() -> gone.accept(-1));
            }
        });
    }

    private void begin(int room, Consumer<Message> told, IntConsumer gone) throws IOException {
        if (ended) {
            return;
        }
        Path file = Files.createTempFile(memory(12L * room), "tundra-page", ".px");
        file.toFile().deleteOnExit();
        picture = SharedPicture.make(file, room);
        Process started = new ProcessBuilder(command(file, room)).redirectError(ProcessBuilder.Redirect.INHERIT).start();
        process = started;
        pipe = new Pipe(started.getOutputStream());
        if (ended) {
            started.destroyForcibly();
        }
        Work.start("from the page", () -> listen(started, file, told));
        started.onExit().thenAccept(p -> {
            file.toFile().delete();
            if (!ended) {
                Platform.runLater(() -> gone.accept(p.exitValue()));
            }
        });
    }

    private void listen(Process from, Path file, Consumer<Message> told) {
        try {
            Pipe.read(from.getInputStream(), m -> {
                if (m instanceof Message.Ready) {
                    // both have the memory now; where an open file can't be deleted, it is at the end
                    file.toFile().delete();
                }
                Platform.runLater(() -> told.accept(m));
            });
        } catch (UncheckedIOException e) {
            // a message broken off by the end of the process is told by that end
            if (from.isAlive() && from.onExit().completeOnTimeout(null, 2, TimeUnit.SECONDS).join() == null) {
                from.destroyForcibly();
                throw e;
            }
        }
    }

    /** Memory that both processes have; where there is no such place, a file. */
    private static Path memory(long bytes) throws IOException {
        Path shared = Path.of("/dev/shm");
        return Files.isWritable(shared) && Files.getFileStore(shared).getUsableSpace() > 2 * bytes ? shared
                : Path.of(System.getProperty("java.io.tmpdir"));
    }

    /** This program once more, without a display. */
    private static List<String> command(Path file, int room) {
        var out = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        String modules = System.getProperty("jdk.module.path");
        String open = "--enable-native-access=";
        if (modules == null) {
            out.add(open + "ALL-UNNAMED");
        } else {
            out.addAll(List.of(open + "javafx.graphics,javafx.web,javafx.media,ALL-UNNAMED", "--module-path", modules, "--add-modules",
                    "javafx.controls,javafx.swing,javafx.web"));
        }
        out.addAll(List.of("-Dglass.platform=Headless", "-Dprism.order=sw", "-Xmx512m", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-cp",
                System.getProperty("java.class.path"), PageMain.class.getName(), file.toString(),
                Integer.toString(room)));
        return out;
    }

    void send(Message m) {
        line.execute(() -> {
            try {
                if (pipe != null && !ended) {
                    pipe.send(m);
                }
            } catch (IOException e) {
                // it has gone, which is told by its end
            }
        });
    }

    /** Null until it has begun. */
    SharedPicture picture() {
        return picture;
    }

    /** Ends it whatever it is doing. */
    void end() {
        ended = true;
        Process p = process;
        if (p != null) {
            p.destroyForcibly();
        }
    }
}
