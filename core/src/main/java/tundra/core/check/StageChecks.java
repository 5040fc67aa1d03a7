package tundra.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.AudibleSounds;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.ActionKind;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.series.ShownPictures;

/** What plays on a stage without being asked, what never comes onto it, and what weighs on small machines. */
final class StageChecks {
    private static final int SIDE = 160, NEIGHBOURS = 8, MOMENTS = 24, LINES = 3;
    /** A step at the seam that is told: a share of the picture, and how much larger than the largest within. */
    private static final double STEP = 0.004, MORE = 1.6;
    private static final long PAUSE = 5_000_000, HEARD = 3_000_000;
    /** A picture with so many times the pixels that a fine screen shows along a side. */
    private static final double LARGER = 1.5;
    private static final long PHONE_BYTES = 128L << 20;
    private static final int PHONE_PARTS = 3000;
    private static final Set<ActionKind> STOPPING = Set.of(Actions.PAUSE, Actions.HIDE);

    private StageChecks() {}

    /** The ends of what loops on a place's Main, side by side. */
    static List<Finding> loop(Project p, Place place, TextMeasurer measure, ImageComparer eyes) {
        Board b = place.board();
        Timeline main = b.main();
        if (!main.loop() || main.tracks().isEmpty()) {
            return List.of();
        }
        FrameBuilder builder = Frames.of(p, b, measure);
        long frame = p.frameTime(1);
        int[] first = pixels(eyes, builder, b, 0), last = pixels(eyes, builder, b, Math.max(0, main.duration() - frame));
        double step = Pixels.difference(last, first), within = 0;
        for (int i = 0; i < NEIGHBOURS && step > STEP; i++) {
            long at = Math.round((i + 0.5) / NEIGHBOURS * Math.max(1, main.duration() - 2 * frame));
            within = Math.max(within, Pixels.difference(pixels(eyes, builder, b, at), pixels(eyes, builder, b, at + frame)));
        }
        if (step <= STEP || step < MORE * within) {
            return List.of();
        }
        boolean can = main.tracks().values().stream().flatMap(of -> of.values().stream()).anyMatch(t -> open(main, t));
        return List.of(new Finding(Check.OPEN_LOOP, place.id(), null, null, main.duration(), place.name()
                + " loops, but from its last frame to its first " + Numbers.plain(100 * step, 1)
                + " % of the picture changes at once, between others at most " + Numbers.plain(100 * within, 1) + " %.",
                can ? new Finding.Fix("Last keys as the first", x -> closed(x, main.id())) : null));
    }

    private static int[] pixels(ImageComparer eyes, FrameBuilder builder, Board b, long time) {
        double k = SIDE / Math.max(b.size().x(), b.size().y());
        return eyes.pixels(builder.at(Moment.main(b, time)), new Rect(0, 0, b.size().x(), b.size().y()), (int) Math.max(1, b.size().x() * k),
                (int) Math.max(1, b.size().y() * k));
    }

    private static boolean open(Timeline t, Track<?> track) {
        List<? extends Key<?>> keys = track.keys();
        return keys.size() > 1 && keys.getLast().time() >= t.duration() && !keys.getLast().value().equals(keys.getFirst().value());
    }

    private static Board closed(Board b, String timeline) {
        Board out = b;
        for (var owner : b.timeline(timeline).tracks().entrySet()) {
            for (var x : owner.getValue().entrySet()) {
                if (open(b.timeline(timeline), x.getValue())) {
                    out = closed(out, timeline, owner.getKey(), x.getKey());
                }
            }
        }
        return out;
    }

    @SuppressWarnings("unchecked")
    private static <T> Board closed(Board b, String timeline, String owner, Property<T> p) {
        var track = (Track<T>) b.timeline(timeline).tracks().get(owner).get(p);
        Key<T> last = track.keys().getLast(), first = track.keys().getFirst();
        return b.mapTimeline(timeline, t -> t.mapKeys(owner, p, k -> k.time() == last.time() ? k.with(first.value()) : k));
    }

