package tundra.app.widget;

import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;

/** A name typed where it stands: Enter and a click elsewhere take it, Escape leaves it as it was. */
public final class NameField extends TextField {
    private boolean done;

    private NameField(String name, Runnable off, Consumer<String> take) {
        super(name);
        setId("name-here");
        setManaged(false);
        Consumer<Boolean> end = taken -> {
            if (!done) {
                done = true;
                String words = getText().strip();
                off.run();
                if (taken && !words.isEmpty() && !words.equals(name)) {
                    take.accept(words);
                }
            }
        };
        setOnAction(e -> {
            end.accept(true);
            e.consume();
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                end.accept(false);
                e.consume();
            }
        });
        focusedProperty().addListener((o, was, is) -> {
            if (was && !is) {
                end.accept(true);
            }
        });
    }

    /**
     * Opens one over a place of a pane.
     *
     * @param take gets another name, never an empty one
     */
    public static void open(Pane over, double x, double y, double width, String name, Consumer<String> take) {
        var field = new NameField[1];
        field[0] = new NameField(name, () -> {
            over.getChildren().remove(field[0]);
            over.requestFocus();
        }, take);
        field[0].resizeRelocate(x, y, width, 24);
        over.getChildren().add(field[0]);
        Platform.runLater(() -> {
            field[0].requestFocus();
            field[0].selectAll();
        });
    }
}
