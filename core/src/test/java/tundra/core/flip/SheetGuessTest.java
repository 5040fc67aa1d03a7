package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Twenty drawn sheets, and what is guessed of each. */
class SheetGuessTest {
    /** How the cells are filled. */
    private enum Style {
        /** A creature that moves about on a transparent cell. */
        FREE,
        /** The same on a sheet of one colour. */
        PAPER,
        /** Cells that are filled to their edges. */
        CARDS,
        /** Filled cells whose own background fades, with the creature on it. */
        FADING
    }

    private record Case(Style style, int columns, int rows, int width, int height, int left, int top, int right, int bottom, int across, int down,
            int missing) {
        Case(Style style, int columns, int rows, int width, int height, int margin, int spacing) {
            this(style, columns, rows, width, height, margin, margin, margin, margin, spacing, spacing, 0);
        }

        int sheetWidth() {
            return left + right + columns * width + (columns - 1) * across;
        }

        int sheetHeight() {
            return top + bottom + rows * height + (rows - 1) * down;
        }

        SheetGrid grid() {
            return new SheetGrid(columns, rows, left, top, right, bottom, across, down);
        }
    }

    private static final List<Case> CASES = List.of(
            new Case(Style.FREE, 5, 4, 64, 64, 0, 0), new Case(Style.FREE, 8, 1, 48, 72, 0, 0), new Case(Style.FREE, 1, 6, 90, 40, 0, 0),
            new Case(Style.FREE, 4, 3, 50, 60, 4, 4), new Case(Style.FREE, 6, 4, 40, 40, 0, 2), new Case(Style.FREE, 7, 2, 37, 53, 3, 0),
            new Case(Style.FREE, 4, 3, 64, 64, 0, 0, 0, 0, 0, 0, 2), new Case(Style.FREE, 12, 2, 32, 48, 2, 4),
            new Case(Style.PAPER, 5, 2, 60, 80, 0, 0), new Case(Style.PAPER, 3, 3, 70, 70, 6, 6), new Case(Style.PAPER, 10, 1, 30, 50, 1, 1),
            new Case(Style.CARDS, 6, 5, 40, 40, 5, 3), new Case(Style.CARDS, 4, 2, 64, 48, 0, 1), new Case(Style.CARDS, 3, 4, 33, 47, 10, 7),
            new Case(Style.CARDS, 6, 3, 30, 30, 2, 3, 13, 8, 4, 6, 0), new Case(Style.CARDS, 9, 1, 24, 60, 1, 2),
            new Case(Style.CARDS, 5, 4, 32, 32, 3, 3, 3, 3, 2, 2, 3),
            new Case(Style.FADING, 4, 4, 48, 48, 0, 0), new Case(Style.FADING, 6, 2, 40, 56, 0, 0), new Case(Style.FADING, 3, 5, 60, 36, 0, 0));

    /** The pixels of a sheet. */
    private static int[] draw(Case c, int seed) {
        int w = c.sheetWidth(), h = c.sheetHeight();
        int[] out = new int[w * h];
        if (c.style == Style.PAPER) {
            Arrays.fill(out, 0xFFE4EEF2);
        } else if (c.style == Style.CARDS) {
            Arrays.fill(out, seed % 2 == 0 ? 0xFF20303A : 0);
        }
        var cells = c.grid().cells(w, h, false);
        for (int i = 0; i < cells.size() - c.missing; i++) {
            SheetGrid.Cell cell = cells.get(i);
            double p = 2 * Math.PI * i / cells.size();
            double cx = cell.width() * (0.5 + 0.08 * Math.sin(p + seed)), cy = cell.height() * (0.5 + 0.08 * Math.cos(2 * p)),
                    r = Math.min(cell.width(), cell.height()) * (0.26 + 0.05 * Math.sin(3 * p));
            for (int y = 0; y < cell.height(); y++) {
                for (int x = 0; x < cell.width(); x++) {
                    int at = (cell.y() + y) * w + cell.x() + x;
                    if (c.style == Style.CARDS) {
                        out[at] = 0xFFDDE8EE - (i % 3) * 0x000A0602;
                    } else if (c.style == Style.FADING) {
                        int v = 90 + 120 * y / cell.height() + 40 * x / cell.width();
                        out[at] = 0xFF000000 | v / 2 << 16 | v * 4 / 5 << 8 | v;
                    }
                    double dx = x + 0.5 - cx, dy = y + 0.5 - cy;
                    boolean body = dx * dx / 1.4 + dy * dy < r * r;
                    boolean ear = Math.abs(dx - r * 0.6) < r * 0.16 && dy < 0 && dy > -r * 1.5;
                    if (body || ear) {
                        out[at] = body && dy < 0 ? 0xFFC8503C : 0xFF405A66;
                    }
                }
            }
        }
        return out;
    }

