package tundra.app.canvas;

import javafx.scene.input.DragEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.TransferMode;
import tundra.app.tool.Pointer;
import tundra.app.tool.Tool;
import tundra.app.tool.ToolKind;
import tundra.app.view.DropFormats;
import tundra.core.geometry.Point;

/** What the mouse does on the canvas: it goes to the tool in hand, draws lines out of the rulers, moves the view, and drops art. */
final class CanvasPointer {
    private final CanvasView canvas;

    CanvasPointer(CanvasView canvas) {
        this.canvas = canvas;
    }

    void mouse(MouseEvent e) {
        if (e.getButton() == MouseButton.MIDDLE) {
            middle(e);
            return;
        }
        Tool tool = canvas.tools.active();
        if (e.getEventType() == MouseEvent.MOUSE_PRESSED) {
            canvas.studio.scroll().rest();
        }
        Pointer p = canvas.pointer(e);
        canvas.pointerSeen = true;
        if (e.getButton() == MouseButton.SECONDARY) {
            if (e.getEventType() == MouseEvent.MOUSE_PRESSED) {
                canvas.requestFocus();
            } else if (e.getEventType() == MouseEvent.MOUSE_RELEASED) {
                canvas.onMenu.accept(e);
            }
            return;
        }
        if (ruler(e, p)) {
            return;
        }
        if (e.getEventType() == MouseEvent.MOUSE_PRESSED && e.getButton() == MouseButton.PRIMARY) {
            canvas.requestFocus();
            tool.press(p);
        } else if (e.getEventType() == MouseEvent.MOUSE_DRAGGED && e.getButton() == MouseButton.PRIMARY) {
            tool.drag(p);
        } else if (e.getEventType() == MouseEvent.MOUSE_RELEASED && e.getButton() == MouseButton.PRIMARY) {
            tool.release(p);
        } else if (e.getEventType() == MouseEvent.MOUSE_MOVED) {
            tool.move(p);
        } else {
            return;
        }
        canvas.setCursor(canvas.tools.active().cursor());
        canvas.redrawOverlay();
    }

    /** Rulers and their lines come before the tools; lines only under the Select tool. */
    private boolean ruler(MouseEvent e, Pointer p) {
        if (!canvas.showsRulers() && !canvas.rulers.dragging()) {
            return false;
        }
        canvas.rulers.move(p.view());
        boolean linesToo = canvas.tools.kind() == ToolKind.SELECT;
        if (e.getEventType() == MouseEvent.MOUSE_PRESSED && canvas.rulers.press(p.view(), canvas.viewport, linesToo)) {
            canvas.requestFocus();
            canvas.redrawOverlay();
            return true;
        }
        if (canvas.rulers.dragging()) {
            if (e.getEventType() == MouseEvent.MOUSE_DRAGGED) {
                canvas.rulers.drag(p.view(), canvas.viewport);
            } else if (e.getEventType() == MouseEvent.MOUSE_RELEASED) {
                canvas.rulers.release();
            }
            canvas.redrawOverlay();
            return true;
        }
        var cursor = e.getEventType() == MouseEvent.MOUSE_MOVED ? canvas.rulers.cursor(p.view(), canvas.viewport, linesToo) : null;
        if (cursor != null) {
            canvas.setCursor(cursor);
            canvas.redrawOverlay();
            return true;
        }
        return false;
    }

    private void middle(MouseEvent e) {
        var at = new Point(e.getX(), e.getY());
        if (e.getEventType() == MouseEvent.MOUSE_PRESSED) {
            canvas.panFrom = at;
        } else if (e.getEventType() == MouseEvent.MOUSE_DRAGGED && canvas.panFrom != null) {
            canvas.pan(at.minus(canvas.panFrom));
            canvas.panFrom = at;
        }
    }

    void scroll(ScrollEvent e) {
        if (e.isShortcutDown()) {
            canvas.zoom(Math.exp(e.getDeltaY() / 300), new Point(e.getX(), e.getY()));
        } else {
            canvas.pan(new Point(e.getDeltaX(), e.getDeltaY()));
        }
        e.consume();
    }

    void over(DragEvent e) {
        if (e.getDragboard().hasFiles() || e.getDragboard().hasContent(DropFormats.MOTIF) || e.getDragboard().hasContent(DropFormats.BLOCK)) {
            e.acceptTransferModes(TransferMode.COPY);
            e.consume();
        }
    }

    void drop(DragEvent e) {
        if (e.getDragboard().getContent(DropFormats.MOTIF) instanceof String motif) {
            canvas.onMotif.accept(motif, canvas.viewport.toCanvas(new Point(e.getX(), e.getY())));
            e.setDropCompleted(true);
            e.consume();
            return;
        }
        if (e.getDragboard().getContent(DropFormats.BLOCK) instanceof String kind) {
            canvas.onBlock.accept(kind, canvas.viewport.toCanvas(new Point(e.getX(), e.getY())));
            e.setDropCompleted(true);
            e.consume();
            return;
        }
        if (e.getDragboard().hasFiles()) {
            canvas.onDrop.accept(e.getDragboard().getFiles(), canvas.viewport.toCanvas(new Point(e.getX(), e.getY())));
            e.setDropCompleted(true);
            e.consume();
        }
    }
}
