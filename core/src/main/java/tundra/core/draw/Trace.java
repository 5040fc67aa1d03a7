package tundra.core.draw;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.work.Progress;

/**
 * A picture as areas of few colours: the colours are found by k-means, specks go to their neighbours, and the edges along the
 * pixels' cracks become curves. The areas lie on each other like sheets of paper, each reaching beneath those above, so that no
 * gaps show between them.
 */
public final class Trace {
    private static final int SAMPLES = 20_000;
    private static final int ROUNDS = 12;
    /** How far a sheet reaches beneath those above, in pixels. */
    private static final int UNDER = 2;
    /** How far along the edge a corner's sides are looked at, in pixels. */
    private static final int REACH = 4;
    private static final double CORNER = Math.cos(Math.toRadians(52));

    private final int w;
    private final int h;
    private final int[] argb;
    private final Options options;
    private final Progress progress;

    /**
     * @param colors 2 to 64
     * @param detail the smallest area that is kept, in pixels
     * @param smoothing 0 to 1
     */
    public record Options(int colors, int detail, double smoothing) {
        public Options {
            colors = Math.max(2, Math.min(64, colors));
            detail = Math.max(1, detail);
            smoothing = Math.max(0, Math.min(1, smoothing));
        }

        /** How far a curve may lie off the pixels' edge, in pixels. */
        public double tolerance() {
            return 0.6 + 1.6 * smoothing;
        }
    }

    /** One sheet: a colour and where it lies, in the picture's pixels; filled by the even-odd rule. */
    public record Sheet(Color color, Outline outline) {}

    private Trace(int[] argb, int w, int h, Options options, Progress progress) {
        this.argb = argb;
        this.w = w;
        this.h = h;
        this.options = options;
        this.progress = progress;
    }

    /**
     * The sheets from the lowest to the topmost; empty when it was cancelled.
     *
     * @param argb pixels, not premultiplied, in rows
     */
    public static List<Sheet> of(int[] argb, int w, int h, Options options, Progress progress) {
        return new Trace(argb, w, h, options, progress).sheets();
    }

    private List<Sheet> sheets() {
        int[] palette = palette();
        int[] label = labels(palette);
        progress.share(0.3);
        despeckle(label);
        progress.share(0.45);
        long[] area = new long[palette.length];
        for (int l : label) {
            if (l >= 0) {
                area[l]++;
            }
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < palette.length; i++) {
            if (area[i] > 0) {
                order.add(i);
            }
        }
        order.sort(Comparator.comparingLong(i -> -area[i]));
        int[] rank = new int[palette.length];
        for (int i = 0; i < order.size(); i++) {
            rank[order.get(i)] = i;
        }
        var out = new ArrayList<Sheet>();
        for (int i = 0; i < order.size(); i++) {
            if (progress.cancelled()) {
                return List.of();
            }
            Outline o = outline(label, rank, i);
            if (!o.contours().isEmpty()) {
                int c = palette[order.get(i)];
                out.add(new Sheet(new Color(c >> 16 & 255, c >> 8 & 255, c & 255, 255), o));
            }
            progress.share(0.45 + 0.55 * (i + 1) / order.size());
        }
        return out;
    }

    // --- colours ---

    private int[] palette() {
        var random = new Random(7);
        int[] sample = new int[Math.min(SAMPLES, argb.length)];
        int n = 0;
        for (int i = 0; i < sample.length; i++) {
            int c = argb[sample.length == argb.length ? i : random.nextInt(argb.length)];
            if ((c >>> 24) >= 128) {
                sample[n++] = c & 0xFFFFFF;
            }
        }
        if (n == 0) {
            return new int[0];
        }
        List<Integer> centres = new ArrayList<>();
        centres.add(sample[random.nextInt(n)]);
        double[] far = new double[n];
        Arrays.fill(far, Double.MAX_VALUE);
        while (centres.size() < options.colors) {
            double sum = 0;
            for (int i = 0; i < n; i++) {
                far[i] = Math.min(far[i], distance(sample[i], centres.getLast()));
                sum += far[i];
            }
            if (sum < 1) {
                break;
            }
            double pick = random.nextDouble() * sum;
            int i = 0;
            for (; i < n - 1 && pick > far[i]; i++) {
                pick -= far[i];
            }
            centres.add(sample[i]);
        }
        int[] c = centres.stream().mapToInt(x -> x).toArray();
        for (int round = 0; round < ROUNDS && !progress.cancelled(); round++) {
            long[][] sum = new long[c.length][4];
            for (int i = 0; i < n; i++) {
                long[] s = sum[nearest(c, sample[i])];
                s[0] += sample[i] >> 16 & 255;
                s[1] += sample[i] >> 8 & 255;
                s[2] += sample[i] & 255;
                s[3]++;
            }
            boolean moved = false;
            for (int k = 0; k < c.length; k++) {
                if (sum[k][3] > 0) {
                    long m = sum[k][3];
                    int next = (int) ((sum[k][0] + m / 2) / m) << 16 | (int) ((sum[k][1] + m / 2) / m) << 8 | (int) ((sum[k][2] + m / 2) / m);
                    moved |= next != c[k];
                    c[k] = next;
                }
            }
            if (!moved) {
                break;
            }
        }
        return c;
    }

