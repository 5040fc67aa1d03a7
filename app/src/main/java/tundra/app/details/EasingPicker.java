package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.NumberField;
import tundra.app.widget.Popovers;
import tundra.app.widget.WholeDrags;
import tundra.app.widget.WholeWords;
import tundra.core.model.KeptEasing;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.NamedEasing;
import tundra.core.motion.SpringEasing;
import tundra.core.motion.StepsEasing;

/**
 * Easings by what they feel like, each with its curve and trade name. The one that is pointed out moves next to the one in use,
 * so that the two can be compared; steps and springs have their numbers below; a good one is kept under a name.
 */
final class EasingPicker {
    private final Studio studio;
    private final Settings settings;
    private final Easing now;
    private final BiConsumer<Easing, Object> take;
    private final Popup popup = new Popup();
    private final ListView<Row> list = new ListView<>();
    private final EasingCurve both = new EasingCurve(118, 92, false);
    private final EasingPreview preview;
    private final VBox numbers = new VBox(6);
    private final TextField name = new TextField();
    private Easing candidate;
    private final Object merge = new Object();

    EasingPicker(Studio studio, Settings settings, Easing now, BiConsumer<Easing, Object> take) {
        this.studio = studio;
        this.settings = settings;
        this.now = now;
        this.take = take;
        this.candidate = now;
        this.preview = new EasingPreview(now);
        Popovers.closing(popup);
        popup.setOnHidden(e -> preview.stop());
        list.setId("easing-list");
        list.setPrefSize(290, 300);
        list.setCellFactory(v -> new Cell());
        fill();
        list.getSelectionModel().select(find(now));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, r) -> point(r == null || r.easing == null ? now : r.easing.easing()));
        list.setOnMouseClicked(e -> {
            Row r = list.getSelectionModel().getSelectedItem();
            if (r != null && r.easing != null) {
                take();
            }
        });
        list.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                take();
            }
        });
    }

    /** A row of the list: an easing, or the words over a group of them. */
    private record Row(String words, NamedEasing easing) {}

    private void fill() {
        var rows = new ArrayList<Row>();
        var seen = new ArrayList<NamedEasing>();
        if (NamedEasing.ALL.stream().noneMatch(n -> n.easing().equals(now))) {
            seen.add(NamedEasing.of(now));
        }
        settings.recentEasings().forEach(text -> parsed(text).ifPresent(e -> {
            if (seen.stream().noneMatch(n -> n.easing().equals(e))) {
                seen.add(NamedEasing.of(e));
            }
        }));
        group(rows, "used lately", seen);
        group(rows, "kept with this piece", studio.project().easings().stream()
                .map(k -> new NamedEasing(NamedEasing.Group.OWN, k.name(), NamedEasing.of(k.easing()).feel(), k.easing())).toList());
        var elsewhere = new ArrayList<NamedEasing>();
        settings.easings().forEach((name, text) -> parsed(text).ifPresent(e -> {
            if (studio.project().easings().stream().noneMatch(k -> k.name().equals(name))) {
                elsewhere.add(new NamedEasing(NamedEasing.Group.OWN, name, NamedEasing.of(e).feel(), e));
            }
        }));
        group(rows, "kept in other pieces", elsewhere);
        for (NamedEasing.Group g : NamedEasing.Group.values()) {
            group(rows, g.words, NamedEasing.ALL.stream().filter(n -> n.group() == g).toList());
        }
        list.getItems().setAll(rows);
    }

    private static void group(List<Row> rows, String words, List<NamedEasing> of) {
        if (!of.isEmpty()) {
            rows.add(new Row(words, null));
            of.forEach(n -> rows.add(new Row(null, n)));
        }
    }

    /** Nothing for one that another version kept; it stays in the settings. */
    private static Optional<Easing> parsed(String text) {
        try {
            return Optional.of(EasingText.parse(text));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private Row find(Easing e) {
        return list.getItems().stream().filter(r -> r.easing != null && r.easing.easing().equals(e)).findFirst().orElse(null);
    }

    void show(Node below) {
        both.compare(now, candidate, studio.dark());
        both.setId("easing-compare");
        var words = new Label("in use");
        words.getStyleClass().addAll("quiet", "small");
        var other = new Label("pointed out");
        other.getStyleClass().addAll("small", "time-words");
        var dots = new VBox(2, words, preview, other);
        dots.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(dots, Priority.ALWAYS);
        name.setPromptText("Name to keep it by");
        name.setId("easing-name");
        HBox.setHgrow(name, Priority.ALWAYS);
        var keep = new Button("Keep");
        keep.setId("easing-keep");
        Buttons.tip(keep, "Keeps the easing that is pointed out among your own");
        keep.setOnAction(e -> keep());
        var keeping = new HBox(6, name, keep);
        keeping.setAlignment(Pos.CENTER_LEFT);
        name.setMinHeight(28);
        var box = new VBox(8, new HBox(10, both, dots), list, numbers, keeping);
        box.getStyleClass().addAll("root-colors", "popover");
        box.getStylesheets().setAll(below.getScene().getStylesheets());
        popup.getContent().add(box);
        WholeDrags.in(box);
        WholeWords.in(box);
        point(candidate);
        var at = below.localToScreen(0, 30);
        var window = below.getScene().getWindow();
        popup.show(below, at.getX() - 170, Math.max(window.getY() + 40, Math.min(at.getY(), window.getY() + window.getHeight() - 540)));
        preview.play();
        list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 2));
        list.requestFocus();
    }

    private void point(Easing e) {
        candidate = e;
        both.compare(now, e, studio.dark());
        preview.point(e);
        numbers.getChildren().clear();
        switch (e) {
            case StepsEasing s -> steps(s);
            case SpringEasing s -> spring(s);
            default -> { }
        }
    }

    private void take() {
        popup.hide();
        settings.addRecentEasing(candidate.text());
        take.accept(candidate, null);
    }

    private void steps(StepsEasing s) {
        var count = new NumberField("Number of steps", "steps", 0);
        count.setId("steps-count");
        count.show(s.count());
        var jump = new ComboBox<StepsEasing.Jump>();
        jump.setId("steps-jump");
        jump.getItems().setAll(StepsEasing.Jump.values());
        jump.setValue(s.jump());
        jump.setButtonCell(new JumpCell());
        jump.setCellFactory(v -> new JumpCell());
        count.onChange((v, m) -> changed(() -> new StepsEasing((int) Math.round(v), jump.getValue())));
        jump.setOnAction(x -> changed(() -> new StepsEasing(((StepsEasing) candidate).count(), jump.getValue())));
        HBox.setHgrow(count, Priority.ALWAYS);
        numbers.getChildren().setAll(new HBox(6, count, jump));
    }

    private void spring(SpringEasing s) {
        var fields = List.of(new NumberField("Stiffness", "stiffness", 1), new NumberField("Damping", "damping", 1),
                new NumberField("Mass", "mass", 2));
        double[] v = {s.stiffness(), s.damping(), s.mass()};
        for (int i = 0; i < 3; i++) {
            int n = i;
            fields.get(i).setId("spring-" + i);
            fields.get(i).show(v[i]);
            fields.get(i).onChange((x, m) -> changed(() -> {
                v[n] = x;
                return new SpringEasing(v[0], v[1], v[2]);
            }));
        }
        numbers.getChildren().setAll(fields);
    }

    /** Takes over numbers at once, so that they can be tried on the canvas; those that make no easing change nothing. */
    private void changed(Supplier<Easing> made) {
        try {
            candidate = made.get();
        } catch (IllegalArgumentException e) {
            return;
        }
        both.compare(now, candidate, studio.dark());
        preview.point(candidate);
        take.accept(candidate, merge);
    }

    private void keep() {
        if (!name.getText().isBlank()) {
            String words = name.getText().strip();
            settings.setEasing(words, candidate.text());
            Easing kept = candidate;
            studio.editProject("Keep an easing", null, p -> p.withEasing(new KeptEasing(words, kept)));
            fill();
            list.getSelectionModel().select(find(kept));
            name.clear();
        }
    }

    private static final class JumpCell extends ListCell<StepsEasing.Jump> {
        @Override
        protected void updateItem(StepsEasing.Jump j, boolean empty) {
            super.updateItem(j, empty);
            setText(empty || j == null ? "" : switch (j) {
                case START -> "jumps at once";
                case END -> "jumps at the end";
                case NONE -> "holds both ends";
                case BOTH -> "jumps at both";
            } + "  " + j.css.toLowerCase(Locale.ROOT));
        }
    }

    private final class Cell extends ListCell<Row> {
        @Override
        protected void updateItem(Row row, boolean empty) {
            super.updateItem(row, empty);
            setDisable(!empty && row != null && row.easing == null);
            getStyleClass().remove("group-row");
            if (empty || row == null) {
                setGraphic(null);
                return;
            }
            if (row.easing == null) {
                getStyleClass().add("group-row");
                setGraphic(new Label(EasingSection.capital(row.words)));
                return;
            }
            NamedEasing n = row.easing;
            var c = new EasingCurve(44, 30, false);
            c.show(n.easing(), studio.dark());
            var feel = new Label(EasingSection.capital(n.feel()));
            var trade = new Label(n.trade());
            trade.getStyleClass().addAll("quiet", "small");
            setGraphic(new HBox(10, c, new VBox(feel, trade)));
        }
    }
}
