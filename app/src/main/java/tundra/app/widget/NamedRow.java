package tundra.app.widget;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** A row of a panel: a name, and what belongs to it; numbers take the width that is left. */
public class NamedRow extends HBox {
    public NamedRow(String name, Node... of) {
        super(6, new LightLabel(name, "property-name"));
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("property-row");
        getChildren().addAll(of);
        for (Node n : of) {
            if (n instanceof NumberField) {
                HBox.setHgrow(n, Priority.ALWAYS);
            }
        }
    }
}
