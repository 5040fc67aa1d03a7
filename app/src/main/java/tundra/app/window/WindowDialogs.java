package tundra.app.window;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Dialog;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.PasswordField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import tundra.app.job.Dialogs;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.model.Limits;
import tundra.core.geometry.Point;

/** Asks with dialogs over the window. */
public final class WindowDialogs implements Dialogs {
    /** A size to begin with. */
    private record Preset(String name, int width, int height, int frameRate) {}

    private static final List<Preset> PRESETS = List.of(
            new Preset("Wide page", 1280, 640, 24), new Preset("Full screen", 1920, 1080, 30), new Preset("Tablet upright", 820, 1180, 24),
            new Preset("Phone upright", 390, 844, 24), new Preset("Square", 1080, 1080, 24), new Preset("Banner", 970, 250, 24),
            new Preset("Small loop", 480, 360, 12));
    private final Supplier<Stage> owner;

    /** @param owner the stage to ask over, once it is there */
    public WindowDialogs(Supplier<Stage> owner) {
        this.owner = owner;
    }

    @Override
    public Optional<Path> open(String title, String kind, List<String> patterns, Path beside) {
        return Optional.ofNullable(chooser(title, kind, patterns, beside).showOpenDialog(owner.get())).map(File::toPath);
    }

    private static FileChooser chooser(String title, String kind, List<String> patterns, Path beside) {
        var c = new FileChooser();
        c.setTitle(title);
        if (beside != null && Files.isDirectory(beside)) {
            c.setInitialDirectory(beside.toFile());
        }
        c.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind, patterns));
        return c;
    }

    @Override
    public Optional<List<Path>> openSeveral(String title, String kind, List<String> patterns, Path beside) {
        return Optional.ofNullable(chooser(title, kind, patterns, beside).showOpenMultipleDialog(owner.get()))
                .map(all -> all.stream().map(File::toPath).toList());
    }

    @Override
    public Optional<Path> save(String title, String name, Path beside) {
        var c = new FileChooser();
        c.setTitle(title);
        c.setInitialFileName(name);
        if (beside != null && Files.isDirectory(beside)) {
            c.setInitialDirectory(beside.toFile());
        }
        c.getExtensionFilters().add(name.endsWith(".geojson") ? new FileChooser.ExtensionFilter("GeoJSON maps", "*.geojson") : name.endsWith(".gpl")
                ? new FileChooser.ExtensionFilter("Palettes", "*.gpl")
                : new FileChooser.ExtensionFilter("Tundra projects", "*.tundra"));
        return Optional.ofNullable(c.showSaveDialog(owner.get())).map(File::toPath);
    }

    @Override
    public Optional<Path> folder(String title, Path start) {
        var c = new DirectoryChooser();
        c.setTitle(title);
        if (start != null && Files.isDirectory(start)) {
            c.setInitialDirectory(start.toFile());
        }
        return Optional.ofNullable(c.showDialog(owner.get())).map(File::toPath);
    }

    private <T> Dialog<T> dialog(String title) {
        var d = new Dialog<T>();
        d.initOwner(owner.get());
        d.setTitle(title);
        d.setHeaderText(null);
        d.setGraphic(null);
        d.getDialogPane().getStylesheets().setAll(owner.get().getScene().getStylesheets());
        d.getDialogPane().getStyleClass().addAll("root-colors", "tundra-dialog");
        return d;
    }

    @Override
    public Unsaved unsaved(String project) {
        Dialog<Unsaved> d = dialog("Unsaved changes");
        var head = new Label("Save the changes to “" + project + "”?");
        head.getStyleClass().add("heading");
        var words = new Label("They are lost if you go on without saving.");
        words.getStyleClass().add("quiet");
        d.getDialogPane().setContent(new VBox(8, head, words));
        var save = new ButtonType("Save", ButtonBar.ButtonData.YES);
        var discard = new ButtonType("Go on without saving", ButtonBar.ButtonData.NO);
        var cancel = new ButtonType("Stay here", ButtonBar.ButtonData.CANCEL_CLOSE);
        d.getDialogPane().getButtonTypes().addAll(save, discard, cancel);
        d.setResultConverter(b -> b == save ? Unsaved.SAVE : b == discard ? Unsaved.DISCARD : Unsaved.CANCEL);
        return d.showAndWait().orElse(Unsaved.CANCEL);
    }

    @Override
    public Outside changedOutside(String file) {
        Dialog<Outside> d = dialog("Changed meanwhile");
        var head = new Label("“" + file + "” was changed by someone else since you opened it");
        head.getStyleClass().add("heading");
        var words = Words.wrapped(
                "Nothing was written yet. Keep both puts yours beside it under another name. Where yours is written over it, theirs stays as " + file
                + ".previous.");
        words.setMaxWidth(460);
        d.getDialogPane().setContent(new VBox(8, head, words));
        var both = new ButtonType("Keep both", ButtonBar.ButtonData.YES);
        var theirs = new ButtonType("Take theirs", ButtonBar.ButtonData.OTHER);
        var mine = new ButtonType("Write mine", ButtonBar.ButtonData.NO);
        d.getDialogPane().getButtonTypes().addAll(both, theirs, mine, new ButtonType("Stay here", ButtonBar.ButtonData.CANCEL_CLOSE));
        d.setResultConverter(b -> b == both ? Outside.KEEP_BOTH : b == theirs ? Outside.TAKE_THEIRS : b == mine ? Outside.WRITE_MINE
                : Outside.CANCEL);
        return d.showAndWait().orElse(Outside.CANCEL);
    }

    @Override
    public boolean openAnyway(String file, String who) {
        Dialog<Boolean> d = dialog("Open twice");
        var head = new Label("“" + file + "” is open in " + who);
        head.getStyleClass().add("heading");
        var words = Words.wrapped("Both can be worked on; whoever saves second is told, and can keep both.");
        words.setMaxWidth(460);
        d.getDialogPane().setContent(new VBox(8, head, words));
        var open = new ButtonType("Open it here too", ButtonBar.ButtonData.YES);
        d.getDialogPane().getButtonTypes().addAll(open, new ButtonType("Leave it", ButtonBar.ButtonData.CANCEL_CLOSE));
        d.setResultConverter(b -> b == open);
        return d.showAndWait().orElse(false);
    }

    @Override
    public Optional<NewPiece> newPiece() {
        Dialog<NewPiece> d = dialog("New piece");
        var width = new NumberField("Width", "w", 0);
        var height = new NumberField("Height", "h", 0);
        var rate = new NumberField("Frame rate", "frames/s", 0);
        var presets = new ListView<Preset>();
        presets.getItems().setAll(PRESETS);
        presets.setPrefSize(300, 226);
        presets.setCellFactory(v -> new ListCell<>() {
            @Override
            protected void updateItem(Preset p, boolean empty) {
                super.updateItem(p, empty);
                setText(empty ? null : p.name + "   " + p.width + " × " + p.height + " · " + p.frameRate + " frames/s");
            }
        });
        presets.getSelectionModel().selectedItemProperty().addListener((o, was, p) -> {
            if (p != null) {
                width.show(p.width);
                height.show(p.height);
                rate.show(p.frameRate);
            }
        });
        presets.getSelectionModel().selectFirst();
        double[] typed = {1280, 640, 24};
        presets.getSelectionModel().selectedItemProperty().addListener((o, was, p) -> {
            typed[0] = p.width;
            typed[1] = p.height;
            typed[2] = p.frameRate;
        });
        width.onChange((v, m) -> typed[0] = v);
        height.onChange((v, m) -> typed[1] = v);
        rate.onChange((v, m) -> typed[2] = v);
        var head = new Label("New piece");
        head.getStyleClass().add("heading");
        d.getDialogPane().setContent(new VBox(10, head, presets, new HBox(8, width, height, rate)));
        var make = new ButtonType("Make it", ButtonBar.ButtonData.OK_DONE);
        d.getDialogPane().getButtonTypes().addAll(make, new ButtonType("Cancel", ButtonBar.ButtonData.CANCEL_CLOSE));
        d.setResultConverter(b -> b != make ? null : new NewPiece(
                new Point(clamp(typed[0], Limits.SIDE), clamp(typed[1], Limits.SIDE)), (int) clamp(typed[2], 240)));
        return d.showAndWait();
    }

    @Override
    public void report(String headline, String meaning, List<String> lines) {
        if (owner.get().getScene().getRoot() instanceof Pane root) {
            root.getChildren().add(new ReportPanel(headline, meaning, lines, panel -> root.getChildren().remove(panel)));
        }
    }

    private static double clamp(double v, double max) {
        return Math.max(1, Math.min(max, Math.rint(v)));
    }

    @Override
    public Optional<String> secret(String place) {
        var field = new PasswordField();
        field.setId("secret");
        var dialog = new Dialog<String>();
        dialog.initOwner(owner.get());
        dialog.setTitle("Secret");
        dialog.setHeaderText("The secret for “" + place + "”");
        dialog.getDialogPane().setContent(new VBox(8, new Label("It is kept in the keyring of this system where there is one, and nowhere else."),
                field));
        dialog.getDialogPane().getButtonTypes().addAll(ButtonType.OK, ButtonType.CANCEL);
        dialog.setOnShown(e -> field.requestFocus());
        dialog.setResultConverter(b -> b == ButtonType.OK ? field.getText() : null);
        return dialog.showAndWait();
    }
}
