package tundra.app.publish;

import java.io.IOException;
import java.util.concurrent.CancellationException;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.web.WebView;
import tundra.app.job.Jobs;
import tundra.app.studio.Studio;
import tundra.core.geometry.Point;
import tundra.render.SkiaSeries;
import tundra.web.ViewLimits;

/** The published page inside Tundra. The engine is made when it is first needed, since that takes a while. */
public final class TryView extends BorderPane {
    private final Studio studio;
    private final TryIt tryIt;
    private final StackPane stage = new StackPane();
    private final Button back;
    private final Jobs jobs;
    private final Waiting waiting = new Waiting("Making the page…");
    private final Label words = new Label();
    /** Gives up the page that is being made. */
    private Runnable left = () -> { };
    private final VisitorBar as;
    private WebView web;
    /** Where the page is served; null before that. */
    private String url;

    public TryView(Studio studio, TryIt tryIt, Jobs jobs, Runnable openInBrowser, Runnable leave) {
        this.studio = studio;
        this.tryIt = tryIt;
        this.jobs = jobs;
        stage.getChildren().add(waiting);
        setId("try-view");
        getStyleClass().add("try-view");
        words.setId("try-words");
        words.getStyleClass().addAll("quiet", "small");
        words.setWrapText(true);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        var again = button("Run again", this::run);
        again.setId("try-again");
        var browser = button("Open in browser", openInBrowser);
        back = button("Back to the canvas", leave);
        back.setId("try-leave");
        var bar = new HBox(8, words, again, browser, back);
        bar.setAlignment(Pos.CENTER_LEFT);
        bar.getStyleClass().add("try-bar");
        as = new VisitorBar(v -> load());
        setTop(new VBox(bar, as));
        setCenter(stage);
        stage.getStyleClass().add("surround");
        stage.widthProperty().addListener(o -> fit());
        stage.heightProperty().addListener(o -> fit());
    }

    private static Button button(String text, Runnable run) {
        var b = new Button(text);
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setOnAction(e -> run.run());
        return b;
    }

    /** Whether there is a canvas to go back to here. */
    public void showLeave(boolean on) {
        back.setVisible(on);
        back.setManaged(on);
    }

    /** Makes the page of the project as it is now, off the interface thread, and loads it. */
    public void run() {
        left.run();
        var project = studio.kept();
        String unseen = ViewLimits.of(project);
        words.setText("The real page. " + (unseen == null ? "This view shows all that this piece uses." : unseen));
        tryIt.clear();
        var share = waiting.start(this::giveUp);
        left = jobs.start(p -> {
            try {
                return new Made(tryIt.url(project, new SkiaSeries(p)), null);
            } catch (CancellationException e) {
                throw e;
            } catch (IOException | RuntimeException e) {
                return new Made(null, e.getMessage() == null ? e.toString() : e.getMessage());
            }
        }, share, made -> {
            waiting.setVisible(false);
            show(made);
        }, () -> waiting.setVisible(false));
    }

    private void giveUp() {
        left.run();
        words.setText("Given up: the page was not made. “Run again” starts anew.");
    }

    private record Made(String url, String problem) {}

    private void show(Made made) {
        if (made.problem != null) {
            stage.getChildren().setAll(new Label("The page can't be run here: " + made.problem), waiting);
            web = null;
            url = null;
            return;
        }
        if (web == null) {
            web = new WebView();
            web.setId("try-web");
            web.setContextMenuEnabled(false);
            web.setPageFill(javafx.scene.paint.Color.TRANSPARENT);
            stage.getChildren().setAll(new javafx.scene.Group(web), waiting);
        }
        url = made.url;
        load();
    }

    /** The page from its start, as it is for the visitor that is chosen. */
    private void load() {
        if (web != null && url != null) {
            tryIt.clear();
            web.getEngine().load(url + "?" + System.nanoTime() + as.visitor().query());
            web.setMouseTransparent(as.visitor().hand() == Visitor.Hand.KEYS);
            if (web.isMouseTransparent()) {
                web.requestFocus();
            }
            fit();
        }
    }

    public WebView web() {
        return web;
    }

    /** Stops the page, so that it takes no time while it is not seen. */
    public void stop() {
        left.run();
        if (web != null) {
            web.getEngine().load("about:blank");
        }
    }

    private void fit() {
        if (web != null && stage.getWidth() > 0) {
            Point size = studio.kept().scenes().getFirst().board().size();
            double wide = as.visitor().width() > 0 ? as.visitor().width() : size.x();
            double zoom = Math.min(1, Math.min((stage.getWidth() - 40) / wide, (stage.getHeight() - 40) / size.y()));
            // in a group, so that the scaled view takes its scaled room
            web.setMinSize(wide, size.y());
            web.setPrefSize(wide, size.y());
            web.setMaxSize(wide, size.y());
            web.setScaleX(zoom);
            web.setScaleY(zoom);
        }
    }
}
