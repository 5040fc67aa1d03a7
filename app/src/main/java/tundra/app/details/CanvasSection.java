package tundra.app.details;

import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.Durations;
import tundra.core.edit.Exposures;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Limits;
import tundra.core.model.Timeline;

/** The canvas and the chosen timeline, shown when no element is selected. */
final class CanvasSection extends VBox {
    private final Studio studio;
    private final NumberField width = new NumberField("Canvas width", "w", 0);
    private final NumberField height = new NumberField("Canvas height", "h", 0);
    private final NumberField rate = new NumberField("Frames per second of the piece", "fps", 0);
    /** The timeline as it was before its duration was changed, what it was changed to, and the drag that changes it. */
    private Timeline offered;
    private long offeredTo;
    private Object changing;
    /** How far drawings moved with the frame rate; null for not at all. */
    private Label rateError;
    private final NumberField duration = new NumberField("Duration of the timeline", "s", 3);
    private final Label tooShort = new Label();
    private final VBox choice = new VBox(4);
    private final ScrollSection scroll;
    private final CheckBox loop = new CheckBox("Starts over at its end");
    private final CheckBox starts = new CheckBox("Starts by itself with the scene");

    CanvasSection(Studio studio) {
        this.studio = studio;
        setSpacing(6);
        scroll = new ScrollSection(studio);
        width.setId("field-canvas-w");
        height.setId("field-canvas-h");
        duration.setId("field-duration");
        rate.setId("field-frame-rate");
        rate.onChange((v, merge) -> rate((int) Math.rint(Numbers.clamp(v, 1, 240)), merge));
        loop.setId("field-loop");
        starts.setId("field-starts");
        width.onChange((v, merge) -> size(new Point(v, studio.board().size().y()), merge));
        height.onChange((v, merge) -> size(new Point(studio.board().size().x(), v), merge));
        duration.onChange((v, merge) -> duration(Math.max(1, Math.min(Limits.TIME, studio.project().snap(Math.round(v * 1e6)))), merge));
        tooShort.setId("too-short");
        tooShort.getStyleClass().addAll("quiet", "small");
        tooShort.setWrapText(true);
        choice.getChildren().add(tooShort);
        loop.setOnAction(e -> timeline(loop.isSelected() ? "Loop timeline" : "Play timeline once", null, t -> t.withLoop(loop.isSelected())));
        starts.setOnAction(e -> timeline("Change start of timeline", null, t -> t.withStarts(starts.isSelected())));
        getChildren().addAll(Words.section("Canvas"), new NamedRow("Size", width, height), new NamedRow("Frame rate", rate),
                Words.section("Timeline"), loop, starts, new NamedRow("Duration", duration), choice, scroll);
        refresh();
    }

    private void size(Point size, Object merge) {
        var s = new Point(Numbers.clamp(Math.rint(size.x()), 1, Limits.SIDE), Numbers.clamp(Math.rint(size.y()), 1, Limits.SIDE));
        studio.edit("Change canvas size", merge, b -> b.withSize(s));
        refresh();
    }

    /** Keeps all seconds; drawings of flipbooks go to whole frames. */
    private void rate(int fps, Object merge) {
        var done = Exposures.atRate(studio.project(), fps);
        if (fps != studio.project().frameRate()) {
            studio.editProject("Change frame rate to " + fps, merge, p -> done.project());
            tellError(done.error() > 1e-9 ? "drawings go to whole frames: up to " + Numbers.plain(done.error() * 1000, 1) + " ms off" : null);
        }
        refresh();
    }

    private void tellError(String words) {
        getChildren().remove(rateError);
        rateError = null;
        if (words != null) {
            rateError = new Label(words);
            rateError.getStyleClass().addAll("quiet", "small");
            getChildren().add(rateError);
        }
    }

    /** A duration that ends before the last key waits for what is to become of the keys beyond it. */
    private void duration(long wanted, Object merge) {
        choice.getChildren().setAll(tooShort);
        long last = Durations.last(studio.timeline());
        if (wanted >= last) {
            // one drag of the number goes from where it began
            offered = merge != null && merge == changing ? offered : studio.timeline();
            changing = merge;
            timeline("Change duration", merge, t -> Durations.to(t, wanted));
            offerToStretch(offered, wanted);
            return;
        }
        tooShort.setText("The last key stands at " + TimeText.seconds(last) + ". To end at " + TimeText.seconds(wanted) + ":");
        String id = studio.timeline().id();
        offered = null;
        var trim = choice("trim-keys", "Trim keys", "Keys beyond the end go; what is seen at the end stays",
                () -> studio.edit("Trim keys", b -> Durations.trimmed(b, id, wanted)));
        var squeeze = choice("squeeze-keys", "Squeeze them", "All keys come nearer together",
                () -> studio.edit("Squeeze keys", b -> Durations.squeezed(b, id, wanted)));
        choice.getChildren().add(new HBox(6, trim, squeeze));
        choice.setVisible(true);
        choice.setManaged(true);
        duration.show(Double.NaN);
        refreshNumbers();
    }

    /** All that is timed stays where it stands, unless it is to go along with the new duration. */
    private void offerToStretch(Timeline was, long wanted) {
        boolean timed = Durations.last(was) > 0 || !was.markers().isEmpty() || !was.sounds().isEmpty() || !was.shown().isEmpty();
        if (!timed || was.duration() == wanted) {
            return;
        }
        boolean longer = wanted > was.duration();
        offeredTo = wanted;
        tooShort.setText("All on it keeps its time.");
        var stretch = choice("stretch-keys", longer ? "Stretch it all" : "Squeeze it all",
                "Keys, markers, sounds, cues and when things are seen go along with the new duration",
                () -> studio.edit(longer ? "Stretch timeline" : "Squeeze timeline",
                b -> Durations.stretched(b.mapTimeline(was.id(), t -> t.withDuration(was.duration())), was.id(), wanted)));
        choice.getChildren().add(stretch);
        choice.setVisible(true);
        choice.setManaged(true);
    }

    private Button choice(String id, String words, String tip, Runnable run) {
        var b = new Button(words);
        b.setId(id);
        b.setMinWidth(USE_PREF_SIZE);
        Buttons.tip(b, tip);
        b.setOnAction(e -> {
            offered = null;
            hideChoice();
            run.run();
        });
        return b;
    }

    private void hideChoice() {
        choice.setVisible(false);
        choice.setManaged(false);
    }

    private void timeline(String name, Object merge, UnaryOperator<Timeline> change) {
        studio.edit(name, merge, b -> b.mapTimeline(studio.timeline().id(), change));
        refresh();
    }

    void refresh() {
        Timeline t = studio.timeline();
        if (offered == null || !offered.id().equals(t.id()) || t.duration() != offeredTo) {
            hideChoice();
        }
        refreshNumbers();
    }

    private void refreshNumbers() {
        width.show(studio.board().size().x());
        height.show(studio.board().size().y());
        rate.show(studio.project().frameRate());
        duration.show(studio.timeline().duration() / 1e6);
        loop.setSelected(studio.timeline().loop());
        starts.setSelected(studio.timeline().starts());
        boolean clock = studio.timeline().scroll() == null;
        loop.setDisable(!clock);
        starts.setDisable(!clock);
        scroll.refresh();
    }
}
