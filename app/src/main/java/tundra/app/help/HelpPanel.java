package tundra.app.help;

import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.command.Command;
import tundra.app.command.Commands;
import tundra.app.widget.PanelHead;
import tundra.app.widget.Words;

/** The help beside what it is about: what it is for, three things to do, its keys; all pages by words. */
public final class HelpPanel extends VBox {
    private static final double WIDE = 320;
    private final Commands commands;
    private final Runnable leave;
    private final VBox page = new VBox(9);
    private final TextField query = new TextField();

    public HelpPanel(Commands commands, HelpPage first, Runnable leave) {
        super(10);
        this.commands = commands;
        this.leave = leave;
        setId("help");
        getStyleClass().add("checks-panel");
        var head = new PanelHead("help", "Help", "Close the help", this::leaveIt);
        query.setId("help-query");
        query.setPromptText("Search all pages");
        query.setAccessibleText("Search all pages of the help");
        query.textProperty().addListener((o, was, is) -> find(is));
        var scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(470);
        getChildren().addAll(head, query, scroll);
        setPrefWidth(WIDE);
        setMaxSize(WIDE, USE_PREF_SIZE);
        show(first);
    }

    public void leaveIt() {
        leave.run();
    }

    private void find(String words) {
        if (words.isBlank()) {
            contents();
            return;
        }
        List<HelpPage> found = HelpPage.ALL.stream().filter(p -> p.holds(words)).toList();
        page.getChildren().setAll(Words.of(found.isEmpty() ? "No page holds these words." : found.size() == 1 ? "One page" : found.size() + " pages",
                "quiet", "small"));
        found.forEach(p -> page.getChildren().add(link(p)));
    }

    private Hyperlink link(HelpPage p) {
        var l = new Hyperlink(p.title());
        l.setOnAction(e -> show(p));
        return l;
    }

    private void contents() {
        page.getChildren().setAll(Words.section("All pages"));
        HelpPage.ALL.forEach(p -> page.getChildren().add(link(p)));
    }

    /** Null shows the list of all. */
    public void show(HelpPage p) {
        if (p == null) {
            contents();
            Platform.runLater(query::requestFocus);
            return;
        }
        var title = new Label(p.title());
        title.setId("help-title");
        title.getStyleClass().add("heading");
        page.getChildren().setAll(title, wrapped(p.purpose()));
        p.things().forEach(t -> page.getChildren().add(wrapped("–  " + t)));
        List<Command> named = p.commands().stream().map(commands::get).filter(c -> c != null).toList();
        if (!named.isEmpty()) {
            page.getChildren().add(Words.section("Its keys"));
            named.forEach(c -> page.getChildren().add(row(c)));
        }
        var all = new Hyperlink("All pages");
        all.setId("help-all");
        all.setOnAction(e -> contents());
        page.getChildren().add(all);
        Platform.runLater(all::requestFocus);
    }

    private static HBox row(Command c) {
        var keys = new Label(c.shortcutText().isEmpty() ? "by name" : c.shortcutText());
        keys.getStyleClass().addAll("mono", "quiet", "small");
        keys.setMinWidth(USE_PREF_SIZE);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var row = new HBox(8, new Label(c.name().get()), gap, keys);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Label wrapped(String words) {
        var l = new Label(words);
        l.setWrapText(true);
        l.setMinHeight(USE_PREF_SIZE);
        return l;
    }
}
