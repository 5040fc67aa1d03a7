package tundra.app.window;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What lies over the window until it is answered: the window beneath is dimmed, a box stands at its top. */
abstract class Veil extends StackPane {
    Veil(String id) {
        setId(id);
        getStyleClass().add("find-veil");
    }

    /** Puts the box up, as wide as said in px. */
    final void show(double wide, Node... content) {
        var box = new VBox(12, content);
        box.getStyleClass().addAll("find-box", "report-box");
        box.setPrefWidth(wide);
        box.setMaxSize(wide, Region.USE_PREF_SIZE);
        getChildren().add(box);
        setAlignment(box, Pos.TOP_CENTER);
    }
}
