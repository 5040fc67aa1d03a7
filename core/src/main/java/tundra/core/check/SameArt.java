package tundra.core.check;

import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/** Whether two elements look the same in the same place, whatever their ids and names. */
final class SameArt {
    private SameArt() {}

    static boolean is(Element a, Element b) {
        return a.hidden() == b.hidden() && a.rest().equals(b.rest()) && form(a, b);
    }

    /** The same form in the same size and paint, wherever it stands. */
    static boolean form(Element a, Element b) {
        if (a.content() instanceof Content.Parent && b.content() instanceof Content.Parent) {
            var x = a.children();
            var y = b.children();
            if (x.size() != y.size()) {
                return false;
            }
            for (int i = 0; i < x.size(); i++) {
                if (!is(x.get(i), y.get(i))) {
                    return false;
                }
            }
            return true;
        }
        return a.content().equals(b.content()) && Properties.of(a).stream().allMatch(p -> Properties.PLACING.contains(p) || a.rest().get(p)
                .equals(b.rest().get(p)));
    }
}
