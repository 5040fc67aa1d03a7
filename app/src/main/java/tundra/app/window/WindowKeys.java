package tundra.app.window;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.fxmisc.richtext.GenericStyledArea;
import tundra.app.command.Command;
import tundra.app.page.PageView;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Lazy;
import tundra.app.widget.LightButton;
import tundra.core.geometry.Point;

/** What keys do in the window: for what is open over it, for the tool in hand, for a command. */
final class WindowKeys {
    /** Held down they show the drawing before and the next one. */
    private static final KeyCode LOOK_BACK = KeyCode.Q, LOOK_AHEAD = KeyCode.W;
    private final MainWindow window;

    WindowKeys(MainWindow window) {
        this.window = window;
    }

    /** The scene hears of keys also while nothing in it has the keyboard, as between two desks. */
    void listenToKeys(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, e -> {
            if (e.getCode() == LOOK_BACK || e.getCode() == LOOK_AHEAD) {
                window.studio.book().peek(0);
            }
        });
        scene.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (!typed(scene.getFocusOwner()) && !page(scene.getFocusOwner())) {
                window.w.typing.typed(e);
                window.w.canvas.redrawOverlay();
            }
        });
    }

    /** Whether keys are the page's that is tried. */
    private static boolean page(Node focus) {
        return focus instanceof PageView;
    }

    private void key(KeyEvent e) {
        if (window.find.isMade() && window.find.get().isVisible()) {
            return;
        }
        Node focus = window.layers.getScene().getFocusOwner();
        boolean typing = typed(focus);
        if (window.overlays.asking()) {
            if (e.getCode() == KeyCode.ESCAPE && !typing) {
                window.overlays.leave();
                e.consume();
            }
            return;
        }
        if (page(focus) && !e.isShortcutDown() && !e.isAltDown()) {
            return;
        }
        if (!typing && e.getCode() != KeyCode.ESCAPE && window.w.typing.pressed(e)) {
            window.w.canvas.redrawOverlay();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ESCAPE && !typing) {
            escape();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ENTER && !typing && window.overlays.helping() && !(focus instanceof ButtonBase)) {
            window.overlays.take();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ENTER && !typing && window.w.tools.active().finish()) {
            window.w.canvas.redrawOverlay();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ENTER && !typing && focus == window.w.canvas && drawHere()) {
            e.consume();
            return;
        }
        if (typing && (!e.isShortcutDown() && !e.isAltDown() || isTextKey(e))) {
            return;
        }
        if (e.getCode() == KeyCode.SPACE && button(focus)) {
            return;
        }
        // letters that are pressed on a sentence or its words are not meant for a tool
        if (e.getCode().isLetterKey() && !e.isShortcutDown() && !e.isAltDown() && among(focus, window.reactions)) {
            return;
        }
        // a list is gone through by the arrows
        if (focus instanceof ListView<?> && e.getCode().isNavigationKey() && !e.isShortcutDown() && !e.isAltDown()) {
            return;
        }
        if (peek(e)) {
            e.consume();
            return;
        }
        Command c = window.w.commands.of(e);
        if (c != null) {
            c.run().run();
            e.consume();
        }
    }

    /** With the tool in hand, in the middle of what is seen. */
    private boolean drawHere() {
        Point from = window.w.canvas.viewport().toCanvas(Point.ZERO), to = window.w.canvas.viewport()
                .toCanvas(new Point(window.w.canvas.getWidth(), window.w.canvas.getHeight()));
        Point size = window.studio.board().size(), middle = new Point(Math.max(0, Math.min(size.x(), (from.x() + to.x()) / 2)),
                Math.max(0, Math.min(size.y(), (from.y() + to.y()) / 2)));
        return window.studio.desk() != Desk.PUBLISH && window.w.tools.active().drawAt(middle, Math.max(4, Math.min(size.x(), size.y()) / 6));
    }

    private static boolean among(Node n, Lazy<? extends Node> panel) {
        for (Node x = n; x != null && panel.isMade(); x = x.getParent()) {
            if (x == panel.get()) {
                return true;
            }
        }
        return false;
    }

    static boolean button(Node n) {
        return n instanceof ButtonBase || n instanceof LightButton;
    }

    /** The drawing before or after the current one, for as long as the key is held. */
    private boolean peek(KeyEvent e) {
        boolean one = (e.getCode() == LOOK_BACK || e.getCode() == LOOK_AHEAD) && !e.isShortcutDown() && !e.isAltDown() && !e.isShiftDown();
        if (!one || window.studio.desk() != Desk.DRAW || !window.studio.book().is()) {
            return false;
        }
        window.studio.book().peek(e.getCode() == LOOK_BACK ? -1 : 1);
        return true;
    }

    /** What a text field does itself. */
    private static boolean isTextKey(KeyEvent e) {
        return e.isShortcutDown() && List.of(KeyCode.Z, KeyCode.C, KeyCode.X, KeyCode.V, KeyCode.A, KeyCode.LEFT, KeyCode.RIGHT, KeyCode.UP,
                KeyCode.DOWN, KeyCode.BACK_SPACE, KeyCode.DELETE).contains(e.getCode());
    }

    /** Gives up what is under way; else drops the tool; else the selection. */
    private void escape() {
        if (window.overlays.leave()) {
            return;
        }
        if (window.desks.isAlone()) {
            window.desks.toggleAlone();
            return;
        }
        boolean gaveUp = (window.outline.isMade() && window.outline.get().giveUp()) | window.w.canvas.cancel() | window.w.tools.active()
                .cancel() | (window.drawings.isMade() && window.drawings.get().strip().cancel()) | (window.timeline.isMade() && window.timeline.get()
                .lanes().cancel());
        if (!gaveUp && window.w.tools.kind() != ToolKind.SELECT) {
            window.w.tools.take(ToolKind.SELECT);
        } else if (!gaveUp && (window.studio.desk() == Desk.DRAW && window.studio.groups().leave() || window.studio.selection().isEmpty()
                && window.studio.navigation().goUp())) {
            window.w.canvas.redrawOverlay();
        } else if (!gaveUp && window.tries.trying) {
            window.tries.leaveTry();
        } else if (!gaveUp && !window.studio.time().keys().isEmpty()) {
            window.studio.time().selectKeys(List.of());
        } else if (!gaveUp) {
            window.studio.select(List.of());
        }
        window.w.canvas.redrawOverlay();
    }

    /** Whether the keyboard's letters go into a text. */
    private static boolean typed(Node focus) {
        return focus instanceof TextInputControl || focus instanceof GenericStyledArea<?, ?, ?>;
    }
}
