package tundra.app.window;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import tundra.app.command.Command;
import tundra.app.command.Commands;
import tundra.app.command.Shortcuts;
import tundra.app.job.Dialogs;
import tundra.core.file.SafeReplace;

/** All commands with their keys, which can be changed: press the new keys, and whoever had them is named. */
final class ShortcutsPanel extends Veil {
    private static final double WIDE = 560;
    private static final int LONGEST = 1 << 20;
    private final Commands commands;
    private final Shortcuts keys;
    private final Dialogs dialogs;
    private final TextField query = new TextField();
    private final ListView<Command> list = new ListView<>();
    private final Label said = new Label();
    private final Button change = new Button("Change…"), none = new Button("No keys"), standard = new Button("As it was"),
            anyway = new Button("Take them");
    private boolean waiting;
    private KeyCombination pressed;

    ShortcutsPanel(Commands commands, Dialogs dialogs, Runnable leave) {
        super("shortcuts");
        this.commands = commands;
        this.dialogs = dialogs;
        keys = commands.keys();
        var head = new Label("Shortcuts");
        head.getStyleClass().add("heading");
        query.setId("shortcuts-query");
        query.setPromptText("Find a command");
        query.textProperty().addListener(o -> refresh());
        list.setId("shortcuts-list");
        list.setPrefHeight(360);
        list.setFixedCellSize(30);
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener(o -> idle());
        said.setId("shortcuts-said");
        said.setWrapText(true);
        said.setMinHeight(36);
        said.getStyleClass().add("quiet");
        change.setId("shortcuts-change");
        change.getStyleClass().add("primary");
        change.setOnAction(e -> listen());
        none.setId("shortcuts-none");
        none.setOnAction(e -> put(null));
        standard.setId("shortcuts-standard");
        standard.setOnAction(e -> {
            Command c = chosen();
            if (!keys.reset(c.id())) {
                said.setText("Another command has its keys now; give that one others first.");
                return;
            }
            refresh();
        });
        anyway.setId("shortcuts-anyway");
        anyway.setOnAction(e -> put(pressed));
        var write = new Button("Write to a file…");
        write.setId("shortcuts-write");
        write.setOnAction(e -> dialogs.save("Write the shortcuts", "tundra-shortcuts.txt", null).ifPresent(this::write));
        var read = new Button("Read…");
        read.setId("shortcuts-read");
        read.setOnAction(e -> dialogs.open("Read shortcuts", "Texts", List.of("*.txt"), null).ifPresent(this::read));
        var close = new Button("Close");
        close.setId("shortcuts-close");
        close.setCancelButton(true);
        close.setOnAction(e -> leave.run());
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var actions = new HBox(8, change, none, standard, anyway);
        actions.setAlignment(Pos.CENTER_LEFT);
        var foot = new HBox(8, write, read, gap, close);
        foot.setAlignment(Pos.CENTER_LEFT);
        show(WIDE, head, query, list, said, actions, foot);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        refresh();
        Platform.runLater(query::requestFocus);
    }

    private Command chosen() {
        return list.getSelectionModel().getSelectedItem();
    }

    private void refresh() {
        Command before = chosen();
        String q = query.getText().strip().toLowerCase(Locale.ROOT);
        list.getItems().setAll(commands.all().stream().filter(c -> q.isEmpty() || (c.name().get() + " " + c.shortcutText()).toLowerCase(Locale.ROOT)
                .contains(q)).toList());
        list.getSelectionModel().select(before);
        if (chosen() == null) {
            list.getSelectionModel().selectFirst();
        }
        idle();
    }

    private void idle() {
        waiting = false;
        pressed = null;
        Command c = chosen();
        said.setText(c == null ? "No command is called so." : "“" + c.name().get() + "” " + (c.shortcut() == null ? "has no keys." : "is done by "
                + c.shortcutText() + "."));
        change.setDisable(c == null);
        none.setDisable(c == null || c.shortcut() == null);
        standard.setDisable(c == null || !keys.changed(c.id()));
        anyway.setVisible(false);
    }

    private void listen() {
        waiting = true;
        said.setText("Press the keys for “" + chosen().name().get() + "”; Escape leaves it as it is.");
        list.requestFocus();
    }

    private void key(KeyEvent e) {
        if (!waiting) {
            return;
        }
        KeyCombination k = Shortcuts.of(e);
        if (k == null) {
            return;
        }
        e.consume();
        if (k.getDisplayText().equals("Esc")) {
            idle();
            return;
        }
        String wrong = Shortcuts.problem(k), holder = keys.holder(k);
        waiting = false;
        if (wrong != null) {
            said.setText(wrong);
        } else if (holder != null && !holder.equals(chosen().id())) {
            pressed = k;
            anyway.setVisible(true);
            anyway.requestFocus();
            said.setText(Shortcuts.words(k) + " does “" + commands.get(holder).name().get()
                    + "” now. Take them, and that has none; or change to others.");
        } else {
            put(k);
        }
    }

    private void put(KeyCombination k) {
        keys.put(chosen().id(), k);
        refresh();
    }

    private void write(Path to) {
        try {
            SafeReplace.put(to, keys.export());
            said.setText("Written to " + to.getFileName() + ".");
        } catch (IOException e) {
            said.setText("“" + to.getFileName() + "” can't be written: " + e.getMessage() + ". Choose another folder.");
        }
    }

    private void read(Path from) {
        try {
            if (Files.size(from) > LONGEST) {
                throw new IOException("it is too long for shortcuts");
            }
            int n = keys.take(Files.readString(from), commands.all().stream().map(Command::id).collect(Collectors.toSet()));
            refresh();
            said.setText(n == 0 ? "There are no shortcuts in " + from.getFileName() + "; nothing was changed." : n + " shortcuts were taken from "
                    + from.getFileName() + ".");
        } catch (IOException e) {
            said.setText("“" + from.getFileName() + "” can't be read: " + e.getMessage() + ". Nothing was changed.");
        }
    }

    private final class Cell extends ListCell<Command> {
        @Override
        protected void updateItem(Command c, boolean empty) {
            super.updateItem(c, empty);
            setText(null);
            if (empty || c == null) {
                setGraphic(null);
                return;
            }
            var gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            var k = new Label(c.shortcutText() + (keys.changed(c.id()) ? "  ·  yours" : ""));
            k.getStyleClass().addAll("mono", "quiet");
            var row = new HBox(new Label(c.name().get()), gap, k);
            row.setAlignment(Pos.CENTER_LEFT);
            setGraphic(row);
        }
    }
}
