package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.scene.Node;
import tundra.core.edit.Reactions;
import tundra.core.edit.SettingText;
import tundra.core.model.Element;
import tundra.core.model.Property;
import tundra.core.model.Setting;
import tundra.core.model.ValueType;

/** Chooses a property of an element, then the value that it is to have or by how much it is to change. */
final class SettingPicker {
    private SettingPicker() {}

    /** The properties that can be set of an element; each asks for a value. */
    static List<Picker.Choice> of(Node at, Element e, Consumer<Setting> put) {
        return each(e, SettingText::possible, p -> value(at, p, SettingText.of(new Setting(p, e.rest().get(p))), put));
    }

    /** The properties that can change by an amount; each asks for it. */
    static List<Picker.Choice> changes(Node at, Element e, Consumer<Setting> put) {
        return each(e, SettingText::changes, p -> change(at, p, "", put));
    }

    private static List<Picker.Choice> each(Element e, Predicate<Property<?>> possible, Consumer<Property<?>> asks) {
        var out = new ArrayList<Picker.Choice>();
        for (Property<?> p : Reactions.settable(e)) {
            if (possible.test(p)) {
                out.add(new Picker.Choice(p.label(), "", () -> asks.accept(p)));
            }
        }
        return out;
    }

    static void value(Node at, Property<?> p, String text, Consumer<Setting> put) {
        if (p.type() instanceof ValueType.ChoiceType c) {
            Picker.choose(at, c.options().stream().map(o -> new Picker.Choice(o, () -> put.accept(new Setting(p, o)))).toList());
        } else {
            Picker.read(at, text, p.label() + ": " + SettingText.hint(p), v -> SettingText.parse(p, v), put);
        }
    }

    static void change(Node at, Property<?> p, String text, Consumer<Setting> put) {
        Picker.read(at, text, p.label() + ", by how much: " + SettingText.hint(p), v -> SettingText.change(p, v), put);
    }
}
