package tundra.app.publish;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.output.Expected;
import tundra.app.output.Makers;
import tundra.app.output.OutputPlaces;
import tundra.app.output.OutputQueue;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NamedRow;
import tundra.app.widget.WordsOf;
import tundra.core.edit.OutputEdits;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.Project;
import tundra.web.Embed;

/** What is said of the output that is worked on, below its card: its settings, where it goes, and what can be done with it. */
final class OutputDetails extends VBox {
    private static final int SAMPLE = 208;
    private final Studio studio;
    private final PublishPanel panel;
    private final TextField name = new TextField();
    private final VBox rows = new VBox(5), page = new VBox(5);
    private final Label where = new Label(), told = new Label();
    private final ImageView sample = new ImageView();
    private final Button make = new Button("Make"), open = new Button("Open"), folder = new Button("Show in folder"),
            copy = new Button("Copy the code");
    private final ComboBox<PageSettings.Fit> fit = new LightComboBox<>();
    private final CheckBox history = new CheckBox("Scenes in browser history");
    private final TextField language = new TextField();
    private final List<OutputField> fields = new ArrayList<>();
    private final PauseTransition rest = new PauseTransition(Duration.millis(600));
    private OutputKind shown;
    private String id = "";
    /** What the last estimate was of. */
    private Object estimated;
    private Runnable left = () -> { };

