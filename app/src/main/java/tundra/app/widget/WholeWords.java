package tundra.app.widget;

import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.Text;
import javafx.util.Duration;

/** Lets words that are shortened for want of room be read whole: by pointing at them, unless what they are in says something of its own then. */
public final class WholeWords {
    private Node of;
    private Tooltip tip;

    private WholeWords() {}

    /** For all that lies in a part of the scene: the root of a window or of a popup. */
    public static void in(Node root) {
        var words = new WholeWords();
        // before the first move, which a tooltip waits for
        root.addEventFilter(MouseEvent.MOUSE_ENTERED_TARGET, e -> words.at((Node) e.getTarget(), root));
    }

    private void at(Node target, Node root) {
        Node cut = null;
        for (Node n = target; n != null && n != root; n = n.getParent()) {
            if (n instanceof Control c && c.getTooltip() != null || n.getProperties().containsKey(Buttons.TIP)) {
                cut = null;
                break;
            }
            if (cut == null && whole(n) != null) {
                cut = n;
            }
        }
        if (cut == of) {
            if (cut != null) {
                tip.setText(whole(cut));
            }
            return;
        }
        if (of != null) {
            Tooltip.uninstall(of, tip);
        }
        of = cut;
        if (cut != null) {
            tip = new Tooltip(whole(cut));
            tip.setShowDelay(Duration.millis(400));
            Tooltip.install(cut, tip);
        }
    }

    /** The words of a label that is too narrow for them, in the language of the window; null of all others. */
    public static String whole(Node n) {
        return switch (n) {
            case LightLabel l -> cut(l.said(), l.shown());
            case Labeled l when l.lookup(".text") instanceof Text t && t.getParent() == l -> cut(l.getText(), t.getText());
            default -> null;
        };
    }

    private static String cut(String words, String shown) {
        return words == null || words.isBlank() || words.equals(shown) || words.endsWith("…") || !shortened(shown) ? null : words;
    }

    private static boolean shortened(String shown) {
        return shown.isEmpty() || shown.endsWith("…") || shown.endsWith("...");
    }
}
