package tundra.app;

import java.nio.file.Path;
import java.util.List;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import tundra.app.builtin.Workshop;
import tundra.app.language.Language;
import tundra.app.publish.SystemBrowser;
import tundra.app.studio.Settings;
import tundra.app.widget.Look;
import tundra.app.widget.Translated;
import tundra.app.window.MainWindow;
import tundra.app.window.WindowDialogs;
import tundra.core.geometry.Point;
import tundra.core.model.Project;

/** The desktop application. Arguments: a project to open, or none. */
public class TundraApp extends Application {
    /** How many pulses it lives where it is started only to be seen to start, with {@code tundra.quit}, as for the start-up cache. */
    protected static final int QUIT_AFTER = 60;
    private Workshop workshop;
    private MainWindow window;
    private Stage stage;

    /** The piece that an empty start shows. */
    public static Project blank() {
        return Project.empty("Untitled", new Point(1280, 640), 24);
    }

    /** Now the toolkit is up: the window is made here, while the interface thread reads the theme and another one the fonts. */
    @Override
    public void init() {
        new Thread(Look::fonts, "fonts").start();
        Settings settings = Settings.load();
        Language.use(settings.language());
        // before the first control is made: it would load the toolkit's own theme
        Look.theme(settings.dark());
        workshop = new Workshop(blank(), settings, new WindowDialogs(() -> stage), new SystemBrowser(url -> getHostServices().showDocument(url)));
        window = new MainWindow(workshop);
    }

    @Override
    public void start(Stage stage) {
        this.stage = stage;
        Translated.start();
        List<String> args = getParameters().getUnnamed();
        if (args.isEmpty()) {
            window.offerStart();
        }
        window.open(stage, 1280, 800);
        stage.setMinWidth(900);
        stage.setMinHeight(560);
        stage.setOnHidden(e -> workshop.close());
        stage.show();
        workshop.canvas.requestFocus();
        workshop.autosave.start();
        window.offerWhatWasLeft();
        if (!args.isEmpty()) {
            workshop.files.load(Path.of(args.getFirst()));
        }
        shown(stage);
    }

    /** The window was shown; it is seen with one of the next pulses. */
    protected void shown(Stage stage) {
        if (!Boolean.getBoolean("tundra.quit")) {
            return;
        }
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == QUIT_AFTER) {
                    stop();
                    stage.close();
                    Platform.exit();
                }
            }
        }.start();
    }

    /** Whether all that is seen of the window first is there. */
    protected final boolean complete() {
        return window.complete();
    }
}