    OutputDetails(Studio studio, PublishPanel panel) {
        super(7);
        this.studio = studio;
        this.panel = panel;
        setId("output-details");
        getStyleClass().add("output-details");
        name.setId("output-name");
        name.setAccessibleText("Name of the output");
        name.setOnAction(e -> rename());
        name.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                rename();
            }
        });
        where.getStyleClass().addAll("mono", "small");
        where.setId("output-place");
        where.setWrapText(true);
        told.getStyleClass().addAll("quiet", "small");
        told.setId("output-told");
        told.setWrapText(true);
        sample.setId("output-sample");
        sample.setPreserveRatio(true);
        sample.setFitWidth(SAMPLE);
        make.setId("output-make");
        make.setOnAction(e -> panel.make(List.of(output())));
        open.setId("output-open");
        open.setOnAction(e -> panel.open(output()));
        folder.setId("output-folder");
        folder.setOnAction(e -> panel.showFolder(output()));
        copy.setId("output-copy");
        copy.setOnAction(e -> copy());
        Buttons.tip(copy, "What is put into a page to show the piece there");
        var settings = new ToggleButton("Settings");
        settings.setId("output-settings");
        var elsewhere = new Button("Elsewhere…");
        elsewhere.setId("output-where");
        elsewhere.getStyleClass().add("small");
        elsewhere.setOnAction(e -> panel.choosePlace(output()));
        var said = new VBox(5, new NamedRow("Name", name), rows, page, where, elsewhere);
        said.visibleProperty().bind(settings.selectedProperty());
        said.managedProperty().bind(said.visibleProperty());
        var more = new LightButton("");
        more.setId("output-more");
        more.setAccessibleText("More of this output");
        more.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        Buttons.menu(more, this::more);
        var doing = new FlowPane(6, 6, make, open, folder, copy, settings, more);
        doing.setAlignment(Pos.CENTER_LEFT);
        for (Node n : List.of(open, folder, copy, told, sample, page)) {
            n.managedProperty().bind(n.visibleProperty());
        }
        page();
        rest.setOnFinished(e -> estimate());
        getChildren().addAll(doing, told, sample, said);
        HBox.setHgrow(name, Priority.ALWAYS);
    }

    private Output output() {
        return studio.project().output(id);
    }

    /** What holds for the piece on all of its pages. */
    private void page() {
        fit.setId("publish-fit");
        fit.setMaxWidth(Double.MAX_VALUE);
        fit.setAccessibleText("How large the page is seen");
        fit.getItems().setAll(PageSettings.Fit.values());
        fit.setConverter(new WordsOf<>(x -> x.words));
        fit.setOnAction(e -> set("Change how the page fits", fit.getValue() == null ? null : now().withFit(fit.getValue())));
        language.setId("publish-language");
        language.setAccessibleText("Language of the page, such as en or de");
        Buttons.tip(language, "The language of the page's words, for screen readers and translators: en, de, pt-BR …");
        language.setPrefColumnCount(6);
        language.setOnAction(e -> spoken());
        language.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                spoken();
            }
        });
        history.setId("publish-history");
        Buttons.tip(history, "Each scene has an address of its own, and the browser's way back goes from scene to scene");
        history.setOnAction(e -> set(history.isSelected() ? "Let the browser go from scene to scene" : "Keep scenes from the browser's history",
                now().withHistory(history.isSelected())));
        page.getChildren().addAll(new NamedRow("Seen", fit), new NamedRow("Language", language), history);
        HBox.setHgrow(fit, Priority.ALWAYS);
    }

    private PageSettings now() {
        return studio.project().page();
    }

    private void set(String words, PageSettings next) {
        if (next != null && !next.equals(now())) {
            panel.edit(words, null, p -> p.withPage(next));
        }
    }

    private void spoken() {
        String tag = language.getText().strip();
        if (PageSettings.isLanguage(tag)) {
            set("Change the page's language", now().withLanguage(tag));
        }
        language.setText(now().language());
    }

    private void rename() {
        Output o = output();
        if (o != null && !name.getText().isBlank() && !name.getText().strip().equals(o.name())) {
            panel.edit("Rename " + o.name(), null, p -> OutputEdits.rename(p, o.id(), name.getText()));
        }
        name.setText(output() == null ? "" : output().name());
    }

    private List<MenuItem> more() {
        Output o = output();
        var out = new ArrayList<MenuItem>();
        out.add(item("outputs-folder", "Folder of all outputs…", panel::chooseFolder));
        out.add(new SeparatorMenuItem());
        out.add(item("output-copy-of", "Make another like it", () -> panel.edit("Copy " + o.name(), null, p -> OutputEdits.copy(p, o.id()))));
        out.add(item("output-up", "Move up", () -> panel.edit("Move " + o.name(), null, p -> OutputEdits.move(p, o.id(), -1))));
        out.add(item("output-down", "Move down", () -> panel.edit("Move " + o.name(), null, p -> OutputEdits.move(p, o.id(), 1))));
        out.add(item("output-remove", "Take it off the list", () -> panel.edit("Remove " + o.name(), null, p -> OutputEdits.remove(p, o.id()))));
        return out;
    }

    private static MenuItem item(String id, String words, Runnable run) {
        var i = new MenuItem(words);
        i.setId(id);
        i.setOnAction(e -> run.run());
        return i;
    }

    /** What is put into another page, onto the clipboard. */
    private void copy() {
        Output o = output();
        Project p = studio.kept();
        var content = new ClipboardContent();
        String at = OutputPlaces.name(p, o, studio.file());
        content.putString(o.text(Outputs.EMBED_AS).equals("element") ? Embed.snippet(p, at) : Embed.frame(p, at));
        Clipboard.getSystemClipboard().setContent(content);
        panel.notices().news("The code is on the clipboard. It expects the folder “" + at + "” beside the page.");
    }

    /** @param o null where the piece has no outputs */
    void show(Output o) {
        setVisible(o != null);
        setManaged(o != null);
        if (o == null) {
            return;
        }
        boolean other = !o.id().equals(id);
        id = o.id();
        if (o.kind() != shown) {
            shown = o.kind();
            fields.clear();
            o.kind().settings().forEach(s -> fields.add(new OutputField(studio, s, this::output,
                    (v, merge) -> panel.edit("Change " + s.label().toLowerCase(Locale.ROOT) + " of " + output().name(), merge,
                    p -> OutputEdits.set(p, id, s.slot(), v)))));
            rows.getChildren().setAll(fields);
        }
        fields.forEach(OutputField::refresh);
        if (!name.isFocused() || other) {
            name.setText(o.name());
        }
        page.setVisible(o.kind() == Outputs.PAGE);
        fit.setValue(now().fit());
        history.setSelected(now().history());
        if (!language.isFocused()) {
            language.setText(now().language());
        }
        where.setText(panel.placeWords(o));
        OutputQueue.Stage stage = panel.queue().state(id).stage();
        make.setDisable(stage == OutputQueue.Stage.WORKS || stage == OutputQueue.Stage.WAITS);
        boolean made = panel.wasMade(o);
        open.setVisible(made);
        folder.setVisible(made);
        copy.setVisible(o.kind() == Outputs.EMBED);
        Object of = List.of(o.kind(), o.settings(), studio.kept());
        if (!Objects.equals(of, estimated)) {
            estimated = of;
            left.run();
            String leaves = Makers.leavesOut(studio.kept(), o);
            told.setText(leaves);
            told.setVisible(!leaves.isEmpty());
            sample.setVisible(false);
            if (Expected.told(o)) {
                rest.playFromStart();
            }
        }
    }

    /** How large it will be and whether it closes, which takes some painting; and a real sample of its colours. */
    private void estimate() {
        Output o = output();
        if (o == null || getScene() == null) {
            return;
        }
        Project p = studio.kept();
        left = panel.jobs().start(progress -> Expected.of(p, o, progress), share -> { }, e -> {
            told.setText(e.words());
            told.setVisible(!e.words().isEmpty());
            sample.setImage(e.sample() == null ? null : new Image(new ByteArrayInputStream(e.sample())));
            sample.setVisible(e.sample() != null);
        }, () -> { });
    }
}
