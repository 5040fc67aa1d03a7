package tundra.app.publish;

import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.output.Made;
import tundra.app.widget.Buttons;
import tundra.app.widget.Words;
import tundra.core.geometry.Numbers;
import tundra.web.PageWeight;

/** What the page weighs: a bar for each kind of file, the heaviest files, and what would make it lighter. */
final class WeightSection extends VBox {
    private static final double BAR = 92, WORDS = 96;
    private static final int FILES = 6;
    /** Less isn't worth an offer, in bytes. */
    private static final long LEAST = 1024;
    private final VBox bars = new VBox(5), files = new VBox(2);
    private final Label sum = new Label();
    private final Button lighter = new Button("Make pictures smaller"), measure = new Button("Measure in the browser");
    private final Label measured = new Label();

    /**
     * @param smaller has pictures published in no more pixels than are shown
     * @param measures opens the page where it measures itself
     */
    WeightSection(Runnable smaller, Runnable measures) {
        super(7);
        setId("weight");
        sum.setId("weight-sum");
        sum.getStyleClass().addAll("quiet", "small");
        sum.setWrapText(true);
        lighter.setId("weight-smaller");
        lighter.getStyleClass().add("small");
        lighter.setOnAction(e -> smaller.run());
        lighter.setVisible(false);
        lighter.managedProperty().bind(lighter.visibleProperty());
        measure.setId("weight-measure");
        measure.getStyleClass().add("small");
        Buttons.tip(measure, "Opens the page in your browser and counts its pictures and its work for four seconds");
        measure.setOnAction(e -> {
            say("The browser measures; leave its window in front for five seconds.");
            measures.run();
        });
        measured.setId("weight-measured");
        measured.getStyleClass().addAll("quiet", "small");
        measured.setWrapText(true);
        measured.managedProperty().bind(measured.textProperty().isNotEmpty());
        getChildren().addAll(Words.section("What it weighs"), bars, sum, lighter, files, measure, measured);
        sum.setText("Worked out once the page is made.");
    }

    /** @param saved how many bytes less a file would be as a smaller picture, by its name */
    void show(PageWeight w, Map<String, Long> saved) {
        long less = saved.values().stream().mapToLong(x -> x).sum();
        long most = w.byKind().values().stream().mapToLong(x -> x).max().orElse(1);
        bars.getChildren().setAll(w.byKind().entrySet().stream().map(e -> row(e, most)).toList());
        sum.setText("Together " + Made.size(w.bytes()) + " as hosts send it; about " + Numbers.plain(w.slow(), 1)
                + " s to the first picture on a slow line.");
        lighter.setVisible(less > LEAST);
        lighter.setText("Make pictures smaller: −" + Made.size(less));
        files.getChildren().setAll(w.files().stream().limit(FILES).map(f -> {
            long by = saved.getOrDefault(f.name(), 0L);
            var l = new Label(Made.size(f.bytes()) + "  " + f.name() + (by > LEAST ? "\nsmaller by " + Made.size(by) + " as it is shown" : ""));
            l.getStyleClass().addAll("mono", "small", "quiet");
            return l;
        }).toList());
    }

    void measured(String words) {
        say("Your browser: " + words + ".");
    }

    private void say(String words) {
        measured.setText(words);
    }

    private static HBox row(Map.Entry<PageWeight.Kind, Long> e, long most) {
        var name = new Label(e.getKey().words);
        name.getStyleClass().addAll("small", "quiet");
        name.setMinWidth(WORDS);
        name.setPrefWidth(WORDS);
        var bar = new Region();
        bar.getStyleClass().addAll("weight-bar", "weight-" + e.getKey().name().toLowerCase(Locale.ROOT));
        double wide = Math.max(4, BAR * e.getValue() / most);
        bar.setMinSize(wide, 9);
        bar.setMaxSize(wide, 9);
        var size = new Label(Made.size(e.getValue()));
        size.getStyleClass().addAll("mono", "small");
        var row = new HBox(7, name, bar, size);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
