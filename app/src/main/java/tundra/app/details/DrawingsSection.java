package tundra.app.details;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.color.PaintField;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.OpenBook;
import tundra.app.studio.Registering;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.Drawings;
import tundra.core.edit.Exposures;
import tundra.core.flip.Ink;
import tundra.core.flip.Registration;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;

/** The drawings of the flipbook that is worked on: how long they are held, how they are brought into line, what shines through. */
final class DrawingsSection extends VBox {
    private final Studio studio;
    private final OpenBook open;
    private final Registering registering;
    private final NumberField held = new NumberField("Frames that the drawing is held for", "frames", 0);
    private final NumberField takes = new NumberField("Seconds that the run takes", "s", 3);
    private final Label error = new Label();
    private final ComboBox<String> by = new LightComboBox<>();
    private final JitterGraph graph;
    private final ToggleButton keep = new ToggleButton();
    private final Label change = new Label();
    private final Slider strength = new Slider(0.05, 1, 0.6);
    private final CheckBox outlines = new CheckBox("Outlines only");
    private final PaintField back;
    private final PaintField ahead;
    private final NumberField moveX = new NumberField("Move all drawings right", "x", 2);
    private final NumberField moveY = new NumberField("Move all drawings down", "y", 2);
    private final NumberField turnAll = new NumberField("Turn all drawings by", "°", 2);
    private final NumberField scaleAll = new NumberField("Scale all drawings to", "%", 1);
    private final NamedRow moved = new NamedRow("Move all", moveX, moveY);
    private final NamedRow turned = new NamedRow("Turn, scale all", turnAll, scaleAll);
    private boolean scrubbed;
    private boolean showing;
    private Retimed retimed;
    private List<Object> asked = List.of();
    private final PauseTransition soon = new PauseTransition(Duration.millis(160));
    private Map<String, Ink> inks = Map.of();

    DrawingsSection(Studio studio, Commands commands, Registering registering) {
        super(6);
        this.studio = studio;
        this.open = studio.book();
        this.registering = registering;
        graph = new JitterGraph(studio);
        held.setId("field-held");
        held.onChange((v, merge) -> hold((int) Math.rint(v), merge));
        takes.setId("field-takes");
        takes.onChange((v, merge) -> take(v, merge));
        for (Registration.By x : Registration.By.values()) {
            by.getItems().add(x.word);
        }
        by.setId("register-by");
        by.setAccessibleText("Register by");
        by.setValue(Registration.By.FEET.word);
        by.setMinWidth(72);
        by.setMaxWidth(Double.MAX_VALUE);
        by.setOnAction(e -> show());
        HBox.setHgrow(by, Priority.ALWAYS);
        var line = new Button("Line up");
        line.setId("register");
        Buttons.tip(line, "Moves each drawing as a whole, so that all stand alike; of several chosen drawings only those");
        line.setMinWidth(USE_PREF_SIZE);
        line.setOnAction(e -> commands.run(CommandIds.REGISTER + chosen().name().toLowerCase(Locale.ROOT)));
        keep.setId("keep-area");
        keep.setOnAction(e -> commands.run(CommandIds.KEEP_AREA));
        change.getStyleClass().add("quiet");
        change.setId("area-change");
        error.getStyleClass().addAll("quiet", "small");
        strength.setId("onion-strength");
        strength.setAccessibleText("Strength of the onion skin");
        strength.valueProperty().addListener((o, was, is) -> {
            if (!showing) {
                open.setSkin(open.skin().withStrength(is.doubleValue()));
            }
        });
        HBox.setHgrow(strength, Priority.ALWAYS);
        outlines.setId("onion-outlines");
        outlines.setOnAction(e -> open.setSkin(open.skin().withOutlines(outlines.isSelected())));
        back = new PaintField(studio, "Tint of the drawings before", false)
                .onChange((c, m) -> open.setSkin(open.skin().withTints(c.main(), open.skin().aheadTint())));
        ahead = new PaintField(studio, "Tint of the drawings after", false)
                .onChange((c, m) -> open.setSkin(open.skin().withTints(open.skin().backTint(), c.main())));
        back.setId("onion-back-tint");
        ahead.setId("onion-ahead-tint");
        HBox.setHgrow(back, Priority.ALWAYS);
        HBox.setHgrow(ahead, Priority.ALWAYS);
        together();
        getChildren().addAll(Words.section("Drawings"), new NamedRow("Held for", held), new NamedRow("The run takes", takes), error, moved, turned,
                new NamedRow("Register by", by, line), graph,
                new NamedRow("Keep area", keep, change), Words.section("Onion skin"), new NamedRow("Strength", strength),
                new NamedRow("Before", back), new NamedRow("After", ahead), outlines);
        soon.setOnFinished(e -> ask());
        refresh();
    }