    static List<Finding> of(Project p, Scene s, TextMeasurer measure) {
        var out = new ArrayList<Finding>();
        Board b = s.board();
        List<Reaction> all = Stream.concat(b.reactions().stream(), p.reactions().stream()).filter(r -> !r.off()).toList();
        boolean pauses = all.stream().flatMap(r -> Stream.concat(r.actions().stream(), r.otherwise().stream()))
                .anyMatch(a -> STOPPING.contains(a.kind()));
        for (Timeline t : b.timelines()) {
            if (t.starts() && t.scroll() == null && !t.tracks().isEmpty() && (t.loop() || t.duration() > PAUSE) && !pauses) {
                out.add(new Finding(Check.NEVER_STILL, s.id(), null, null, 0, t.name() + " of " + s.name() + " moves "
                        + (t.loop() ? "for ever" : "for " + Math.round(t.duration() / 1e6) + " s")
                        + " by itself, and nothing pauses it: give visitors a button that pauses. For those who ask for less motion it stands still anyway.", null));
                break;
            }
        }
        for (Timeline t : b.timelines()) {
            long heard = t.starts() ? AudibleSounds.on(p, b, t).stream().mapToLong(x -> x.loop() ? HEARD + 1 : p.assets()
                    .get(x.asset()) instanceof Asset a ? x.heard(a.duration(), t.duration()) : 0).max().orElse(0) : 0;
            if (heard > HEARD && !pauses) {
                out.add(new Finding(Check.UNASKED_SOUND, s.id(), null, null, 0, "A sound on " + t.name() + " of " + s.name()
                        + " is heard for more than three seconds without being asked for, and nothing stops it.", null));
                break;
            }
        }
        unseen(p, s, measure, all, out);
        weight(p, s, out);
        order(p, s, measure, out);
        Tree.each(b.elements(), e -> {
            if (e.content() instanceof Content.Picture && !e.guide() && (e.name().matches("(?i).*\\.(png|jpe?g|gif|webp|bmp|avif|tiff?)( \\d+)?")
                    || e.name().matches("(?i)(img|dsc|image|picture|screenshot)[ _-]?\\d*"))) {
                out.add(new Finding(Check.UNDESCRIBED, s.id(), e.id(), null, 0, "Screen readers call this picture “" + e.name()
                        + "”: give it a name that says what is seen.", null));
            }
        });
        return out;
    }

    /** Elements that no timeline brings onto the canvas and no sentence names. */
    private static void unseen(Project p, Scene s, TextMeasurer measure, List<Reaction> all, List<Finding> out) {
        Board b = s.board();
        var seen = new HashSet<String>();
        FrameBuilder builder = Frames.of(p, b, measure);
        for (int i = 0; i <= MOMENTS; i++) {
            collect(builder.at(Moment.opened(b, b.main().duration() * i / MOMENTS)), seen);
        }
        for (Timeline t : b.timelines()) {
            for (int i = 0; i <= MOMENTS && !t.starts(); i++) {
                collect(builder.at(Moment.opened(b, b.main().duration()).with(t.id(), t.duration() * i / MOMENTS)), seen);
            }
        }
        var named = new HashSet<String>();
        all.forEach(r -> r.slots().forEach(x -> x.values().values().forEach(v -> {
            if (v instanceof String id) {
                named.add(id);
            } else if (v instanceof List<?> ids) {
                ids.forEach(id -> named.add(String.valueOf(id)));
            }
        })));
        b.drags().forEach(d -> d.pairs().forEach(x -> named.add(x.part())));
        for (Element e : b.elements()) {
            // what layouts bring in is seen there
            if (!e.guide() && !e.hidden() && !seen.contains(e.id()) && !named.contains(e.id()) && !named.contains(Slot.EVERYTHING) && b.layouts()
                    .isEmpty() && e.children().stream().noneMatch(c -> named.contains(c.id()))) {
                out.add(new Finding(Check.NOT_SEEN, s.id(), e.id(), null, 0, e.name()
                        + " is never seen on the canvas: it lies outside or is transparent all the time, and no sentence names it.", null));
            }
        }
    }

