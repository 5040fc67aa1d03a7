package tundra.app.start;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import tundra.app.document.PieceFace;
import tundra.app.job.Settles;
import tundra.app.job.Work;
import tundra.app.widget.Icon;
import tundra.app.widget.PictureFrame;
import tundra.app.widget.Words;
import tundra.core.file.ProjectFile;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Thumbnail;

/** What an empty start shows: what was worked on, something new by its purpose, samples to take apart, and what is possible, moving. */
public final class StartPanel extends StackPane implements Settles {
    private static final double WIDE = 980, CARD = 146, PICTURE = 82, PURPOSE = 158, LIVE = 400;
    private static final long EVERY = 80_000_000;
    /** At this pulse the first picture is on the screen. */
    private static final int SEEN = 4;
    private final Choices choices;
    private final Executor line = Work.line("start pictures");
    /** What is painted once the page is seen: until then the processor is for the page. */
    private final List<Runnable> waiting = new ArrayList<>();
    private final ImageView live = new ImageView();
    private final AnimationTimer clock = new AnimationTimer() {
        @Override
        public void handle(long now) {
            play(now);
        }
    };
    private final Thumbnail.Maker maker = new Thumbnail.Maker();
    private Project demo;
    private FrameBuilder frames;
    private boolean painting;
    /** Pictures that are on their way. */
    private int coming;
    private long painted;
    private int pulses;

    /** What can be begun here. @param leave takes the panel off, which comes before each of the others */
    public record Choices(Runnable leave, Consumer<Path> open, Consumer<Project> begin, Consumer<Sample> sample, Runnable play, Runnable lesson,
            Runnable browse, Runnable free) {}

