package tundra.app.interact;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;

/** What sentences and tables are written with: words that stand fast, and chips that open what may stand in their place. */
final class Chips {
    private Chips() {}

    static Label word(String text) {
        var l = new Label(text);
        l.getStyleClass().add("quiet");
        return l;
    }

    /** @param look its colour by the role of what it names, a style class */
    static Button chip(String text, String id, String look, Consumer<Node> open) {
        var b = new Button(text);
        b.setId(id);
        b.setMnemonicParsing(false);
        b.getStyleClass().addAll("chip", look);
        b.setOnAction(e -> open.accept(b));
        return b;
    }

    /** One after the other, in as many rows as they need. */
    static FlowPane line(List<Node> nodes) {
        var f = new FlowPane(5, 5);
        f.getChildren().setAll(nodes);
        f.setRowValignment(VPos.CENTER);
        f.setPrefWrapLength(370);
        return f;
    }
}
