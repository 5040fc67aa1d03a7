package tundra.app.details;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.Scattering;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Scatter.Channel;
import tundra.core.model.Scatter.Range;
import tundra.core.model.Scatter;

/** The numbers of a scatter: how many, and for each channel a range, its seed, and a way to roll it again alone. */
final class ScatterSection extends VBox {
    private final Studio studio;
    private final String id;
    private final NumberField count = new NumberField("How many", "n", 0);
    private final Map<Channel, NumberField[]> fields = new EnumMap<>(Channel.class);

    ScatterSection(Studio studio, String id) {
        super(6);
        this.studio = studio;
        this.id = id;
        setId("scatter");
        count.setId("field-scatter-count");
        count.onChange((v, merge) -> change("Scatter " + Math.round(v), merge, s -> s.withCount((int) Math.round(v))));
        getChildren().addAll(Words.section("Scatter"), new NamedRow("How many", count));
        for (Channel c : Channel.values()) {
            getChildren().add(row(c));
        }
        var all = new LightButton("Put all back to the numbers");
        all.setId("scatter-reset");
        all.getStyleClass().addAll("flat", "small");
        Buttons.tip(all, "Instances that were moved by hand lose their places too");
        all.setOnAction(() -> studio.edit("Put all back to the numbers", b -> Scattering.reset(studio.project(), b, id)));
        var settle = new LightButton("Plain group");
        settle.setId("scatter-settle");
        settle.getStyleClass().addAll("flat", "small");
        Buttons.tip(settle, "Forgets the numbers; the instances stay where they are");
        settle.setOnAction(() -> studio.edit("Make the scatter a plain group", b -> Scattering.settle(b, id)));
        getChildren().add(new HBox(6, all, settle));
        refresh();
    }

    private HBox row(Channel c) {
        double shown = shown(c);
        var from = new NumberField(c.label + " from", "", 1);
        var to = new NumberField(c.label + " to", "", 1);
        var seed = new NumberField(c.label + " seed", "#", 0);
        String key = c.name().toLowerCase(Locale.ROOT);
        from.setId("scatter-" + key + "-from");
        to.setId("scatter-" + key + "-to");
        seed.setId("scatter-" + key + "-seed");
        from.onChange((v, merge) -> range(c, merge, r -> new Range(v / shown, r.to(), r.seed())));
        to.onChange((v, merge) -> range(c, merge, r -> new Range(r.from(), v / shown, r.seed())));
        seed.onChange((v, merge) -> range(c, merge, r -> r.withSeed(Math.round(v))));
        Buttons.tip(from, "From");
        Buttons.tip(to, "To");
        Buttons.tip(seed, "Seed of the random numbers");
        var roll = new LightButton("Roll");
        roll.setId("scatter-" + key + "-roll");
        roll.getStyleClass().add("small-press");
        roll.setMinWidth(USE_PREF_SIZE);
        Buttons.tip(roll, "New random numbers for this alone");
        roll.setOnAction(() -> range(c, null, r -> r.rolled(c)));
        fields.put(c, new NumberField[] {from, to, seed});
        for (NumberField f : fields.get(c)) {
            HBox.setHgrow(f, Priority.ALWAYS);
            f.setMinWidth(0);
            f.setPrefWidth(f == seed ? 54 : 46);
        }
        var name = new LightLabel(c.label + unit(c), "property-name");
        var row = new HBox(4, name, from, to, seed, roll);
        row.getStyleClass().add("scatter-row");
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** How many shown units make one of the channel's. */
    private static double shown(Channel c) {
        return c == Channel.SCALE || c == Channel.OPACITY || c == Channel.PHASE ? 100 : 1;
    }

    private static String unit(Channel c) {
        return switch (c) {
            case X, Y -> "";
            case ROTATION -> " °";
            default -> " %";
        };
    }

    private Scatter scatter() {
        return studio.board().find(id) instanceof Element e && e.content() instanceof Content.Group g ? g.scatter() : null;
    }

    private void range(Channel c, Object merge, UnaryOperator<Range> change) {
        change("Scatter " + c.label.toLowerCase(Locale.ROOT), merge, s -> s.with(c, change.apply(s.range(c))));
    }

    private void change(String name, Object merge, UnaryOperator<Scatter> change) {
        Scatter s = scatter();
        if (s != null) {
            studio.edit(name, merge, b -> Scattering.change(studio.project(), b, id, change.apply(s)));
        }
    }

    void refresh() {
        Scatter s = scatter();
        if (s == null) {
            return;
        }
        count.show(s.count());
        fields.forEach((c, of) -> {
            of[0].show(s.range(c).from() * shown(c));
            of[1].show(s.range(c).to() * shown(c));
            of[2].show(s.range(c).seed());
        });
    }
}
