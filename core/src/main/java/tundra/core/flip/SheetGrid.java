package tundra.core.flip;

import java.util.ArrayList;
import java.util.List;

/**
 * Where the drawings lie on a sheet. All lengths are whole pixels; what a division leaves over stays at the right and below.
 *
 * @param left the margin at the left; {@code top}, {@code right} and {@code bottom} alike
 * @param across between two columns
 * @param down between two rows
 */
public record SheetGrid(int columns, int rows, int left, int top, int right, int bottom, int across, int down) {
    public static final int MOST = 400;

    public SheetGrid {
        columns = Math.max(1, Math.min(MOST, columns));
        rows = Math.max(1, Math.min(MOST, rows));
        left = Math.max(0, left);
        top = Math.max(0, top);
        right = Math.max(0, right);
        bottom = Math.max(0, bottom);
        across = Math.max(0, across);
        down = Math.max(0, down);
    }

    /** The same margin all around and one spacing. */
    public SheetGrid(int columns, int rows, int margin, int spacing) {
        this(columns, rows, margin, margin, margin, margin, spacing, spacing);
    }

    /** A cell in pixels of the sheet. */
    public record Cell(int x, int y, int width, int height) {}

    public int cellWidth(int sheetWidth) {
        return (sheetWidth - left - right - (columns - 1) * across) / columns;
    }

    public int cellHeight(int sheetHeight) {
        return (sheetHeight - top - bottom - (rows - 1) * down) / rows;
    }

    /** Whether its cells have any pixels on a sheet of this size. */
    public boolean fits(int sheetWidth, int sheetHeight) {
        return cellWidth(sheetWidth) >= 1 && cellHeight(sheetHeight) >= 1;
    }

    /**
     * The cells in the order of their drawings.
     *
     * @param byColumns whether it goes down each column before the next; else along each row
     */
    public List<Cell> cells(int sheetWidth, int sheetHeight, boolean byColumns) {
        int w = cellWidth(sheetWidth), h = cellHeight(sheetHeight);
        var out = new ArrayList<Cell>();
        for (int i = 0; i < columns * rows; i++) {
            int c = byColumns ? i / rows : i % columns, r = byColumns ? i % rows : i / columns;
            out.add(new Cell(left + c * (w + across), top + r * (h + down), w, h));
        }
        return out;
    }
}
