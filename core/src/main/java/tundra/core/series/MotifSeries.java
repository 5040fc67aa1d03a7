package tundra.core.series;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import tundra.core.edit.Motifs;
import tundra.core.edit.PieceValues;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Puts a flipbook of its pictures in the place of a motif, so that all that goes for flipbooks goes for it: clocks, phases, states, the page. */
public final class MotifSeries {
    /** A motif of more frames is not shown as pictures. */
    public static final int FRAMES = 600;

    private MotifSeries() {}

    /**
     * The project as it is published: with the pictures of those motifs that are shown so and are seen in a scene, and of what a browser can't do
     * well.
     */
    public static Project published(Project piece, SeriesPainter painter) {
        Project p = PaintedEffects.in(piece, asPictures(piece)), out = p;
        Set<String> pictures = asPictures(p);
        for (Motif m : p.motifs()) {
            if (pictures.contains(m.id()) && p.scenes().stream().anyMatch(s -> seen(p, s.board(), m.id(), pictures))) {
                Series s = painter.paint(p, m);
                for (Asset a : s.pictures()) {
                    out = out.withAsset(a);
                }
                out = Motifs.map(out, m.id(), x -> x.withBoard(board(p, m, s)));
            }
        }
        return PaintedShadows.in(out, painter);
    }

    /** The ids of the motifs that are published as pictures. */
    static Set<String> asPictures(Project p) {
        return p.motifs().stream().filter(m -> m.pictures() && hindrance(p, m) == null).map(Motif::id).collect(Collectors.toSet());
    }

    /** Whether a board still shows a motif itself when those that are pictures have taken the place of what they hold. */
    private static boolean seen(Project p, Board b, String motif, Set<String> pictures) {
        return Motifs.instances(b, x -> true).stream().map(e -> ((Content.Instance) e.content()).motif())
                .anyMatch(id -> id.equals(motif) || p.motif(id) instanceof Motif m && !pictures.contains(id) && seen(p, m.board(), motif, pictures));
    }

    /** Why a motif can't be a series of pictures, as a sentence; null when it can. */
    public static String hindrance(Project p, Motif m) {
        Board b = m.board();
        if (frames(p, m) > FRAMES) {
            return "It would be " + frames(p, m) + " pictures, and " + FRAMES + " is the most.";
        }
        if (!b.reactions().isEmpty()) {
            return "Something in it can be tapped, which pictures can't.";
        }
        String played = played(p, m);
        if (played != null) {
            return "Reactions play “" + played + "” or wait for it, which pictures can't do.";
        }
        if (PieceValues.shows(p, b)) {
            return "A text in it shows a value, which pictures can't.";
        }
        if (b.timelines().size() > 1) {
            return "It has timelines besides " + Timeline.MAIN + ", and its pictures are those of one.";
        }
        for (Element e : Motifs.instances(b, x -> true)) {
            Motif inner = p.motif(((Content.Instance) e.content()).motif());
            String why = inner == null ? null : inside(p, b, e, inner);
            if (why != null) {
                return why;
            }
        }
        return null;
    }

    /** The name of an instance of a motif that reactions play, or whose markers or end they wait for; null when there is none. */
    private static String played(Project p, Motif m) {
        for (Place x : p.places()) {
            for (Reaction r : x.board().reactions()) {
                for (Slots s : r.slots()) {
                    for (var e : s.values().entrySet()) {
                        if ((e.getKey().type() == Slot.Type.PLAYER || e.getKey() == Events.INSTANCE) && x.board()
                                .find((String) e.getValue()) instanceof Element is
                                && is.content() instanceof Content.Instance i && i.motif().equals(m.id())) {
                            return is.name();
                        }
                    }
                }
            }
        }
        return null;
    }

    private static String inside(Project p, Board around, Element e, Motif inner) {
        Clock c = ((Content.Instance) e.content()).clock();
        if (inner.states() != null || inner.board().timelines().stream().anyMatch(t -> !t.sounds().isEmpty())) {
            return "“" + e.name() + "” in it reacts or sounds, which pictures can't.";
        }
        // what goes by its own clock runs on when the motif around it begins anew
        double turns = around.main().duration() * Math.abs(c.speed()) / inner.board().main().duration();
        boolean closes = c.repeat() == Clock.Repeat.HOLD || c.repeat() == Clock.Repeat.LOOP && Math.abs(turns - Math.round(turns)) < 1e-6;
        if (c.own() && around.main().loop() && !closes) {
            return "“" + e.name() + "” in it goes by its own clock and stands elsewhere when the motif begins anew.";
        }
        return hindrance(p, inner) == null ? null : "“" + e.name() + "” in it can't be: " + hindrance(p, inner);
    }

    /** How many frames its Main timeline has. */
    public static int frames(Project p, Motif m) {
        return (int) Math.max(1, Math.min(Integer.MAX_VALUE, Math.ceil(m.board().main().duration() * (double) p.frameRate() / 1e6 - 1e-6)));
    }

    private static Board board(Project p, Motif m, Series s) {
        Point size = new Point(s.area().width(), s.area().height());
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < s.shows().size(); ) {
            int n = i + 1;
            while (n < s.shows().size() && s.shows().get(n).equals(s.shows().get(i))) {
                n++;
            }
            Element picture = new Element(m.id() + "-p" + i, m.name(), false, false, Values.NONE.with(Properties.POSITION, size.times(0.5))
                    .with(Properties.SIZE, size),
                    new Content.Picture(s.pictures().get(s.shows().get(i)).hash()));
            Element art = new Element(m.id() + "-d" + i, m.name(), false, false, Values.NONE.with(Properties.POSITION, size.times(0.5)),
                    new Content.Group(List.of(picture), size));
            drawings.add(new Drawing(art, i, n - i));
            i = n;
        }
        Timeline main = m.board().main();
        var flipbook = new Flipbook(drawings, size, p.frameRate(), main.loop() ? Flipbook.Ending.LOOP : Flipbook.Ending.HOLD);
        Point middle = new Point(s.area().x(), s.area().y()).plus(size.times(0.5));
        Element e = new Element(m.id() + "-f", m.name(), false, false, Values.NONE.with(Properties.POSITION, middle), flipbook);
        var still = new Timeline(main.id(), main.name(), main.duration(), main.loop(), main.starts(), Map.of()).withSounds(main.sounds());
        return new Board(m.board().size(), m.board().canvas(), List.of(e), List.of(still), List.of());
    }
}
