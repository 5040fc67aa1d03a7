package tundra.app.details;

import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.edit.Motifs;
import tundra.core.frame.Moment;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;

/** What the time of motifs' instances goes by. */
final class ClockSection extends VBox {
    private final Studio studio;
    private final List<String> ids;
    private final ClockChoice own;
    private final ClockChoice parent;
    private final NumberField seconds = new NumberField("Phase", "s", 3);
    private final NumberField frames = new NumberField("Phase in frames", "f", 0);
    private final NumberField speed = new NumberField("Speed", "×", 2);
    private final ComboBox<Clock.Repeat> repeat = new LightComboBox<>();
    private final ComboBox<Motif> motif = new LightComboBox<>();
    private boolean showing;

    ClockSection(Studio studio, List<String> ids) {
        super(6);
        this.studio = studio;
        this.ids = ids;
        own = new ClockChoice(true, () -> change("Give it its own clock", c -> c.withOwn(true), null));
        parent = new ClockChoice(false, () -> change("Keep it in step with its timeline", c -> c.withOwn(false), null));
        var choice = new HBox(8, own, parent);
        HBox.setHgrow(own, Priority.ALWAYS);
        HBox.setHgrow(parent, Priority.ALWAYS);
        seconds.setId("field-phase");
        frames.setId("field-phase-frames");
        speed.setId("field-speed");
        seconds.onChange((v, merge) -> change("Change phase", c -> c.withPhase(Math.round(v * 1e6)), merge));
        frames.onChange((v, merge) -> change("Change phase", c -> c.withPhase(studio.project().frameTime(Math.round(v))), merge));
        speed.onChange((v, merge) -> change("Change speed", c -> c.withSpeed(v), merge));
        repeat.getItems().setAll(Clock.Repeat.values());
        repeat.setConverter(new WordsOf<>(r -> r.words));
        repeat.setId("field-repeat");
        repeat.setAccessibleText("Repeat");
        repeat.setMaxWidth(Double.MAX_VALUE);
        repeat.setOnAction(e -> {
            if (!showing && repeat.getValue() != null) {
                Clock.Repeat to = repeat.getValue();
                change("Repeat: " + to.words, c -> c.withRepeat(to), null);
            }
        });
        motif.setConverter(new WordsOf<>(Motif::name));
        motif.setId("field-motif");
        motif.setAccessibleText("Motif");
        motif.setMaxWidth(Double.MAX_VALUE);
        motif.setOnAction(e -> {
            if (!showing && motif.getValue() != null) {
                String to = motif.getValue().id();
                studio.make("Show " + motif.getValue().name() + " instead", k -> k.with(Motifs.swap(k.project(), k.place(), ids, to), ids));
            }
        });
        HBox.setHgrow(repeat, Priority.ALWAYS);
        HBox.setHgrow(motif, Priority.ALWAYS);
        var open = new LightButton("Open");
        open.setId("open-motif");
        open.getStyleClass().add("small-press");
        open.setMinWidth(USE_PREF_SIZE);
        open.setVisible(ids.size() == 1);
        open.setManaged(ids.size() == 1);
        open.setOnAction(() -> studio.navigation().openInPlace(ids.getFirst()));
        Buttons.tip(open, "Opens the motif where it stands; a double click does it too");
        getChildren().addAll(Words.section("Motif"), new NamedRow("Shows", motif, open), Words.section("Clock"), choice,
                new NamedRow("Phase", seconds, frames),
                new NamedRow("Repeat", repeat), new NamedRow("Speed", speed));
        refresh();
    }

    private List<Content.Instance> instances() {
        return ids.stream().map(studio.board()::find).filter(e -> e != null && e.content() instanceof Content.Instance)
                .map(e -> (Content.Instance) e.content()).toList();
    }

    private void change(String name, UnaryOperator<Clock> change, Object merge) {
        if (!showing) {
            studio.edit(name, merge, b -> Motifs.clocks(b, ids, change));
        }
    }

    void refresh() {
        List<Content.Instance> all = instances();
        if (all.isEmpty()) {
            return;
        }
        showing = true;
        Clock first = all.getFirst().clock();
        own.show(all.stream().allMatch(i -> i.clock().own()), "runs by itself");
        Element e = studio.board().find(ids.getFirst());
        parent.show(all.stream().noneMatch(i -> i.clock().own()), "in step with " + Moment.sitsOn(studio.board(), e.id()).name());
        number(seconds, all, c -> c.phase() / 1e6);
        number(frames, all, c -> (double) studio.project().frameAt(c.phase()));
        number(speed, all, Clock::speed);
        repeat.setValue(all.stream().allMatch(i -> i.clock().repeat() == first.repeat()) ? first.repeat() : null);
        List<Motif> fitting = studio.project().motifs().stream().filter(m -> Motifs.fits(studio.project(), studio.place().id(), m.id())).toList();
        if (!motif.getItems().equals(fitting)) {
            motif.getItems().setAll(fitting);
        }
        motif.setValue(all.stream().allMatch(i -> i.motif().equals(all.getFirst().motif())) ? studio.project().motif(all.getFirst().motif()) : null);
        showing = false;
    }

    private static void number(NumberField f, List<Content.Instance> all, Function<Clock, Double> of) {
        double v = of.apply(all.getFirst().clock());
        if (all.stream().anyMatch(i -> of.apply(i.clock()) != v)) {
            f.showMixed();
        } else {
            f.show(v);
        }
    }
}