    private static void collect(Frame f, Set<String> seen) {
        Rect canvas = new Rect(0, 0, f.size().x(), f.size().y());
        for (FrameNode n : f.nodes()) {
            Rect r = n.reach() == null || n.opacity() <= 0 ? null : n.toParent().bounds(n.reach());
            if (r != null && n.id() != null && r.x() < canvas.right() && r.right() > canvas.x() && r.y() < canvas.bottom()
                    && r.bottom() > canvas.y()) {
                seen.add(n.id());
            }
        }
    }

    private static void weight(Project p, Scene s, List<Finding> out) {
        var pictures = new HashSet<String>();
        int[] parts = {0};
        Tree.each(s.board().elements(), e -> {
            parts[0]++;
            if (e.content() instanceof Content.Picture x) {
                pictures.add(x.asset());
            }
        });
        long bytes = pictures.stream().map(p.assets()::get).filter(a -> a != null).mapToLong(a -> 4L * a.width() * a.height()).sum();
        if (bytes > PHONE_BYTES || parts[0] > PHONE_PARTS) {
            out.add(new Finding(Check.TOO_HEAVY, s.id(), null, null, 0, s.name() + (bytes > PHONE_BYTES ? " shows pictures that take "
                    + (bytes >> 20) + " MB of a visitor's memory; a phone may show it late or not at all." : " has " + parts[0]
                    + " parts; a phone may show it late."), null));
        }
    }

    /** Pictures with far more pixels than are shown of them. */
    static List<Finding> pictures(Project p, TextMeasurer measure) {
        var out = new ArrayList<Finding>();
        Map<String, Point> sizes = ShownPictures.sizes(p, measure);
        for (Asset a : p.assets().values()) {
            Point shown = a.kind() == Asset.Kind.PICTURE ? sizes.get(a.hash()) : null;
            if (shown != null && a.width() > LARGER * ShownPictures.FINE * shown.x() && a.height() > LARGER * ShownPictures.FINE * shown.y()
                    && (long) a.width() * a.height() > 250_000) {
                out.add(new Finding(Check.LARGE_PICTURE, p.scenes().getFirst().id(), null, null, 0, "“" + a.title() + "” has " + a.width() + "×"
                        + a.height() + " px and is shown in " + Math.round(shown.x()) + "×" + Math.round(shown.y())
                        + " at most. A page whose pictures are made smaller loads faster and looks the same.", null));
            }
        }
        return out;
    }

    /** The keyboard goes from back to front; people read from line to line. */
    private static void order(Project p, Scene s, TextMeasurer measure, List<Finding> out) {
        Set<String> reacting = TouchAreas.reacting(p, s.board());
        Frame f = Frames.of(p, s.board(), measure).at(Moment.opened(s.board(), s.board().main().duration()));
        var areas = new ArrayList<Rect>();
        Tree.each(s.board().elements(), e -> {
            Frame.Placed at = reacting.contains(e.id()) ? f.find(e.id()) : null;
            if (at != null && at.node().opacity() > 0) {
                areas.add(at.bounds());
            }
        });
        if (areas.size() < LINES) {
            return;
        }
        int turned = 0;
        for (int i = 0; i + 1 < areas.size(); i++) {
            // the next one lies wholly above
            turned += areas.get(i + 1).bottom() <= areas.get(i).y() ? 1 : 0;
        }
        if (turned * 2 > areas.size() - 1) {
            out.add(new Finding(Check.ORDER, s.id(), null, null, 0, "The keyboard goes through the places to tap of " + s.name()
                    + " mostly upwards. Order them in the outline from the top of the canvas to its foot.", null));
        }
    }
}
