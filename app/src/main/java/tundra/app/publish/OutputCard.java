package tundra.app.publish;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.job.Asker;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Studio;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Project;
import tundra.core.model.Slot;
import tundra.render.FilmFormat;
import tundra.render.Filming;

/** An output of the scene that is open: what is said of it, how far it is, and where it was put. */
final class OutputCard extends VBox {
    private final Studio studio;
    private final Asker asker;
    private final Jobs jobs;
    private final Notices notices;
    private final Consumer<String> show;
    private final Label state = new Label();
    private final ProgressBar bar = new ProgressBar(0);
    private final Button make = new Button("Make…");
    private final Button cancel = new Button("Cancel");
    private final Button open = new Button("Open");
    private Runnable giveUp = () -> { };
    private Output output;
    private Path made;

    /** @param show opens an address with the system's own program */
    OutputCard(OutputKind kind, Studio studio, Asker asker, Jobs jobs, Notices notices, Consumer<String> show) {
        super(6);
        this.studio = studio;
        this.asker = asker;
        this.jobs = jobs;
        this.notices = notices;
        this.show = show;
        output = kind.made();
        setId("output-" + kind.key());
        getStyleClass().add("card");
        var name = new Label(kind.label());
        name.getStyleClass().add("card-title");
        var hint = new Label(kind.hint());
        hint.getStyleClass().addAll("quiet", "small");
        hint.setWrapText(true);
        var rows = new VBox(4);
        kind.settings().forEach(s -> rows.getChildren().add(row(s)));
        var settings = new ToggleButton("Settings");
        settings.setId("output-settings-" + kind.key());
        rows.visibleProperty().bind(settings.selectedProperty());
        state.getStyleClass().addAll("mono", "small");
        state.setWrapText(true);
        state.setId("output-state-" + kind.key());
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.setVisible(false);
        cancel.setVisible(false);
        open.setVisible(false);
        make.setId("output-make-" + kind.key());
        cancel.setId("output-cancel-" + kind.key());
        for (Node n : List.of(rows, bar, cancel, open)) {
            n.managedProperty().bind(n.visibleProperty());
        }
        make.setOnAction(e -> make());
        cancel.setOnAction(e -> giveUp.run());
        open.setOnAction(e -> show.accept(made.toUri().toString()));
        getChildren().addAll(name, hint, rows, bar, state, new HBox(8, make, cancel, open, settings));
        shown();
    }

    private void shown() {
        if (made == null && !bar.isVisible()) {
            state.setText(output.settings().values().entrySet().iterator().next().getValue() + " · not made yet");
        }
    }

    private void put(Slot slot, Object value) {
        output = output.with(slot, value);
        shown();
    }

    private Node row(LabelledSlot s) {
        Slot slot = s.slot();
        if (s.yesNo()) {
            var tick = new CheckBox(s.label());
            tick.setId("output-" + output.kind().key() + "-" + slot.key());
            tick.setOnAction(e -> put(slot, tick.isSelected() ? "yes" : "no"));
            return tick;
        }
        Node field;
        if (slot.type() == Slot.Type.CHOICE) {
            var box = new ComboBox<String>();
            box.getItems().setAll(slot.choices());
            box.setValue(output.text(slot));
            box.setMaxWidth(Double.MAX_VALUE);
            box.setAccessibleText(s.label());
            box.setOnAction(e -> put(slot, box.getValue()));
            field = box;
        } else {
            boolean time = slot.type() == Slot.Type.DURATION;
            var number = new NumberField(s.label(), s.unit(), time ? 3 : 0);
            number.onChange((v, merge) -> {
                double kept = Numbers.clamp(v, time ? 0 : slot.min(), time ? 86_400 : slot.max());
                put(slot, time ? (Object) Math.round(kept * 1e6) : (Object) kept);
                number.show(kept);
            });
            number.show(((Number) slot.standard()).doubleValue() / (time ? 1e6 : 1));
            field = number;
        }
        field.setId("output-" + output.kind().key() + "-" + slot.key());
        HBox.setHgrow(field, Priority.ALWAYS);
        return new NamedRow(s.label(), field);
    }

    /** Asks where to, and makes it off the interface thread. */
    void make() {
        Project project = studio.kept();
        Board board = project.scenes().stream().filter(s -> s.id().equals(studio.scene().id())).findFirst().orElseThrow().board();
        Output what = output;
        Filming filming;
        try {
            filming = new Filming(project, board, what);
        } catch (tundra.core.file.FileProblem e) {
            notices.problem(e.getMessage());
            return;
        }
        FilmFormat format = filming.format();
        String name = (project.name() + " " + studio.scene().name()).replaceAll("[^\\p{L}\\p{N}]+", "-").toLowerCase(Locale.ROOT) + "." + format.ending;
        Path to = asker.save("Make a " + what.kind().label().toLowerCase(Locale.ROOT), name, studio.file() == null ? null : studio.file().toAbsolutePath().getParent()).orElse(null);
        if (to == null) {
            return;
        }
        working(true);
        state.setText(filming.frames() + " pictures…");
        giveUp = jobs.start(progress -> {
            try {
                filming.write(to, progress);
                return Files.size(to);
            } finally {
                Platform.runLater(() -> working(false));
            }
        }, bar::setProgress, bytes -> {
            made = to;
            open.setVisible(true);
            state.setText(filming.frames() + " pictures · " + (bytes < 1 << 20 ? (bytes + 1023) / 1024 + " KB" : Numbers.plain(bytes / 1048576.0, 1) + " MB"));
            notices.news("The " + what.kind().label().toLowerCase(Locale.ROOT) + " is made: " + to.getFileName() + ", " + Places.shown(to.toAbsolutePath().getParent(), studio.file()) + ".");
        }, () -> state.setText("given up; nothing was written"));
    }

    private void working(boolean on) {
        make.setDisable(on);
        cancel.setVisible(on);
        bar.setVisible(on);
        bar.setProgress(0);
        if (!on && state.getText().endsWith("pictures…")) {
            state.setText("not made");
        }
    }
}
