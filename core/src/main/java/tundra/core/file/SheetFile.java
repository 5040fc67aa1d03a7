package tundra.core.file;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.flip.SheetGrid;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;

/** What goes onto a sheet of drawings, and the JSON that says where each one lies (docs/file-format.md). */
public final class SheetFile {
    private SheetFile() {}

    /**
     * One picture of a series.
     *
     * @param frames for how long it is held; {@code gap} is how many empty frames come before it
     */
    public record Picture(String name, int gap, int frames, Color background, List<FrameNode> nodes) {}

    /**
     * Pictures of one size.
     *
     * @param area what they show, in the coordinates of their nodes
     * @param rate frames per second
     */
    public record Series(String name, Rect area, int rate, boolean loops, List<Picture> pictures) {
        public int width(double scale) {
            return Math.max(1, (int) Math.ceil(area.width() * scale - 1e-9));
        }

        public int height(double scale) {
            return Math.max(1, (int) Math.ceil(area.height() * scale - 1e-9));
        }

        public int sheetWidth(SheetGrid g, double scale) {
            return g.left() + g.right() + g.columns() * width(scale) + (g.columns() - 1) * g.across();
        }

        public int sheetHeight(SheetGrid g, double scale) {
            return g.top() + g.bottom() + g.rows() * height(scale) + (g.rows() - 1) * g.down();
        }

        /** A grid for all pictures with as many columns as are asked for; 0 makes it about square. */
        public SheetGrid grid(int columns, int margin, int spacing) {
            int n = Math.max(1, pictures.size());
            int c = columns > 0 ? Math.min(columns, n) : (int) Math.max(1, Math.ceil(Math.sqrt(n * area.height() / Math.max(1e-6, area.width()))));
            c = Math.min(c, n);
            return new SheetGrid(c, (n + c - 1) / c, margin, spacing);
        }
    }

    /** The drawings of a flipbook, in an area that holds all of them; whole pixels around what they paint. */
    public static Series of(Board board, Element element, FrameBuilder builder) {
        var book = (Flipbook) element.content();
        Rect area = null;
        var pictures = new ArrayList<Picture>();
        int free = book.start();
        for (int i = 0; i < book.drawings().size(); i++) {
            Drawing d = book.drawings().get(i);
            FrameNode n = builder.drawing(d, Moment.main(board, book.timeOf(d.start())));
            Rect inked = n.inked();
            area = inked == null ? area : n.toParent().bounds(inked).union(area);
            pictures.add(new Picture(book.title(i), d.start() - free, d.frames(), Color.NONE, List.of(n)));
            free = d.end();
        }
        Rect box = area == null ? new Rect(0, 0, 1, 1) : area;
        double x = Math.floor(box.x()), y = Math.floor(box.y());
        return new Series(element.name(), new Rect(x, y, Math.ceil(box.right()) - x, Math.ceil(box.bottom()) - y), book.rate(),
                book.ending() == Flipbook.Ending.LOOP, pictures);
    }

    /** Every frame of a scene from one to before another. */
    public static Series of(Project project, String name, Board board, FrameBuilder builder, long from, long to) {
        var pictures = new ArrayList<Picture>();
        for (long f = from; f < to; f++) {
            Frame frame = builder.at(project.frameTime(f));
            pictures.add(new Picture("Frame " + f, 0, 1, frame.background(), frame.nodes()));
        }
        return new Series(name, new Rect(0, 0, board.size().x(), board.size().y()), project.frameRate(), board.main().loop(), pictures);
    }

    /** The JSON text that goes with a sheet's picture. */
    public static String json(Series s, SheetGrid grid, double scale, String picture) {
        int w = s.sheetWidth(grid, scale), h = s.sheetHeight(grid, scale);
        ObjectNode o = Json.MAPPER.createObjectNode().put("tundraSheet", 1).put("name", s.name()).put("picture", picture).put("width", w)
                .put("height", h)
                .put("frameRate", s.rate()).put("loops", s.loops()).put("scale", scale);
        ArrayNode drawings = o.putArray("drawings");
        List<SheetGrid.Cell> cells = grid.cells(w, h, false);
        for (int i = 0; i < s.pictures().size(); i++) {
            SheetGrid.Cell c = cells.get(i);
            Picture p = s.pictures().get(i);
            ObjectNode d = drawings.addObject().put("name", p.name()).put("x", c.x()).put("y", c.y()).put("width", c.width())
                    .put("height", c.height())
                    .put("frames", p.frames());
            if (p.gap() > 0) {
                d.put("emptyBefore", p.gap());
            }
        }
        return o.toPrettyString() + "\n";
    }
}
