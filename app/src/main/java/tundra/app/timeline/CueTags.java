package tundra.app.timeline;

import java.util.List;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.edit.Sentences;
import tundra.core.model.Action;
import tundra.core.model.Events;
import tundra.core.model.Reaction;

/** The cues of the chosen timeline as small tags above the ruler, each with what it does first. */
final class CueTags {
    private CueTags() {}

    static List<Reaction> of(Studio s) {
        return s.board().reactions().stream().filter(r -> r.when().kind() == Events.PASSED && s.timeline().id()
                .equals(r.when().slots().get(Events.TIMELINE))).toList();
    }

    static long time(Reaction cue) {
        return (Long) cue.when().slots().get(Events.TIME);
    }

    static String words(Studio s, Reaction cue) {
        Action a = cue.actions().isEmpty() ? cue.otherwise().getFirst() : cue.actions().getFirst();
        return new Sentences(s.project(), s.board()).of(a.kind(), a.slots());
    }

    static double width(Studio s, Reaction cue) {
        return 14 + Math.min(24, words(s, cue).length()) * 5.9;
    }

    static void draw(SkiaGraphics g, Studio s, TimeScale scale, Palette colors) {
        g.setTextAlign(TextAlignment.LEFT);
        for (Reaction r : of(s)) {
            double x = scale.x(time(r)), w = width(s, r);
            String words = words(s, r);
            g.setFill(r.off() ? colors.bar() : colors.interactionSoft());
            g.fillRoundRect(x, 1, w, 15, 7, 7);
            g.setFill(colors.interaction());
            g.fillRect(x, 1, 2, RulerPainter.HEIGHT);
            g.setFont(TimelinePainter.text(11, false));
            g.fillText(words.length() > 24 ? words.substring(0, 23) + "…" : words, x + 7, 8.5);
        }
    }

    /** The tag at a place of the ruler; null for none. */
    static Reaction at(Studio s, TimeScale scale, double x, double y) {
        return y > RulerPainter.BAND ? null : of(s).reversed().stream().filter(r -> x >= scale.x(time(r)) - 3 && x <= scale.x(time(r)) + width(s, r))
                .findFirst().orElse(null);
    }
}
