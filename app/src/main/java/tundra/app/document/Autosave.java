package tundra.app.document;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.util.Duration;
import tundra.app.job.Notices;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.core.file.Recovery;
import tundra.core.model.Project;

/** Keeps what is worked on beside the user's own files, a moment after each change and off the interface thread. */
public final class Autosave implements AutoCloseable {
    /** So long after a change it is kept, with all that came meanwhile. */
    private static final Duration AFTER = Duration.seconds(1.5);
    /** A picture for the list of what can be gone on with is made this often at most, in ns, and is so wide, in px. */
    private static final long PICTURE_EVERY = 20_000_000_000L;
    private static final double PICTURE = 192;
    private final Studio studio;
    private final Recovery recovery;
    private final Notices notices;
    private final Executor line = Work.line("autosave");
    private final PauseTransition wait = new PauseTransition(AFTER);
    private Object document;
    private Project kept;
    private boolean writing;
    private boolean failed;
    /** Of the line's thread. */
    private Recovery.Slot slot;
    private long pictured;

    public Autosave(Studio studio, Recovery recovery, Notices notices) {
        this.studio = studio;
        this.recovery = recovery;
        this.notices = notices;
        wait.setOnFinished(e -> keep());
    }

    /** Begins to keep what is worked on. */
    public void start() {
        document = studio.document();
        kept = studio.kept();
        studio.listen(what -> {
            if ((what.contains(Aspect.DOCUMENT) || what.contains(Aspect.FILE)) && wait.getStatus() != Animation.Status.RUNNING) {
                wait.playFromStart();
            }
        });
    }

    public Recovery recovery() {
        return recovery;
    }

    /** Keeps what is there now; what is being written already is followed by it. */
    public void keep() {
        if (writing) {
            wait.playFromStart();
            return;
        }
        Project now = studio.kept();
        boolean other = studio.document() != document, unsaved = studio.unsaved();
        if (now == kept && !other && unsaved) {
            return;
        }
        document = studio.document();
        kept = now;
        writing = true;
        Path file = studio.file();
        line.execute(() -> {
            try {
                write(now, file, other, unsaved);
                Platform.runLater(() -> failed = false);
            } catch (IOException | UncheckedIOException e) {
                Platform.runLater(() -> fail(e));
            } finally {
                Platform.runLater(() -> writing = false);
            }
        });
    }

    private void write(Project now, Path file, boolean other, boolean unsaved) throws IOException {
        if (other && slot != null) {
            slot.close();
            slot = null;
        }
        if (!unsaved) {
            if (slot != null) {
                slot.clear();
            }
            return;
        }
        if (slot == null) {
            slot = recovery.begin();
            pictured = 0;
        }
        long clock = System.nanoTime();
        boolean picture = pictured == 0 || clock - pictured > PICTURE_EVERY;
        // first what counts, then how it looks
        slot.keep(now, file, null);
        if (picture) {
            pictured = clock;
            slot.keep(now, file, PieceFace.orNone(now, PICTURE));
        }
    }

    /** Told once, until it works again. */
    private void fail(Exception e) {
        kept = null;
        if (!failed) {
            failed = true;
            notices.problem("What you do can't be kept for the case of a crash (" + e.getMessage()
                    + "). The piece itself is as it was: save it yourself now and then.");
        }
    }

    /** Whether all is kept that there is. */
    public boolean settled() {
        return !writing && (kept == studio.kept() || !studio.unsaved());
    }

    /** The program is left with the user's consent: nothing of it is to be gone on with. */
    @Override
    public void close() {
        wait.stop();
        var done = new CompletableFuture<Void>();
        line.execute(() -> {
            try {
                if (slot != null) {
                    slot.close();
                }
            } catch (IOException e) {
                // it is offered at the next start then
            } finally {
                done.complete(null);
            }
        });
        try {
            done.get(3, TimeUnit.SECONDS);
        } catch (InterruptedException | ExecutionException | TimeoutException e) {
            // the folder stays and is offered at the next start
        }
    }
}