    /** Of several chosen drawings: how far all of them are moved, turned and scaled; each number begins anew when it was taken. */
    private void together() {
        moveX.setId("field-drawings-x");
        moveY.setId("field-drawings-y");
        turnAll.setId("field-drawings-turn");
        scaleAll.setId("field-drawings-scale");
        moveX.onChange((v, m) -> together("Move", m, new Point(v, 0), 0, 1));
        moveY.onChange((v, m) -> together("Move", m, new Point(0, v), 0, 1));
        turnAll.onChange((v, m) -> together("Turn", m, Point.ZERO, v, 1));
        scaleAll.onChange((v, m) -> together("Scale", m, Point.ZERO, 0, Math.max(0.01, v / 100)));
    }

    private void together(String what, Object merge, Point by, double turn, double scale) {
        var ids = open.meant();
        if (merge != null) {
            // each step of a scrub is worked out from where it began
            studio.cancel(merge);
        }
        open.edit(what + " " + ids.size() + " drawings", merge, b -> Registration.together(b, ids, by, turn, scale));
        scrubbed = merge != null;
        refresh();
    }

    private Registration.By chosen() {
        return Registration.By.values()[Math.max(0, by.getSelectionModel().getSelectedIndex())];
    }

    private void hold(int frames, Object merge) {
        var ids = open.meant();
        open.edit("Hold for " + frames + " frames", merge, b -> {
            Flipbook out = b;
            for (String id : ids) {
                out = Drawings.hold(out, out.indexOf(id), frames);
            }
            return out;
        });
        refresh();
    }

    /** What a run took before its time was changed step by step: each step is worked out from there, so that frames spread evenly. */
    private record Retimed(Set<String> run, Flipbook before, Flipbook after) {}

    private void take(double seconds, Object merge) {
        var run = open.run();
        int frames = (int) Math.max(run.size(), Math.min(Drawing.LIMIT / 2.0, Math.rint(seconds * open.book().rate())));
        Flipbook from = retimed != null && retimed.run.equals(run) && retimed.after.equals(open.book()) ? retimed.before : open.book();
        var done = Exposures.retimed(from, d -> run.contains(d.id()), frames);
        open.edit("Retime " + run.size() + " drawings", merge, b -> done.book());
        retimed = new Retimed(run, from, open.book());
        error.setText(done.error() > 1e-9 ? "frames are whole: up to " + Numbers.plain(done.error(), 2) + " of a frame off" : "");
        refresh();
    }

    void refresh() {
        Flipbook b = open.book();
        if (b == null) {
            return;
        }
        showing = true;
        Drawing d = open.drawing();
        held.setDisable(d == null);
        held.show(d == null ? Double.NaN : d.frames());
        // less than a frame changes nothing
        takes.setStep(1.0 / b.rate());
        takes.show(length(b) / (double) b.rate());
        boolean several = open.meant().size() > 1;
        for (NamedRow r : List.of(moved, turned)) {
            r.setVisible(several);
            r.setManaged(several);
        }
        if (!scrubbed) {
            moveX.show(0);
            moveY.show(0);
            turnAll.show(0);
            scaleAll.show(100);
        }
        scrubbed = false;
        error.setManaged(!error.getText().isEmpty());
        strength.setValue(open.skin().strength());
        outlines.setSelected(open.skin().outlines());
        back.show(open.skin().backTint());
        ahead.show(open.skin().aheadTint());
        keep.setSelected(open.keepArea());
        keep.setText(open.keepArea() ? "on" : "off");
        showing = false;
        // not at each step of a run through the drawings
        if (inks.isEmpty()) {
            ask();
        } else {
            soon.playFromStart();
        }
    }

    private int length(Flipbook b) {
        var run = open.run();
        var of = b.drawings().stream().filter(d -> run.contains(d.id())).toList();
        return of.isEmpty() ? 0 : of.getLast().end() - of.getFirst().start();
    }

    /** Asks what the drawings cover, once for each state of them. */
    private void ask() {
        Flipbook b = open.book();
        if (b == null) {
            return;
        }
        List<Object> now = List.of(b, open.run(), open.current());
        if (now.equals(asked)) {
            show();
            return;
        }
        asked = now;
        var wanted = new LinkedHashMap<String, Drawing>();
        var run = open.run();
        b.drawings().stream().filter(d -> run.contains(d.id())).forEach(d -> wanted.put(d.id(), d));
        for (int i : new int[] {open.current(), open.neighbour(-1)}) {
            if (i >= 0) {
                wanted.put(b.drawings().get(i).id(), b.drawings().get(i));
            }
        }
        registering.inks(studio, List.copyOf(wanted.values()), found -> {
            // only the newest answer
            if (now == asked) {
                inks = found;
                show();
            }
        });
    }

    private void show() {
        Flipbook b = open.book();
        if (b == null) {
            return;
        }
        graph.show(Registering.places(studio, chosen(), inks), chosen());
        int now = open.current(), before = open.neighbour(-1);
        Ink one = now < 0 ? null : inks.get(b.drawings().get(now).id()), other = before < 0 || before == now ? null
                : inks.get(b.drawings().get(before).id());
        change.setText(one == null || other == null || one.empty() || other.empty() ? ""
                : String.format(Locale.ROOT, "%+.1f%% vs drawing %d", Ink.change(other, one) * 100, before + 1));
    }
}