    private static int distance(int a, int b) {
        int r = (a >> 16 & 255) - (b >> 16 & 255), g = (a >> 8 & 255) - (b >> 8 & 255), u = (a & 255) - (b & 255);
        return 3 * r * r + 4 * g * g + 2 * u * u;
    }

    private static int nearest(int[] centres, int c) {
        int best = 0, far = Integer.MAX_VALUE;
        for (int k = 0; k < centres.length; k++) {
            int d = distance(centres[k], c);
            if (d < far) {
                far = d;
                best = k;
            }
        }
        return best;
    }

    /** The number of each pixel's colour; -1 where it is more see-through than not. */
    private int[] labels(int[] palette) {
        int[] out = new int[argb.length];
        int last = -1, lastLabel = -1;
        for (int i = 0; i < argb.length; i++) {
            if ((argb[i] >>> 24) < 128) {
                out[i] = -1;
            } else {
                if (argb[i] != last || lastLabel < 0) {
                    last = argb[i];
                    lastLabel = nearest(palette, argb[i] & 0xFFFFFF);
                }
                out[i] = lastLabel;
            }
        }
        return out;
    }

    // --- specks ---

    private void despeckle(int[] label) {
        boolean[] seen = new boolean[label.length];
        var queue = new ArrayDeque<Integer>();
        var part = new ArrayList<Integer>();
        for (int start = 0; start < label.length; start++) {
            if (seen[start] || progress.cancelled()) {
                continue;
            }
            part.clear();
            queue.add(start);
            seen[start] = true;
            var around = new HashMap<Integer, Integer>();
            while (!queue.isEmpty()) {
                int i = queue.poll();
                part.add(i);
                int x = i % w, y = i / w;
                for (int k = 0; k < 4; k++) {
                    int nx = x + (k == 0 ? 1 : k == 1 ? -1 : 0), ny = y + (k == 2 ? 1 : k == 3 ? -1 : 0);
                    if (nx < 0 || ny < 0 || nx >= w || ny >= h) {
                        continue;
                    }
                    int j = ny * w + nx;
                    if (label[j] != label[start]) {
                        around.merge(label[j], 1, Integer::sum);
                    } else if (!seen[j]) {
                        seen[j] = true;
                        queue.add(j);
                    }
                }
            }
            if (part.size() < options.detail && !around.isEmpty()) {
                int to = around.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
                part.forEach(i -> label[i] = to);
            }
        }
    }

    // --- edges ---

