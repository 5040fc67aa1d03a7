package tundra.app.details;

import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.SVGPath;
import tundra.app.widget.LightLabel;

/** One of the two clocks, with a small picture of how it goes: a wave that runs on by itself, or one that a playhead draws. */
final class ClockChoice extends VBox {
    private static final String WAVE = "M0 9C6 0 12 0 18 9S30 18 36 9", AGAIN = "M36 9C42 0 48 0 54 9S66 18 72 9";
    private final LightLabel words = new LightLabel("", "quiet", "small");
    private final Runnable choose;

    ClockChoice(boolean own, Runnable choose) {
        super(2);
        this.choose = choose;
        setId(own ? "clock-own" : "clock-parent");
        getStyleClass().addAll("clock-choice", own ? "clock-own" : "clock-parent");
        var wave = new SVGPath();
        wave.setContent(own ? WAVE + AGAIN : WAVE);
        wave.getStyleClass().add("clock-wave");
        wave.setFill(null);
        var picture = new Pane(wave);
        picture.setMinHeight(22);
        picture.setPrefHeight(22);
        wave.setLayoutY(2);
        if (!own) {
            var playhead = new Line(38, 0, 38, 20);
            playhead.getStyleClass().add("clock-playhead");
            picture.getChildren().add(playhead);
        }
        words.setMinWidth(0);
        getChildren().addAll(picture, new LightLabel(own ? "Own" : "Parent", "strong"), words);
        setCursor(Cursor.HAND);
        setFocusTraversable(true);
        setAccessibleText(own ? "Its own clock: runs by itself" : "In step with its timeline");
        setOnMouseClicked(e -> choose.run());
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                choose.run();
                e.consume();
            }
        });
    }

    void show(boolean chosen, String sentence) {
        words.setText(sentence);
        getStyleClass().remove("chosen");
        if (chosen) {
            getStyleClass().add("chosen");
        }
    }
}
