package tundra.app.art;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Slider;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.job.Work;
import tundra.core.draw.Trace;
import tundra.core.draw.TracedPicture;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureReader;
import tundra.render.Still;

/** Traces a picture into areas of few colours: a live preview beside the picture, made off the interface thread, to be taken or left. */
public final class TracePanel extends StackPane {
    private static final int MOST = 1000;
    private static final double SIDE = 380;
    private final Asset asset;
    private final Element picture;
    private final Consumer<Element> take;
    private final Runnable leave;
    private final Slider colors = new Slider(2, 24, 12);
    private final Slider detail = new Slider(1, 200, 16);
    private final Slider smoothing = new Slider(0, 1, 0.4);
    private final ImageView preview = new ImageView();
    private final ProgressBar progress = new ProgressBar(0);
    private final Label result = new Label();
    private final Button apply = new Button("Take the paths");
    private final PauseTransition wait = new PauseTransition(Duration.millis(180));
    private AtomicBoolean cancelled = new AtomicBoolean();
    private Element traced;

    /**
     * @param take gets the group of paths
     * @param leave runs when it is given up
     */
    public TracePanel(Asset asset, Element picture, Consumer<Element> take, Runnable leave) {
        this.asset = asset;
        this.picture = picture;
        this.take = take;
        this.leave = leave;
        setId("trace-panel");
        getStyleClass().add("find-veil");
        var title = new Label("Trace " + picture.name());
        title.getStyleClass().add("heading");
        var words = new Label("The picture becomes paths that can be reshaped and animated.");
        words.getStyleClass().add("quiet");
        var before = new ImageView(new Image(new ByteArrayInputStream(Still.png(alone(picture), new FrameBuilder(
                alone(picture).scenes().getFirst().board(), Fonts.BUNDLED).at(0)))));
        for (ImageView v : List.of(before, preview)) {
            v.setPreserveRatio(true);
            v.setFitWidth(SIDE);
            v.setFitHeight(300);
        }
        var pictures = new HBox(14, framed(before, "picture"), framed(preview, "paths"));
        var cancel = new Button("Discard");
        cancel.setOnAction(e -> leave());
        cancel.setCancelButton(true);
        apply.getStyleClass().add("primary");
        apply.setId("trace-apply");
        apply.setOnAction(e -> {
            take.accept(traced);
            leave();
        });
        result.getStyleClass().add("quiet");
        result.setId("trace-result");
        progress.setPrefWidth(120);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var foot = new HBox(10, progress, result, gap, cancel, apply);
        foot.setAlignment(Pos.CENTER_LEFT);
        var box = new VBox(12, title, words, pictures, row("Colours", colors, "trace-colors"), row("Leave out areas below", detail, "trace-detail"),
                row("Smoothing", smoothing, "trace-smoothing"), foot);
        box.getStyleClass().add("find-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        setAlignment(box, Pos.TOP_CENTER);
        wait.setOnFinished(e -> run());
        for (Slider s : List.of(colors, detail, smoothing)) {
            s.valueProperty().addListener((o, was, is) -> {
                waiting();
                wait.playFromStart();
            });
        }
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                cancelled.set(true);
            }
        });
        run();
    }

    private static StackPane framed(ImageView v, String kind) {
        var words = new Label(kind);
        words.getStyleClass().addAll("chip", "chip-more");
        var pane = new StackPane(v, words);
        StackPane.setAlignment(words, Pos.BOTTOM_LEFT);
        pane.setMinSize(SIDE, 300);
        pane.getStyleClass().add("surround");
        return pane;
    }

    private static Node row(String name, Slider s, String id) {
        var l = new Label(name);
        l.setMinWidth(150);
        var v = new Label();
        v.getStyleClass().add("mono");
        v.setMinWidth(60);
        Runnable show = () -> v.setText(id.equals("trace-smoothing") ? Math.round(s.getValue() * 100) + " %"
                : Math.round(s.getValue()) + (id.equals("trace-detail") ? " px" : ""));
        s.valueProperty().addListener((o, was, is) -> show.run());
        show.run();
        s.setId(id);
        s.setAccessibleText(name);
        HBox.setHgrow(s, Priority.ALWAYS);
        var row = new HBox(10, l, s, v);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** A project of nothing but an element on white, as large as it. */
    private Project alone(Element e) {
        Point size = picture.rest().get(Properties.SIZE);
        double k = Math.min(1, SIDE / Math.max(size.x(), size.y()));
        Project p = Project.empty("trace", new Point(Math.max(1, size.x() * k), Math.max(1, size.y() * k)), 24).withAsset(asset);
        Element there = e.with(Properties.POSITION, size.times(k / 2)).with(Properties.PIVOT, new Point(0.5, 0.5)).with(Properties.ROTATION, 0.0)
                .with(Properties.SCALE, new Point(k, k)).with(Properties.OPACITY, 1.0);
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(there))
                .withCanvas(b.canvas().with(Properties.BACKGROUND, Color.WHITE)));
    }

    /** What was traced is of other settings: it can't be taken any more. */
    private void waiting() {
        cancelled.set(true);
        apply.setDisable(true);
        progress.setVisible(true);
        result.setText("tracing…");
    }

    private void run() {
        waiting();
        var mine = new AtomicBoolean();
        cancelled = mine;
        var options = new Trace.Options((int) Math.round(colors.getValue()), (int) Math.round(detail.getValue()), smoothing.getValue());
        Work.start("trace", () -> {
            var pixels = PictureReader.pixels(asset, MOST);
            var sheets = Trace.of(pixels.argb(), pixels.width(), pixels.height(), options,
                    Progress.of(p -> Platform.runLater(() -> progress.setProgress(p)), mine::get));
            if (sheets.isEmpty()) {
                Platform.runLater(() -> nothing(mine));
                return;
            }
            Element group = TracedPicture.group(sheets, pixels.width(), pixels.height(), picture);
            Project p = alone(group);
            byte[] png = Still.png(p, new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED).at(0));
            int nodes = sheets.stream().mapToInt(s -> s.outline().contours().stream().mapToInt(c -> c.nodes().size()).sum()).sum();
            Platform.runLater(() -> {
                if (!mine.get()) {
                    traced = group;
                    preview.setImage(new Image(new ByteArrayInputStream(png)));
                    progress.setVisible(false);
                    result.setText(sheets.size() + " paths, " + nodes + " nodes");
                    apply.setDisable(false);
                }
            });
        });
    }

    private void nothing(AtomicBoolean of) {
        if (!of.get()) {
            progress.setVisible(false);
            result.setText("the picture is see-through; there is nothing to trace");
        }
    }

    private void leave() {
        leave.run();
    }
}
