package tundra.app.window;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import tundra.app.art.TracePanel;
import tundra.app.builtin.Workshop;
import tundra.app.check.ChecksPanel;
import tundra.app.help.HelpPage;
import tundra.app.help.HelpPanel;
import tundra.app.history.HistoryPanel;
import tundra.app.job.Work;
import tundra.app.lesson.Lesson;
import tundra.app.lesson.LessonPanel;
import tundra.app.output.LastMade;
import tundra.app.start.Sample;
import tundra.app.start.StartPanel;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.timeline.HelperPanel;
import tundra.app.ways.WaysPanel;
import tundra.core.edit.Arrange;
import tundra.core.file.Recovery;
import tundra.core.helper.Helper;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** What lies over the window for a while: a helper, the checks, and what is asked before anything else is done. */
final class Overlays {
    private final Workshop w;
    private final Studio studio;
    private final StackPane layers;
    private HelperPanel helper;
    private ChecksPanel checks;
    private HistoryPanel history;
    private HelpPanel help;
    private LessonPanel lesson;
    /** Take off again what is asked, the topmost last. */
    private final Deque<Runnable> closers = new ArrayDeque<>();

    Overlays(Workshop w, StackPane layers) {
        this.w = w;
        studio = w.studio;
        this.layers = layers;
    }

    /** Whether something is asked that everything else waits for. */
    boolean asking() {
        return !closers.isEmpty();
    }

    boolean helping() {
        return helper != null;
    }

    boolean checking() {
        return checks != null;
    }

    /** Writes what the helper worked out. */
    void take() {
        helper.take();
    }

    /** Takes off what lies on top; says whether anything did. */
    boolean leave() {
        if (!closers.isEmpty()) {
            closers.getLast().run();
        } else if (helper != null) {
            helper.leaveIt();
        } else if (help != null) {
            help.leaveIt();
        } else if (history != null) {
            history.leaveIt();
        } else if (checks != null) {
            checks.leaveIt();
        } else {
            return false;
        }
        return true;
    }

    /** Opens the tracing of the selected picture over the window. */
    void trace() {
        Element picture = studio.selected();
        var asset = studio.project().assets().get(((Content.Picture) picture.content()).asset());
        var off = new Runnable[1];
        var panel = new TracePanel(asset, picture, traced -> {
            studio.edit("Trace " + picture.name(), b -> Arrange.add(b.mapElement(picture.id(), p -> p.withHidden(true)), traced));
            studio.select(List.of(traced.id()));
        }, () -> off[0].run());
        off[0] = over(panel);
    }

    /** Opens a helper over the canvas. */
    void help(Helper h) {
        if (helper != null) {
            helper.leaveIt();
        }
        studio.setDesk(Desk.ANIMATE);
        helper = new HelperPanel(studio, w.playback, h, () -> {
            layers.getChildren().remove(helper);
            helper = null;
            w.canvas.requestFocus();
        });
        StackPane.setAlignment(helper, Pos.TOP_RIGHT);
        StackPane.setMargin(helper, new Insets(64, 300, 0, 0));
        layers.getChildren().add(helper);
    }

    /** Lays a panel over the window; gives what takes it off again. */
    Runnable over(Node panel) {
        return over(panel, () -> { });
    }

    private Runnable over(Node panel, Runnable leaving) {
        // one is asked at a time; only what a crash left lies over the start page
        while (asking() && !(panel instanceof RecoveryPanel)) {
            leave();
        }
        layers.getChildren().add(panel);
        var off = new Runnable[1];
        off[0] = () -> {
            leaving.run();
            layers.getChildren().remove(panel);
            closers.remove(off[0]);
            w.canvas.requestFocus();
        };
        closers.add(off[0]);
        return off[0];
    }

    /** Offers the pieces that an earlier run left behind; they are looked for off the interface thread. */
    void offerWhatWasLeft() {
        Recovery recovery = w.autosave.recovery();
        Work.start("recovery", () -> {
            recovery.sweep();
            w.files.versions().sweep();
            var found = recovery.found();
            if (!found.isEmpty()) {
                Platform.runLater(() -> offer(recovery, found));
            }
        });
    }

