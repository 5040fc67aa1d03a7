package tundra.core.flip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A first guess at the grid of a sheet. Across and down are looked at each for itself: where lines could run that cut no
 * drawing, the most cells win that all hold something, at the plainest margins and spacing that fit the sheet; where the cells touch,
 * the lines are where the colours jump at equal distances.
 */
public final class SheetGuess {
    private static final int MOST_CELLS = 64;
    private static final int SMALLEST = 6;
    private static final int WIDEST = 64;
    /** A channel's difference that isn't told from the background. */
    private static final int NEAR = 10;
    private final int[] pixels;
    private final int width;
    private final int height;
    private final int background;

    private SheetGuess(int[] pixels, int width, int height, int background) {
        this.pixels = pixels;
        this.width = width;
        this.height = height;
        this.background = background;
    }

    /**
     * @param argb the sheet's pixels row by row, not premultiplied
     */
    public static SheetGrid of(int[] argb, int width, int height) {
        var border = new SheetGuess(argb, width, height, 0).border();
        for (int color : new SheetGuess(argb, width, height, border).gutters()) {
            SheetGrid g = new SheetGuess(argb, width, height, color).cards();
            if (g != null) {
                return g;
            }
        }
        var guess = new SheetGuess(argb, width, height, border);
        SheetGrid cards = guess.cards();
        return cards != null ? cards : guess.grid();
    }

    /** The colours of whole lines of one colour, which may lie between cells; few sheets have more than one. */
    private List<Integer> gutters() {
        var out = new ArrayList<Integer>();
        for (boolean across : new boolean[] {true, false}) {
            for (int i = 0; i < (across ? width : height) && out.size() < 4; i++) {
                int first = across ? at(i, 0) : at(0, i);
                boolean same = true;
                for (int j = 1; j < (across ? height : width) && same; j++) {
                    same = (across ? at(i, j) : at(j, i)) == first;
                }
                if (same && !out.contains(first)) {
                    out.add(first);
                }
            }
        }
        return out;
    }

    /** Filled cells with background between, in both directions; null when it isn't so. */
    private SheetGrid cards() {
        Axis x = cards(profile(true)), y = cards(profile(false));
        return x == null || y == null || x.cells * y.cells < 2 ? null
                : new SheetGrid(x.cells, y.cells, x.before, y.before, x.after, y.after, x.spacing, y.spacing);
    }

    private SheetGrid grid() {
        Profile px = profile(true), py = profile(false);
        int nx = most(px), ny = most(py);
        // most sheets have one margin and one spacing
        Axis both = nx > 1 && ny > 1 ? plainest(px, nx, py, ny) : null;
        Axis x = both != null ? new Axis(nx, both.before, both.after, both.spacing) : nx > 1 ? plainest(px, nx, null, 0) : touching(px);
        Axis y = both != null ? new Axis(ny, both.before, both.after, both.spacing) : ny > 1 ? plainest(py, ny, null, 0) : touching(py);
        return new SheetGrid(x.cells, y.cells, x.before, y.before, x.after, y.after, x.spacing, y.spacing);
    }

    /** The most cells that can be told apart along a direction. */
    private static int most(Profile p) {
        for (int n = Math.min(MOST_CELLS, p.length / SMALLEST); n >= 2 && p.first <= p.last; n--) {
            if (plainest(p, n, null, 0) != null) {
                return n;
            }
        }
        return 1;
    }

    /** The cells along one direction. */
    private record Axis(int cells, int before, int after, int spacing) {}

    /** What is seen of one direction: for each line of pixels the ink on it, and how much runs on from the line before. */
    private record Profile(int length, int first, int last, double[] ink, double[] joined, double[] jump, boolean[] full) {}

    /** The commonest colour of the border; anything transparent counts as one. */
    private int border() {
        int[] border = new int[2 * (width + height)];
        int n = 0;
        for (int x = 0; x < width; x++) {
            border[n++] = at(x, 0);
            border[n++] = at(x, height - 1);
        }
        for (int y = 0; y < height; y++) {
            border[n++] = at(0, y);
            border[n++] = at(width - 1, y);
        }
        Arrays.sort(border);
        int best = border[0], most = 0;
        for (int i = 0; i < n;) {
            int j = i;
            while (j < n && border[j] == border[i]) {
                j++;
            }
            if (j - i > most) {
                most = j - i;
                best = border[i];
            }
            i = j;
        }
        return best;
    }

    private int at(int x, int y) {
        int p = pixels[y * width + x];
        return p >>> 24 < 12 ? 0 : p;
    }

