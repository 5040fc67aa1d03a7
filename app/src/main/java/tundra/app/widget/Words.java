package tundra.app.widget;

import javafx.scene.control.Label;
import javafx.scene.text.Text;

/** Plain text. */
public final class Words {
    private Words() {}

    /** The name of a part of a panel. */
    public static Text section(String name) {
        return of(name, "section");
    }

    /** Words that only stand there, with style classes. */
    public static Text of(String words, String... styles) {
        var t = new Text(words);
        t.getStyleClass().addAll(styles);
        return t;
    }

    /** Quiet words over as many lines as they need. */
    public static Label wrapped(String words) {
        var l = new Label(words);
        l.getStyleClass().add("quiet");
        l.setWrapText(true);
        return l;
    }

    /** Lets a text show as much of some words as a width in px has room for. */
    static void fit(Text t, String words, double room) {
        t.setText(words);
        double needed = t.getLayoutBounds().getWidth();
        // half a pixel is not worth a letter
        for (int letters = (int) Math.min(words.length() - 1, Math.max(0, room / needed) * words.length());
                letters >= 0 && t.getLayoutBounds().getWidth() > room + 0.5; letters--) {
            t.setText(words.substring(0, letters) + "…");
        }
    }
}
