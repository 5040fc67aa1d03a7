package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import tundra.core.edit.Reactions;
import tundra.core.edit.SettingText;
import tundra.core.model.Element;
import tundra.core.model.Property;
import tundra.core.model.Setting;
import tundra.core.model.ValueType;

/** Chooses a property of an element, then the value that it is to have. */
final class SettingPicker {
    private SettingPicker() {}

    /** The properties that can be set of an element; each asks for a value. */
    static List<Picker.Choice> of(Node at, Element e, Consumer<Setting> put) {
        var out = new ArrayList<Picker.Choice>();
        for (Property<?> p : Reactions.settable(e)) {
            if (SettingText.possible(p)) {
                out.add(new Picker.Choice(p.label(), "", () -> value(at, p, SettingText.of(new Setting(p, e.rest().get(p))), put)));
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
}
