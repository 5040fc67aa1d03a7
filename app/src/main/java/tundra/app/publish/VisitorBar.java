package tundra.app.publish;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Overflow;
import tundra.app.widget.Words;

/** Chooses who the page is tried as: with a mouse, a finger or only the keyboard, with less motion, in a narrow window. */
final class VisitorBar extends HBox {
    private final Consumer<Visitor> changed;
    private final LightButton width = new LightButton("");
    private Visitor visitor = Visitor.USUAL;

    VisitorBar(Consumer<Visitor> changed) {
        super(10);
        this.changed = changed;
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("try-bar");
        var hands = new HBox();
        hands.getStyleClass().addAll("segments", "try-hands");
        var group = new ToggleGroup();
        for (Visitor.Hand h : Visitor.Hand.values()) {
            var b = new ToggleButton(h.words);
            b.setId("try-" + h.name().toLowerCase(Locale.ROOT));
            b.setToggleGroup(group);
            b.setSelected(h == Visitor.Hand.MOUSE);
            b.setOnAction(e -> {
                b.setSelected(true);
                put(visitor.withHand(h));
            });
            hands.getChildren().add(b);
        }
        Buttons.tip(hands, "Touch: the mouse is a finger, which drags the page and comes over nothing. Keyboard only: the mouse does nothing.");
        var less = new ToggleButton("Less motion");
        less.setId("try-less");
        less.getStyleClass().add("try-less");
        less.setOnAction(e -> put(visitor.withLessMotion(less.isSelected())));
        Buttons.tip(less, "The page as for who asks their system for less motion");
        width.setId("try-width");
        width.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        Buttons.menu(width, () -> {
            var out = new ArrayList<MenuItem>();
            Stream.concat(Stream.of(0), Visitor.WIDTHS.stream()).forEach(w -> {
                var item = new MenuItem(words(w));
                item.setId("try-width-" + w);
                item.setOnAction(e -> put(visitor.withWidth(w).withHeight(0)));
                out.add(item);
            });
            out.add(new SeparatorMenuItem());
            out.add(tick("try-turned", "The device held the other way", visitor.turned(), visitor::withTurned));
            out.add(tick("try-large", "Twice as large (200 %)", visitor.large(), visitor::withLarge));
            out.add(tick("try-slow", "Over a slow line", visitor.slow(), visitor::withSlow));
            out.add(tick("try-dark", "Prefers dark pages", visitor.dark(), visitor::withDark));
            return out;
        });
        var all = new Overflow(10, "Less motion, and how wide the window is");
        all.setItems(List.of(Words.of("Try it as", "quiet", "small"), hands, less, width));
        HBox.setHgrow(all, Priority.ALWAYS);
        setMinWidth(0);
        getChildren().add(all);
        name();
    }

    private CheckMenuItem tick(String id, String words, boolean on, Function<Boolean, Visitor> change) {
        var item = new CheckMenuItem(words);
        item.setId(id);
        item.setSelected(on);
        item.setOnAction(e -> put(change.apply(!on)));
        return item;
    }

    private static String words(int w) {
        return w == 0 ? "As wide as the scene" : w + " px wide";
    }

    private void name() {
        width.setText(words(visitor.width()) + (visitor.height() > 0 ? ", " + visitor.height() + " high" : "") + (visitor.turned() ? ", turned" : "")
                + (visitor.large() ? ", 200 %" : "") + (visitor.slow() ? ", slow" : "") + (visitor.dark() ? ", dark" : ""));
    }

    private void put(Visitor v) {
        if (!v.equals(visitor)) {
            visitor = v;
            name();
            changed.accept(v);
        }
    }

    /** The window is made another width while the page goes on. */
    void setWidth(int px) {
        visitor = visitor.withWidth(px);
        name();
    }

    /** The window is made another height while the page goes on. */
    void setHeight(int px) {
        visitor = visitor.withHeight(px);
        name();
    }

    Visitor visitor() {
        return visitor;
    }
}
