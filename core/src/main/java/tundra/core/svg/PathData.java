package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** Reads SVG path data (SVG 2, chapter 9). Like a browser it keeps what comes before a mistake. */
final class PathData {
    private final String text;
    private int at;
    private final List<Contour> contours = new ArrayList<>();
    private final List<Cubic> segments = new ArrayList<>();
    private Point start = Point.ZERO;
    private Point now = Point.ZERO;
    private Point lastCubic;
    private Point lastQuad;
    private boolean begun;

    private PathData(String text) {
        this.text = text;
    }

    static Outline read(String text) {
        var p = new PathData(text);
        try {
            p.commands();
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            // what was read so far is the path
        }
        p.end(false);
        return new Outline(p.contours);
    }

    private void commands() {
        char command = 0;
        while (skip()) {
            char c = text.charAt(at);
            if (Character.isLetter(c) && c != 'e' && c != 'E') {
                command = c;
                at++;
            } else if (command == 0) {
                return;
            } else if (command == 'M') {
                command = 'L';
            } else if (command == 'm') {
                command = 'l';
            } else if (command == 'Z' || command == 'z') {
                return;
            }
            if (!one(command)) {
                return;
            }
        }
    }

    private boolean one(char command) {
        boolean relative = Character.isLowerCase(command);
        Point from = relative ? now : Point.ZERO;
        char kind = Character.toUpperCase(command);
        if (!begun && kind != 'M') {
            return false;
        }
        Point cubic = null, quad = null;
        switch (kind) {
            case 'M' -> {
                end(false);
                start = now = point(from);
                begun = true;
            }
            case 'L' -> line(point(from));
            case 'H' -> line(new Point(from.x() * (relative ? 1 : 0) + number(), now.y()));
            case 'V' -> line(new Point(now.x(), from.y() * (relative ? 1 : 0) + number()));
            case 'C' -> {
                Point a = point(from);
                cubic = point(from);
                curve(a, cubic, point(from));
            }
            case 'S' -> {
                Point a = lastCubic == null ? now : now.times(2).minus(lastCubic);
                cubic = point(from);
                curve(a, cubic, point(from));
            }
            case 'Q' -> {
                quad = point(from);
                quadratic(quad, point(from));
            }
            case 'T' -> {
                quad = lastQuad == null ? now : now.times(2).minus(lastQuad);
                quadratic(quad, point(from));
            }
            case 'A' -> arc(from);
            case 'Z' -> {
                end(true);
                now = start;
            }
            default -> {
                return false;
            }
        }
        lastCubic = cubic;
        lastQuad = quad;
        return true;
    }

    private void arc(Point from) {
        double rx = number(), ry = number(), turn = number();
        boolean large = flag(), sweep = flag();
        Point to = point(from);
        if (rx == 0 || ry == 0) {
            line(to);
        } else {
            for (Cubic c : Arcs.cubics(now, to, Math.abs(rx), Math.abs(ry), turn, large, sweep)) {
                segments.add(c);
            }
            now = to;
        }
    }

    private void line(Point to) {
        segments.add(new Cubic(now, now, to, to));
        now = to;
    }

    private void curve(Point a, Point b, Point to) {
        segments.add(new Cubic(now, a, b, to));
        now = to;
    }

    private void quadratic(Point c, Point to) {
        curve(now.lerp(c, 2 / 3.0), to.lerp(c, 2 / 3.0), to);
    }

    private void end(boolean closed) {
        if (!segments.isEmpty()) {
            if (closed && segments.size() > 1) {
                Cubic last = segments.getLast();
                if (last.p3().distance(start) > 1e-9) {
                    segments.add(new Cubic(last.p3(), last.p3(), start, start));
                }
            }
            contours.add(Contour.of(segments, closed && segments.size() > 1));
            segments.clear();
        }
    }

    // --- the text ---

    private boolean skip() {
        while (at < text.length() && (Character.isWhitespace(text.charAt(at)) || text.charAt(at) == ',')) {
            at++;
        }
        return at < text.length();
    }

    private Point point(Point from) {
        double x = number(), y = number();
        return new Point(from.x() + x, from.y() + y);
    }

    private boolean flag() {
        skip();
        char c = text.charAt(at++);
        if (c != '0' && c != '1') {
            throw new NumberFormatException();
        }
        return c == '1';
    }

    private double number() {
        skip();
        int from = at;
        if (text.charAt(at) == '+' || text.charAt(at) == '-') {
            at++;
        }
        boolean point = false;
        while (at < text.length()) {
            char c = text.charAt(at);
            if (c == '.' && !point) {
                point = true;
            } else if ((c == 'e' || c == 'E') && at + 1 < text.length() && "+-0123456789".indexOf(text.charAt(at + 1)) >= 0) {
                at += 2;
                while (at < text.length() && Character.isDigit(text.charAt(at))) {
                    at++;
                }
                break;
            } else if (!Character.isDigit(c)) {
                break;
            }
            at++;
        }
        double v = Double.parseDouble(text.substring(from, at));
        if (Math.abs(v) > 1e7) {
            throw new NumberFormatException();
        }
        return v;
    }
}
