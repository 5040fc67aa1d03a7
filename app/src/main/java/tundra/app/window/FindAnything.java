package tundra.app.window;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tundra.app.command.Command;
import tundra.app.command.Commands;

/** Finds every command, element, scene and recent file by name. */
public final class FindAnything extends StackPane {
    private final Commands commands;
    private final TextField query = new TextField();
    private final ListView<Command> list = new ListView<>();
    private final Label nothing = new Label();
    private final Runnable closed;

    public FindAnything(Commands commands, Runnable closed) {
        this.commands = commands;
        this.closed = closed;
        getStyleClass().add("find-veil");
        query.setId("find-query");
        query.setPromptText("Find anything: a command, an element, a scene, a file");
        list.setId("find-list");
        list.setPrefHeight(340);
        list.setFixedCellSize(32);
        list.setCellFactory(v -> new Cell());
        nothing.setId("find-nothing");
        nothing.getStyleClass().add("quiet");
        nothing.setWrapText(true);
        var box = new VBox(8, query, nothing, list);
        box.getStyleClass().add("find-box");
        box.setMaxSize(520, USE_PREF_SIZE);
        setAlignment(box, Pos.TOP_CENTER);
        getChildren().add(box);
        query.textProperty().addListener(o -> refresh());
        query.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        list.setOnMouseClicked(e -> take());
        setOnMousePressed(e -> {
            if (e.getTarget() == this) {
                hide();
            }
        });
        setVisible(false);
    }

    public void show() {
        query.clear();
        setVisible(true);
        refresh();
        query.requestFocus();
    }

    public void hide() {
        setVisible(false);
        closed.run();
    }

    private void refresh() {
        var found = commands.find(query.getText());
        nothing.setText("Nothing is called «" + query.getText().strip() + "». The nearest:");
        nothing.setVisible(found.nearest());
        nothing.setManaged(found.nearest());
        list.getItems().setAll(found.commands().stream().filter(c -> !c.id().equals("find")).toList());
        list.setPrefHeight(Math.max(1, Math.min(10, list.getItems().size())) * 32 + 4);
        list.getSelectionModel().selectFirst();
        list.scrollTo(0);
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.ESCAPE) {
            hide();
        } else if (e.getCode() == KeyCode.ENTER) {
            take();
        } else if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
            int i = list.getSelectionModel().getSelectedIndex() + (e.getCode() == KeyCode.DOWN ? 1 : -1);
            list.getSelectionModel().clearAndSelect(Math.max(0, Math.min(list.getItems().size() - 1, i)));
            list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 5));
        } else {
            return;
        }
        e.consume();
    }

    private void take() {
        Command c = list.getSelectionModel().getSelectedItem();
        if (c != null && !c.enabled().getAsBoolean()) {
            nothing.setText("“" + c.name().get() + "” can't be done now: what it is for is not selected, or stands on another desk.");
            nothing.setVisible(true);
            nothing.setManaged(true);
            return;
        }
        hide();
        if (c != null) {
            c.run().run();
        }
    }

    private static final class Cell extends ListCell<Command> {
        @Override
        protected void updateItem(Command c, boolean empty) {
            super.updateItem(c, empty);
            if (empty || c == null) {
                setGraphic(null);
                return;
            }
            boolean now = c.enabled().getAsBoolean();
            var keys = new Label(now ? c.shortcutText() : "not now");
            keys.getStyleClass().addAll("mono", "quiet");
            var gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            var name = new Label(c.name().get());
            if (!now) {
                name.getStyleClass().add("quiet");
            }
            var row = new HBox(name, gap, keys);
            row.setAlignment(Pos.CENTER_LEFT);
            setGraphic(row);
        }
    }
}
