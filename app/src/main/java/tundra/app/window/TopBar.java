package tundra.app.window;

import java.util.List;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.builtin.Workshop;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.Translated;
import tundra.core.model.Scene;

/** Menu, name, scenes, undo and redo, and the way to try it. */
final class TopBar extends HBox {
    private final Workshop w;
    private final Studio studio;
    private final LightLabel name = Translated.own(new LightLabel("", "project-name"));
    private final LightLabel findKeys = new LightLabel("", "mono", "quiet");
    private final LightLabel state = new LightLabel("", "quiet");
    private final SceneTabs tabs;
    private final LightButton undo;
    private final LightButton redo;
    private final PauseTransition lit = new PauseTransition(Duration.seconds(1.6));
    private Object shown;

    TopBar(Workshop w) {
        this.w = w;
        this.studio = w.studio;
        getStyleClass().add("top-bar");
        setAlignment(Pos.CENTER_LEFT);
        // however many scenes there are, the piece keeps a name; a long one is cut
        name.setMinWidth(64);
        name.setMaxWidth(240);
        state.setId("saved-state");
        // as wide as its longest words, so that the tabs beside it stay where they are
        state.setMinWidth(106);
        state.setPrefWidth(106);
        tabs = new SceneTabs(w);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        LightButton find = Buttons.text(w.commands.get(CommandIds.FIND), "Find anything");
        find.setMark(findKeys, LightLabel.Place.AFTER);
        find.getStyleClass().add("flat");
        undo = Buttons.icon(w.commands.get(CommandIds.UNDO), Icon.UNDO, 16);
        redo = Buttons.icon(w.commands.get(CommandIds.REDO), Icon.REDO, 16);
        LightButton tryIt = Buttons.text(w.commands.get(CommandIds.TRY), "Try it");
        tryIt.setMark(Icon.PLAY.node(14), LightLabel.Place.BEFORE);
        tryIt.getStyleClass().add("primary");
        getChildren().addAll(menu(), name, state, tabs, gap, find, undo, redo, tryIt);
        lit.setOnFinished(e -> state.getStyleClass().remove("just-saved"));
        studio.listen(what -> refresh());
        refresh();
    }

    /** Lets the name of a scene be typed. */
    void rename(Scene s) {
        tabs.rename(s);
    }

    private LightButton menu() {
        var m = new LightButton("");
        m.setId("main-menu");
        var mark = new HBox(5, Icon.RIDGE.node(28), Buttons.opener());
        mark.setAlignment(Pos.CENTER);
        m.setMark(mark, LightLabel.Place.BEFORE);
        m.getStyleClass().add("logo");
        m.setAccessibleText("Menu");
        Buttons.tip(m, "Files and settings");
        Buttons.menu(m, this::items);
        return m;
    }

    private List<MenuItem> items() {
        var recent = new Menu("Open recent");
        w.settings.recent().forEach(f -> {
            var i = new MenuItem(f.getFileName() + "   " + f.getParent());
            i.setMnemonicParsing(false);
            i.setOnAction(e -> w.files.openRecent(f));
            recent.getItems().add(i);
        });
        recent.setDisable(recent.getItems().isEmpty());
        return List.of(item("start-page"), item(CommandIds.NEW), item(CommandIds.OPEN), recent, item(CommandIds.SAVE), item(CommandIds.SAVE_AS),
                item("earlier-versions"), new SeparatorMenuItem(),
                item(CommandIds.BRING_IN), new SeparatorMenuItem(), item(CommandIds.THEME), item(CommandIds.FIND), item("history"),
                item("shortcuts"), item("help"), new SeparatorMenuItem(), item(CommandIds.QUIT));
    }

    private MenuItem item(String id) {
        Command c = w.commands.get(id);
        var i = new CommandItem(c);
        i.setDisable(!c.enabled().getAsBoolean());
        return i;
    }

    private void refresh() {
        name.setText(studio.project().name());
        String now = studio.unsaved() ? "unsaved changes" : studio.file() == null ? "new" : "saved";
        if (now.equals("saved") && state.getText().equals("unsaved changes") && shown == studio.document()) {
            state.getStyleClass().add("just-saved");
            lit.playFromStart();
        }
        shown = studio.document();
        state.setText(now);
        findKeys.setText(w.commands.get(CommandIds.FIND).shortcutText());
        undo.setDisable(studio.history().undoName() == null);
        redo.setDisable(studio.history().redoName() == null);
        Buttons.tip(undo, w.commands.get(CommandIds.UNDO).tip());
        Buttons.tip(redo, w.commands.get(CommandIds.REDO).tip());
        tabs.refresh();
    }
}
