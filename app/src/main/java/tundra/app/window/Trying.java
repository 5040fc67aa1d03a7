package tundra.app.window;

import javafx.application.Platform;
import tundra.app.studio.Desk;
import tundra.web.PreviewServer;

/** Runs the page where its reactions are seen, and leaves it again. */
final class Trying {
    private final MainWindow window;
    boolean trying;

    Trying(MainWindow window) {
        this.window = window;
    }

    /** Runs the page where its reactions are seen: beside the sentences, or on the Publish desk where it is anyway. */
    void tryIt() {
        window.w.playback.stop();
        if (window.studio.desk() == Desk.PUBLISH) {
            window.tryView.get().run();
            return;
        }
        if (window.studio.desk() != Desk.INTERACT) {
            window.studio.setDesk(Desk.INTERACT);
            Platform.runLater(() -> Platform.runLater(this::startTrying));
        } else {
            startTrying();
        }
    }

    private void startTrying() {
        trying = true;
        window.tryView.get().showLeave(true);
        window.desks.arrange();
        window.tryView.get().run();
    }

    void leaveTry() {
        if (window.studio.desk() == Desk.PUBLISH) {
            window.studio.setDesk(Desk.DRAW);
        } else {
            trying = false;
            window.desks.arrange();
        }
    }

    /** Leaves the page that is tried for the canvas at the moment of a line of its log. */
    void goThere(PreviewServer.LogLine l) {
        if (window.studio.project().place(l.scene()) != null) {
            if (trying) {
                leaveTry();
            }
            window.studio.navigation().showPlace(l.scene());
            window.studio.time().choose(l.timeline());
            window.studio.time().seek(Math.round(l.at() * 1000));
        }
    }
}
