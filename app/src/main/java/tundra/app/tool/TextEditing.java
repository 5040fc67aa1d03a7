package tundra.app.tool;

import java.util.List;
import java.util.Objects;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.paint.Color;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.TextCaret;
import tundra.core.frame.CaretPlaces;
import tundra.core.frame.Frame;
import tundra.core.frame.ValueWords;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Limits;
import tundra.core.model.Properties;

/** Types the words of a text on the canvas itself, where they stand. Escape or a press elsewhere ends it; one step of undo. */
public final class TextEditing implements Overlay {
    private final Studio studio;
    private String id;
    private TextCaret caret;
    private Object merge;

    public TextEditing(Studio studio) {
        this.studio = studio;
    }

    public boolean active() {
        return text() != null;
    }

    private Content.Text text() {
        if (id == null) {
            return null;
        }
        Element e = studio.board().find(id);
        if (e == null || !(e.content() instanceof Content.Text t) || !studio.selection().contains(id)) {
            hold(null);
            return null;
        }
        if (!t.text().equals(caret.text())) {
            // changed from elsewhere, such as by undo
            caret = new TextCaret(t.text(), caret.caret(), caret.caret());
        }
        return t;
    }

    /** Takes the words of a text in hand, all of them selected. */
    public void start(String element) {
        if (studio.board().find(element) instanceof Element e && e.content() instanceof Content.Text t && !e.locked()) {
            hold(element);
            caret = TextCaret.all(t.text());
            merge = new Object();
        }
    }

    /** Ends it and keeps the words; says whether there was something to end. */
    public boolean end() {
        boolean any = active();
        hold(null);
        return any;
    }

    /** Has the words of one text in hand, which shows the names of its values meanwhile; null for none. */
    private void hold(String element) {
        if (!Objects.equals(id, element)) {
            id = element;
            studio.picture().showAsWritten(element);
        }
    }

    private void take(TextCaret next) {
        boolean typed = !next.text().equals(caret.text());
        if (typed && next.text().length() > Limits.TEXT_CHARS) {
            return;
        }
        caret = next;
        if (typed) {
            Element e = studio.board().find(id);
            String words = next.text();
            studio.edit("Type in " + e.name(), merge, b -> b.mapElement(id, x -> x.withContent(((Content.Text) x.content()).withText(words))));
        }
    }

    // --- the keyboard ---

    /** Letters. */
    public void typed(KeyEvent e) {
        String c = e.getCharacter();
        if (active() && !c.isEmpty() && c.charAt(0) >= 32 && c.charAt(0) != 127 && !e.isShortcutDown()) {
            take(caret.insert(c));
            e.consume();
        }
    }

    /** Keys that move and change; says whether the key meant the text. */
    public boolean pressed(KeyEvent e) {
        Content.Text t = text();
        if (t == null) {
            return false;
        }
        boolean select = e.isShiftDown(), word = e.isShortcutDown();
        var places = new CaretPlaces(spaced(t), studio.picture().fonts());
        TextCaret next = switch (e.getCode()) {
            case LEFT -> word ? caret.word(false, select) : caret.step(false, select);
            case RIGHT -> word ? caret.word(true, select) : caret.step(true, select);
            case UP -> caret.at(places.vertical(caret.caret(), false), select);
            case DOWN -> caret.at(places.vertical(caret.caret(), true), select);
            case HOME -> caret.at(places.lineEnd(caret.caret(), false), select);
            case END -> caret.at(places.lineEnd(caret.caret(), true), select);
            case BACK_SPACE -> caret.backspace();
            case DELETE -> caret.delete();
            case ENTER -> caret.insert("\n");
            default -> word ? shortcut(e.getCode()) : caret;
        };
        if (next == null) {
            return false;
        }
        take(next);
        return true;
    }

    /** Null for a shortcut that is none of the text's. */
    private TextCaret shortcut(KeyCode k) {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        switch (k) {
            case A -> {
                return new TextCaret(caret.text(), caret.text().length(), 0);
            }
            case C, X -> {
                if (!caret.selected().isEmpty()) {
                    var content = new ClipboardContent();
                    content.putString(caret.selected());
                    clipboard.setContent(content);
                }
                return k == KeyCode.X ? caret.insert("") : caret;
            }
            case V -> {
                return clipboard.hasString() ? caret.insert(clipboard.getString().replace("\r\n", "\n").replaceAll("[\\p{Cntrl}&&[^\n]]", ""))
                        : caret;
            }
            default -> {
                return null;
            }
        }
    }

    // --- the pointer ---

    private Point local(Point canvas) {
        Frame.Placed p = studio.picture().frame().find(id);
        return p == null ? null : p.toCanvas().inverse().apply(canvas);
    }

    /** Sets the caret; says false, and ends the typing, when the press was not in the text. */
    public boolean press(Pointer p) {
        Content.Text t = text();
        if (t == null) {
            return false;
        }
        Frame.Placed placed = studio.picture().frame().find(id);
        Point at = local(p.at());
        if (at == null || !new Rect(0, 0, placed.node().box().x(), placed.node().box().y()).grow(6).contains(at)) {
            end();
            return false;
        }
        if (p.clicks() > 1) {
            caret = caret.at(new CaretPlaces(spaced(t), studio.picture().fonts()).index(at), false).word(false, false);
            caret = new TextCaret(caret.text(), caret.word(true, true).caret(), caret.caret());
        } else {
            caret = caret.at(new CaretPlaces(spaced(t), studio.picture().fonts()).index(at), p.shift());
        }
        return true;
    }

    public void drag(Pointer p) {
        Content.Text t = text();
        if (t != null && local(p.at()) instanceof Point at) {
            caret = caret.at(new CaretPlaces(spaced(t), studio.picture().fonts()).index(at), true);
        }
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        Content.Text t = text();
        Frame.Placed placed = t == null ? null : studio.picture().frame().find(id);
        if (placed == null) {
            return;
        }
        Palette colors = Palette.of(studio.dark());
        var places = new CaretPlaces(spaced(t), studio.picture().fonts());
        for (ValueWords.Span s : ValueWords.in(t.text(), studio.project().values())) {
            fill(g, v, placed, places.selection(s.from(), s.to()), colors.interaction().deriveColor(0, 1, 1, 0.3));
        }
        fill(g, v, placed, places.selection(caret.from(), caret.to()), colors.space().deriveColor(0, 1, 1, 0.3));
        Rect at = places.caret(caret.caret());
        Point a = v.toView(placed.toCanvas().apply(at.topLeft())), b = v.toView(placed.toCanvas().apply(at.bottomRight()));
        g.setStroke(colors.space());
        g.setLineWidth(2);
        g.strokeLine(a.x(), a.y(), b.x(), b.y());
    }

    private static void fill(SkiaGraphics g, Viewport v, Frame.Placed placed, List<Rect> all, Color color) {
        g.setFill(color);
        for (Rect r : all) {
            var c = placed.toCanvas().corners(r).stream().map(v::toView).toList();
            g.fillPolygon(c.stream().mapToDouble(Point::x).toArray(), c.stream().mapToDouble(Point::y).toArray(), 4);
        }
    }

    /** The words with the letter spacing that is seen. */
    private Content.Text spaced(Content.Text t) {
        return t.withSpacing(studio.target().valueAt(id, Properties.LETTER_SPACING));
    }
}
