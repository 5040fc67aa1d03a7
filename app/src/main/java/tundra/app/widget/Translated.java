package tundra.app.widget;

import javafx.beans.property.Property;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.text.Text;
import javafx.stage.Window;
import tundra.app.language.Language;

/**
 * Says the words of all windows in the language that is used: labels, buttons, menus, prompts, tooltips, and what screen readers are told.
 * Captions do it themselves; scripts are nobody's words. What somebody typed, such as the name of an element, stays as it is where it is said to be
 * {@link #own}.
 */
public final class Translated {
    static final String OWN = "tundra.own-words";
    private static final String FOLLOWED = "tundra.translated";
    private static boolean started;

    private Translated() {}

    /** Follows all windows that there are and will be; does nothing in English. */
    public static void start() {
        if (started || !Language.translates()) {
            return;
        }
        started = true;
        Window.getWindows().forEach(Translated::window);
        Window.getWindows().addListener((ListChangeListener<Window>) c -> {
            while (c.next()) {
                c.getAddedSubList().forEach(Translated::window);
            }
        });
    }

    /** Words of somebody's own, in a part of the window. */
    public static <N extends Node> N own(N n) {
        n.getProperties().put(OWN, true);
        return n;
    }

    private static void window(Window w) {
        if (w.getScene() != null) {
            scene(w.getScene());
        }
        w.sceneProperty().addListener((o, was, is) -> {
            if (is != null) {
                scene(is);
            }
        });
    }

    private static void scene(Scene s) {
        follow(s.getRoot());
        s.rootProperty().addListener((o, was, is) -> follow(is));
    }

    private static void follow(Node n) {
        if (n == null || n.getProperties().containsKey(OWN) || n.getClass().getName().startsWith("org.fxmisc") || n instanceof LightLabel
                || n.getClass().getSimpleName().equals("LabeledText") || n.getProperties().put(FOLLOWED, true) != null) {
            return;
        }
        switch (n) {
            case Labeled l -> follow(l);
            case Text t -> text(t.textProperty());
            case TextInputControl f -> {
                text(f.promptTextProperty());
                return;
            }
            default -> { }
        }
        if (n.getAccessibleText() != null) {
            text(n.accessibleTextProperty());
        }
        if (n instanceof Control c) {
            tip(c.getTooltip());
            c.tooltipProperty().addListener((o, was, is) -> tip(is));
        }
        if (n instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(Translated::follow);
            p.getChildrenUnmodifiable().addListener((ListChangeListener<Node>) c -> {
                while (c.next()) {
                    c.getAddedSubList().forEach(Translated::follow);
                }
            });
        }
    }

    private static void follow(Labeled l) {
        text(l.textProperty());
        if (l.getGraphic() != null) {
            follow(l.getGraphic());
        }
        l.graphicProperty().addListener((o, was, is) -> follow(is));
    }

    private static void tip(Tooltip t) {
        if (t != null && t.getProperties().put(FOLLOWED, true) == null) {
            text(t.textProperty());
        }
    }

    private static void text(Property<String> p) {
        say(p);
        p.addListener((o, was, is) -> say(p));
    }

    private static void say(Property<String> p) {
        if (!p.isBound() && p.getValue() != null) {
            String said = Language.of(p.getValue());
            if (!said.equals(p.getValue())) {
                p.setValue(said);
            }
        }
    }
}
