package tundra.app.cli;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Stream;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.SnapshotParameters;
import javafx.scene.control.TextField;
import javafx.scene.paint.Color;
import javafx.stage.PopupWindow;
import javafx.stage.Stage;
import javafx.stage.Window;
import javax.imageio.ImageIO;
import org.fxmisc.richtext.CodeArea;
import tundra.app.TundraApp;
import tundra.app.builtin.Workshop;
import tundra.app.command.CommandIds;
import tundra.app.job.Settles;
import tundra.app.language.Language;
import tundra.app.page.PageView;
import tundra.app.studio.Desk;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Look;
import tundra.app.widget.Translated;
import tundra.app.window.MainWindow;
import tundra.app.window.WindowDialogs;
import tundra.core.model.Element;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** Opens the window, brings it to a state, waits until it stands still and writes its picture. */
final class ShotApp {
    /** Pulses after which the window stands and a command can be run in it. */
    private static final int SETTLED = 40;
    private static final int STILL_PULSES = 25;
    private final ShotCommand.State state;
    private final CountDownLatch done = new CountDownLatch(1);
    private Exception failure;

    private ShotApp(ShotCommand.State state) {
        this.state = state;
    }

    static int take(ShotCommand.State state) throws Exception {
        if (System.getProperty("tundra.config") == null) {
            System.setProperty("tundra.config", Files.createTempDirectory("tundra-shot").toString());
        }
        var shot = new ShotApp(state);
        Platform.startup(() -> {
            try {
                shot.open();
            } catch (RuntimeException e) {
                shot.end(e);
            }
        });
        shot.done.await();
        Platform.exit();
        if (shot.failure != null) {
            throw shot.failure;
        }
        System.out.println(state.to());
        return 0;
    }

    private void end(Exception e) {
        failure = e;
        done.countDown();
    }

    private void open() {
        Look.theme(state.dark());
        Language.use(state.language());
        Translated.start();
        var stage = new Stage();
        var w = new Workshop(TundraApp.blank(), Settings.load(), new WindowDialogs(() -> stage), url -> { });
        var window = new MainWindow(w);
        window.open(stage, state.size().x(), state.size().y());
        Scene scene = stage.getScene();
        Studio s = w.studio;
        s.open(state.project(), state.file());
        s.setDark(state.dark());
        if (state.scene() != null) {
            s.navigation().showPlace(s.project().places().stream().filter(x -> x.name().equalsIgnoreCase(state.scene())).findFirst().orElseThrow()
                    .id());
        }
        if (state.layout() != null) {
            s.layouts().setLayout(LayoutOptions.named(s.place().name(), s.base(), state.layout()).id());
        }
        if (state.select() != null) {
            select(s);
        }
        s.setDesk(state.desk());
        s.time().seek(state.at());
        stage.show();
        Platform.runLater(() -> {
            if (state.find() != null) {
                w.commands.run(CommandIds.FIND);
                ((TextField) scene.lookup("#find-query")).setText(state.find());
            }
            if (state.tool() != null) {
                w.tools.take(ToolKind.valueOf(state.tool().toUpperCase(Locale.ROOT)));
            }
            if (state.zoom() > 0 && s.selected() != null) {
                var middle = s.picture().frame().find(s.selected().id()).bounds().centre();
                w.canvas.zoom(state.zoom(), w.canvas.viewport().toView(middle));
            }
            if (state.bringIn() != null) {
                w.files.importing.bringIn(List.of(state.bringIn()));
            }
            if (state.tryIt()) {
                w.commands.run(CommandIds.TRY);
            }
        });
        waitUntilStill(stage, w);
    }

    private void select(Studio s) {
        var found = new ArrayList<Element>();
        Tree.each(s.board().elements(), e -> {
            if (e.name().equalsIgnoreCase(state.select()) || e.id().equals(state.select())) {
                found.add(e);
            }
        });
        if (found.isEmpty()) {
            throw new IllegalArgumentException("There is no element “" + state.select() + "” in that scene.");
        }
        String id = found.getFirst().id();
        // the timeline that moves it is the one worth seeing
        for (Timeline t : s.board().timelines()) {
            if (!t.tracksOf(id).isEmpty()) {
                s.time().choose(t.id());
            }
        }
        s.select(List.of(id));
    }