    /**
     * The pixels of a sheet: those of its own rank, and around them what is covered by sheets above, as far as the edges of those
     * may lie off. The lowest sheet lies under all.
     */
    private boolean[] sheet(int[] label, int[] rank, int own) {
        boolean[] out = new boolean[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int l = label[y * w + x];
                out[y * w + x] = l >= 0 && (own == 0 || rank[l] == own || rank[l] > own && near(label, rank, own, x, y));
            }
        }
        return out;
    }

    private boolean near(int[] label, int[] rank, int own, int x, int y) {
        for (int j = Math.max(0, y - UNDER); j <= Math.min(h - 1, y + UNDER); j++) {
            for (int i = Math.max(0, x - UNDER); i <= Math.min(w - 1, x + UNDER); i++) {
                int l = label[j * w + i];
                if (l >= 0 && rank[l] == own) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean in(boolean[] sheet, int x, int y) {
        return x >= 0 && y >= 0 && x < w && y < h && sheet[y * w + x];
    }

    /** The edges of a sheet, with the inside on the right hand. */
    private Outline outline(int[] label, int[] rank, int own) {
        boolean[] sheet = sheet(label, rank, own);
        boolean[] done = new boolean[(w + 1) * (h + 1)];
        var contours = new ArrayList<Contour>();
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                // each edge has a level crack with the inside below, walked to the right
                if (in(sheet, x, y) && !in(sheet, x, y - 1) && !done[y * (w + 1) + x]) {
                    Contour c = smooth(follow(sheet, x, y, done));
                    if (c.nodes().size() > 1) {
                        contours.add(c);
                    }
                }
            }
        }
        return new Outline(contours);
    }

    private List<Point> follow(boolean[] sheet, int x0, int y0, boolean[] done) {
        var out = new ArrayList<Point>();
        int x = x0, y = y0, dx = 1, dy = 0;
        do {
            if (dx == 1) {
                done[y * (w + 1) + x] = true;
            }
            out.add(new Point(x + dx / 2.0, y + dy / 2.0));
            x += dx;
            y += dy;
            // the pixels ahead: to the right hand and to the left hand
            int rx = x + (dx - dy - 1) / 2, ry = y + (dy + dx - 1) / 2;
            int lx = x + (dx + dy - 1) / 2, ly = y + (dy - dx - 1) / 2;
            boolean right = in(sheet, rx, ry), left = in(sheet, lx, ly);
            int t = dx;
            if (!right) {
                dx = -dy;
                dy = t;
            } else if (left) {
                dx = dy;
                dy = -t;
            }
        } while (x != x0 || y != y0 || dx != 1 || dy != 0);
        return out;
    }

    private Contour smooth(List<Point> crack) {
        int n = crack.size();
        if (n <= 8) {
            return FitCurve.ring(crack, 0.5, 60);
        }
        Contour round = EllipseFit.of(crack);
        if (round != null) {
            return round;
        }
        Contour straight = PolygonFit.of(crack);
        if (straight != null) {
            return straight;
        }
        List<Point> calm = crack;
        for (int i = 0; i < 1 + Math.round(options.smoothing * 2); i++) {
            var next = new ArrayList<Point>(n);
            for (int k = 0; k < n; k++) {
                next.add(calm.get((k - 1 + n) % n).plus(calm.get(k).times(2)).plus(calm.get((k + 1) % n)).times(0.25));
            }
            calm = next;
        }
        List<Integer> corners = corners(crack);
        // at a corner the edge itself counts, not its average
        var points = new ArrayList<>(calm);
        corners.forEach(i -> points.set(i, sharp(crack, i)));
        var all = new ArrayList<Cubic>();
        for (int k = 0; k < corners.size(); k++) {
            int from = corners.get(k), to = corners.get((k + 1) % corners.size());
            var run = new ArrayList<Point>();
            for (int i = from; ; i = (i + 1) % n) {
                run.add(points.get(i));
                if (i == to && run.size() > 1) {
                    break;
                }
            }
            all.addAll(FitCurve.segments(run, options.tolerance()));
        }
        return Contour.of(all, true);
    }

    /** The crack's own corner between two midpoints that turn, else the midpoint. */
    private static Point sharp(List<Point> crack, int i) {
        int n = crack.size();
        Point a = crack.get(i), b = crack.get((i + 1) % n);
        boolean turns = a.x() != b.x() && a.y() != b.y();
        return turns ? new Point(Math.rint(a.x()) == a.x() ? a.x() : b.x(), Math.rint(a.y()) == a.y() ? a.y() : b.y()) : a;
    }

    private List<Integer> corners(List<Point> p) {
        int n = p.size();
        double[] turn = new double[n];
        for (int i = 0; i < n; i++) {
            Point a = p.get(i).minus(p.get((i - REACH + n) % n)), b = p.get((i + REACH) % n).minus(p.get(i));
            turn[i] = (a.x() * b.x() + a.y() * b.y()) / Math.max(1e-9, a.length() * b.length());
        }
        var out = new ArrayList<Integer>();
        for (int i = 0; i < n; i++) {
            boolean least = turn[i] < CORNER;
            for (int k = -REACH; k <= REACH && least; k++) {
                double other = turn[(i + k + n) % n];
                least = k == 0 || turn[i] < other || turn[i] == other && k > 0;
            }
            if (least) {
                out.add(i);
            }
        }
        if (out.isEmpty()) {
            out.add(0);
        }
        return out;
    }
}
