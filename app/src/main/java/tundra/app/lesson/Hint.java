package tundra.app.lesson;

import java.util.List;
import java.util.function.Predicate;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.model.Motif;

/**
 * A sentence where the work is, until what it says was done once.
 *
 * @param when whether it fits what is open
 * @param done whether it isn't needed any more
 */
record Hint(String id, String words, Predicate<Studio> when, Predicate<Studio> done) {
    static final List<Hint> ALL = List.of(
            new Hint("draw", "Press {tool-RECTANGLE}, {tool-ELLIPSE} or {tool-PEN} and drag here to draw; drop a picture or a drawing to bring it in.", s -> s.desk() == Desk.DRAW && s.board().elements().isEmpty(), s -> !s.board().elements().isEmpty()),
            new Hint("animate", "Press {key} to key where something is. At another time, just move it: the next key is set by itself.",
            s -> s.desk() == Desk.ANIMATE && !s.board().elements().isEmpty() && !keyed(s), Hint::keyed),
            new Hint("interact", "Select something and add a reaction: what happens when a visitor taps it.", s -> s.desk() == Desk.INTERACT
            && !s.board().elements().isEmpty() && s.board().reactions().isEmpty(), s -> !s.board().reactions().isEmpty()),
            new Hint("adapt", "Click the ruler above at a width: a layout for windows up to there begins.", s -> s.desk() == Desk.ADAPT && s.board()
            .layouts().isEmpty(), s -> !s.board().layouts().isEmpty()),
            new Hint("motif", "You are in a motif: what you change here shows wherever it stands. Escape goes up again.",
            s -> s.place() instanceof Motif, s -> !(s.place() instanceof Motif)));

    private static boolean keyed(Studio s) {
        return s.board().timelines().stream().anyMatch(t -> !t.tracks().isEmpty());
    }
}
