package tundra.app.details;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.Motifs;
import tundra.core.model.Motif;
import tundra.core.model.States.State;
import tundra.core.model.States;

/** Which moments of a motif are its looks at rest, under the pointer, pressed and off. */
final class StatesSection extends VBox {
    private final Studio studio;
    private final String motif;
    private final NumberField travel = new NumberField("Time from look to look", "s", 2);
    private final Map<State, NumberField> times = new EnumMap<>(State.class);

    StatesSection(Studio studio, String motif) {
        super(6);
        this.studio = studio;
        this.motif = motif;
        setId("states");
        getChildren().add(Words.section("States"));
        for (State s : State.values()) {
            var at = new NumberField("Time of " + s.words, "s", 3);
            at.setId("state-" + s);
            at.onChange((v, merge) -> change(merge, x -> x.with(s, Math.max(0, Math.round(v * 1e6)))));
            times.put(s, at);
            var go = new LightButton("Show");
            go.setId("state-show-" + s);
            go.getStyleClass().add("small-press");
            go.setMinWidth(USE_PREF_SIZE);
            Buttons.tip(go, "Moves the playhead there, to change how it looks");
            go.setOnAction(() -> studio.time().seek(states().time(s)));
            getChildren().add(new NamedRow(s.words.substring(0, 1).toUpperCase(Locale.ROOT) + s.words.substring(1), at, go));
        }
        travel.setId("state-travel");
        travel.onChange((v, merge) -> change(merge, x -> x.withTravel(Math.max(0, Math.round(v * 1e6)))));
        getChildren().add(new NamedRow("Plays over in", travel));
        refresh();
    }

    private States states() {
        Motif m = studio.project().motif(motif);
        return m == null || m.states() == null ? new States(Map.of(), 200_000) : m.states();
    }

    private void change(Object merge, UnaryOperator<States> change) {
        studio.editProject("Change states", merge, p -> Motifs.map(p, motif, m -> m.withStates(change.apply(states()))));
    }

    void refresh() {
        times.forEach((s, f) -> f.show(states().time(s) / 1e6));
        travel.show(states().travel() / 1e6);
    }
}
