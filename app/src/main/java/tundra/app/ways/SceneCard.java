package tundra.app.ways;

import java.util.function.BiConsumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import tundra.app.job.Work;
import tundra.app.studio.Studio;
import tundra.app.widget.LightLabel;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.render.Fonts;
import tundra.render.Thumbnail;

/** A scene among the ways through the piece: its picture, which plays, its name, and what is wrong with its ways. */
final class SceneCard extends Region {
    private static final double LABEL = 26, MOST = 360;
    private static final double ROUND = 14;
    private static final Thumbnail.Maker MAKER = new Thumbnail.Maker();
    private final Studio studio;
    private final ImageView face = new ImageView();
    private final LightLabel name = new LightLabel("", "card-title");
    private final LightLabel problem = new LightLabel("", "chip", "chip-problem");
    private final HBox foot = new HBox(6, name, problem);
    private Project project;
    private Scene scene;
    private FrameBuilder builder;
    private final long began = System.nanoTime();
    private boolean painting;

    /** @param drag hears of a new way that is drawn from it */
    SceneCard(Studio studio, BiConsumer<SceneCard, MouseEvent> drag) {
        this.studio = studio;
        getStyleClass().add("scene-card");
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(face, foot);
        setFocusTraversable(true);
        setOnMouseClicked(e -> {
            if (e.getButton() == MouseButton.PRIMARY && e.getClickCount() == 2) {
                studio.navigation().showPlace(scene.id());
            }
            e.consume();
        });
        setOnMouseDragged(e -> {
            if (!e.isStillSincePress()) {
                drag.accept(this, e);
            }
            e.consume();
        });
        setOnMouseReleased(e -> {
            if (!e.isStillSincePress()) {
                drag.accept(this, e);
            }
            e.consume();
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                studio.navigation().showPlace(scene.id());
                e.consume();
            }
        });
    }

    Scene scene() {
        return scene;
    }

    void setAimed(boolean aimed) {
        getStyleClass().remove("aimed");
        if (aimed) {
            getStyleClass().add("aimed");
        }
    }

    void show(Project p, Scene s, boolean first, boolean unreachable, boolean deadEnd) {
        if (scene == null || scene.board() != s.board() || project.motifs() != p.motifs()) {
            builder = Frames.of(p, s.board(), Fonts.of(p.assets()));
        }
        project = p;
        scene = s;
        name.setText((first ? "▸ " : "") + s.name());
        problem.setText(unreachable ? "no way to it" : "no way on");
        problem.setVisible(unreachable || deadEnd);
        problem.setManaged(problem.isVisible());
        setAccessibleText("Scene " + s.name() + (first ? ", the first" : "") + (unreachable ? ", no way to it" : "") + (deadEnd ? ", no way on" : "")
                + ". Enter opens it.");
        getStyleClass().removeAll("lost", "open");
        if (unreachable || deadEnd) {
            getStyleClass().add("lost");
        }
        if (studio.place().id().equals(s.id())) {
            getStyleClass().add("open");
        }
        live();
    }

    /** The picture of the moment, painted off the interface thread; one that is late is left out. */
    void live() {
        if (painting || scene == null || getWidth() < 60) {
            return;
        }
        painting = true;
        Scene s = scene;
        long time = (System.nanoTime() - began) / 1000 % Math.max(1, s.board().main().duration());
        FrameBuilder b = builder;
        var frame = b.at(Moment.opened(s.board(), time));
        double scale = Math.min(MOST, getWidth()) / s.board().size().x();
        Project p = project;
        Work.start("scene picture", () -> {
            Thumbnail t;
            synchronized (MAKER) {
                t = MAKER.paint(frame, scale, p.assets());
            }
            Platform.runLater(() -> {
                painting = false;
                var image = new WritableImage(t.width(), t.height());
                image.getPixelWriter().setPixels(0, 0, t.width(), t.height(), PixelFormat.getIntArgbInstance(), t.argb(), 0, t.width());
                face.setImage(image);
            });
        });
    }

    @Override
    protected void layoutChildren() {
        face.setFitWidth(getWidth() - 2);
        face.setFitHeight(getHeight() - LABEL - 1);
        face.relocate(1, 1);
        // its upper corners are those of the card
        var seen = new Rectangle(getWidth() - 2, getHeight());
        seen.setArcWidth(ROUND);
        seen.setArcHeight(ROUND);
        face.setClip(seen);
        foot.resizeRelocate(8, getHeight() - LABEL, Math.max(0, getWidth() - 12), LABEL);
    }
}
