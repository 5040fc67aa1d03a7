package tundra.app.outline;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
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
import tundra.app.job.Work;
import tundra.app.studio.Studio;
import tundra.app.view.DropFormats;
import tundra.app.widget.Buttons;
import tundra.app.widget.Menus;
import tundra.core.edit.Arrange;
import tundra.core.edit.Motifs;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
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
    private final ImageView face = new ImageView();
    private final Label name = new Label();
    private final MenuItem delete;
    private Project project;
    private Motif motif;
    /** What the picture shows is made of these; the same ones give the same picture. */
    private List<Motif> made = List.of();
    private int uses = -1;
    private FrameBuilder builder;
    private boolean painting;
    private boolean outdated;

    MotifTile(Studio studio, Consumer<Motif> rename) {
        this.studio = studio;
        face.setFitWidth(SIDE);
        face.setFitHeight(SIDE);
        face.setPreserveRatio(true);
        var frame = new StackPane(face);
        frame.setMinSize(SIDE, SIDE);
        frame.setMaxSize(SIDE, SIDE);
        frame.getStyleClass().add("motif-face");
        name.getStyleClass().addAll("quiet", "small");
        name.setMaxWidth(SIDE);
        var box = new VBox(2, frame, name);
        box.setAlignment(Pos.CENTER);
        setGraphic(box);
        getStyleClass().add("swatch-button");
        delete = item("Delete", () -> studio.editProject("Delete motif " + motif.name(), null, p -> Motifs.delete(p, motif.id())));
        setOnAction(e -> place());
        var menu = new ContextMenu(item("Open", () -> studio.navigation().showPlace(motif.id())), item("Rename…", () -> rename.accept(motif)),
                item("Duplicate", () -> studio.editProject("Duplicate " + motif.name(), null, p -> Motifs.duplicate(p, motif.id()).project())),
                delete);
        Menus.on(this, () -> menu);
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
    }

    /** Shows a motif as it is in a version of the piece; its picture is made anew only where what it shows changed. */
    void show(Project p, Motif m, int count) {
        project = p;
        List<Motif> now = Motifs.within(p, m.id());
        boolean renamed = motif == null || !motif.name().equals(m.name());
        motif = m;
        if (renamed || uses != count) {
            uses = count;
            name.setText(m.name() + " ×" + uses);
            setId("motif-" + m.name());
            setAccessibleText("Place the motif " + m.name() + ", used " + (uses == 1 ? "once" : uses + " times"));
            Buttons.tip(this, getAccessibleText());
            delete.setText("Delete, with " + (uses == 1 ? "its instance" : "its " + uses + " instances"));
        }
        if (!same(now, made)) {
            made = now;
            builder = Frames.of(p, m.board(), Fonts.of(p.assets()));
            outdated = true;
            show(m.poster());
        }
    }

    private static boolean same(List<Motif> a, List<Motif> b) {
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (a.get(i).board() != b.get(i).board()) {
                return false;
            }
        }
        return true;
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
        studio.groups().enter(null);
        studio.select(List.of(e.id()));
    }

    /** The motif so many µs after it began, painted off the interface thread; a picture that is late is left out. */
    private void show(long time) {
        if (painting) {
            return;
        }
        painting = true;
        outdated = false;
        long local = motif.board().main().duration() == 0 ? 0 : time % motif.board().main().duration();
        Frame f = builder.at(Moment.opened(motif.board(), local));
        Point size = motif.board().size();
        var node = new FrameNode("", true, Affine.IDENTITY, 1, size, List.of(), f.nodes(), List.of());
        double scale = 2 * SIDE / Math.max(1, Math.max(size.x(), size.y()));
        Map<String, Asset> assets = project.assets();
        Work.start("motif picture", () -> {
            Thumbnail t;
            synchronized (MAKER) {
                t = MAKER.paint(node, new Rect(0, 0, size.x(), size.y()), scale, assets);
            }
            Platform.runLater(() -> {
                painting = false;
                var image = new WritableImage(t.width(), t.height());
                image.getPixelWriter().setPixels(0, 0, t.width(), t.height(), PixelFormat.getIntArgbInstance(), t.argb(), 0, t.width());
                face.setImage(image);
                if (outdated) {
                    show(motif.poster());
                }
            });
        });
    }
}
