package tundra.app.widget;

import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.util.Duration;
import tundra.app.command.Command;
import tundra.app.language.Language;

/** Buttons made from commands. */
public final class Buttons {
    /** The property of a node that holds the words of its tooltip, later the tooltip. */
    static final String TIP = "tundra.tip";

    private Buttons() {}

    /** A button with an icon that does a command. */
    public static LightButton icon(Command c, Icon icon, double size) {
        var b = new LightButton("");
        b.setMark(icon.node(size), LightLabel.Place.BEFORE);
        b.setAccessibleText(c.name().get());
        return wire(b, c);
    }

    public static LightButton text(Command c, String text) {
        return wire(new LightButton(text), c);
    }

    private static LightButton wire(LightButton b, Command c) {
        b.setId("do-" + c.id());
        b.setOnAction(() -> {
            if (c.enabled().getAsBoolean()) {
                c.run().run();
            }
        });
        tip(b, c.tip());
        return b;
    }

    /** Lets a button open a menu below it, whose items are made each time. */
    public static void menu(LightButton b, Supplier<List<MenuItem>> items) {
        b.setOnAction(() -> {
            var menu = new ContextMenu();
            menu.getItems().setAll(items.get());
            menu.show(b, Side.BOTTOM, 0, 4);
        });
    }

    /** The small mark of a button that opens a menu. */
    public static Node opener() {
        Node mark = Icon.OPEN.node(11);
        mark.getStyleClass().add("opener");
        return mark;
    }

    /** Gives a button a tooltip, which is made when the pointer first comes: each is a window of its own. */
    public static void tip(Node b, String english) {
        String text = Language.of(english);
        Object known = b.getProperties().get(TIP);
        if (known instanceof Tooltip t) {
            t.setText(text);
            return;
        }
        b.getProperties().put(TIP, text);
        if (known == null) {
            b.addEventHandler(MouseEvent.MOUSE_ENTERED, e -> {
                if (b.getProperties().get(TIP) instanceof String words) {
                    var t = new Tooltip(words);
                    t.setShowDelay(Duration.millis(500));
                    b.getProperties().put(TIP, t);
                    Tooltip.install(b, t);
                }
            });
        }
    }
}
