package tundra.app.publish;

import java.util.function.DoubleConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.VBox;

/** What stands where something is being made: how far it is, and the way out. */
final class Waiting extends VBox {
    private final ProgressBar bar = new ProgressBar();
    private final Button giveUp = new Button("Give up");

    Waiting(String what) {
        super(10);
        setId("try-waiting");
        setAlignment(Pos.CENTER);
        var words = new Label(what);
        words.getStyleClass().add("quiet");
        bar.setAccessibleText(what);
        bar.setPrefWidth(180);
        giveUp.setId("try-give-up");
        getChildren().addAll(words, bar, giveUp);
        setVisible(false);
    }

    /**
     * Shows that something is under way.
     *
     * @return takes how far it is, 0..1
     */
    DoubleConsumer start(Runnable stop) {
        bar.setProgress(ProgressBar.INDETERMINATE_PROGRESS);
        giveUp.setOnAction(e -> stop.run());
        setVisible(true);
        return bar::setProgress;
    }
}
