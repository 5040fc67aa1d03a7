package tundra.app.builtin;

import java.util.List;
import java.util.Locale;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.core.edit.Effects;
import tundra.core.model.Board;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;

/** Commands of effects: one that adds each kind, and their way from element to element. */
public final class EffectCommands {
    private List<Effect> copied = List.of();

    private EffectCommands() {}

    public static void add(Workshop w) {
        new EffectCommands().add(w.studio, w.commands);
    }

    private void add(Studio s, Commands c) {
        for (EffectKind k : EffectKind.values()) {
            c.add(CommandIds.EFFECT + k, "Effect: " + k.label.toLowerCase(Locale.ROOT), null, () -> !s.selection().isEmpty(),
                    () -> s.edit("Add " + k.label.toLowerCase(Locale.ROOT), b -> {
                Board out = b;
                for (String id : s.selection()) {
                    out = Effects.add(out, id, k);
                }
                return out;
            }));
        }
        c.add("effects-copy", "Copy effects", "Alt+Shift+G", () -> s.selected() != null && !s.selected().effects().isEmpty(),
                () -> copied = s.selected().effects());
        c.add(CommandIds.EFFECTS_PASTE, "Paste effects", "Alt+Shift+J", () -> !copied.isEmpty() && !s.selection().isEmpty(),
                () -> s.edit("Paste effects", b -> {
            Board out = b;
            for (String id : s.selection()) {
                out = Effects.paste(out, id, copied);
            }
            return out;
        }));
        c.add("effects-none", "Take away all effects", null, () -> s.selected() != null && !s.selected().effects().isEmpty(), () -> {
            Element e = s.selected();
            s.edit("Take away all effects of " + e.name(), b -> {
                Board out = b;
                for (Effect x : e.effects()) {
                    out = Effects.delete(out, x.id());
                }
                return out;
            });
        });
    }
}
