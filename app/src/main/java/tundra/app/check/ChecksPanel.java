package tundra.app.check;

import java.io.ByteArrayInputStream;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.job.Settles;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Icon;
import tundra.app.widget.NumberField;
import tundra.core.check.Check;
import tundra.core.check.Checks;
import tundra.core.check.Finding;
import tundra.core.edit.TimeText;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.SkiaImageComparer;
import tundra.render.Still;

/** What looks wrong in the piece, over any desk: each finding says where it is, goes there, and mends itself where that is safe. */
public final class ChecksPanel extends VBox implements Settles {
    /** How wide the ends of a loop are shown, in px. */
    private static final int END = 168;
    private final Consumer<Set<Aspect>> follow = this::follow;
    private final Studio studio;
    private final Settings settings;
    private final Runnable leave;
    private final Label count = new Label();
    private final VBox list = new VBox(8);
    private final ProgressBar progress = new ProgressBar();
    private final NumberField jump = new NumberField("Change of area that is told", "%", 0);
    private final PauseTransition wait = new PauseTransition();
    private AtomicBoolean cancelled = new AtomicBoolean();
    private Project checked;
    private double checkedJump;
    private final boolean docked;
    private boolean open = true;

    /** Over any desk. @param leave closes it */
    public ChecksPanel(Studio studio, Settings settings, Runnable leave) {
        this(studio, settings, leave, false);
    }

    /** As a part of a desk, where it stays. */
    public static ChecksPanel docked(Studio studio, Settings settings) {
        return new ChecksPanel(studio, settings, () -> { }, true);
    }

    private ChecksPanel(Studio studio, Settings settings, Runnable leave, boolean docked) {
        super(docked ? 6 : 10);
        this.docked = docked;
        this.studio = studio;
        this.settings = settings;
        this.leave = leave;
        setId(docked ? "desk-checks" : "checks");
        getStyleClass().add(docked ? "desk-checks" : "checks-panel");
        var title = new Label("Checks");
        title.getStyleClass().add("heading");
        count.getStyleClass().addAll("chip", "chip-more");
        count.visibleProperty().bind(count.textProperty().isNotEmpty());
        count.setId(docked ? "desk-checks-count" : "checks-count");
        progress.setPrefWidth(70);
        progress.setVisible(false);
        var close = new Button();
        close.setGraphic(Icon.CLOSE.node(14));
        close.getStyleClass().add("flat");
        close.setId("checks-close");
        close.setAccessibleText("Close the checks");
        close.setOnAction(e -> leaveIt());
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(8, title, count, gap, progress, close);
        head.setAlignment(Pos.CENTER_LEFT);
        jump.setId("checks-jump");
        jump.setMaxWidth(90);
        jump.show(settings.areaJump());
        jump.onChange((v, merge) -> {
            settings.setAreaJump((int) Math.max(1, Math.min(1000, Math.rint(v))));
            ask();
        });
        var words = new Label("Tell a change of area over");
        words.getStyleClass().add("quiet");
        var line = new HBox(8, words, jump);
        line.setAlignment(Pos.CENTER_LEFT);
        var scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        // as high as what is found, up to a bound
        list.heightProperty().addListener((o, was, is) -> {
            double h = Math.min(430, is.doubleValue() + 4);
            scroll.setMinHeight(h);
            scroll.setPrefHeight(h);
            scroll.setMaxHeight(h);
        });
        VBox.setVgrow(scroll, Priority.ALWAYS);
        if (docked) {
            title.getStyleClass().setAll("label", "section");
            close.setManaged(false);
            close.setVisible(false);
            // it scrolls with what it stands in
            getChildren().addAll(head, list);
        } else {
            getChildren().addAll(head, line, scroll);
            setPrefWidth(380);
            setMaxSize(380, USE_PREF_SIZE);
        }
        // the page comes first on its desk
        wait.setDuration(Duration.millis(docked ? 2500 : 350));
        wait.setOnFinished(e -> run());
        studio.listen(follow);
        if (docked) {
            ask();
        } else {
            run();
        }
    }