    private static int distance(int a, int b) {
        int d = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            d = Math.max(d, Math.abs((a >>> shift & 255) - (b >>> shift & 255)));
        }
        return d;
    }

    private boolean inked(int p) {
        return distance(p, background) > NEAR;
    }

    private Profile profile(boolean across) {
        int length = across ? width : height, depth = across ? height : width;
        double[] ink = new double[length], joined = new double[length], jump = new double[length];
        boolean[] full = new boolean[length];
        for (int i = 0; i < length; i++) {
            int inks = 0, both = 0;
            long difference = 0;
            for (int j = 0; j < depth; j++) {
                int p = across ? at(i, j) : at(j, i), q = i == 0 ? background : across ? at(i - 1, j) : at(j, i - 1);
                boolean here = inked(p);
                inks += here ? 1 : 0;
                both += here && inked(q) ? 1 : 0;
                difference += distance(p, q);
            }
            ink[i] = (double) inks / depth;
            joined[i] = (double) both / depth;
            jump[i] = (double) difference / depth;
        }
        double most = Arrays.stream(ink).max().orElse(0);
        for (int i = 0; i < length; i++) {
            full[i] = ink[i] > 0.3 * most && most > 0;
        }
        int first = 0, last = length - 1;
        while (first < length && ink[first] == 0) {
            first++;
        }
        while (last >= 0 && ink[last] == 0) {
            last--;
        }
        return new Profile(length, first, last, ink, joined, jump, full);
    }

    /** Cells that are filled to their edges, with background between: runs of ink, all of one length at one distance. */
    private static Axis cards(Profile p) {
        int first = p.first, last = p.last, cell = 0;
        while (first + cell < p.length && p.ink[first + cell] > 0) {
            cell++;
        }
        int gap = 0;
        while (first + cell + gap < p.length && p.ink[first + cell + gap] == 0) {
            gap++;
        }
        int n = 0;
        for (int at = first; at <= last; at += cell + gap) {
            for (int i = at; i < at + cell + gap && i <= last; i++) {
                if (p.ink[i] > 0 != i < at + cell) {
                    return null;
                }
            }
            if (at + cell - 1 > last || !p.full[at] || !p.full[at + cell - 1]) {
                return null;
            }
            n++;
        }
        return n < 1 || cell < SMALLEST ? null : new Axis(n, first, p.length - 1 - last, gap);
    }

    /**
     * The plainest margin and spacing at which the gutters of n cells hold nothing, for one direction or for two alike; null when
     * there is none.
     *
     * @param q the other direction, for m cells; null for one alone
     */
    private static Axis plainest(Profile p, int n, Profile q, int m) {
        Axis best = null;
        int least = Integer.MAX_VALUE;
        for (int margin = 0; margin <= Math.min(WIDEST, p.first); margin++) {
            for (int spacing = 0; spacing <= WIDEST; spacing++) {
                int cost = cost(margin, spacing);
                if (cost < least && clear(p, n, margin, spacing) && (q == null || clear(q, m, margin, spacing))) {
                    least = cost;
                    best = new Axis(n, margin, margin, spacing);
                }
            }
        }
        return best;
    }

    /** How unusual a margin and spacing are together. */
    private static int cost(int margin, int spacing) {
        int odd = margin == 0 && spacing == 0 ? 0 : margin == spacing ? 10 : margin == 0 || spacing == 0 ? 20 : 2 * margin == spacing ? 30 : 60;
        return odd + margin + spacing;
    }

    private static boolean clear(Profile p, int n, int margin, int spacing) {
        int room = p.length - 2 * margin - (n - 1) * spacing, cell = room / n;
        if (room < n * SMALLEST || room % n != 0 || spacing > cell || margin > p.first || margin + room + (n - 1) * spacing <= p.last) {
            return false;
        }
        for (int k = 0; k < n; k++) {
            int from = margin + k * (cell + spacing), to = from + cell;
            if (k > 0 && spacing == 0 && p.joined[from] > 0) {
                return false;
            }
            for (int i = to; k + 1 < n && i < to + spacing; i++) {
                if (p.ink[i] > 0) {
                    return false;
                }
            }
            boolean any = false;
            for (int i = from; i < to && !any; i++) {
                any = p.ink[i] > 0;
            }
            if (!any) {
                return false;
            }
        }
        return true;
    }

    /** Cells that fill the sheet without a gap: colours jump at every line more than they do elsewhere. */
    private static Axis touching(Profile p) {
        var one = new Axis(1, 0, 0, 0);
        if (Arrays.stream(p.ink).average().orElse(0) < 0.6) {
            return one;
        }
        double[] inside = Arrays.copyOfRange(p.jump, 1, p.length);
        Arrays.sort(inside);
        double usual = inside[(int) (inside.length * 0.75)];
        int best = 1;
        double bestScore = 2;
        for (int n = 2; n <= Math.min(MOST_CELLS, p.length / SMALLEST); n++) {
            if (p.length % n != 0) {
                continue;
            }
            double least = Double.MAX_VALUE;
            for (int k = 1; k < n; k++) {
                least = Math.min(least, p.jump[k * (p.length / n)]);
            }
            double score = least / Math.max(0.5, usual);
            if (score > bestScore || score > 2 && score > bestScore * 0.6 && n % best == 0) {
                best = n;
                bestScore = Math.max(score, bestScore);
            }
        }
        return new Axis(best, 0, 0, 0);
    }
}
