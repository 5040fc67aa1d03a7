package tundra.app.document;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.util.Duration;
import tundra.app.job.Work;
import tundra.core.file.OpenMark;

/** Watches the file of the open piece: whether someone else changes it, and says beside it that it is open here. */
public final class FileWatch implements AutoCloseable {
    private static final Duration EVERY = Duration.seconds(2);
    /** So many looks pass until the mark beside the file is made new. */
    private static final int REFRESH = 30;
    private final Consumer<Path> changed;
    private final Timeline looks = new Timeline(new KeyFrame(EVERY, e -> look()));
    private Path file;
    /** What the file was when it was read or written here last; null where it counts as changed. */
    private FileStamp stamp;
    /** What was told already. */
    private FileStamp told;
    private OpenMark mark;
    private int count;
    private boolean looking;

    /** @param changed told once of each change that someone else made */
    FileWatch(Consumer<Path> changed) {
        this.changed = changed;
        looks.setCycleCount(Animation.INDEFINITE);
    }

    /** The open piece is of this file as it is now; null for none. */
    void of(Path now, FileStamp as) {
        stamp = as;
        told = as;
        if (Objects.equals(now, file)) {
            return;
        }
        OpenMark before = mark;
        mark = null;
        file = now;
        Work.start("file mark", () -> {
            if (before != null) {
                before.close();
            }
            if (now != null) {
                OpenMark put = OpenMark.put(now);
                Platform.runLater(() -> {
                    if (now.equals(file) && mark == null) {
                        mark = put;
                    } else if (put != null) {
                        put.close();
                    }
                });
            }
        });
        if (now == null) {
            looks.stop();
        } else {
            looks.playFromStart();
        }
    }

    /** Whether a file is another one than was read or written here last. */
    boolean strayed(Path to) {
        return Files.exists(to) && !FileStamp.of(to).equals(stamp);
    }

    /** What is there now is known and may be written over. */
    void accept() {
        stamp = FileStamp.of(file);
        told = stamp;
    }

    /** Looks off the interface thread, as a drive may take its time. */
    public void look() {
        if (file == null || looking) {
            return;
        }
        looking = true;
        Path at = file;
        OpenMark here = ++count % REFRESH == 0 ? mark : null;
        Work.start("file watch", () -> {
            FileStamp now = Files.exists(at) ? FileStamp.of(at) : null;
            if (here != null) {
                here.refresh();
            }
            Platform.runLater(() -> {
                looking = false;
                if (now != null && at.equals(file) && !now.equals(stamp) && !now.equals(told)) {
                    told = now;
                    changed.accept(at);
                }
            });
        });
    }

    @Override
    public void close() {
        looks.stop();
        if (mark != null) {
            mark.close();
        }
    }
}
