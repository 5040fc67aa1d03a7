package tundra.app.adapt;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.core.model.Layout;

/** Above the canvas of every desk once a scene has layouts: which one is worked on, where changes go, and who follows. */
public final class LayoutBar extends HBox {
    private final Studio studio;
    private final HBox layouts = new HBox();
    private final HBox scopes = new HBox();
    /** In place of all of them beside each other where there is no room for that. */
    private final LightButton chooser = new LightButton("");
    private final Label title = new Label("Layout");
    private final ToggleButton every = new ToggleButton("every layout");
    private final ToggleButton only = new ToggleButton("this one only");
    private final Label goes = new Label("Changes go to");
    private final Label consequence = new Label();
    private List<String> shown = List.of();

    public LayoutBar(Studio studio) {
        this.studio = studio;
        setId("layout-bar");
        getStyleClass().add("layout-bar");
        setAlignment(Pos.CENTER_LEFT);
        title.getStyleClass().add("layout-title");
        title.setMinWidth(USE_PREF_SIZE);
        goes.getStyleClass().add("layout-title");
        goes.setMinWidth(USE_PREF_SIZE);
        layouts.getStyleClass().addAll("segments", "layouts");
        scopes.getStyleClass().addAll("segments", "layouts");
        layouts.setMinWidth(USE_PREF_SIZE);
        setMinWidth(0);
        chooser.setId("layout-choose");
        chooser.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        Buttons.tip(chooser, "The layout that is worked on");
        Buttons.menu(chooser, () -> layouts.getChildren().stream().map(n -> {
            var b = (ToggleButton) n;
            var item = new MenuItem(b.getText());
            item.setId("choose-" + b.getId());
            item.setOnAction(e -> b.fire());
            return item;
        }).toList());
        widthProperty().addListener(o -> fit());
        var group = new ToggleGroup();
        every.setId("layout-every");
        only.setId("layout-only");
        for (ToggleButton b : List.of(every, only)) {
            b.setToggleGroup(group);
            b.setOnAction(e -> {
                studio.layouts().setEveryLayout(b == every);
                refresh();
            });
            scopes.getChildren().add(b);
        }
        Buttons.tip(every, "A change goes to the scene as it is drawn, and so to every layout that doesn't differ there");
        Buttons.tip(only, "A change goes to the layout that is worked on and to no other");
        consequence.setId("layout-consequence");
        consequence.getStyleClass().add("consequence");
        consequence.setMinWidth(0);
        getChildren().addAll(title, layouts, chooser, goes, scopes, consequence);
        studio.listen(what -> refresh());
        refresh();
    }

    private void refresh() {
        List<Layout> all = studio.base().layouts();
        boolean on = studio.desk() != Desk.PUBLISH && !all.isEmpty();
        setVisible(on);
        setManaged(on);
        if (!on) {
            return;
        }
        var names = new ArrayList<String>();
        names.add("as drawn");
        all.forEach(l -> names.add(l.id() + " " + l.name()));
        if (!names.equals(shown)) {
            shown = names;
            layouts.getChildren().clear();
            var group = new ToggleGroup();
            choose(group, "as drawn", null);
            all.forEach(l -> choose(group, l.name(), l.id()));
        }
        Layout here = studio.layout();
        layouts.getChildren().forEach(n -> ((ToggleButton) n).setSelected(Objects.equals(n.getUserData(), here == null ? null : here.id())));
        chooser.setText(here == null ? "as drawn" : here.name());
        scopes.setVisible(here != null);
        scopes.setManaged(here != null);
        every.setSelected(studio.layouts().everyLayout());
        only.setSelected(!studio.layouts().everyLayout());
        int others = all.size() - (here == null ? 0 : 1);
        String many = others == 1 ? "1 other layout follows" : others + " other layouts follow";
        consequence.setText(here == null ? (others == 1 ? "1 layout follows" : others + " layouts follow") + " where they don't differ"
                : studio.layouts().everyLayout() ? "the scene as drawn changes" + (others == 0 ? "" : ", " + many) : "nothing else changes");
        Buttons.tip(consequence, consequence.getText());
        fit();
    }

    /** All layouts beside each other where they have the room, otherwise the one that is worked on with a menu of the others. */
    private void fit() {
        boolean here = studio.layout() != null;
        double whole = getInsets().getLeft() + getInsets().getRight() + title.prefWidth(-1) + layouts.prefWidth(-1)
                + (here ? goes.prefWidth(-1) + scopes.prefWidth(-1) + 2 * getSpacing() : 0) + getSpacing();
        boolean narrow = getWidth() > 0 && whole > getWidth();
        show(title, !narrow);
        show(layouts, !narrow);
        show(chooser, narrow);
        show(goes, !narrow && here);
    }

    private static void show(Node n, boolean on) {
        n.setVisible(on);
        n.setManaged(on);
    }

    private void choose(ToggleGroup group, String name, String id) {
        var b = new ToggleButton(name);
        b.setMinWidth(USE_PREF_SIZE);
        Buttons.tip(b, name);
        b.setId("layout-" + (id == null ? "base" : id));
        b.setUserData(id);
        b.setToggleGroup(group);
        b.setOnAction(e -> {
            studio.layouts().setLayout(id);
            refresh();
        });
        layouts.getChildren().add(b);
    }
}