    private void follow(Set<Aspect> what) {
        if (docked && studio.desk() != Desk.PUBLISH) {
            // looked at again when the desk is
            wait.stop();
            cancelled.set(true);
        } else if (docked && what.contains(Aspect.DESK) && !settled()) {
            ask();
        } else if (open && (what.contains(Aspect.DOCUMENT) || what.contains(Aspect.FILE))) {
            ask();
        }
    }

    /** Stops looking and closes. */
    public void leaveIt() {
        open = false;
        cancelled.set(true);
        wait.stop();
        studio.unlisten(follow);
        leave.run();
    }

    /** Whether what is shown belongs to the piece as it is. */
    @Override
    public boolean settled() {
        return checked == studio.project() && checkedJump == settings.areaJump();
    }

    private void ask() {
        wait.playFromStart();
    }

    private void run() {
        cancelled.set(true);
        var mine = new AtomicBoolean();
        cancelled = mine;
        Project p = studio.project();
        double limit = settings.areaJump();
        progress.setVisible(true);
        progress.setProgress(0);
        Work.start("checks", () -> {
            List<Finding> found;
            try (var eyes = new SkiaImageComparer()) {
                found = Checks.run(p, Fonts.of(p.assets()), eyes, limit / 100, Progress.of(x -> Platform.runLater(() -> progress.setProgress(x)),
                        mine::get));
            } catch (RuntimeException e) {
                Platform.runLater(() -> {
                    progress.setVisible(false);
                    count.setText("not looked through: " + e.getMessage());
                });
                throw e;
            }
            List<Finding> all = found;
            Platform.runLater(() -> {
                if (!mine.get()) {
                    checked = p;
                    checkedJump = limit;
                    progress.setVisible(false);
                    show(all);
                }
            });
        });
    }

    private void show(List<Finding> all) {
        Project p = studio.project();
        List<Finding> told = all.stream().filter(f -> f.muted(p) == null).sorted(Comparator.comparing((Finding f) -> f.check().severity))
                .toList(), quiet = all.stream().filter(f -> f.muted(p) != null).toList();
        count.setText(told.isEmpty() ? "nothing found" : told.size() + (docked ? " to look at" : ""));
        list.getChildren().setAll(told.stream().map(this::card).toList());
        if (told.isEmpty()) {
            var none = new Label(docked ? "The piece was looked over for " + Check.values().length + " kinds of faults."
                    : "The piece was looked over for " + String.join(", ", Arrays.stream(Check.values()).map(c -> c.title.toLowerCase(Locale.ROOT))
                    .toList())
                    + ". All of it is fine.");
            none.getStyleClass().addAll("quiet", "small");
            none.setWrapText(true);
            none.setMinHeight(USE_PREF_SIZE);
            list.getChildren().add(none);
        }
        if (!quiet.isEmpty()) {
            var meant = new Label(quiet.size() == 1 ? "1 finding is meant to be so" : quiet.size() + " findings are meant to be so");
            meant.getStyleClass().addAll("quiet", "small");
            list.getChildren().add(meant);
            quiet.forEach(f -> list.getChildren().add(quiet(f)));
        }
    }

    /** One that is meant to be so. */
    private Node quiet(Finding f) {
        var text = new Label(f.check().title + ": " + f.muted(studio.project()));
        text.getStyleClass().addAll("quiet", "small");
        text.setWrapText(true);
        text.setMinHeight(USE_PREF_SIZE);
        var again = new Button("Tell it again");
        again.getStyleClass().addAll("small", "flat");
        again.setOnAction(e -> studio.editProject("Tell of " + f.check().title.toLowerCase(Locale.ROOT) + " again", null, f::heard));
        return new VBox(2, text, again);
    }

