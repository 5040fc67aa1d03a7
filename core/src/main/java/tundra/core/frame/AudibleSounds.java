package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/**
 * The sounds that are heard while a timeline plays: its own, and those of the motifs that run meanwhile, in each of their turns. A motif's speed
 * brings its sounds sooner or later, but they sound as they were recorded; backwards nothing is heard.
 */
public final class AudibleSounds {
    private static final int MOST = 200;
    private final Project project;

    private AudibleSounds(Project project) {
        this.project = project;
    }

    /** At most 200 of them, placed on the timeline. */
    public static List<PlacedSound> on(Project p, Board b, Timeline t) {
        return new AudibleSounds(p).on(b, t).stream().limit(MOST).toList();
    }

    private List<PlacedSound> on(Board b, Timeline t) {
        var out = new ArrayList<>(t.sounds());
        Tree.each(b.elements(), e -> {
            if (e.content() instanceof Content.Instance i && (i.clock().own() || Moment.sitsOn(b, e.id()).id().equals(t.id()))) {
                add(out, b, e, i, project.motif(i.motif()));
            }
        });
        return out;
    }

    private void add(List<PlacedSound> out, Board around, Element e, Content.Instance i, Motif m) {
        Clock c = m == null ? null : m.clock(i);
        if (m == null || c.speed() <= 0 || c.repeat() == Clock.Repeat.HOLD) {
            return;
        }
        List<PlacedSound> inner = on(m.board(), m.board().main());
        if (inner.isEmpty()) {
            return;
        }
        // the first turn begins at the phase, the others at the motif's start
        long into = c.local(0, m.board().main().duration());
        for (Turns.Turn turn : Turns.of(around, e, m).turns()) {
            for (PlacedSound s : inner) {
                placed(out, s, turn, into, c.speed());
            }
            into = 0;
            if (out.size() > MOST) {
                return;
            }
        }
    }

    /** @param into where in the motif the turn begins, in µs */
    private void placed(List<PlacedSound> out, PlacedSound s, Turns.Turn turn, long into, double speed) {
        Asset a = project.assets().get(s.asset());
        long part = a == null ? 0 : s.part(a.duration()), at = turn.from() + Math.round((s.start() - into) / speed);
        if (s.loop() && part > 0 && at < turn.from()) {
            // what went by before is not gone through
            at += (turn.from() - at) / part * part;
        }
        while (part > 0 && at < turn.to() && out.size() <= MOST) {
            long skipped = Math.max(0, turn.from() - at), left = Math.min(part - skipped, turn.to() - Math.max(at, turn.from()));
            if (left > 0) {
                out.add(new PlacedSound(s.id(), s.asset(), at + skipped, s.volume(), Math.max(0, s.fadeIn() - skipped), s.fadeOut(), s.from()
                        + skipped, left, false));
            }
            if (!s.loop()) {
                return;
            }
            at += part;
        }
    }
}
