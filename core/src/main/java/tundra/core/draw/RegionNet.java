package tundra.core.draw;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateSequence;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.linearref.LinearLocation;
import org.locationtech.jts.linearref.LocationIndexedLine;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/**
 * The regions that strokes enclose: their centre lines cut at every crossing, with gaps bridged from each loose end to the
 * nearest line within a distance. Making it takes long for a large drawing; finding a region in it doesn't. Immutable.
 */
public final class RegionNet {
    private static final GeometryFactory FACTORY = new GeometryFactory();
    /** How far the fitted outline may lie off the strokes' centre, in px. */
    private static final double FIT = 0.3;
    private static final double CORNER = 28;
    private final STRtree faces = new STRtree();
    private final int count;

    /**
     * @param strokes centre lines in canvas coordinates
     * @param gap the widest gap that counts as closed, in px
     */
    public RegionNet(List<Outline> strokes, double gap) {
        var lines = new ArrayList<LineString>();
        for (Outline o : strokes) {
            for (Contour c : o.contours()) {
                List<Point> flat = Inside.flatten(c);
                var at = new ArrayList<Coordinate>();
                for (Point p : flat) {
                    var x = new Coordinate(p.x(), p.y());
                    if (at.isEmpty() || !at.getLast().equals2D(x)) {
                        at.add(x);
                    }
                }
                if (at.size() > 1) {
                    lines.add(FACTORY.createLineString(at.toArray(Coordinate[]::new)));
                }
            }
        }
        if (gap > 0) {
            lines.addAll(bridges(lines, gap));
        }
        Geometry all = FACTORY.createMultiLineString(lines.toArray(LineString[]::new));
        var polygons = new Polygonizer();
        if (!lines.isEmpty()) {
            polygons.add(OverlayNGRobust.overlay(all, FACTORY.createMultiLineString(), OverlayNG.UNION));
        }
        @SuppressWarnings("unchecked")
        Collection<Polygon> found = polygons.getPolygons();
        found.forEach(p -> faces.insert(p.getEnvelopeInternal(), p));
        faces.build();
        count = found.size();
    }

    /** How many regions there are. */
    public int size() {
        return count;
    }

    /** From each loose end to the nearest other line within the gap; of its own line, what lies further along than the gap. */
    private static List<LineString> bridges(List<LineString> lines, double gap) {
        var tree = new STRtree();
        lines.forEach(l -> tree.insert(l.getEnvelopeInternal(), l));
        var out = new ArrayList<LineString>();
        for (LineString l : lines) {
            if (l.isClosed()) {
                continue;
            }
            CoordinateSequence c = l.getCoordinateSequence();
            for (int end : new int[] {0, c.size() - 1}) {
                Coordinate from = c.getCoordinate(end);
                var around = new Envelope(from);
                around.expandBy(gap);
                Coordinate best = null;
                double far = gap;
                for (Object o : tree.query(around)) {
                    Coordinate to = nearest((LineString) o, from, l == o ? gap : 0, end == 0);
                    if (to != null && to.distance(from) <= far) {
                        far = to.distance(from);
                        best = to;
                    }
                }
                if (best != null && far > 1e-9) {
                    out.add(FACTORY.createLineString(new Coordinate[] {from, best}));
                }
            }
        }
        return out;
    }

    private static Coordinate nearest(LineString line, Coordinate from, double skip, boolean atStart) {
        Geometry rest = line;
        if (skip > 0) {
            var lengths = new LengthIndexedLine(line);
            double total = line.getLength();
            if (total <= 2 * skip) {
                return null;
            }
            rest = atStart ? lengths.extractLine(skip * 1.5, total) : lengths.extractLine(0, total - skip * 1.5);
            if (rest.isEmpty()) {
                return null;
            }
        }
        var located = new LocationIndexedLine(rest);
        LinearLocation at = located.project(from);
        return located.extractPoint(at);
    }

    /** The smallest region around a point, as few curves; null when strokes don't enclose it. */
    public Outline at(Point p) {
        var where = FACTORY.createPoint(new Coordinate(p.x(), p.y()));
        Polygon best = null;
        for (Object o : faces.query(where.getEnvelopeInternal())) {
            var face = (Polygon) o;
            if (face.covers(where) && (best == null || face.getArea() < best.getArea())) {
                best = face;
            }
        }
        if (best == null) {
            return null;
        }
        var contours = new ArrayList<Contour>();
        contours.add(ring(best.getExteriorRing()));
        for (int i = 0; i < best.getNumInteriorRing(); i++) {
            contours.add(ring(best.getInteriorRingN(i)));
        }
        return new Outline(contours);
    }

    private static Contour ring(LineString ring) {
        var points = new ArrayList<Point>();
        for (Coordinate c : ring.getCoordinates()) {
            points.add(new Point(c.x, c.y));
        }
        points.removeLast();
        return FitCurve.ring(points, FIT, CORNER);
    }
}