    private static int[] pixels(int[] sheet, int w, int h, SheetGrid.Cell c) {
        int[] out = new int[c.width() * c.height()];
        for (int y = 0; y < c.height(); y++) {
            for (int x = 0; x < c.width(); x++) {
                int sx = c.x() + x, sy = c.y() + y;
                out[y * c.width() + x] = sx < w && sy < h ? sheet[sy * w + sx] : 0;
            }
        }
        return out;
    }

    /**
     * Whether a guess cuts the drawings as they were made: as many columns and rows, and every cell the same distance from the true
     * one, with nothing of the art left outside.
     */
    private static boolean right(Case c, int[] sheet, SheetGrid guess) {
        int w = c.sheetWidth(), h = c.sheetHeight();
        if (guess.columns() != c.columns || guess.rows() != c.rows) {
            return false;
        }
        var made = c.grid().cells(w, h, false);
        var cut = guess.cells(w, h, false);
        int dx = cut.getFirst().x() - made.getFirst().x(), dy = cut.getFirst().y() - made.getFirst().y();
        for (int i = 0; i < made.size(); i++) {
            SheetGrid.Cell m = made.get(i), g = cut.get(i);
            if (g.x() - m.x() != dx || g.y() - m.y() != dy) {
                return false;
            }
            if (c.style == Style.CARDS || c.style == Style.FADING) {
                if (!m.equals(g)) {
                    return false;
                }
            } else if (ink(sheet, w, h, m, c) != ink(sheet, w, h, g, c)) {
                return false;
            }
        }
        return true;
    }

    private static long ink(int[] sheet, int w, int h, SheetGrid.Cell cell, Case c) {
        int paper = c.style == Style.PAPER ? 0xFFE4EEF2 : 0;
        return Arrays.stream(pixels(sheet, w, h, cell)).filter(p -> p != paper && p != 0).count();
    }

    @Test
    void theFirstGuessIsRightForEighteenOfTwentySheets() {
        var wrong = new ArrayList<String>();
        for (int i = 0; i < CASES.size(); i++) {
            Case c = CASES.get(i);
            int[] sheet = draw(c, i);
            SheetGrid guess = SheetGuess.of(sheet, c.sheetWidth(), c.sheetHeight());
            if (!right(c, sheet, guess)) {
                wrong.add(c + " was taken for " + guess);
            }
        }
        System.out.println("Sheets guessed wrong: " + wrong.size() + " of " + CASES.size() + wrong);
        assertThat(CASES).hasSize(20);
        assertThat(wrong).hasSizeLessThanOrEqualTo(2);
    }

    @Test
    void everySheetIsReachedByHand() {
        for (int i = 0; i < CASES.size(); i++) {
            Case c = CASES.get(i);
            assertThat(right(c, draw(c, i), c.grid())).isTrue();
            assertThat(c.grid().cellWidth(c.sheetWidth())).isEqualTo(c.width);
            assertThat(c.grid().cellHeight(c.sheetHeight())).isEqualTo(c.height);
        }
    }

    @Test
    void onePictureIsOneCell() {
        int[] sheet = new int[100 * 80];
        for (int y = 20; y < 60; y++) {
            Arrays.fill(sheet, y * 100 + 20, y * 100 + 75, 0xFF335577);
        }
        assertThat(SheetGuess.of(sheet, 100, 80)).isEqualTo(new SheetGrid(1, 1, 0, 0));
        assertThat(SheetGuess.of(new int[100], 10, 10)).isEqualTo(new SheetGrid(1, 1, 0, 0));
        var noise = new Random(1).ints(90 * 90, 0, 1 << 24).map(x -> x | 0xFF000000).toArray();
        assertThat(SheetGuess.of(noise, 90, 90)).isEqualTo(new SheetGrid(1, 1, 0, 0));
    }

    @Test
    void cellsGoAlongRowsOrDownColumns() {
        var g = new SheetGrid(2, 2, 1, 3);
        assertThat(g.cells(2 + 3 + 20, 2 + 3 + 10, false)).containsExactly(new SheetGrid.Cell(1, 1, 10, 5), new SheetGrid.Cell(14, 1, 10, 5),
                new SheetGrid.Cell(1, 9, 10, 5), new SheetGrid.Cell(14, 9, 10, 5));
        assertThat(g.cells(25, 15, true).get(1)).isEqualTo(new SheetGrid.Cell(1, 9, 10, 5));
        assertThat(new SheetGrid(3, 1, 20, 0).fits(41, 50)).isFalse();
    }
}
