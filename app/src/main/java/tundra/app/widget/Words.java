package tundra.app.widget;

import javafx.scene.text.Text;

/** Words that only stand there. A label is for those that have to be shortened or broken where room is short, and costs more. */
public final class Words {
    private Words() {}

    /** The name of a part of a panel. */
    public static Text section(String name) {
        return of(name, "section");
    }

    private static Text of(String words, String style) {
        var t = new Text(words);
        t.getStyleClass().add(style);
        return t;
    }
}
