package tundra.app.adapt;

import java.util.Map;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tundra.app.job.Work;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.core.fit.Frames;
import tundra.core.fit.Layouts;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Thumbnail;

/** A layout as it is at the playhead, with its name and its widths; a press works on it. */
final class LayoutFace extends Button {
    /** The room of its picture, in px. */
    static final double WIDE = 128, HIGH = 150;
    private static final Thumbnail.Maker MAKER = new Thumbnail.Maker();
    private final Studio studio;
    private final ImageView face = new ImageView();
    private final Label name = new Label();
    private Project of;
    private Board board;
    private FrameBuilder builder;
    private Moment wanted;
    private Moment shown;
    private boolean painting;

    LayoutFace(Studio studio) {
        this.studio = studio;
        face.setPreserveRatio(true);
        face.setFitWidth(WIDE);
        face.setFitHeight(HIGH);
        var frame = new StackPane(face);
        frame.getStyleClass().add("layout-face-picture");
        name.getStyleClass().add("small");
        name.setMaxWidth(WIDE);
        var box = new VBox(3, name, frame);
        box.setAlignment(Pos.TOP_LEFT);
        setGraphic(box);
        getStyleClass().add("layout-face");
        setMaxWidth(Double.MAX_VALUE);
    }

    /**
     * @param range for which widths it is, with null for the scene as it is drawn
     * @param seen the scene as it is in the layout
     */
    void show(Layouts.Range range, Board seen) {
        Layout l = range.layout();
        String called = l == null ? "as drawn" : l.name(), widths = range.from() == 0 ? "up to " + (range.to() - 1) : range.to() == Layout.WIDEST
                ? range.from() + " and up" : range.from() + "–" + (range.to() - 1);
        name.setText(called + "  " + widths);
        setId("face-" + (l == null ? "base" : l.id()));
        setAccessibleText("Work on " + (l == null ? "the scene as it is drawn" : "layout " + called) + ", for " + widths + " px");
        Buttons.tip(this, getAccessibleText());
        setOnAction(e -> studio.layouts().setLayout(l == null ? null : l.id()));
        boolean here = studio.layout() == null ? l == null : l != null && l.id().equals(studio.layout().id());
        getStyleClass().remove("worked-on");
        if (here) {
            getStyleClass().add("worked-on");
        }
        if (board != seen || of != studio.project()) {
            board = seen;
            of = studio.project();
            builder = Frames.of(of, board, Fonts.of(of.assets()));
            shown = null;
        }
        at(Moment.editing(board, studio.timeline().id(), studio.time().playhead()));
    }

    /** Paints it off the interface thread; of those that are asked for meanwhile, the last one. */
    private void at(Moment m) {
        wanted = m;
        if (painting || m.equals(shown)) {
            return;
        }
        painting = true;
        shown = m;
        Frame f = builder.at(m);
        Point size = board.size();
        double scale = Math.min(WIDE / size.x(), HIGH / size.y()) * 2;
        Map<String, Asset> assets = of.assets();
        Work.start("layout picture", () -> {
            Thumbnail t;
            synchronized (MAKER) {
                t = MAKER.paint(f, scale, assets);
            }
            Platform.runLater(() -> {
                painting = false;
                var image = new WritableImage(t.width(), t.height());
                image.getPixelWriter().setPixels(0, 0, t.width(), t.height(), PixelFormat.getIntArgbInstance(), t.argb(), 0, t.width());
                face.setImage(image);
                if (shown == null || !wanted.equals(shown)) {
                    at(wanted);
                }
            });
        });
    }
}
