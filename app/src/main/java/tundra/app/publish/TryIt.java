package tundra.app.publish;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import tundra.core.model.Project;
import tundra.core.series.SeriesPainter;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.web.PageCompiler;
import tundra.web.PreviewServer;

/** Runs the real page from a server on this machine, and keeps the log of what happened in it. */
public final class TryIt implements AutoCloseable {
    private static final int KEPT = 200;
    private static final String MEASURED = "measured: ";
    /** Letters of a recorded visit: some ten minutes. */
    private static final int LONGEST = 64 << 20;
    private final StringBuilder run = new StringBuilder();
    private boolean recording;
    private PreviewServer server;
    private Project served;
    private final List<PreviewServer.LogLine> log = new ArrayList<>();
    private final List<Runnable> listeners = new ArrayList<>(), closing = new ArrayList<>();

    /**
     * The page's address, compiled anew when the project changed: not for the interface thread.
     *
     * @param series paints the motifs that are published as pictures, which takes a while
     */
    public synchronized String url(Project project, SeriesPainter series) throws IOException {
        if (server == null) {
            server = new PreviewServer(line -> Platform.runLater(() -> add(line)));
            server.onRecord(this::take);
        }
        if (project != served) {
            server.serve(new PageCompiler(Fonts.of(project.assets()), Fonts.of(project.assets()), new PictureSheets(), series)
                    .compile(project, PreviewServer.LOG_SCRIPT));
            served = project;
        }
        return server.url();
    }

    /** Whether files come as over a slow mobile line from now on. */
    public synchronized void slow(boolean on) {
        if (server != null) {
            server.slow(on);
        }
    }

    /** Keeps what the page writes down from now on. */
    public void record() {
        synchronized (run) {
            run.setLength(0);
            recording = true;
        }
    }

    /** What was written down since {@link #record}, line by line; nothing more is kept. */
    public String recorded() {
        synchronized (run) {
            recording = false;
            return run.toString();
        }
    }

    /** How many moments were written down since {@link #record}. */
    public long recording() {
        synchronized (run) {
            return run.toString().lines().count();
        }
    }

    private void take(String lines) {
        synchronized (run) {
            if (recording && run.length() + lines.length() < LONGEST) {
                run.append(lines).append('\n');
            }
        }
    }

    private void add(PreviewServer.LogLine line) {
        log.add(line);
        if (log.size() > KEPT) {
            log.removeFirst();
        }
        listeners.forEach(Runnable::run);
    }

    public List<PreviewServer.LogLine> log() {
        return List.copyOf(log);
    }

    public void clear() {
        log.clear();
        listeners.forEach(Runnable::run);
    }

    public void listen(Runnable listener) {
        listeners.add(listener);
    }

    /** Calls back with the id of each reaction that fires. */
    public void onReaction(Consumer<String> fired) {
        listen(() -> {
            if (!log.isEmpty() && !log.getLast().reaction().isEmpty()) {
                fired.accept(log.getLast().reaction());
            }
        });
    }

    /** Calls back with what a browser measured: pictures and work a second. */
    void onMeasured(Consumer<String> measured) {
        listen(() -> {
            if (!log.isEmpty() && log.getLast().text().startsWith(MEASURED)) {
                measured.accept(log.getLast().text().substring(MEASURED.length()));
            }
        });
    }

    /** Is done when nothing is tried any more. */
    public void onClose(Runnable then) {
        closing.add(then);
    }

    @Override
    public synchronized void close() {
        closing.forEach(Runnable::run);
        if (server != null) {
            server.close();
        }
    }
}