    private void waitUntilStill(Stage stage, Workshop w) {
        boolean page = state.tryIt() || state.desk() == Desk.PUBLISH;
        new AnimationTimer() {
            private int still;
            private int pulses;
            /** When the command was run whose work is to be seen, in ns; 0 before. */
            private long ran;

            @Override
            public void handle(long now) {
                pulses++;
                if (pulses == SETTLED && state.caret() != null && stage.getScene().lookup("#script-code") instanceof CodeArea code) {
                    code.moveTo(code.getText().indexOf(state.caret()) + state.caret().length());
                    code.requestFollowCaret();
                }
                if (pulses == SETTLED + 10 && state.run() != null && state.working() == 0) {
                    still = 0;
                    if (!run()) {
                        return;
                    }
                }
                if (ran > 0) {
                    if (now - ran > state.working() * 1e9) {
                        if (w.jobs.busy()) {
                            take();
                        } else {
                            close(new IllegalArgumentException("The work was done within " + state.working()
                                    + " s. No picture was made; choose a shorter time."));
                        }
                    }
                    return;
                }
                boolean publishing = state.desk() == Desk.PUBLISH;
                boolean idle = !w.jobs.busy() && !checking(stage);
                boolean stands = page ? !loading(stage) && (!publishing || idle) : w.canvas.settled() && idle && !tracing(stage);
                still = stands ? still + 1 : 0;
                if (pulses > SETTLED + 10 && still >= (page ? 260 : STILL_PULSES) || pulses > (publishing ? 3000 : 1200)) {
                    if (state.working() > 0) {
                        ran = now;
                        run();
                    } else {
                        take();
                    }
                }
            }

            /** Says whether there are such commands. */
            private boolean run() {
                try {
                    List.of(state.run().split(",")).forEach(w.commands::run);
                    return true;
                } catch (IllegalArgumentException e) {
                    close(new IllegalArgumentException("There is " + e.getMessage() + "; “Find anything” knows them all. No picture was made.", e));
                    return false;
                }
            }

            private void take() {
                stop();
                save(stage);
                w.close();
                stage.hide();
            }

            private void close(Exception why) {
                stop();
                w.close();
                stage.hide();
                end(why);
            }
        }.start();
    }

    /** Whether a page is tried that isn't there yet. */
    private static boolean loading(Stage stage) {
        return stage.getScene().lookup("#try-page") instanceof PageView p && p.loaded() == null;
    }

    private static boolean tracing(Stage stage) {
        Node apply = stage.getScene().lookup("#trace-apply");
        return apply != null && apply.isDisabled();
    }

    private static boolean checking(Stage stage) {
        return Stream.of("checks", "desk-checks", "start", "history", "earlier")
                .anyMatch(id -> stage.getScene().lookup("#" + id) instanceof Settles s && !s.settled());
    }

    private void save(Stage stage) {
        try {
            Path to = state.to().toAbsolutePath();
            Files.createDirectories(to.getParent());
            var image = SwingFXUtils.fromFXImage(stage.getScene().snapshot(null), null);
            var opaque = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
            opaque.getGraphics().drawImage(image, 0, 0, null);
            var scene = stage.getScene();
            var clear = new SnapshotParameters();
            clear.setFill(Color.TRANSPARENT);
            double left = stage.getX() + scene.getX(), top = stage.getY() + scene.getY();
            for (var w : Window.getWindows()) {
                // what hangs over the window, such as a picker, is a window of its own
                if (w instanceof PopupWindow p && p.isShowing()) {
                    var over = SwingFXUtils.fromFXImage(p.getScene().getRoot().snapshot(clear, null), null);
                    opaque.getGraphics().drawImage(over, (int) Math.round(p.getX() - left), (int) Math.round(p.getY() - top), null);
                }
            }
            ImageIO.write(opaque, "png", to.toFile());
            end(null);
        } catch (IOException e) {
            end(new IllegalArgumentException("The picture can't be written to " + state.to() + " (" + e.getMessage() + ").", e));
        }
    }
}
