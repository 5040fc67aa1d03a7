package tundra.app.details;

import java.util.ArrayList;
import java.util.Set;
import javafx.animation.AnimationTimer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.stage.Popup;
import tundra.app.studio.Studio;
import tundra.core.edit.Keys;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.NamedEasing;
import tundra.core.motion.Track;

/** The easing to the next key: the curve, and a choice by what it feels like. */
final class EasingSection extends VBox {
    private final Studio studio;
    private final EasingCurve curve;
    private final Button choice = new Button();
    private final Label trade = new Label();

    EasingSection(Studio studio) {
        this.studio = studio;
        setSpacing(6);
        var title = new Label("Easing to next key");
        title.getStyleClass().add("section");
        curve = new EasingCurve(100, 80, true).onChange((e, merge) -> apply(e, merge));
        choice.setId("easing-choice");
        choice.getStyleClass().add("chooser");
        choice.setMaxWidth(Double.MAX_VALUE);
        choice.setAlignment(Pos.CENTER_LEFT);
        choice.setOnAction(e -> open());
        trade.getStyleClass().addAll("quiet", "small");
        trade.setWrapText(true);
        var right = new VBox(6, choice, trade);
        HBox.setHgrow(right, javafx.scene.layout.Priority.ALWAYS);
        getChildren().addAll(title, new HBox(8, curve, right));
    }

    /** The intervals that are meant: of the selected keys, else the one of the selected element's path at the playhead. */
    static Set<Keys.Ref> refs(Studio studio) {
        if (!studio.keys().isEmpty()) {
            return studio.keys();
        }
        Element e = studio.selected();
        Timeline t = studio.timeline();
        if (e == null || t.tracksOf(e.id()).isEmpty()) {
            return Set.of();
        }
        var p = t.tracksOf(e.id()).containsKey(Properties.POSITION) ? Properties.POSITION : t.tracksOf(e.id()).keySet().iterator().next();
        Track<?> track = t.track(e.id(), p);
        int i = Math.max(0, track.before(studio.playhead()));
        return Set.of(new Keys.Ref(e.id(), p, track.keys().get(i).time()));
    }

    private Easing current() {
        var refs = refs(studio);
        if (refs.isEmpty()) {
            return null;
        }
        Keys.Ref r = refs.iterator().next();
        Track<?> track = studio.timeline().track(r.element(), r.property());
        Key<?> k = track == null ? null : track.keyAt(r.time());
        return k == null ? null : k.easing();
    }

    void refresh() {
        Easing e = current();
        setVisible(e != null);
        setManaged(e != null);
        if (e != null) {
            NamedEasing n = NamedEasing.of(e);
            curve.show(e, studio.dark());
            choice.setText(capital(n.feel()));
            trade.setText(n.trade());
        }
    }

    private static String capital(String s) {
        return s.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + s.substring(1);
    }

    private void apply(Easing e, Object merge) {
        var refs = refs(studio);
        String name = refs.size() == 1 ? "Change easing" : "Change easing of " + refs.size() + " keys";
        studio.edit(name, merge, b -> Keys.ease(b, studio.timeline().id(), refs, e));
    }

    private void open() {
        var popup = new Popup();
        popup.setAutoHide(true);
        var list = new ListView<NamedEasing>();
        list.setId("easing-list");
        var offered = new ArrayList<>(NamedEasing.ALL);
        Easing now = current();
        if (now instanceof CubicEasing && offered.stream().noneMatch(n -> n.easing().equals(now))) {
            offered.addFirst(NamedEasing.of(now));
        }
        list.getItems().setAll(offered);
        list.setPrefSize(270, 380);
        list.setCellFactory(v -> new Cell(studio.dark()));
        list.getSelectionModel().select(offered.indexOf(NamedEasing.of(now)));
        var preview = new Preview();
        list.getSelectionModel().selectedItemProperty().addListener((o, was, n) -> preview.play(n == null ? Easing.LINEAR : n.easing()));
        Runnable take = () -> {
            var n = list.getSelectionModel().getSelectedItem();
            popup.hide();
            if (n != null) {
                apply(n.easing(), null);
            }
        };
        list.setOnMouseClicked(e -> take.run());
        list.setOnKeyPressed(e -> {
            if (e.getCode() == javafx.scene.input.KeyCode.ENTER) {
                take.run();
            }
        });
        var box = new VBox(8, preview, list);
        box.getStyleClass().addAll("root-colors", "popover");
        box.getStylesheets().setAll(getScene().getStylesheets());
        popup.getContent().add(box);
        popup.setOnHidden(e -> preview.stop());
        var at = choice.localToScreen(0, choice.getHeight() + 4);
        popup.show(choice, at.getX() - 150, Math.min(at.getY(), getScene().getWindow().getY() + getScene().getHeight() - 450));
        preview.play(now);
    }

    /** A dot that moves as the easing says, again and again. */
    private static final class Preview extends Pane {
        private final Circle dot = new Circle(6);
        private Easing easing = Easing.LINEAR;
        private long start;
        private final AnimationTimer timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                start = start == 0 ? now : start;
                double p = (now - start) / 1e9 % 1.6 / 1.1;
                dot.setCenterX(30 + 200 * easing.at(Math.min(1, p)));
            }
        };

        Preview() {
            setPrefHeight(22);
            dot.setCenterY(11);
            dot.getStyleClass().add("preview-dot");
            getChildren().add(dot);
        }

        void play(Easing e) {
            easing = e;
            start = 0;
            timer.start();
        }

        void stop() {
            timer.stop();
        }
    }

    private static final class Cell extends ListCell<NamedEasing> {
        private final boolean dark;

        Cell(boolean dark) {
            this.dark = dark;
        }

        @Override
        protected void updateItem(NamedEasing n, boolean empty) {
            super.updateItem(n, empty);
            if (empty || n == null) {
                setGraphic(null);
                return;
            }
            var c = new EasingCurve(44, 30, false);
            c.show(n.easing(), dark);
            var feel = new Label(capital(n.feel()));
            var trade = new Label(n.trade());
            trade.getStyleClass().addAll("quiet", "small");
            setGraphic(new HBox(10, c, new VBox(feel, trade)));
        }
    }
}
