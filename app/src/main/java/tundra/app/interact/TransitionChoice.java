package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import tundra.core.edit.Arithmetic;
import tundra.core.edit.Sentences;
import tundra.core.geometry.Numbers;
import tundra.core.model.Transition;
import tundra.core.motion.NamedEasing;

/** What a scene can come with: its kinds with their directions, then how long it takes and how it goes. */
final class TransitionChoice {
    private TransitionChoice() {}

    /** @param now as {@link Transition#text} writes it; empty for as the scene says */
    static List<Picker.Choice> of(Node at, String now, Consumer<String> put) {
        var out = new ArrayList<Picker.Choice>();
        Transition t = Transition.parse(now), like = t == null ? Transition.CUT : t;
        out.add(new Picker.Choice("as it comes", "as the scene says", () -> put.accept(Transition.OWN)));
        for (Transition.Kind k : Transition.Kind.values()) {
            for (Transition.Side s : k.moves() ? Transition.Side.values() : new Transition.Side[] {like.side()}) {
                String text = like.with(k).with(s).text();
                out.add(new Picker.Choice(Sentences.transition(text).replaceFirst(" in [0-9.]+ s$", ""), k == Transition.Kind.ZOOM
                        ? "from what was tapped" : "", () -> put.accept(text)));
            }
        }
        if (t != null && t.kind() != Transition.Kind.CUT) {
            out.add(new Picker.Choice("another time…", Numbers.plain(t.time() / 1e6, 3) + " s",
                    () -> Picker.read(at, Numbers.plain(t.time() / 1e6, 3), "In seconds, such as 0.4.",
                    v -> t.withTime(Math.round(Arithmetic.within(v, 0, Transition.LONGEST / 1e6) * 1e6)).text(), v -> put.accept((String) v))));
            NamedEasing.ALL.forEach(n -> out.add(new Picker.Choice(n.feel(), n.trade(), () -> put.accept(t.with(n.easing()).text()))));
        }
        return out;
    }
}
