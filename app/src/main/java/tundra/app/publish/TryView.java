package tundra.app.publish;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.ToDoubleFunction;
import javafx.animation.PauseTransition;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.util.Duration;
import tundra.app.job.Jobs;
import tundra.app.page.PageView;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Overflow;
import tundra.core.fit.Layouts;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Scene;
import tundra.render.SkiaSeries;
import tundra.web.ViewLimits;

/** The published page inside Tundra, run by a process of its own that is started when it is first needed. */
public final class TryView extends BorderPane {
    private static final double TWO_LINES = 30;
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
    private final Overflow ways = new Overflow(8, "Open in browser, back to the canvas, record");
    private final Button again, browser;
    /** Whether there is a canvas to go back to. */
    private boolean leaves;
    private final ToggleButton first = new ToggleButton("From the start"), record = new ToggleButton("Record");
    private final Consumer<String> recorded;
    private final PageView page = new PageView(this::troubled);
    private final SideHandle handle = new SideHandle(Orientation.HORIZONTAL, this::resize), below = new SideHandle(Orientation.VERTICAL,
            this::resizeHigh);
    private double zoom = 1;
    private final VBox trouble = new VBox(12);
    private final Label troubleWords = new Label();
    /** Where the page is served; null before that. */
    private String url;

    /** @param recorded gets the lines of a visit that was recorded */
    public TryView(Studio studio, TryIt tryIt, Jobs jobs, Runnable openInBrowser, Runnable leave, Consumer<String> recorded) {
        this.recorded = recorded;
        this.studio = studio;
        this.tryIt = tryIt;
        this.jobs = jobs;
        page.setId("try-page");
        tryIt.onClose(page::end);
        stage.getChildren().setAll(page, handle, below, waiting, trouble);
        setId("try-view");
        getStyleClass().add("try-view");
        words.setId("try-words");
        words.getStyleClass().addAll("quiet", "small");
        words.setWrapText(true);
        words.setMinWidth(0);
        // two lines, never as many as a narrow window would make of them
        words.setPrefHeight(TWO_LINES);
        words.setMaxHeight(TWO_LINES);
        words.setTooltip(new Tooltip());
        words.getTooltip().textProperty().bind(words.textProperty());
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        again = button("Run again", this::run);
        again.setId("try-again");
        var anew = button("Run again", this::run);
        anew.setId("try-anew");
        anew.getStyleClass().add("primary");
        troubleWords.setId("try-trouble");
        troubleWords.setWrapText(true);
        troubleWords.setMaxWidth(420);
        troubleWords.setTextAlignment(TextAlignment.CENTER);
        trouble.setAlignment(Pos.CENTER);
        trouble.getStyleClass().add("try-trouble");
        trouble.getChildren().addAll(troubleWords, anew);
        trouble.setVisible(false);
        browser = button("Open in browser", openInBrowser);
        back = button("Back to the canvas", leave);
        back.setId("try-leave");
        first.setId("try-first");
        first.getStyleClass().add("try-less");
        first.setOnAction(e -> load());
        first.setMinWidth(Region.USE_PREF_SIZE);
        Buttons.tip(first, "Begins in the first scene, as a visitor does, not in the one that is open");
        record.setId("try-record");
        record.getStyleClass().add("try-less");
        record.setMinWidth(Region.USE_PREF_SIZE);
        record.setOnAction(e -> {
            if (record.isSelected()) {
                tryIt.record();
                load();
            } else {
                ended();
            }
        });
        Buttons.tip(record, "Begins anew and writes down what you do and see, until it is pressed again: for a film of it");
        ways();
        var bar = new HBox(8, words, ways);
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
        leaves = on;
        ways();
    }

    /** What was recorded is handed on. */
    private void ended() {
        record.setSelected(false);
        // what is on its way arrives within a moment
        var wait = new PauseTransition(Duration.millis(600));
        wait.setOnFinished(e -> recorded.accept(tryIt.recorded()));
        wait.play();
    }

