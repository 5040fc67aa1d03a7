package tundra.app.window;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.widget.PictureFrame;
import tundra.app.widget.Times;
import tundra.app.widget.Words;
import tundra.core.file.Recovery;

/** Offers the pieces that were open when Tundra ended without being left: each with its picture and when it was kept last. */
final class RecoveryPanel extends Veil {
    private static final double WIDE = 560, PICTURE_WIDTH = 112, PICTURE_HEIGHT = 70;
    private final VBox rows = new VBox(10);
    private final Runnable leave;

    /** What can be done with a piece that was found. */
    enum Choice {
        GO_ON("Go on with it", "recovery-go-on"), LOOK("Look first", "recovery-look"), LET_GO("Let it go", "recovery-let-go");

        private final String words;
        private final String id;

        Choice(String words, String id) {
            this.words = words;
            this.id = id;
        }
    }

    RecoveryPanel(List<Recovery.Found> found, BiConsumer<Recovery.Found, Choice> chosen, Runnable leave) {
        super("recovery");
        this.leave = leave;
        var head = new Label(found.size() == 1 ? "One piece was not saved" : found.size() + " pieces were not saved");
        head.getStyleClass().add("heading");
        var words = Words.wrapped("Tundra ended before they were. This is how they were kept last; the files that they are of are untouched.");
        for (Recovery.Found f : found) {
            rows.getChildren().add(row(f, chosen));
        }
        var scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(360);
        var later = new Button("Ask me at the next start");
        later.setId("recovery-later");
        later.setCancelButton(true);
        later.setOnAction(e -> leave.run());
        var foot = new HBox(later);
        foot.setAlignment(Pos.CENTER_RIGHT);
        show(WIDE, head, words, scroll, foot);
        Platform.runLater(() -> {
            if (rows.lookup("#" + Choice.GO_ON.id) instanceof Button first) {
                first.requestFocus();
            }
        });
    }

    private HBox row(Recovery.Found f, BiConsumer<Recovery.Found, Choice> chosen) {
        var name = new Label(f.name());
        name.getStyleClass().add("card-title");
        var when = new Label("kept " + Times.day(f.time()));
        when.getStyleClass().addAll("quiet", "small");
        var where = new Label(f.file() == null ? "never saved to a file" : f.file().toString());
        where.getStyleClass().addAll("quiet", "small");
        where.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        where.setMaxWidth(WIDE - PICTURE_WIDTH - 60);
        var buttons = new HBox(6);
        var row = new HBox(12);
        for (Choice c : Choice.values()) {
            var b = new Button(c.words);
            b.setId(c.id);
            b.setMinWidth(USE_PREF_SIZE);
            b.setAccessibleText(c.words + ": " + f.name());
            if (c == Choice.GO_ON) {
                b.getStyleClass().add("primary");
                // Enter goes on with the newest, wherever the keyboard is
                b.setDefaultButton(rows.getChildren().isEmpty());
            }
            b.setOnAction(e -> {
                rows.getChildren().remove(row);
                if (c != Choice.LET_GO || rows.getChildren().isEmpty()) {
                    leave.run();
                }
                chosen.accept(f, c);
            });
            buttons.getChildren().add(b);
        }
        var words = new VBox(2, name, when, where, buttons);
        VBox.setMargin(buttons, new Insets(6, 0, 0, 0));
        HBox.setHgrow(words, Priority.ALWAYS);
        row.setAlignment(Pos.TOP_LEFT);
        row.getChildren().addAll(face(f), words);
        return row;
    }

    private static Node face(Recovery.Found f) {
        var frame = new PictureFrame(PICTURE_WIDTH, PICTURE_HEIGHT);
        frame.setPng(f.picture());
        return frame;
    }
}
