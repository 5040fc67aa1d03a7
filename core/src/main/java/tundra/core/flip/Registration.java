package tundra.core.flip;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.RulerLine;

/** Brings drawings of a flipbook into line by moving each as a whole. */
public final class Registration {
    private Registration() {}

    /** What of the drawings is brought into line. */
    public enum By {
        FEET("feet"), CENTRE("middle"), PIVOT("pivot"), LINE("guide line");

        public final String word;

        By(String word) {
            this.word = word;
        }

        /** Whether it says where a drawing stands from left to right; all but an upright line say it from top to bottom. */
        boolean across(RulerLine line) {
            return this == CENTRE || this == PIVOT || this == LINE && line.upright();
        }

        boolean upright(RulerLine line) {
            return this != LINE || !line.upright();
        }
    }

    /**
     * Where one drawing stands against where it should.
     *
     * @param off how far it lies off, to the right and downwards, in px of the flipbook; 0 in a direction that isn't asked for
     */
    public record Place(String drawing, Point off) {}

    /**
     * How far each drawing lies off. The first of them is the measure, or the line where one is given. A drawing without anything
     * on it has no place.
     *
     * @param ids the drawings that are meant
     * @param line the guide line for {@link By#LINE}, in the flipbook's own coordinates; null for the others
     */
    public static List<Place> places(Flipbook book, Collection<String> ids, By by, RulerLine line, Function<Drawing, Ink> ink) {
        var out = new ArrayList<Place>();
        Point measure = null;
        for (Drawing d : book.drawings()) {
            Ink i = ids.contains(d.id()) ? ink.apply(d) : Ink.NONE;
            if (i.empty()) {
                continue;
            }
            Point at = at(d, i, by, line);
            if (measure == null) {
                measure = by == By.LINE ? new Point(line.at(), line.at()) : at;
            }
            out.add(new Place(d.id(), new Point(by.across(line) ? at.x() - measure.x() : 0, by.upright(line) ? at.y() - measure.y() : 0)));
        }
        return out;
    }

    private static Point at(Drawing d, Ink ink, By by, RulerLine line) {
        return switch (by) {
            case FEET -> new Point(0, ink.bounds().bottom());
            case CENTRE -> ink.centre();
            case PIVOT -> d.art().rest().get(Properties.POSITION);
            case LINE -> line.upright() ? ink.centre() : new Point(0, ink.bounds().bottom());
        };
    }

    /** The flipbook with every placed drawing moved back by what it lies off. */
    public static Flipbook apply(Flipbook book, List<Place> places) {
        Flipbook out = book;
        for (Place p : places) {
            out = nudge(out, List.of(p.drawing()), p.off().times(-1));
        }
        return out;
    }

    /** Drawings moved as a whole by some px of the flipbook. */
    public static Flipbook nudge(Flipbook book, Collection<String> ids, Point by) {
        return by.equals(Point.ZERO) ? book : book.withDrawings(book.drawings().stream().map(d -> ids.contains(d.id())
                ? d.withArt(d.art().with(Properties.POSITION, d.art().rest().get(Properties.POSITION).plus(by))) : d).toList());
    }

    /**
     * Drawings moved, turned and scaled as wholes, all around the middle of the flipbook, so that they stay in register.
     *
     * @param by    in px of the flipbook
     * @param turn  in degrees, clockwise
     * @param scale 1 for as large as they are
     */
    public static Flipbook together(Flipbook book, Collection<String> ids, Point by, double turn, double scale) {
        Affine around = Affine.translate(by.x(), by.y()).times(around(book.box().times(0.5), turn, scale));
        return book.withDrawings(book.drawings().stream().map(d -> ids.contains(d.id()) ? d.withArt(d.art()
                .with(Properties.POSITION, around.apply(d.art().rest().get(Properties.POSITION)))
                .with(Properties.ROTATION, d.art().rest().get(Properties.ROTATION) + turn)
                .with(Properties.SCALE, d.art().rest().get(Properties.SCALE).times(scale))) : d).toList());
    }

    private static Affine around(Point middle, double turn, double scale) {
        return Affine.translate(middle.x(), middle.y()).times(Affine.turned(turn, new Point(scale, scale), Point.ZERO))
                .times(Affine.translate(-middle.x(), -middle.y()));
    }

    /** A guide line of the canvas in a flipbook's own coordinates; null when the flipbook is turned or slanted, so that it isn't level there. */
    public static RulerLine local(RulerLine line, Affine toCanvas) {
        if (Math.abs(toCanvas.b()) > 1e-9 || Math.abs(toCanvas.c()) > 1e-9 || !toCanvas.invertible()) {
            return null;
        }
        Point p = toCanvas.inverse().apply(new Point(line.at(), line.at()));
        return new RulerLine(line.upright(), line.upright() ? p.x() : p.y());
    }
}