    /** Makes the page of the project as it is now, off the interface thread, and loads it. */
    public void run() {
        left.run();
        page.warm();
        var project = studio.kept();
        String unseen = ViewLimits.of(project);
        words.setText("The real page. " + (unseen == null ? "It is shown whole." : unseen));
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
            url = made.url;
            if (made.problem == null) {
                load();
            } else {
                say("The page can't be run here: " + made.problem);
            }
        }, () -> waiting.setVisible(false));
    }

    private void giveUp() {
        left.run();
        words.setText("Given up: the page was not made. “Run again” starts anew.");
    }

    private record Made(String url, String problem) {}

    /** The page from its start, as it is for the visitor that is chosen. */
    private void load() {
        if (url != null) {
            trouble.setVisible(false);
            tryIt.clear();
            tryIt.slow(as.visitor().slow());
            fit();
            page.load(url + "?" + System.nanoTime() + as.visitor().query() + from() + (record.isSelected() ? "&record" : ""));
            page.setHands(as.visitor().hand() != Visitor.Hand.KEYS);
            if (!page.hands()) {
                page.requestFocus();
            }
        }
    }

    /** What can be done besides, where it makes sense. */
    private void ways() {
        var now = new ArrayList<Node>();
        if (studio.kept().scenes().size() > 1) {
            now.add(first);
        }
        now.addAll(List.of(again, browser));
        if (leaves) {
            now.add(back);
        }
        now.add(record);
        ways.setItems(now);
    }

    /** In the scene that is open, unless the first one is asked for. */
    private String from() {
        boolean another = !studio.place().id().equals(studio.kept().scenes().getFirst().id()) && studio.kept().scene(studio.place().id()) != null;
        ways();
        return another && !first.isSelected() ? "&scene=" + studio.place().id() : "";
    }

    private void troubled(PageView.Trouble t) {
        switch (t) {
            case NONE -> trouble.setVisible(false);
            case STANDS_STILL -> say("The page does not answer: something in it goes on and on, such as a loop in a script that never ends. Your piece is safe.");
            case DIED -> say("The page's process has ended by itself. Your piece is safe.");
        }
    }

    private void say(String what) {
        troubleWords.setText(what);
        trouble.setVisible(true);
    }

    /** The page that is tried. */
    public PageView page() {
        return page;
    }

    /** Stops the page, so that it takes no time while it is not seen. */
    public void stop() {
        left.run();
        if (record.isSelected()) {
            ended();
        }
        trouble.setVisible(false);
        page.rest();
    }

    private void fit() {
        if (stage.getWidth() > 0) {
            // whoever works on a layout tries that one
            double wide = as.visitor().width() > 0 ? as.visitor().width() : studio.layout() != null ? studio.layout().size().x()
                    : widest(b -> b.size().x());
            Visitor who = as.visitor();
            double high = who.height() > 0 ? who.height() : Visitor.height(who.width()) > 0 ? Visitor.height(who.width())
                    : widest(b -> Layouts.at(b, wide) instanceof Layout l ? l.size().y() : b.size().y());
            var held = who.turned() ? new Point(high, wide) : new Point(wide, high);
            zoom = Math.min(1, Math.min((stage.getWidth() - 40) / held.x(), (stage.getHeight() - 40) / held.y()));
            double pixels = getScene() == null || getScene().getWindow() == null ? 1 : getScene().getWindow().getOutputScaleX();
            zoom = Math.max(0.05, zoom);
            // larger is a window of fewer CSS px
            double larger = who.large() ? 2 : 1;
            page.fit(held.x() / larger, held.y() / larger, zoom * larger, pixels);
            handle.place(held.x() * zoom, zoom);
            below.place(held.y() * zoom, zoom);
        }
    }

    private double widest(ToDoubleFunction<Board> side) {
        return studio.kept().scenes().stream().map(Scene::board).mapToDouble(side).max().orElse(1);
    }

    /** Makes the page's window another width while the page goes on, as a visitor may. */
    private void resize(int px) {
        if (as.visitor().turned()) {
            as.setHeight(px);
        } else {
            as.setWidth(px);
        }
        fit();
    }

    private void resizeHigh(int px) {
        if (as.visitor().turned()) {
            as.setWidth(px);
        } else {
            as.setHeight(px);
        }
        fit();
    }
}
