package tundra.app.details;

import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.TimeText;
import tundra.core.model.PlacedSound;
import tundra.core.model.Timeline;

/** The sound that is chosen in the timeline: when and how loud it is heard, how it rises and falls, and which part of it. */
final class SoundSection extends VBox {
    private final Studio studio;
    private final NumberField at = number("At", "s", "sound-at");
    private final NumberField volume = number("Volume", "%", "sound-volume");
    private final NumberField fadeIn = number("Fades in for", "s", "sound-in");
    private final NumberField fadeOut = number("Fades out for", "s", "sound-out");
    private final NumberField from = number("From", "s", "sound-from");
    private final NumberField length = number("For", "s", "sound-length");
    private final CheckBox loop = new CheckBox("Again and again until the timeline ends");

    SoundSection(Studio studio, Commands commands) {
        super(6);
        this.studio = studio;
        at.onChange((v, m) -> edit("Move sound", m, s -> s.withStart(Math.min(studio.timeline().duration(), micros(v)))));
        volume.onChange((v, m) -> edit("Set volume", m, s -> s.withVolume(v / 100)));
        fadeIn.onChange((v, m) -> edit("Change how a sound rises", m, s -> s.withFades(micros(v), s.fadeOut())));
        fadeOut.onChange((v, m) -> edit("Change how a sound falls", m, s -> s.withFades(s.fadeIn(), micros(v))));
        from.onChange((v, m) -> edit("Trim sound", m, s -> s.trimmed(Math.min(micros(v), duration(s) - 1), s.length())));
        length.onChange((v, m) -> edit("Trim sound", m, s -> s.trimmed(s.from(), micros(v) >= duration(s) - s.from() ? 0 : Math.max(1, micros(v)))));
        loop.setId("sound-loop");
        loop.setOnAction(e -> edit(loop.isSelected() ? "Loop sound" : "Play sound once", null, s -> s.withLoop(loop.isSelected())));
        var off = new Button("Take it off the timeline");
        off.setId("sound-off");
        off.setOnAction(e -> commands.run(CommandIds.DELETE));
        getChildren().addAll(Words.section("Sound"), new NamedRow("Heard at", at), new NamedRow("Volume", volume),
                new NamedRow("Fades in, out", fadeIn, fadeOut),
                new NamedRow("From, length", from, length), loop, new HBox(off));
        refresh();
    }

    private static NumberField number(String name, String label, String id) {
        var f = new NumberField(name, label, label.equals("%") ? 0 : 3);
        f.setId("field-" + id);
        return f;
    }

    private static long micros(double seconds) {
        return Math.max(0, Math.round(seconds * 1e6));
    }

    private long duration(PlacedSound s) {
        return studio.project().assets().get(s.asset()).duration();
    }

    private void edit(String name, Object merge, UnaryOperator<PlacedSound> change) {
        PlacedSound s = studio.time().sound();
        if (s != null) {
            Timeline t = studio.timeline();
            studio.edit(name, merge, b ->
                    b.mapTimeline(t.id(), x -> x.withSounds(x.sounds().stream().map(y -> y.id().equals(s.id()) ? bounded(change.apply(y), t) : y)
                    .toList())));
        }
        refresh();
    }

    private PlacedSound bounded(PlacedSound s, Timeline t) {
        return s.bounded(s.heard(duration(s), t.duration()));
    }

    void refresh() {
        PlacedSound s = studio.time().sound();
        if (s == null) {
            return;
        }
        at.show(s.start() / 1e6);
        volume.show(s.volume() * 100);
        fadeIn.show(s.fadeIn() / 1e6);
        fadeOut.show(s.fadeOut() / 1e6);
        from.show(s.from() / 1e6);
        length.show(s.part(duration(s)) / 1e6);
        loop.setSelected(s.loop());
    }

    /** What is said beside its name. */
    static String kind(Studio studio) {
        return "sound · " + TimeText.seconds(studio.project().assets().get(studio.time().sound().asset()).duration());
    }
}
