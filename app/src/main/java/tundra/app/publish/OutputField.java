package tundra.app.publish;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.color.PaintField;
import tundra.app.studio.Studio;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.WordsOf;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.SettingWords;
import tundra.core.geometry.Numbers;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Output;
import tundra.core.model.Paint;
import tundra.core.model.Scene;
import tundra.core.model.Slot;

/** One setting of an output: its name and the field for its type. */
final class OutputField extends VBox {
    private record Choice(Object value, String words) {}

    /** A day, in s. */
    private static final double LONGEST = 86_400;
    private final Studio studio;
    private final Slot slot;
    private final String label;
    private final Supplier<Output> output;
    private final BiConsumer<Object, Object> put;
    private Runnable show = () -> { };
    private boolean showing;
    private Object typing = new Object();

    /** @param put gets each new value, and an object that is the same for all values of one drag */
    OutputField(Studio studio, LabelledSlot setting, Supplier<Output> output, BiConsumer<Object, Object> put) {
        super(3);
        this.studio = studio;
        this.output = output;
        this.put = put;
        slot = setting.slot();
        label = setting.label();
        Node field = switch (slot.type()) {
            case CHOICE -> setting.yesNo() ? tick() : choice(() -> slot.choices().stream().map(c -> new Choice(c, c)).toList());
            case SCENE -> choice(this::scenes);
            case LAYOUT -> choice(this::layouts);
            case MARKER -> choice(this::markers);
            case PICTURE -> choice(this::pictures);
            case COLOR -> color();
            case NUMBER -> number(setting.unit(), 0, 1);
            case DURATION -> number(setting.unit(), 3, 1e6);
            default -> text();
        };
        field.setId("output-field-" + slot.key());
        HBox.setHgrow(field, Priority.ALWAYS);
        getChildren().add(field instanceof CheckBox || field instanceof PaintField ? field : new NamedRow(label, field));
        if (field instanceof PaintField) {
            getChildren().addFirst(new LightLabel(label, "property-name"));
        }
        refresh();
    }

    void refresh() {
        if (output.get() != null) {
            showing = true;
            show.run();
            showing = false;
        }
    }

    private Object now() {
        return output.get().settings().get(slot);
    }

    private void put(Object value, Object merge) {
        if (!showing && output.get() != null && !value.equals(now())) {
            put.accept(value, merge);
        }
    }

    private Node tick() {
        var f = new CheckBox(label);
        f.setMinWidth(0);
        f.setOnAction(e -> put(f.isSelected() ? "yes" : "no", null));
        show = () -> f.setSelected("yes".equals(now()));
        return f;
    }

    private Node choice(Supplier<List<Choice>> all) {
        var box = new LightComboBox<Choice>();
        box.setConverter(new WordsOf<>(Choice::words));
        box.setAccessibleText(label);
        box.setMaxWidth(Double.MAX_VALUE);
        box.setMinWidth(0);
        box.setOnAction(e -> {
            if (box.getValue() != null) {
                put(box.getValue().value(), null);
            }
        });
        show = () -> {
            List<Choice> now = all.get();
            if (!box.getItems().equals(now)) {
                box.getItems().setAll(now);
            }
            box.setValue(now.stream().filter(c -> c.value().equals(now())).findFirst().orElse(null));
        };
        return box;
    }

    private List<Choice> scenes() {
        var out = new ArrayList<Choice>();
        if (slot.takesAll() && studio.project().screens().size() > 1) {
            out.add(new Choice(Slot.EVERYTHING, "all, one after the other"));
        }
        Scene first = studio.project().scenes().getFirst();
        out.add(new Choice("", first.name()));
        studio.project().scenes().stream().filter(s -> s != first).forEach(s -> out.add(new Choice(s.id(), s.name())));
        return out;
    }

    private List<Choice> layouts() {
        var out = new ArrayList<Choice>();
        out.add(new Choice(Slot.DRAWN, "as drawn"));
        Scene s = OutputEdits.scene(studio.project(), output.get());
        if (s != null) {
            s.board().layouts().forEach(l -> out.add(new Choice(l.id(), l.name())));
        }
        return out;
    }

    private List<Choice> markers() {
        var out = new ArrayList<Choice>();
        out.add(new Choice("", "none"));
        Scene s = OutputEdits.scene(studio.project(), output.get());
        if (s != null) {
            s.board().main().markers().forEach(m -> out.add(new Choice(m.id(), m.name())));
        }
        return out;
    }

    private List<Choice> pictures() {
        var out = new ArrayList<Choice>();
        out.add(new Choice("", "none"));
        studio.project().assets().values().stream().filter(a -> a.kind() == Asset.Kind.PICTURE)
                .forEach(a -> out.add(new Choice(a.hash(), a.title())));
        return out;
    }

    private Node color() {
        var f = new PaintField(studio, label, false).onChange((Paint c, Object merge) -> put(c.main().hex(), merge));
        show = () -> f.show(Color.parse((String) now()));
        return f;
    }

    /** @param per what one of its unit is in the document */
    private Node number(String unit, int decimals, double per) {
        var f = new NumberField(label, unit, decimals);
        f.onChange((v, merge) -> {
            double kept = Numbers.clamp(v, per == 1 ? slot.min() : 0, per == 1 ? slot.max() : LONGEST);
            put(per == 1 ? (Object) kept : (Object) Math.round(kept * per), merge);
            refresh();
        });
        show = () -> f.show(((Number) now()).doubleValue() / per);
        return f;
    }

    private Node text() {
        var f = new TextField();
        f.setPromptText(SettingWords.hint(slot));
        f.setAccessibleText(label);
        f.setMinWidth(0);
        f.textProperty().addListener((o, was, is) -> {
            boolean good = SettingWords.problem(slot, is.strip()) == null;
            f.pseudoClassStateChanged(PseudoClass.getPseudoClass("wrong"), !good);
            if (good) {
                put(is, typing);
            }
        });
        f.focusedProperty().addListener((o, was, is) -> {
            typing = new Object();
            if (!is) {
                refresh();
            }
        });
        show = () -> {
            if (!f.isFocused() && !f.getText().equals(now())) {
                f.setText((String) now());
            }
        };
        return f;
    }
}
