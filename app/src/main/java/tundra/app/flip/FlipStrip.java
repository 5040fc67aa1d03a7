package tundra.app.flip;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Menus;
import tundra.core.flip.OnionSkin;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/** The strip of drawings under the canvas of the Draw desk, with what is done most. */
public final class FlipStrip extends VBox {
    private static final String[] MENU = {CommandIds.DRAWING_NEW, CommandIds.DRAWING_COPY, CommandIds.DRAWING_COPY_ON, CommandIds.DRAWING_SPLIT,
            CommandIds.DRAWING_PASTE, null, CommandIds.DRAWING_LONGER, CommandIds.DRAWING_SHORTER,
            CommandIds.HOLD_DOUBLE, CommandIds.HOLD_HALF, null, CommandIds.DRAWING_EARLIER, CommandIds.DRAWING_LATER, CommandIds.DRAWING_CLEAR,
            CommandIds.DRAWING_DELETE, null, CommandIds.ONION_PIN, CommandIds.ONION_OUTLINES, CommandIds.SAVE_SHEET, CommandIds.SAVE_SERIES};
    private final Studio studio;
    private final Commands commands;
    private final StripCanvas strip;
    private final LightButton play;
    private final Label frame = new Label();
    private final Label of = new Label();
    private final ToggleButton back = new ToggleButton();
    private final ToggleButton ahead = new ToggleButton();
    private final MenuButton ending = new MenuButton();
    private final HBox head;
    /** In place of the head while no flipbook is worked on. */
    private final HBox away = new HBox(10);
    private final LightButton enter = new LightButton("");
    private final LightLabel lands = new LightLabel("");

    public FlipStrip(Studio studio, Commands commands) {
        this.studio = studio;
        this.commands = commands;
        getStyleClass().add("flip-strip");
        strip = new StripCanvas(studio, () -> commands.run(CommandIds.DRAWING_APPEND));
        play = Buttons.icon(commands.get(CommandIds.PLAY), Icon.PLAY, 16);
        play.setId("strip-play");
        play.getStyleClass().add("play");
        frame.getStyleClass().addAll("mono", "strip-frame");
        frame.setId("strip-frame");
        frame.setMinWidth(Region.USE_PREF_SIZE);
        of.getStyleClass().add("quiet");
        of.setMinWidth(Region.USE_PREF_SIZE);
        chip(back, "onion-back", "Shows the drawings before this one faintly. Drag the blue end below the strip for more or fewer.");
        chip(ahead, "onion-ahead", "Shows the drawings after this one faintly. Drag the orange end below the strip for more or fewer.");
        ending.setId("strip-ending");
        ending.getStyleClass().addAll("chooser", "small-chooser");
        for (Flipbook.Ending e : Flipbook.Ending.values()) {
            var item = new MenuItem("After the last drawing: " + e.word);
            item.setOnAction(x -> commands.run(CommandIds.ENDING + e.name().toLowerCase(Locale.ROOT)));
            ending.getItems().add(item);
        }
        LightButton longer = Buttons.text(commands.get(CommandIds.DRAWING_LONGER), "Hold +1");
        LightButton copy = Buttons.text(commands.get(CommandIds.DRAWING_COPY), "Copy to next");
        var more = new MenuButton("More");
        more.setId("strip-more");
        more.getStyleClass().addAll("chooser", "small-chooser");
        more.setOnShowing(e -> more.getItems().setAll(items()));
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(8, play, frame, of, ending, gap, back, ahead, longer, copy, more);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("flip-head");
        this.head = head;
        enter.setId("strip-back");
        enter.getStyleClass().add("primary");
        enter.setOnAction(() -> {
            Element last = studio.book().last();
            if (last != null) {
                studio.select(List.of());
                studio.groups().enter(last.id());
            }
        });
        lands.getStyleClass().add("quiet");
        lands.setId("strip-lands");
        lands.setMinWidth(0);
        away.setAlignment(Pos.CENTER_LEFT);
        away.getStyleClass().add("flip-head");
        away.getChildren().addAll(enter, lands);
        getChildren().addAll(head, strip);
        var menu = new ContextMenu();
        Menus.on(strip, () -> {
            menu.getItems().setAll(items());
            return menu;
        });
        studio.listen(what -> refresh());
        studio.eachFrame(this::showFrame);
        refresh();
    }

    public StripCanvas strip() {
        return strip;
    }

    private void chip(ToggleButton b, String id, String tip) {
        b.setId(id);
        b.getStyleClass().addAll("chip-button", id);
        Buttons.tip(b, tip);
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setOnAction(e -> commands.run(CommandIds.ONION));
    }

    private List<MenuItem> items() {
        var out = new ArrayList<MenuItem>();
        for (String id : MENU) {
            if (id == null) {
                out.add(new SeparatorMenuItem());
                continue;
            }
            Command c = commands.get(id);
            if (c.enabled().getAsBoolean()) {
                var item = new MenuItem(c.name().get());
                item.setAccelerator(c.shortcut());
                item.setOnAction(e -> c.run().run());
                out.add(item);
            }
        }
        return out;
    }

    private void showFrame() {
        frame.setText("f " + (studio.book().frameInBook() + 1));
    }

    private void refresh() {
        Flipbook b = studio.book().book();
        boolean open = b != null;
        if (open != (getChildren().getFirst() == head)) {
            getChildren().set(0, open ? head : away);
            strip.setDisable(!open);
            strip.setOpacity(open ? 1 : 0.35);
        }
        if (!open) {
            Element last = studio.book().last();
            if (last != null) {
                enter.setText((last == studio.groups().left() ? "Back into " : "Draw on ") + last.name());
                lands.setText(studio.groups().inside() == null ? "What is drawn now lands in the scene, not on a drawing."
                        : "What is drawn now lands in " + studio.board().find(studio.groups().inside()).name() + ", not on a drawing.");
                strip.redraw();
            }
            return;
        }
        play.setMark((studio.time().playing() ? Icon.PAUSE : Icon.PLAY).node(16), LightLabel.Place.BEFORE);
        showFrame();
        of.setText("of " + b.end() + " · " + b.rate() + " fps");
        ending.setText(b.ending().word);
        OnionSkin s = studio.book().skin();
        back.setText("onion skin  " + s.back() + " back");
        ahead.setText(s.ahead() + " ahead");
        back.setSelected(s.on());
        ahead.setSelected(s.on());
    }
}
