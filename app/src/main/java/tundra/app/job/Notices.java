package tundra.app.job;

import java.util.function.DoubleConsumer;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import tundra.app.widget.Icon;

/** Tells news at the foot of the window: good news goes by itself, a problem stays until it is closed. */
public final class Notices extends StackPane {
    private final PauseTransition leave = new PauseTransition(Duration.seconds(5));
    private Note shown;

    /** A message as it stands in the window. */
    private static final class Note extends HBox {
        private final Label words = new Label();
        private final ProgressBar progress = new ProgressBar();
        private final Button cancel = new Button("Cancel");

        Note(String text, String kind, Runnable close) {
            super(10);
            words.setText(text);
            words.setId("notice");
            words.setWrapText(true);
            words.setMaxWidth(640);
            words.setMinHeight(USE_PREF_SIZE);
            progress.setPrefWidth(120);
            var x = new Button();
            x.setGraphic(Icon.CLOSE.node(14));
            x.setAccessibleText("Close this message");
            x.getStyleClass().add("flat");
            x.setOnAction(e -> close.run());
            setAlignment(Pos.CENTER_LEFT);
            getStyleClass().addAll("notice", kind);
            setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
            getChildren().addAll(words, x);
        }
    }

    public Notices() {
        setPickOnBounds(false);
        leave.setOnFinished(e -> hide());
    }

    private Note show(String text, String kind) {
        leave.stop();
        shown = new Note(text, kind, this::hide);
        setAlignment(shown, Pos.BOTTOM_CENTER);
        getChildren().setAll(shown);
        return shown;
    }

    public void news(String text) {
        show(text, "news");
        leave.playFromStart();
    }

    public void problem(String text) {
        show(text, "problem");
    }

    /** News with something that can be done now; it stays longer. */
    public void news(String text, String action, Runnable run) {
        offer(show(text, "news"), action, run);
    }

    /** A problem with something that can be done about it. */
    public void problem(String text, String action, Runnable run) {
        offer(show(text, "problem"), action, run);
    }

    private void offer(Note n, String action, Runnable run) {
        var b = new Button(action);
        b.setId("notice-action");
        b.setMinWidth(USE_PREF_SIZE);
        b.setOnAction(e -> {
            hide();
            run.run();
        });
        n.getChildren().add(1, b);
    }

    /**
     * Shows work under way; the button asks for it to be given up, where it can be.
     *
     * @return takes how far it is, 0 to 1
     */
    public DoubleConsumer working(String text, Runnable giveUp) {
        Note n = show(text, "news");
        n.getChildren().add(1, n.progress);
        if (giveUp != null) {
            n.cancel.setId("notice-cancel");
            n.cancel.setOnAction(e -> giveUp.run());
            n.getChildren().add(2, n.cancel);
        }
        return n.progress::setProgress;
    }

    public void hide() {
        shown = null;
        getChildren().clear();
    }

    /** What is told now; null for nothing. */
    public String told() {
        return shown == null ? null : shown.words.getText();
    }
}
