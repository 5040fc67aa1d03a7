package tundra.app.window;

import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.widget.Words;

/** Tells at length over the window: a headline, what it means, a line for each thing. */
final class ReportPanel extends Veil {
    private static final double WIDE = 460;

    ReportPanel(String headline, String meaning, List<String> lines, Consumer<Node> leave) {
        super("report");
        var head = new Label(headline);
        head.getStyleClass().add("heading");
        var words = Words.wrapped(meaning);
        var list = new VBox(6);
        for (String line : lines) {
            var l = new Label("–  " + line);
            l.setWrapText(true);
            l.setMinHeight(Region.USE_PREF_SIZE);
            list.getChildren().add(l);
        }
        var scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(340);
        var ok = new Button("All right");
        ok.getStyleClass().add("primary");
        ok.setDefaultButton(true);
        ok.setCancelButton(true);
        ok.setOnAction(e -> leave.accept(this));
        var foot = new HBox(ok);
        foot.setAlignment(Pos.CENTER_RIGHT);
        show(WIDE, head, words, scroll, foot);
        Platform.runLater(ok::requestFocus);
    }
}
