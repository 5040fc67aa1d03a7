package tundra.app.window;

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
    private final Label words = new Label();
    private final ProgressBar progress = new ProgressBar();
    private final Button cancel = new Button("Cancel");
    private final HBox box;
    private final PauseTransition leave = new PauseTransition(Duration.seconds(5));

    public Notices() {
        setPickOnBounds(false);
        setMouseTransparent(false);
        words.setId("notice");
        words.setWrapText(true);
        words.setMaxWidth(640);
        words.setMinHeight(USE_PREF_SIZE);
        progress.setPrefWidth(120);
        var close = new Button();
        close.setGraphic(Icon.CLOSE.node(14));
        close.setAccessibleText("Close this message");
        close.getStyleClass().add("flat");
        close.setOnAction(e -> hide());
        box = new HBox(10, words, progress, cancel, close);
        box.setAlignment(Pos.CENTER_LEFT);
        box.getStyleClass().add("notice");
        box.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setAlignment(box, Pos.BOTTOM_CENTER);
        getChildren().add(box);
        leave.setOnFinished(e -> hide());
        hide();
    }

    private void show(String text, String kind, boolean working) {
        words.setText(text);
        progress.setVisible(working);
        progress.setManaged(working);
        cancel.setVisible(working);
        cancel.setManaged(working);
        box.getStyleClass().removeAll("problem", "news");
        box.getStyleClass().add(kind);
        box.setVisible(true);
        leave.stop();
    }

    public void news(String text) {
        show(text, "news", false);
        leave.playFromStart();
    }

    public void problem(String text) {
        show(text, "problem", false);
    }

    /** Shows work under way; the button asks for it to be given up. */
    public void working(String text, Runnable giveUp) {
        show(text, "news", true);
        progress.setProgress(-1);
        cancel.setOnAction(e -> giveUp.run());
    }

    public void progress(double p) {
        progress.setProgress(p);
    }

    public void hide() {
        box.setVisible(false);
    }

    /** What is told now; null for nothing. */
    public String told() {
        return box.isVisible() ? words.getText() : null;
    }
}
