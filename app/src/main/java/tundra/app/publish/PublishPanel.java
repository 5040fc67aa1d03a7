package tundra.app.publish;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.job.Asker;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Aspect;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.web.Page;
import tundra.web.PageCompiler;
import tundra.web.Publisher;

/** The outputs: the web page with its folder, its progress and the ways to look at it, and a card for each of {@link Outputs}. */
public final class PublishPanel extends VBox {
    private final Studio studio;
    private final Settings settings;
    private final Asker asker;
    private final Jobs jobs;
    private final Notices notices;
    private final java.util.function.Consumer<String> show;
    private final Label where = new Label();
    private final Label state = new Label("not made yet");
    private final ProgressBar bar = new ProgressBar(0);
    private final Button make = new Button("Make the page");
    private final Button cancel = new Button("Cancel");
    private final HBox after;
    private final ComboBox<PageSettings.Fit> fit = new ComboBox<>();
    private final CheckBox history = new CheckBox("Scenes in browser history");
    private final TextField language = new TextField();
    private final Map<OutputKind, OutputCard> outputs = new LinkedHashMap<>();
    private Runnable giveUp = () -> { };
    private Path folder;

    public PublishPanel(Studio studio, Settings settings, Asker asker, Jobs jobs, Notices notices, java.util.function.Consumer<String> show) {
        this.studio = studio;
        this.settings = settings;
        this.asker = asker;
        this.jobs = jobs;
        this.notices = notices;
        this.show = show;
        setId("publish");
        getStyleClass().add("outputs");
        var title = Words.section("Outputs");
        var name = new Label("Web page");
        name.getStyleClass().add("card-title");
        var kind = new Label("folder · HTML, SVG, script");
        kind.getStyleClass().addAll("quiet", "small");
        where.getStyleClass().addAll("mono", "small");
        where.setWrapText(true);
        where.setId("publish-folder");
        where.setTextOverrun(javafx.scene.control.OverrunStyle.CENTER_ELLIPSIS);
        state.getStyleClass().addAll("mono", "small");
        state.setWrapText(true);
        state.setId("publish-state");
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.setVisible(false);
        bar.managedProperty().bind(bar.visibleProperty());
        var choose = new Button("Folder…");
        choose.setId("publish-choose");
        choose.setOnAction(e -> choose());
        make.setId("publish-make");
        make.getStyleClass().add("primary");
        make.setOnAction(e -> make());
        make.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(make, Priority.ALWAYS);
        cancel.setVisible(false);
        cancel.managedProperty().bind(cancel.visibleProperty());
        cancel.setOnAction(e -> giveUp.run());
        var open = new Button("Open folder");
        open.setOnAction(e -> show.accept(folder.toUri().toString()));
        var browser = new Button("In browser");
        browser.setOnAction(e -> show.accept(folder.resolve("index.html").toUri().toString()));
        after = new HBox(8, open, browser);
        after.setVisible(false);
        after.managedProperty().bind(after.visibleProperty());
        fit.setId("publish-fit");
        fit.setMaxWidth(Double.MAX_VALUE);
        fit.setAccessibleText("How large the page is seen");
        fit.getItems().setAll(PageSettings.Fit.values());
        fit.setConverter(new WordsOf<>(x -> x.words));
        fit.setOnAction(e -> set("Change how the page fits", p -> fit.getValue() == null ? p : p.withFit(fit.getValue())));
        language.setId("publish-language");
        language.setAccessibleText("Language of the page, such as en or de");
        Buttons.tip(language, "The language of the page's words, for screen readers and translators: en, de, pt-BR …");
        language.setPrefColumnCount(6);
        Runnable spoken = () -> {
            if (PageSettings.isLanguage(language.getText().strip())) {
                set("Change the page's language", p -> p.withLanguage(language.getText().strip()));
            }
            shown();
        };
        language.setOnAction(e -> spoken.run());
        language.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                spoken.run();
            }
        });
        var seen = new HBox(8, Words.of("Language", "quiet"), language);
        seen.setAlignment(Pos.CENTER_LEFT);
        history.setId("publish-history");
        Buttons.tip(history, "Each scene has an address of its own, and the browser's way back goes from scene to scene");
        history.setOnAction(e -> set(history.isSelected() ? "Let the browser go from scene to scene" : "Keep scenes from the browser's history", p -> p.withHistory(history.isSelected())));
        var card = new VBox(6, name, kind, where, bar, state, new HBox(8, choose, cancel), after, Words.of("How large it is seen", "quiet"), fit, seen, history);
        card.getStyleClass().addAll("card", "picked");
        card.setAlignment(Pos.TOP_LEFT);
        var cards = new VBox(10, card, make);
        Outputs.ALL.forEach(k -> outputs.put(k, new OutputCard(k, studio, asker, jobs, notices, show)));
        cards.getChildren().addAll(outputs.values());
        var scroll = new ScrollPane(cards);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(title, scroll);
        studio.listen(what -> {
            if (what.contains(Aspect.FILE) || what.contains(Aspect.DESK)) {
                suggest();
            }
            shown();
        });
        shown();
        suggest();
    }

    private void set(String name, UnaryOperator<PageSettings> change) {
        PageSettings now = studio.project().page(), next = change.apply(now);
        if (!next.equals(now)) {
            studio.editProject(name, null, p -> p.withPage(next));
        }
    }

    private void shown() {
        fit.setValue(studio.project().page().fit());
        history.setSelected(studio.project().page().history());
        if (!language.isFocused()) {
            language.setText(studio.project().page().language());
        }
    }

    private void suggest() {
        folder = settings.output(studio.project().id());
        if (folder == null && studio.file() != null) {
            String file = studio.file().getFileName().toString().replaceFirst("\\.tundra$", "");
            folder = studio.file().toAbsolutePath().resolveSibling(file + "-page");
        }
        where.setText(folder == null ? "no folder chosen yet" : Places.shown(folder, studio.file()));
    }

    private void choose() {
        asker.folder("Folder for the page", folder == null ? null : folder.getParent()).ifPresent(f -> {
            folder = f;
            settings.setOutput(studio.project().id(), f);
            where.setText(Places.shown(f, studio.file()));
        });
    }

    /** Makes the page off the interface thread; asks for a folder first when there is none. */
    public void make() {
        if (folder == null) {
            choose();
        }
        if (folder == null) {
            return;
        }
        Project project = studio.kept();
        Path to = folder;
        make.setDisable(true);
        cancel.setVisible(true);
        bar.setVisible(true);
        bar.setProgress(0);
        state.setText("compiling…");
        giveUp = jobs.start(progress -> {
            try {
                Fonts fonts = Fonts.of(project.assets());
                Page page = new PageCompiler(fonts, fonts, new PictureSheets(), new SkiaSeries(progress.part(0, 0.9))).compile(project, null);
                Publisher.publish(page, to, progress.part(0.9, 1));
                progress.check();
                return new Made(page.files().size(), page.files().values().stream().mapToLong(Page.Part::length).sum());
            } finally {
                Platform.runLater(this::ended);
            }
        }, bar::setProgress, made -> {
            state.setText(made.files + " files · " + made.bytes / 1024 + " KB · runs without a server");
            after.setVisible(true);
            settings.setOutput(project.id(), to);
            notices.news("The page is made: " + Places.shown(to, studio.file()) + ".");
        }, () -> {
            state.setText("given up; nothing was changed");
            after.setVisible(false);
        });
    }

    /** Makes another output of the scene that is open; asks where to. */
    public void make(OutputKind kind) {
        outputs.get(kind).make();
    }

    private record Made(int files, long bytes) {}

    private void ended() {
        make.setDisable(false);
        cancel.setVisible(false);
        bar.setVisible(false);
        if (state.getText().equals("compiling…")) {
            state.setText("not made");
        }
    }
}
