package tundra.app.timeline;

import java.util.EnumMap;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import tundra.app.studio.Playback;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.core.edit.EditScope;
import tundra.core.edit.PropertyEdit.FirstKey;
import tundra.core.geometry.Numbers;

/** «Edits go to»: says where a change goes, lets it be chosen, and names what dragging the selection would do now. */
public final class EditStrip extends HBox {
    private final Studio studio;
    private final Playback playback;
    private final Map<EditScope, ToggleButton> buttons = new EnumMap<>(EditScope.class);
    private final Label consequence = new Label();
    private final HBox first = new HBox();
    private final Map<FirstKey, ToggleButton> firsts = new EnumMap<>(FirstKey.class);

    public EditStrip(Studio studio, Settings settings, Playback playback) {
        this.studio = studio;
        this.playback = playback;
        setId("edit-strip");
        getStyleClass().add("edit-strip");
        setAlignment(Pos.CENTER_LEFT);
        var title = new Label("Edits go to");
        title.getStyleClass().add("strip-title");
        title.setMinWidth(USE_PREF_SIZE);
        var choice = new HBox();
        choice.getStyleClass().add("segments");
        choice.setMinWidth(USE_PREF_SIZE);
        var group = new ToggleGroup();
        for (EditScope s : EditScope.values()) {
            var b = new ToggleButton();
            b.setId("scope-" + s);
            b.setToggleGroup(group);
            b.setOnAction(e -> studio.target().setScope(s));
            Buttons.tip(b, tip(s) + "   " + (s.ordinal() + 1));
            buttons.put(s, b);
            choice.getChildren().add(b);
        }
        var either = new ToggleGroup();
        first.setId("first-key");
        first.getStyleClass().add("segments");
        first.setMinWidth(USE_PREF_SIZE);
        for (FirstKey f : FirstKey.values()) {
            var b = new ToggleButton(f == FirstKey.FROM_START ? "changes all the way from 0 s" : "stays as it is until here");
            b.setId("first-" + f);
            b.setToggleGroup(either);
            b.setOnAction(e -> {
                settings.setStaysUntilFirstKey(f == FirstKey.UNTIL_HERE);
                studio.target().setFirstKey(f);
            });
            Buttons.tip(b, "What the first key of a property does to the time before it");
            firsts.put(f, b);
            first.getChildren().add(b);
        }
        var gap = new Region();
        setHgrow(gap, Priority.ALWAYS);
        consequence.setId("consequence");
        consequence.getStyleClass().add("consequence");
        consequence.setMinWidth(0);
        getChildren().addAll(title, choice, first, gap, consequence);
        studio.listen(what -> refresh());
        refresh();
    }

    private static String tip(EditScope s) {
        return switch (s) {
            case KEY -> "A change becomes a key at the playhead";
            case WHOLE_MOVE -> "A change shifts all keys of the property by the same amount";
            case REST -> "A change goes to the value that holds when no key changes it";
        };
    }

    private void refresh() {
        buttons.get(EditScope.KEY).setText("a key at " + Numbers.plain(studio.time().playhead() / 1e6, 2) + " s");
        buttons.get(EditScope.WHOLE_MOVE).setText("the whole move");
        buttons.get(EditScope.REST).setText("the resting value");
        buttons.forEach((s, b) -> b.setSelected(s == studio.target().scope()));
        boolean asks = !studio.time().playing() && studio.target().firstKeyAsked();
        first.setVisible(asks);
        first.setManaged(asks);
        firsts.forEach((f, b) -> b.setSelected(f == studio.target().firstKey()));
        consequence.setText(studio.time().playing() ? playing() : studio.target().consequence());
        if (!studio.time().playing()) {
            // whole also where the strip has no room for it
            Buttons.tip(consequence, consequence.getText());
        }
    }

    /** How well it plays: frames shown each second, those that came too late, and why nothing is heard. */
    private String playing() {
        String frames = Numbers.plain(playback.framesPerSecond(), 0) + " of " + studio.project().frameRate() + " frames a second · "
                + playback.framesDropped() + " left out";
        return playback.silent() == null ? frames : frames + " · " + playback.silent();
    }
}