    public StartPanel(List<Path> recent, Choices choices) {
        this.choices = choices;
        setId("start");
        getStyleClass().addAll("root-colors", "start-page");
        var mark = new HBox(12, Icon.RIDGE.node(36), Words.of("Tundra", "start-title"));
        mark.setAlignment(Pos.CENTER_LEFT);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(10, mark, gap, button("start-open", "Open a file…", choices.browse()), button("start-close", "An empty canvas",
                () -> { }));
        head.setAlignment(Pos.CENTER_LEFT);
        ((Button) head.getChildren().getLast()).setCancelButton(true);

        var left = new VBox(10);
        left.getChildren().add(Words.section(recent.isEmpty() ? "Begin something new" : "Go on with"));
        if (!recent.isEmpty()) {
            var files = new FlowPane(10, 10);
            files.setPrefWrapLength(3 * CARD + 2 * files.getHgap());
            recent.stream().limit(6).forEach(f -> files.getChildren()
                    .add(card("start-recent", name(f), f.toAbsolutePath().getParent().getFileName() == null ? "" : f.toAbsolutePath().getParent()
                    .getFileName().toString(), () -> picture(f), () -> choices.open().accept(f))));
            left.getChildren().addAll(files, Words.section("Begin something new"));
        }
        var purposes = new FlowPane(8, 8);
        // three beside each other: what the page thinks of how tall it becomes
        purposes.setPrefWrapLength(3 * PURPOSE + 2 * purposes.getHgap());
        for (Purpose p : Purpose.values()) {
            purposes.getChildren().add(purpose(p));
        }
        purposes.getChildren().add(button("start-free", "Any size…", choices.free()));
        left.getChildren().add(purposes);
        HBox.setHgrow(left, Priority.ALWAYS);
        left.setMinWidth(0);

        live.setFitWidth(LIVE);
        live.setPreserveRatio(true);
        var face = new StackPane(live);
        face.getStyleClass().add("surround");
        face.setMinSize(LIVE, LIVE / 2);
        face.setAccessibleText("The sample Open Night, playing");
        var possible = button("start-possible", "See what is possible, in a minute", choices.play());
        possible.getStyleClass().add("primary");
        var right = new VBox(10, face, possible, button("start-lesson", "Make your first piece, step by step", choices.lesson()));
        for (Node n : right.getChildren().subList(1, 3)) {
            ((Region) n).setMaxWidth(Double.MAX_VALUE);
        }
        right.setMinWidth(LIVE);
        right.setMaxWidth(LIVE);

        var samples = new FlowPane(10, 10);
        for (Sample s : Sample.values()) {
            samples.getChildren().add(card("start-" + s.file, s.words, s.shows, () -> face(s::read), () -> choices.sample().accept(s)));
        }
        var upper = new HBox(28, left, right);
        var all = new VBox(18, head, upper, Words.section("Take one apart"), samples);
        all.getStyleClass().add("start-box");
        all.setMaxWidth(WIDE);
        var scroll = new ScrollPane(new StackPane(all));
        scroll.setFitToWidth(true);
        getChildren().add(scroll);
        waiting.addFirst(this::read);
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                clock.stop();
            } else {
                clock.start();
                Platform.runLater(possible::requestFocus);
            }
        });
    }

    @Override
    public boolean settled() {
        return coming == 0 && live.getImage() != null;
    }

    private static String name(Path f) {
        return f.getFileName().toString().replaceFirst("\\.tundra$", "");
    }

    private Button button(String id, String words, Runnable run) {
        var b = new Button(words);
        b.setId(id);
        b.setMinWidth(USE_PREF_SIZE);
        b.setOnAction(e -> {
            choices.leave().run();
            run.run();
        });
        return b;
    }

    /** A button with a canvas of the purpose's shape. */
    private Button purpose(Purpose p) {
        var shape = new Region();
        shape.getStyleClass().add("start-shape");
        double k = 22 / Math.max(1, Math.max(p.shape(), 1 / p.shape()));
        double w = p.shape() >= 1 ? 22 : k, h = p.shape() >= 1 ? k : 22;
        shape.setMinSize(w, h);
        shape.setMaxSize(w, h);
        var place = new StackPane(shape);
        place.setMinSize(24, 24);
        Text called = Words.of(p.words);
        called.setWrappingWidth(PURPOSE - 60);
        var words = new VBox(1, called, Words.of(p.size, "quiet", "small"));
        words.setMinWidth(PURPOSE - 60);
        words.setPrefWidth(PURPOSE - 60);
        words.setMaxWidth(PURPOSE - 60);
        var row = new HBox(9, place, words);
        row.setAlignment(Pos.CENTER_LEFT);
        var b = button("start-new-" + p.name().toLowerCase(Locale.ROOT), "", () -> choices.begin().accept(p.piece()));
        b.setGraphic(row);
        b.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        b.setAccessibleText("New: " + p.words + ", " + p.size);
        b.getStyleClass().add("start-purpose");
        b.setMinWidth(PURPOSE);
        b.setMaxWidth(PURPOSE);
        return b;
    }

    private Button card(String id, String name, String more, Supplier<byte[]> picture, Runnable run) {
        var face = new PictureFrame(CARD - 2, PICTURE);
        var round = new Rectangle(CARD - 2, PICTURE + 20);
        round.setArcWidth(18);
        round.setArcHeight(18);
        face.setClip(round);
        var title = new Label(name);
        title.getStyleClass().add("card-title");
        title.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        // texts, not labels: with a skin for each of them the page would come later
        Text words = Words.of(more, "quiet", "small");
        words.setWrappingWidth(CARD - 20);
        var shows = new VBox(words);
        shows.getStyleClass().add("start-shows");
        var text = new VBox(2, title, shows);
        text.getStyleClass().add("start-words");
        var b = button(id, "", run);
        b.setGraphic(new VBox(face, text));
        b.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        b.setAccessibleText(name + ". " + more);
        b.getStyleClass().add("start-card");
        b.setMinWidth(CARD);
        b.setMaxWidth(CARD);
        coming++;
        waiting.add(() -> {
            byte[] png = picture.get();
            if (png != null) {
                Platform.runLater(() -> face.setPng(png));
            }
            Platform.runLater(() -> coming--);
        });
        return b;
    }

    /** What a file was saved with, else painted from what stands in it. */
    private static byte[] picture(Path file) {
        byte[] saved = ProjectFile.picture(file);
        return saved != null ? saved : face(() -> ProjectFile.read(file));
    }

    /** Null where there is none: its card has no picture then, and opening it says why. */
    private static byte[] face(Callable<Project> piece) {
        try {
            return PieceFace.png(piece.call(), 2 * CARD);
        } catch (Exception e) {
            return null;
        }
    }

    private void read() {
        try {
            Project p = Sample.OPEN_NIGHT.read();
            Platform.runLater(() -> {
                demo = p;
                frames = Frames.of(p, p.scenes().getFirst().board(), Fonts.of(p.assets()));
            });
        } catch (IOException e) {
            // there is nothing that plays then
        }
    }

    /** A picture that is late is left out. */
    private void play(long now) {
        if (++pulses == SEEN) {
            waiting.forEach(line::execute);
            waiting.clear();
        }
        if (demo == null || painting || now - painted < EVERY) {
            return;
        }
        painting = true;
        painted = now;
        Board b = demo.scenes().getFirst().board();
        Point size = b.size();
        var frame = frames.at(Moment.opened(b, now / 1000 % b.main().duration()));
        line.execute(() -> {
            Thumbnail t = maker.paint(frame, LIVE / size.x(), demo.assets());
            Platform.runLater(() -> {
                painting = false;
                var image = new WritableImage(t.width(), t.height());
                image.getPixelWriter().setPixels(0, 0, t.width(), t.height(), PixelFormat.getIntArgbInstance(), t.argb(), 0, t.width());
                live.setImage(image);
            });
        });
    }
}
