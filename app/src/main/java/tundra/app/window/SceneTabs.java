package tundra.app.window;

import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import tundra.app.builtin.Workshop;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.studio.Studio;
import tundra.app.view.DropFormats;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.Menus;
import tundra.app.widget.NameField;
import tundra.app.widget.Translated;
import tundra.core.edit.Scenes;
import tundra.core.model.Scene;

/** A tab for each scene: pressed to open, double clicked to name, dragged to order, with a menu for the rest; behind them one for a new scene. */
final class SceneTabs extends HBox {
    private static final List<String> MENU = List.of(CommandIds.SCENE_RENAME, CommandIds.SCENE_DUPLICATE, "scene-from", "scene-over", "ways",
            CommandIds.SCENE_EARLIER, CommandIds.SCENE_LATER, CommandIds.SCENE_DELETE);
    private final Workshop w;
    private final Studio studio;
    private List<Scene> shown = List.of();
    private final LightButton add;

    SceneTabs(Workshop w) {
        super(4);
        this.w = w;
        studio = w.studio;
        setAlignment(Pos.BOTTOM_LEFT);
        getStyleClass().add("tabs");
        add = new LightButton("+");
        add.setId("scene-add");
        add.getStyleClass().setAll("tab-button", "tab-add");
        add.setAccessibleText("New scene");
        Buttons.tip(add, w.commands.get(CommandIds.SCENE_ADD).tip());
        add.setOnAction(() -> w.commands.run(CommandIds.SCENE_ADD));
        refresh();
    }

    void refresh() {
        List<Scene> scenes = studio.project().scenes();
        if (getChildren().size() != scenes.size() + 1) {
            getChildren().clear();
            scenes.forEach(s -> getChildren().add(tab()));
            getChildren().add(add);
        }
        for (int i = 0; i < scenes.size(); i++) {
            Scene s = scenes.get(i);
            var tab = (LightButton) getChildren().get(i);
            tab.setId("tab-" + (i + 1));
            Translated.own(tab).setText(s.name());
            tab.setSelected(s == studio.scene());
            tab.setOnAction(() -> studio.navigation().showPlace(s.id()));
        }
        shown = scenes;
    }

    /** Where there is no room for all names, the longest are cut first, all to one width. */
    @Override
    protected void layoutChildren() {
        double room = getWidth() - snappedLeftInset() - snappedRightInset() - (getChildren().size() - 1) * getSpacing() - add.prefWidth(-1);
        double[] wanted = getChildren().stream().filter(c -> c != add).mapToDouble(c -> c.prefWidth(-1)).toArray();
        double widest = widest(wanted, room), x = snappedLeftInset();
        for (int i = 0; i < getChildren().size(); i++) {
            Node c = getChildren().get(i);
            double wide = c == add ? c.prefWidth(-1) : Math.max(c.minWidth(-1), Math.min(wanted[i], widest)),
                    high = Math.min(c.prefHeight(-1), getHeight());
            c.resizeRelocate(snapPositionX(x), snapPositionY(getHeight() - snappedBottomInset() - high), snapSizeX(wide), snapSizeY(high));
            x += wide + getSpacing();
        }
    }

    /** The width that none is to be wider than, so that all of them have room. */
    private static double widest(double[] wanted, double room) {
        double left = room;
        double[] sorted = wanted.clone();
        Arrays.sort(sorted);
        for (int i = 0; i < sorted.length; i++) {
            double each = left / (sorted.length - i);
            if (sorted[i] > each) {
                return each;
            }
            left -= sorted[i];
        }
        return Double.MAX_VALUE;
    }

    private Scene of(LightButton tab) {
        return shown.get(getChildren().indexOf(tab));
    }

    private LightButton tab() {
        var tab = new LightButton("");
        tab.setMinWidth(40);
        tab.getStyleClass().setAll("tab-button");
        tab.setOnMouseClicked(e -> {
            if (e.getButton() == MouseButton.PRIMARY && e.getClickCount() == 2) {
                rename(of(tab));
            }
        });
        Menus.on(tab, () -> {
            studio.navigation().showPlace(of(tab).id());
            return menu();
        });
        tab.setOnDragDetected(e -> {
            var content = new ClipboardContent();
            content.put(DropFormats.SCENE, of(tab).id());
            tab.startDragAndDrop(TransferMode.MOVE).setContent(content);
            e.consume();
        });
        tab.setOnDragOver(e -> {
            if (e.getDragboard().hasContent(DropFormats.SCENE)) {
                e.acceptTransferModes(TransferMode.MOVE);
                e.consume();
            }
        });
        tab.setOnDragDropped(e -> {
            String id = (String) e.getDragboard().getContent(DropFormats.SCENE);
            int to = getChildren().indexOf(tab);
            studio.editProject("Move scene", null, p -> Scenes.move(p, id, to));
            e.setDropCompleted(true);
            e.consume();
        });
        return tab;
    }

    private ContextMenu menu() {
        var m = new ContextMenu();
        m.setId("scene-menu");
        for (String id : MENU) {
            Command c = w.commands.get(id);
            var item = new CommandItem(c);
            item.setId(id);
            item.setDisable(!c.enabled().getAsBoolean());
            if (id.equals(CommandIds.SCENE_DELETE)) {
                m.getItems().add(new SeparatorMenuItem());
            }
            m.getItems().add(item);
        }
        return m;
    }

    /** Lets the name of a scene be typed over its tab. */
    void rename(Scene s) {
        int i = shown.indexOf(s);
        if (i >= 0 && getScene().getRoot() instanceof Pane root) {
            var tab = getChildren().get(i);
            var at = root.sceneToLocal(tab.localToScene(0, 4));
            NameField.open(root, at.getX(), at.getY(), Math.max(110, tab.getBoundsInLocal().getWidth()), s.name(),
                    name -> studio.editProject("Rename scene " + s.name(), null, p -> Scenes.rename(p, s.id(), name)));
        }
    }
}
