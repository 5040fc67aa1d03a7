package tundra.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.edit.Motifs;
import tundra.core.frame.Moment;
import tundra.core.frame.Turns;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.series.LiveCost;
import tundra.core.series.MotifSeries;

/** Instances that go by a timeline too short to show all of their motif. */
final class MotifChecks {
    private MotifChecks() {}

    static List<Finding> of(Project p, Place place) {
        var out = new ArrayList<Finding>();
        Board b = place.board();
        for (Element e : Motifs.instances(b, x -> true)) {
            Motif m = p.motif(((Content.Instance) e.content()).motif());
            String missing = m == null || e.guide() || e.hidden() ? null : Turns.missing(b, e, m, p.frameRate());
            if (missing != null) {
                String words = e.name() + " " + missing + ": the timeline that it goes by ends before the motif does.";
                out.add(new Finding(Check.UNSEEN_MOTIF, place.id(), e.id(), null, Turns.of(b, e, m).never().from(), words, longer(b, e, m)));
            }
        }
        return out;
    }

    /** Motifs of a scene that would be better shown as pictures: by the layers that one instance makes, where nothing hinders it. */
    static List<Finding> heavy(Project p, Place place) {
        var out = new ArrayList<Finding>();
        var asked = new HashSet<String>();
        for (Element e : Motifs.instances(place.board(), x -> true)) {
            Motif m = p.motif(((Content.Instance) e.content()).motif());
            if (m == null || m.pictures() || e.guide() || e.hidden() || !asked.add(m.id())) {
                continue;
            }
            LiveCost cost = LiveCost.of(p, m);
            if (cost.heavy() && MotifSeries.hindrance(p, m) == null) {
                String words = "“" + m.name() + "” is heavy for visitors. " + cost.words() + " A series of pictures spares that.";
                out.add(new Finding(Check.HEAVY, place.id(), e.id(), null, 0, words, new Finding.Fix("Publish it as pictures", null,
                        x -> Motifs.map(x, m.id(), y -> y.withPictures(true)))));
            }
        }
        return out;
    }

    /** A longer span where the timeline has room for it, else a clock of its own. */
    private static Finding.Fix longer(Board b, Element e, Motif m) {
        Timeline on = Moment.sitsOn(b, e.id());
        Span span = on.shown().get(e.id());
        long end = Turns.of(b, e, m).never().to();
        return span != null && end <= on.duration()
                ? new Finding.Fix("Lengthen its span", x -> x.mapTimeline(on.id(), t -> t.withShown(e.id(), new Span(span.from(), end))))
                : new Finding.Fix("Give it its own clock", x -> Motifs.clocks(x, Set.of(e.id()), (Clock c) -> c.withOwn(true)));
    }
}
