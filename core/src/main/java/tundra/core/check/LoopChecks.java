package tundra.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Morph;
import tundra.core.model.Place;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Timelines that loop by themselves for ever: what halts at their seam, and what keeps a visitor's processor from resting. */
final class LoopChecks {
    /** A form that goes faster, in px per s, needs more pictures than what merely sways. */
    private static final double FAST = 30;
    /** Slower at the seam than this share of its mean speed is seen as a halt. */
    private static final double HALT = 0.25;

    private LoopChecks() {}

    static List<Finding> of(Place place) {
        var out = new ArrayList<Finding>();
        for (Timeline t : place.board().timelines()) {
            if (!t.loop() || t.scroll() != null) {
                continue;
            }
            t.tracks().forEach((id, tracks) -> {
                Element e = place.board().find(id);
                if (e != null && !e.guide() && !e.hidden()) {
                    seam(place, t, e, tracks, out);
                    if (t.starts()) {
                        busy(place, e, tracks, out);
                    }
                }
            });
        }
        return out;
    }

    @SuppressWarnings("unchecked")
    private static void busy(Place place, Element e, Map<Property<?>, Track<?>> tracks, List<Finding> out) {
        for (var entry : tracks.entrySet()) {
            List<? extends Key<?>> keys = entry.getValue().keys();
            boolean blends = keys.size() > 1 && keys.stream().anyMatch(k -> k.easing() != Easing.HOLD);
            String what = !blends ? null : entry.getKey() == Properties.OUTLINE && Morph.speed((Track<Outline>) entry.getValue()) > FAST
                    ? "changes its form"
                    : keys.stream().filter(k -> k.value() instanceof Gradient).count() > 1 ? "moves its gradient" : null;
            if (what != null) {
                out.add(new Finding(Check.BUSY, place.id(), e.id(), null, keys.getFirst().time(),
                        e.name() + " " + what + " for ever, which browsers work out anew at every picture. Moving, turning, scaling and fading cost next to nothing; so does a loop that ends.", null));
            }
        }
    }

    private static void seam(Place place, Timeline t, Element e, Map<Property<?>, Track<?>> tracks, List<Finding> out) {
        for (var entry : tracks.entrySet()) {
            if (halts(t, entry.getValue())) {
                Property<?> p = entry.getKey();
                Finding.Fix even = entry.getValue().shape().whole() != null ? null : new Finding.Fix("Even speed", b -> even(b, t.id(), e.id(), p));
                out.add(new Finding(Check.SEAM, place.id(), e.id(), null, t.duration(),
                        e.name() + " goes on in one direction but halts where " + t.name() + " begins anew: " + p.label().toLowerCase(Locale.ROOT)
                        + " slows down there.", even));
            }
        }
    }

    private static <T> Board even(Board b, String timeline, String element, Property<T> p) {
        return b.mapTimeline(timeline, t -> t.mapKeys(element, p, k -> k.with(Easing.LINEAR)));
    }

    /** Whether something goes on in one direction all the time, but slowly before and after the loop begins anew. */
    private static boolean halts(Timeline t, Track<?> track) {
        List<? extends Key<?>> keys = track.keys();
        int last = keys.size() - 1;
        if (last < 1 || numbers(keys.getFirst().value()) == null || keys.getFirst().time() > 0 || keys.get(last).time() < t.duration()) {
            return false;
        }
        if (track.shape().closed()) {
            Easing whole = track.shape().whole();
            return pace(whole != null ? whole : keys.getFirst().easing(), true) < HALT && pace(whole != null ? whole : keys.get(last - 1).easing(),
                    false) < HALT;
        }
        double[] first = numbers(keys.getFirst().value()), end = numbers(keys.get(last).value());
        for (int i = 0; i < first.length; i++) {
            double net = end[i] - first[i];
            if (Math.abs(net) < 1e-6) {
                continue;
            }
            for (int k = 0; k < last; k++) {
                if ((numbers(keys.get(k + 1).value())[i] - numbers(keys.get(k).value())[i]) * Math.signum(net) <= 0) {
                    return false;
                }
            }
            double mean = net / t.duration();
            if (rate(keys, 0, true, i) / mean < HALT && rate(keys, last - 1, false, i) / mean < HALT) {
                return true;
            }
        }
        return false;
    }

    /** How fast a number goes at the begin or the end of an interval. */
    private static double rate(List<? extends Key<?>> keys, int k, boolean begin, int i) {
        Key<?> a = keys.get(k), b = keys.get(k + 1);
        return (numbers(b.value())[i] - numbers(a.value())[i]) * pace(a.easing(), begin) / (b.time() - a.time());
    }

    /** The slope of an easing at its begin or its end; 1 is even. */
    private static double pace(Easing e, boolean begin) {
        double part = 0.02;
        return (begin ? e.at(part) : 1 - e.at(1 - part)) / part;
    }

    private static double[] numbers(Object value) {
        return switch (value) {
            case Double d -> new double[] {d};
            case Point p -> new double[] {p.x(), p.y()};
            default -> null;
        };
    }
}
