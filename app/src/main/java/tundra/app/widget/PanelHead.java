package tundra.app.widget;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** The head of a panel that lies over the window for a while: what it is called, something more, and the way to close it. */
public final class PanelHead extends HBox {
    private final Label title = new Label();

    /**
     * @param id of its panel; its closing button is called so with “-close”
     * @param closes what screen readers say of that button
     */
    public PanelHead(String id, String name, String closes, Runnable close, Node... more) {
        super(8);
        title.setText(name);
        title.setId(id + "-head");
        title.getStyleClass().add("heading");
        var x = new Button();
        x.setGraphic(Icon.CLOSE.node(14));
        x.getStyleClass().add("flat");
        x.setId(id + "-close");
        x.setAccessibleText(closes);
        x.setOnAction(e -> close.run());
        var gap = new Region();
        setHgrow(gap, Priority.ALWAYS);
        getChildren().add(title);
        getChildren().addAll(more);
        getChildren().addAll(gap, x);
        setAlignment(Pos.CENTER_LEFT);
    }

    public void setText(String name) {
        title.setText(name);
    }
}