    private void offer(Recovery recovery, List<Recovery.Found> found) {
        var off = new Runnable[1];
        var panel = new RecoveryPanel(found, (f, choice) -> {
            // who goes on with something begins nothing else
            while (choice != RecoveryPanel.Choice.LET_GO && asking()) {
                leave();
            }
            switch (choice) {
                case GO_ON -> w.files.goOnWith(recovery, f, false);
                case LOOK -> w.files.goOnWith(recovery, f, true);
                case LET_GO -> Work.start("recovery", () -> recovery.drop(f));
            }
        }, () -> off[0].run());
        off[0] = over(panel);
    }

    /** Shows what was saved of the piece before. */
    void earlier() {
        var off = new Runnable[1];
        off[0] = over(new EarlierPanel(studio, w.files.versions(), w.jobs, () -> off[0].run()));
    }

    /** Shows all scenes with the sentences between them, over the whole window. */
    void ways(Consumer<String> reveal) {
        var off = new Runnable[1];
        off[0] = over(new WaysPanel(studio, reveal, () -> off[0].run()));
    }

    /** Opens the help on a page, or closes it where it shows that one already; null for the list of all. */
    void help(HelpPage page) {
        if (help == null) {
            leaveSide();
            help = new HelpPanel(w.commands, page, () -> {
                layers.getChildren().remove(help);
                help = null;
                w.canvas.requestFocus();
            });
            StackPane.setAlignment(help, Pos.TOP_RIGHT);
            StackPane.setMargin(help, new Insets(56, 12, 0, 0));
            layers.getChildren().add(help);
        } else {
            help.show(page);
        }
    }

    /** One of these lies at the right side at a time. */
    private void leaveSide() {
        if (help != null) {
            help.leaveIt();
        }
        if (history != null) {
            history.leaveIt();
        }
        if (checks != null) {
            checks.leaveIt();
        }
    }

    /** Begins the lesson on an empty piece. */
    void lesson(BooleanSupplier trying) {
        if (lesson != null) {
            lesson.leaveIt();
        }
        lesson = new LessonPanel(studio, w.commands, Lesson.FIRST, studio.time()::playing, trying, () -> studio.kept().outputs().stream()
                .anyMatch(o -> LastMade.of(w.settings, studio.kept(), o) != null), () -> {
            layers.getChildren().remove(lesson);
            lesson = null;
        });
        StackPane.setAlignment(lesson, Pos.BOTTOM_LEFT);
        StackPane.setMargin(lesson, new Insets(0, 0, 18, 66));
        // beneath what is asked
        layers.getChildren().add(1, lesson);
    }

    /** Offers what can be begun; whatever is chosen takes the offer off first. @param tryIt runs the page of what was opened */
    void start(Runnable tryIt, Runnable leaving) {
        var off = new Runnable[1];
        var choices = new StartPanel.Choices(() -> off[0].run(), w.files::openRecent, w.files::begin, s -> w.files.openSample(s::read, s.words(),
                () -> { }),
                () -> w.files.openSample(Sample.OPEN_NIGHT::read, Sample.OPEN_NIGHT.words(), tryIt), () -> w.commands.run("lesson"), w.files::open,
                w.files::newPiece);
        off[0] = over(new StartPanel(w.settings.recent(), choices), leaving);
    }

    void shortcuts() {
        var off = new Runnable[1];
        off[0] = over(new ShortcutsPanel(w.commands, w.dialogs, () -> off[0].run()));
    }

    boolean remembering() {
        return history != null;
    }

    /** Opens the list of what was done, over any desk, or closes it. */
    void history() {
        if (history != null) {
            history.leaveIt();
            return;
        }
        leaveSide();
        history = new HistoryPanel(studio, () -> {
            layers.getChildren().remove(history);
            history = null;
            w.canvas.requestFocus();
        });
        StackPane.setAlignment(history, Pos.TOP_RIGHT);
        StackPane.setMargin(history, new Insets(56, 12, 0, 0));
        layers.getChildren().add(history);
    }

    /** Opens the list of what looks wrong, over any desk, or closes it. */
    void checks() {
        if (checks != null) {
            checks.leaveIt();
            return;
        }
        leaveSide();
        checks = new ChecksPanel(studio, w.settings, () -> {
            layers.getChildren().remove(checks);
            checks = null;
            w.canvas.requestFocus();
        });
        StackPane.setAlignment(checks, Pos.TOP_RIGHT);
        StackPane.setMargin(checks, new Insets(56, 12, 0, 0));
        layers.getChildren().add(checks);
    }
}
