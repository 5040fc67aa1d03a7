package tundra.app.adapt;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Menus;
import tundra.core.fit.Layouts;
import tundra.core.fit.Override;
import tundra.core.fit.WhatDiffers;
import tundra.core.model.Board;
import tundra.core.model.Layout;

/** «What differs»: a row for each thing that a layout changes, a column for each layout. A press on a cell goes there; its menu hands it back. */
public final class DiffersTable extends VBox {
    /** Rows that are shown at most; the words that are searched for find the others. */
    private static final int MOST = 200;
    private final Studio studio;
    private final GridPane grid = new GridPane();
    private final TextField search = new TextField();
    private final CheckBox selected = new CheckBox("selected only");
    private final Label more = new Label();
    /** While something is dragged the table waits until the hand rests. */
    private final PauseTransition rest = new PauseTransition(Duration.millis(150));
    private Board of;
    private String asked = "";

    public DiffersTable(Studio studio, Commands commands) {
        this.studio = studio;
        setId("differs");
        getStyleClass().add("differs");
        var title = new Label("What differs");
        title.getStyleClass().add("layout-title");
        title.setMinWidth(USE_PREF_SIZE);
        search.setId("differs-search");
        search.setPromptText("element or property");
        search.setPrefWidth(170);
        search.textProperty().addListener((o, was, is) -> refresh(true));
        search.setMinWidth(50);
        selected.setMinWidth(USE_PREF_SIZE);
        selected.setId("differs-selected");
        selected.setOnAction(e -> refresh(true));
        more.getStyleClass().addAll("quiet", "small");
        more.setMinWidth(0);
        var back = Buttons.text(commands.get(CommandIds.HAND_BACK), "Hand back selected");
        var all = Buttons.text(commands.get(CommandIds.HAND_BACK_ALL), "Hand back all");
        var bar = new HBox(8, title, search, selected, back, all, more);
        bar.setAlignment(Pos.CENTER_LEFT);
        grid.getStyleClass().add("differs-grid");
        var scroll = new ScrollPane(grid);
        scroll.setFitToWidth(true);
        scroll.setMinHeight(0);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(bar, scroll);
        studio.listen(what -> {
            boolean other = what.contains(Aspect.SCENE) || what.contains(Aspect.SELECTION) && selected.isSelected() || what.contains(Aspect.DESK);
            if (studio.desk() == Desk.ADAPT && (other || what.contains(Aspect.DOCUMENT))) {
                rest.playFromStart();
            }
        });
        rest.setOnFinished(e -> refresh(false));
        refresh(true);
    }

    private void refresh(boolean anew) {
        Board base = studio.base();
        String now = search.getText() + selected.isSelected() + (selected.isSelected() ? studio.selection() : "")
                + (studio.layout() == null ? "" : studio.layout().id());
        if (!anew && base == of && now.equals(asked)) {
            return;
        }
        of = base;
        asked = now;
        grid.getChildren().clear();
        grid.getColumnConstraints().clear();
        column(30);
        column(20);
        base.layouts().forEach(l -> column(50.0 / base.layouts().size()));
        head(0, "Element · property", null);
        head(1, "as drawn", null);
        for (int i = 0; i < base.layouts().size(); i++) {
            head(2 + i, base.layouts().get(i).name(), base.layouts().get(i).id());
        }
        String words = search.getText().strip().toLowerCase(Locale.ROOT);
        List<WhatDiffers.Row> rows = WhatDiffers.of(base).stream().filter(r -> words.isEmpty() || r.name().toLowerCase(Locale.ROOT).contains(words))
                .filter(r -> !selected.isSelected() || r.element() != null && studio.selection().contains(r.element())).toList();
        for (int i = 0; i < Math.min(MOST, rows.size()); i++) {
            row(1 + i, rows.get(i));
        }
        more.setText(base.layouts().isEmpty() ? "a layout begins with nothing that differs: make one, and change it" : rows.isEmpty()
                ? words.isEmpty() ? "nothing differs yet" : "nothing of that name differs"
                : rows.size() > MOST ? "and " + (rows.size() - MOST) + " more: search for them" : "");
    }

    private void column(double percent) {
        var c = new ColumnConstraints();
        c.setPercentWidth(percent);
        c.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().add(c);
    }

    private void head(int column, String words, String layout) {
        var l = new Label(words);
        l.getStyleClass().add("differs-head");
        l.setMaxWidth(Double.MAX_VALUE);
        if (column > 1 && studio.layout() != null && studio.layout().id().equals(layout)) {
            l.getStyleClass().add("worked-on");
        }
        grid.add(l, column, 0);
    }

    private void row(int at, WhatDiffers.Row r) {
        var name = new Label(r.name());
        name.getStyleClass().add("differs-name");
        Buttons.tip(name, r.name());
        grid.add(name, 0, at);
        for (int i = 0; i < r.cells().size(); i++) {
            WhatDiffers.Cell cell = r.cells().get(i);
            var b = new Button(cell.text());
            b.setId("differs-" + at + "-" + i);
            b.setMaxWidth(Double.MAX_VALUE);
            b.getStyleClass().setAll("differs-cell");
            if (cell.own()) {
                b.getStyleClass().add("own");
            }
            b.setOnAction(e -> go(r, cell));
            Buttons.tip(b, cell.text() + (cell.own() ? " · its menu hands it back" : ""));
            if (cell.own()) {
                Menus.on(b, () -> menu(r, cell));
            }
            grid.add(b, 1 + i, at);
        }
    }

    private void go(WhatDiffers.Row r, WhatDiffers.Cell cell) {
        studio.layouts().setLayout(cell.layout());
        if (r.element() != null) {
            studio.select(List.of(r.element()));
        }
    }

    private ContextMenu menu(WhatDiffers.Row r, WhatDiffers.Cell cell) {
        var items = new ArrayList<MenuItem>();
        items.add(item("Hand back", () -> studio.editBase("Hand back " + r.name(), null, b -> Layouts.handBack(b, cell.layout(),
                List.of(r.what())))));
        items.add(item("Hand back in every layout", () -> studio.editBase("Hand back " + r.name(), null, b -> {
            Board out = b;
            for (Layout l : b.layouts()) {
                out = Layouts.handBack(out, l.id(), List.of(r.what()));
            }
            return out;
        })));
        items.add(item("Make this the scene's as drawn", () -> studio.editBase("Make " + r.name() + " the scene's", null,
                b -> Override.toBase(b, cell.layout(), r.what()))));
        for (Layout l : studio.base().layouts()) {
            if (!l.id().equals(cell.layout())) {
                items.add(item("Copy to " + l.name(), () -> studio.editBase("Copy " + r.name() + " to " + l.name(), null,
                        b -> Layouts.copy(b, cell.layout(), r.what(), l.id()))));
            }
        }
        return new ContextMenu(items.toArray(MenuItem[]::new));
    }

    private static MenuItem item(String words, Runnable run) {
        var m = new MenuItem(words);
        m.setOnAction(e -> run.run());
        return m;
    }
}
