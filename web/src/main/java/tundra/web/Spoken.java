package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import tundra.core.frame.ValueWords;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;

/** What is told of an element that can be tapped to who doesn't see it. */
final class Spoken {
    private static final int DEEP = 20;

    private Spoken() {}

    /** The words that are read on it, else its name. */
    static String name(Project p, Element e) {
        var words = new ArrayList<String>();
        read(p, e, words, 0);
        return words.isEmpty() ? e.called() : String.join(" ", words);
    }

    private static void read(Project p, Element e, List<String> out, int deep) {
        if (e.hidden() || e.guide() || deep > DEEP) {
            return;
        }
        if (e.content() instanceof Content.Text t) {
            String words = ((Content.Text) ValueWords.shown(t, p.values())).text().strip().replaceAll("\\s+", " ");
            if (!words.isEmpty()) {
                out.add(words);
            }
        } else if (e.content() instanceof Content.Instance i && p.motif(i.motif()) instanceof Motif m) {
            m.board().elements().forEach(x -> read(p, x, out, deep + 1));
        }
        e.children().forEach(x -> read(p, x, out, deep + 1));
    }

    /** What leads to an address first of all is a link; anything else that is tapped is a button. */
    static String role(Board b, Element e) {
        List<Action> first = b.reactions().stream().filter(r -> !r.off() && r.when().kind() == Events.TAPPED && e.id()
                .equals(r.when().slots().get(Events.ELEMENT)))
                .flatMap(r -> Stream.concat(r.actions().stream(), r.otherwise().stream())).toList();
        return !first.isEmpty() && first.stream().allMatch(a -> a.kind() == Actions.OPEN_LINK) ? "link" : "button";
    }
}