    /** Asks for the reason in place, and keeps it. */
    private void mute(Finding f, VBox card) {
        var reason = new TextField();
        reason.setId("check-reason");
        reason.setPromptText("Why it is meant to be so");
        reason.setAccessibleText("Why it is meant to be so");
        var keep = new Button("Keep");
        keep.setId("check-keep");
        keep.getStyleClass().add("small");
        Runnable done = () -> {
            if (!reason.getText().isBlank()) {
                studio.editProject("Mute " + f.check().title.toLowerCase(Locale.ROOT), null, p -> f.mute(p, reason.getText()));
            }
        };
        keep.setOnAction(e -> done.run());
        reason.setOnAction(e -> done.run());
        HBox.setHgrow(reason, Priority.ALWAYS);
        card.getChildren().add(new HBox(6, reason, keep));
        reason.requestFocus();
    }

    private Node card(Finding f) {
        var kind = new Label(f.check().title);
        kind.getStyleClass().addAll("chip", "chip-" + f.check().severity.name().toLowerCase(Locale.ROOT));
        kind.setAccessibleText(f.check().title + ", " + f.check().severity.words);
        Place s = studio.project().place(f.scene());
        var where = new Label((s == null ? "" : s.name()) + " · " + TimeText.seconds(f.time()));
        where.getStyleClass().addAll("quiet", "small");
        var head = new HBox(8, kind, where);
        head.setAlignment(Pos.CENTER_LEFT);
        var text = new Label(f.text());
        text.setWrapText(true);
        text.setMinHeight(USE_PREF_SIZE);
        var go = new Button("Go there");
        go.getStyleClass().add("small");
        go.setOnAction(e -> go(f));
        var doing = new HBox(6, go);
        if (f.fix() != null) {
            var fix = new Button(f.fix().name());
            fix.getStyleClass().addAll("small", "check-fix");
            fix.setOnAction(e -> {
                studio.navigation().showPlace(f.scene());
                if (f.fix().whole() != null) {
                    studio.editProject(f.fix().name(), null, f.fix().whole());
                } else {
                    studio.edit(f.fix().name(), f.fix().change());
                }
            });
            doing.getChildren().add(fix);
        }
        var card = new VBox(6, head, text, doing);
        card.getStyleClass().add("card");
        if (f.check() == Check.OPEN_LOOP && s != null) {
            ends(s, card);
        }
        var mute = new Button("Mute…");
        mute.getStyleClass().addAll("small", "check-mute");
        mute.setOnAction(e -> {
            mute.setDisable(true);
            mute(f, card);
        });
        doing.getChildren().add(mute);
        return card;
    }

    /** The last and the first picture of a loop beside each other. */
    private void ends(Place place, VBox card) {
        Project p = studio.project();
        var both = new HBox(6);
        card.getChildren().add(2, both);
        Work.start("loop ends", () -> {
            FrameBuilder builder = Frames.of(p, place.board(), Fonts.of(p.assets()));
            int w = docked ? END / 2 : END, h = (int) Math.max(1, Math.round(w * place.board().size().y() / place.board().size().x()));
            long last = Math.max(0, place.board().main().duration() - p.frameTime(1));
            byte[] end = Still.png(p, builder.at(Moment.main(place.board(), last)), w, h),
                    start = Still.png(p, builder.at(Moment.main(place.board(), 0)), w, h);
            Platform.runLater(() -> both.getChildren().setAll(end("last picture", end), end("first picture", start)));
        });
    }

    private static Node end(String words, byte[] png) {
        var picture = new ImageView(new Image(new ByteArrayInputStream(png)));
        picture.setAccessibleText(words);
        var said = new Label(words);
        said.getStyleClass().addAll("quiet", "small");
        return new VBox(2, picture, said);
    }

    private void go(Finding f) {
        studio.navigation().showPlace(f.scene());
        studio.setDesk(Desk.DRAW);
        studio.groups().enter(null);
        studio.select(f.element() == null ? List.of() : List.of(f.element()));
        studio.time().seek(f.time());
        int i = f.drawing() == null || !studio.book().is() ? -1 : studio.book().book().indexOf(f.drawing());
        if (i >= 0) {
            studio.book().goTo(i);
        }
    }
}
