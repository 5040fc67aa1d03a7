package tundra.app.details;

import java.util.Locale;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Words;
import tundra.core.edit.Keys;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.NamedEasing;
import tundra.core.motion.Track;

/** The easing to the next key: the curve, and a choice by what it feels like. */
final class EasingSection extends VBox {
    private final Studio studio;
    private final Settings settings;
    private final EasingCurve curve;
    private final Button choice = new Button();
    private final Label trade = new Label();

    EasingSection(Studio studio, Settings settings) {
        this.studio = studio;
        this.settings = settings;
        setSpacing(6);
        var title = Words.section("Easing to next key");
        curve = new EasingCurve(100, 80, true).onChange((e, merge) -> apply(e, merge));
        choice.setId("easing-choice");
        choice.getStyleClass().add("chooser");
        choice.setMaxWidth(Double.MAX_VALUE);
        choice.setAlignment(Pos.CENTER_LEFT);
        choice.setOnAction(e -> open());
        trade.getStyleClass().addAll("quiet", "small");
        trade.setWrapText(true);
        var right = new VBox(6, choice, trade);
        HBox.setHgrow(right, Priority.ALWAYS);
        getChildren().addAll(title, new HBox(8, curve, right));
    }

    /** The intervals that are meant: of the selected keys, else the one of the selected element's path at the playhead. */
    static Set<Keys.Ref> refs(Studio studio) {
        if (!studio.time().keys().isEmpty()) {
            return studio.time().keys();
        }
        Element e = studio.selected();
        Timeline t = studio.timeline();
        if (e == null || t.tracksOf(e.id()).isEmpty()) {
            return Set.of();
        }
        var p = t.tracksOf(e.id()).containsKey(Properties.POSITION) ? Properties.POSITION : t.tracksOf(e.id()).keySet().iterator().next();
        Track<?> track = t.track(e.id(), p);
        int i = Math.max(0, track.before(studio.time().playhead()));
        return Set.of(new Keys.Ref(e.id(), p, track.keys().get(i).time()));
    }

    private Easing current() {
        var refs = refs(studio);
        if (refs.isEmpty()) {
            return null;
        }
        Keys.Ref r = refs.iterator().next();
        Track<?> track = studio.timeline().track(r.element(), r.property());
        Key<?> k = track == null ? null : track.keyAt(r.time());
        return k == null ? null : k.easing();
    }

    void refresh() {
        Easing e = current();
        // its room is kept, so that the rows below stay where they are
        curve.setVisible(e != null);
        choice.setVisible(e != null);
        trade.setText("no keys to go between here");
        if (e != null) {
            NamedEasing n = NamedEasing.of(e);
            curve.show(e, studio.dark());
            choice.setText(capital(n.feel()));
            trade.setText(n.trade());
        }
    }

    static String capital(String s) {
        return s.substring(0, 1).toUpperCase(Locale.ROOT) + s.substring(1);
    }

    private void apply(Easing e, Object merge) {
        var refs = refs(studio);
        String name = refs.size() == 1 ? "Change easing" : "Change easing of " + refs.size() + " keys";
        studio.edit(name, merge, b -> Keys.ease(b, studio.timeline().id(), refs, e));
    }

    /** Opens the choice of easings, when there is an interval to ease. */
    void open() {
        // just after a change of desk it isn't shown yet
        if (current() == null || choice.getScene() == null) {
            return;
        }
        new EasingPicker(studio, settings, current(), this::apply).show(choice);
    }
}
