package tundra.app.outline;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.view.DropFormats;
import tundra.app.widget.Buttons;
import tundra.core.edit.Arrange;
import tundra.core.edit.Motifs;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Thumbnail;

/** A motif on the shelf: a picture that plays while the pointer is over it, and how often the motif is used. */
final class MotifTile extends Button {
    private static final double SIDE = 58;
    /** Pictures a second while it plays, in ns apart. */
    private static final long APART = 66_000_000;
    private static final Thumbnail.Maker MAKER = new Thumbnail.Maker();
    private final Studio studio;
    private final Motif motif;
    private final Project project;
    private final FrameBuilder builder;
    private final ImageView face = new ImageView();
    private boolean painting;

    MotifTile(Studio studio, Motif motif, int uses, java.util.function.Consumer<Motif> rename) {
        this.studio = studio;
        this.motif = motif;
        this.project = studio.project();
        this.builder = FrameBuilder.of(project, motif.board(), Fonts.of(project.assets()));
        face.setFitWidth(SIDE);
        face.setFitHeight(SIDE);
        face.setPreserveRatio(true);
        var frame = new StackPane(face);
        frame.setMinSize(SIDE, SIDE);
        frame.setMaxSize(SIDE, SIDE);
        frame.getStyleClass().add("motif-face");
        var name = new Label(motif.name() + " ×" + uses);
        name.getStyleClass().addAll("quiet", "small");
        name.setMaxWidth(SIDE);
        var box = new VBox(2, frame, name);
        box.setAlignment(Pos.CENTER);
        setGraphic(box);
        setId("motif-" + motif.name());
        getStyleClass().add("swatch-button");
        setAccessibleText("Place the motif " + motif.name() + ", used " + (uses == 1 ? "once" : uses + " times"));
        Buttons.tip(this, getAccessibleText());
        setOnAction(e -> place());
        setContextMenu(new ContextMenu(item("Open", () -> studio.showPlace(motif.id())), item("Rename…", () -> rename.accept(motif)),
                item("Duplicate", () -> studio.editProject("Duplicate " + motif.name(), null, p -> Motifs.duplicate(p, motif.id()).project())),
                item("Delete, with " + (uses == 1 ? "its instance" : "its " + uses + " instances"), () -> studio.editProject("Delete motif " + motif.name(), null, p -> Motifs.delete(p, motif.id())))));
        setOnDragDetected(e -> {
            var content = new ClipboardContent();
            content.put(DropFormats.MOTIF, motif.id());
            var board = startDragAndDrop(TransferMode.COPY);
            board.setContent(content);
            if (face.getImage() != null) {
                board.setDragView(face.getImage());
            }
            e.consume();
        });
        var play = new AnimationTimer() {
            private long began;
            private long last;

            @Override
            public void start() {
                began = 0;
                super.start();
            }

            @Override
            public void handle(long now) {
                began = began == 0 ? now : began;
                if (now - last > APART) {
                    last = now;
                    show((now - began) / 1000);
                }
            }
        };
        setOnMouseEntered(e -> play.start());
        setOnMouseExited(e -> {
            play.stop();
            show(motif.poster());
        });
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                play.stop();
            }
        });
        show(motif.poster());
    }

    private static MenuItem item(String words, Runnable run) {
        var i = new MenuItem(words);
        i.setMnemonicParsing(false);
        i.setOnAction(e -> run.run());
        return i;
    }

    private void place() {
        if (!Motifs.fits(studio.project(), studio.place().id(), motif.id())) {
            return;
        }
        Element e = Motifs.instance(studio.project(), motif.id(), studio.board().size().times(0.5));
        studio.edit("Place " + motif.name(), b -> Arrange.add(b, e));
        studio.enter(null);
        studio.select(java.util.List.of(e.id()));
    }

    /** The motif so many µs after it began, painted off the interface thread; a picture that is late is left out. */
    private void show(long time) {
        if (painting) {
            return;
        }
        painting = true;
        long local = motif.board().main().duration() == 0 ? 0 : time % motif.board().main().duration();
        Frame f = builder.at(Moment.opened(motif.board(), local));
        Point size = motif.board().size();
        var node = new FrameNode("", true, Affine.IDENTITY, 1, size, java.util.List.of(), f.nodes(), java.util.List.of());
        double scale = 2 * SIDE / Math.max(1, Math.max(size.x(), size.y()));
        Thread.ofVirtual().start(() -> {
            Thumbnail t;
            synchronized (MAKER) {
                t = MAKER.paint(node, new Rect(0, 0, size.x(), size.y()), scale, project.assets());
            }
            Platform.runLater(() -> {
                painting = false;
                var image = new WritableImage(t.width(), t.height());
                image.getPixelWriter().setPixels(0, 0, t.width(), t.height(), PixelFormat.getIntArgbInstance(), t.argb(), 0, t.width());
                face.setImage(image);
            });
        });
    }
}
