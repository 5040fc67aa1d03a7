package tundra.app.publish;

import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.widget.Buttons;
import tundra.app.widget.Words;
import tundra.web.PreviewServer;

/** What just happened in the running page. */
public final class LogPanel extends VBox {
    private final VBox lines = new VBox(3);
    private final Consumer<PreviewServer.LogLine> goThere;

    /** @param goThere shows the canvas at the moment of a line */
    public LogPanel(TryIt tryIt, Consumer<PreviewServer.LogLine> goThere) {
        this.goThere = goThere;
        getStyleClass().add("log-panel");
        var title = Words.section("What just happened");
        var scroll = new ScrollPane(lines);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        lines.setId("log");
        getChildren().addAll(title, scroll);
        tryIt.listen(() -> {
            show(tryIt);
            scroll.setVvalue(1);
        });
        show(tryIt);
    }

    private void show(TryIt tryIt) {
        lines.getChildren().clear();
        if (tryIt.log().isEmpty()) {
            var hint = Words.wrapped("Nothing yet. Try it (Ctrl T) and tap something: each reaction that fires is listed here.");
            lines.getChildren().add(hint);
        }
        for (PreviewServer.LogLine l : tryIt.log()) {
            var label = new Label(String.format(Locale.ROOT, "%6.2f  %s", l.time() / 1000, l.text()));
            label.getStyleClass().addAll("mono", "log-line");
            if (l.text().startsWith("problem")) {
                label.getStyleClass().add("problem-text");
            }
            label.setWrapText(true);
            if (!l.scene().isEmpty()) {
                label.getStyleClass().add("log-jump");
                Buttons.tip(label, "Shows the canvas at this moment");
                label.setOnMouseClicked(e -> goThere.accept(l));
            }
            lines.getChildren().add(label);
        }
    }
}
