package tundra.app.publish;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tundra.app.widget.Times;
import tundra.app.output.LastMade;
import tundra.app.output.OutputQueue;
import tundra.core.edit.OutputWords;
import tundra.core.model.Output;
import tundra.core.model.Project;

/** An output in the list: what it is, what it holds, and how far it is. */
final class OutputCard extends VBox {
    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked"), TROUBLE = PseudoClass.getPseudoClass("trouble");
    private final String id;
    private final Label name = new Label(), about = new Label(), state = new Label();
    private final ProgressBar bar = new ProgressBar(0);
    private final Button cancel = new Button("Cancel");

    /** @param picked told that this one is worked on */
    OutputCard(String id, Runnable picked, Runnable cancelled) {
        super(3);
        this.id = id;
        setId("output-" + id);
        getStyleClass().addAll("card", "output-card");
        setFocusTraversable(true);
        name.getStyleClass().add("card-title");
        about.getStyleClass().addAll("quiet", "small");
        about.setWrapText(true);
        state.getStyleClass().addAll("mono", "small", "output-state");
        state.setWrapText(true);
        state.setId("output-state-" + id);
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.managedProperty().bind(bar.visibleProperty());
        cancel.managedProperty().bind(cancel.visibleProperty());
        cancel.setId("output-cancel-" + id);
        cancel.getStyleClass().add("small");
        cancel.setOnAction(e -> cancelled.run());
        var foot = new HBox(8, state, cancel);
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(name, about, bar, foot);
        setOnMousePressed(e -> {
            requestFocus();
            picked.run();
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                picked.run();
                e.consume();
            }
        });
    }

    String outputId() {
        return id;
    }

    /** @param current whether what was made is of the piece as it is; null where that isn't known yet */
    void show(Project p, Output o, boolean picked, OutputQueue.State s, LastMade made, Boolean current) {
        pseudoClassStateChanged(PICKED, picked);
        pseudoClassStateChanged(TROUBLE, s.stage() == OutputQueue.Stage.FAILED);
        name.setText(o.name());
        about.setText(OutputWords.of(p, o));
        bar.setVisible(s.stage() == OutputQueue.Stage.WORKS);
        bar.setProgress(s.share());
        cancel.setVisible(s.stage() == OutputQueue.Stage.WORKS || s.stage() == OutputQueue.Stage.WAITS);
        state.setText(switch (s.stage()) {
            case WAITS -> "waits";
            case WORKS -> Math.round(100 * s.share()) + " %" + (s.left() < 0 ? "" : " · " + left(s.left()) + " left");
            case FAILED -> s.words();
            case GIVEN_UP -> "given up; nothing was written";
            case NONE, MADE -> made == null ? "not made yet" : made.words() + "\nmade " + Times.day(made.when())
                    + (current == null || current ? "" : ", changed since");
        });
        setAccessibleText(o.name() + ", " + about.getText() + ", " + state.getText());
    }

    private static String left(long seconds) {
        return seconds < 60 ? seconds + " s" : seconds / 60 + " min " + seconds % 60 + " s";
    }
}
