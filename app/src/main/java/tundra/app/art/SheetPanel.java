package tundra.app.art;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Palette;
import tundra.core.flip.SheetGrid;
import tundra.render.Sheet;

/**
 * Cuts a sheet of drawings into cells: the grid is guessed first and set right by numbers, with its cells drawn over the sheet and the
 * drawings playing beside it.
 */
public final class SheetPanel extends StackPane {
    private static final double WIDE = 470, HIGH = 330, STAGE = 210;
    private static final String ROWS = "along the rows", COLUMNS = "down the columns";
    private final Sheet sheet;
    private final boolean dark;
    private final int rate;
    private final Consumer<Cut> take;
    private final Runnable leave;
    private final Map<String, NumberField> fields = new LinkedHashMap<>();
    private final ComboBox<String> order = new LightComboBox<>();
    private final CheckBox skip = new CheckBox("Leave out empty cells");
    private final Label result = new Label();
    private final Button apply = new Button("Make the flipbook");
    private final Canvas over = new Canvas(WIDE, HIGH);
    private final Canvas stage = new Canvas(STAGE, STAGE);
    private final WritableImage image;
    private final long began = System.nanoTime();
    private final Map<SheetGrid.Cell, Boolean> empty = new HashMap<>();
    private SheetGrid grid;
    private List<SheetGrid.Cell> chosen = List.of();
    private final AnimationTimer player = new AnimationTimer() {
        @Override
        public void handle(long now) {
            play(now);
        }
    };

    /**
     * What is to be made.
     *
     * @param cells in the order of the drawings
     * @param hold frames for each
     * @param skip whether cells without a pixel leave their frames out rather than empty
     */
    public record Cut(List<SheetGrid.Cell> cells, int hold, boolean skip) {}

    /** @param rate frames per second that the preview plays at */
    public SheetPanel(Sheet sheet, SheetGrid guess, int rate, boolean dark, Consumer<Cut> take, Runnable leave) {
        this.sheet = sheet;
        this.grid = guess;
        this.rate = rate;
        this.dark = dark;
        this.take = take;
        this.leave = leave;
        int w = sheet.asset().width(), h = sheet.asset().height();
        image = new WritableImage(w, h);
        image.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), sheet.pixels(new SheetGrid.Cell(0, 0, w, h)), 0, w);
        setId("sheet-panel");
        getStyleClass().add("find-veil");
        var title = new Label("Sheet of drawings: " + sheet.asset().title());
        title.getStyleClass().add("heading");
        var words = new Label("Each cell becomes a drawing of a looping flipbook. Set the grid until every cell holds one drawing.");
        words.getStyleClass().add("quiet");
        over.setId("sheet-cells");
        stage.setId("sheet-play");
        var box = new VBox(12, title, words, new HBox(14, framed(over), framed(stage)), numbers(), foot());
        box.getStyleClass().add("find-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        setAlignment(box, Pos.TOP_CENTER);
        show(guess);
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                player.stop();
            } else {
                player.start();
            }
        });
    }

    private static Node framed(Canvas c) {
        var pane = new StackPane(c);
        pane.getStyleClass().add("surround");
        return pane;
    }

    private NumberField field(String id, String name, String label) {
        var f = new NumberField(name, label, 0);
        f.setId("sheet-" + id);
        f.setMaxWidth(112);
        f.setMinWidth(86);
        f.onChange((v, merge) -> read());
        fields.put(id, f);
        return f;
    }

    private Node numbers() {
        order.getItems().setAll(ROWS, COLUMNS);
        order.setValue(ROWS);
        order.setId("sheet-order");
        order.setAccessibleText("Order of the cells");
        order.setOnAction(e -> read());
        skip.setId("sheet-skip");
        skip.setSelected(true);
        skip.setOnAction(e -> read());
        var guess = new Button("Guess again");
        guess.setId("sheet-guess");
        Buttons.tip(guess, "Looks for the grid in the picture once more");
        guess.setOnAction(e -> show(sheet.guess()));
        var cells = new NamedRow("Cells", field("columns", "Columns", "columns"), field("rows", "Rows", "rows"), guess);
        var margins = new NamedRow("Margins", field("left", "Margin at the left", "left"), field("top", "Margin at the top", "top"),
                field("right", "Margin at the right", "right"),
                field("bottom", "Margin at the bottom", "bottom"));
        var spacing = new NamedRow("Spacing", field("across", "Spacing across", "across"), field("down", "Spacing down", "down"));
        var which = new NamedRow("Drawings", order, field("first", "First cell", "from"), field("last", "Last cell", "to"),
                field("hold", "Frames for each drawing", "hold"), skip);
        return new VBox(7, cells, margins, spacing, which);
    }

    private Node foot() {
        result.getStyleClass().add("quiet");
        result.setId("sheet-result");
        var cancel = new Button("Discard");
        cancel.setCancelButton(true);
        cancel.setOnAction(e -> leave.run());
        apply.setId("sheet-apply");
        apply.getStyleClass().add("primary");
        apply.setOnAction(e -> {
            take.accept(new Cut(chosen, number("hold"), skip.isSelected()));
            leave.run();
        });
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var foot = new HBox(10, result, gap, cancel, apply);
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }

    private int number(String id) {
        try {
            return (int) Math.max(0, Math.rint(Double.parseDouble(fields.get(id).text().trim())));
        } catch (NumberFormatException e) {
            return 0;
        }
    }

    private void show(SheetGrid g) {
        grid = g;
        int[] of = {g.columns(), g.rows(), g.left(), g.top(), g.right(), g.bottom(), g.across(), g.down()};
        String[] ids = {"columns", "rows", "left", "top", "right", "bottom", "across", "down"};
        for (int i = 0; i < ids.length; i++) {
            fields.get(ids[i]).show(of[i]);
        }
        fields.get("first").show(1);
        fields.get("last").show(g.columns() * g.rows());
        fields.get("hold").show(Math.max(1, rate / 12));
        refresh();
    }

    private void read() {
        var next = new SheetGrid(Math.max(1, number("columns")), Math.max(1, number("rows")), number("left"), number("top"), number("right"),
                number("bottom"),
                number("across"), number("down"));
        if (next.columns() * next.rows() != grid.columns() * grid.rows()) {
            fields.get("last").show(next.columns() * next.rows());
        }
        grid = next;
        refresh();
    }

    private void refresh() {
        int w = sheet.asset().width(), h = sheet.asset().height();
        boolean fits = grid.fits(w, h);
        apply.setDisable(!fits);
        empty.clear();
        chosen = fits ? range(grid.cells(w, h, COLUMNS.equals(order.getValue()))) : List.of();
        apply.setDisable(chosen.isEmpty());
        result.setText(!fits ? "Margins and spacing leave no room for the cells." : chosen.isEmpty() ? "There is nothing on these cells."
                : chosen.size() + (chosen.size() == 1 ? " drawing of " : " drawings of ") + grid.cellWidth(w) + "×" + grid.cellHeight(h) + " px");
        draw();
    }

    private List<SheetGrid.Cell> range(List<SheetGrid.Cell> all) {
        int from = Math.max(1, Math.min(all.size(), number("first"))),
                to = Math.max(from, Math.min(all.size(), number("last") == 0 ? all.size() : number("last")));
        var out = new ArrayList<>(all.subList(from - 1, to));
        if (skip.isSelected()) {
            out.removeIf(this::isEmpty);
        }
        while (!out.isEmpty() && isEmpty(out.getLast())) {
            out.removeLast();
        }
        return out;
    }

    private boolean isEmpty(SheetGrid.Cell c) {
        return empty.computeIfAbsent(c, sheet::empty);
    }

    private void draw() {
        GraphicsContext g = over.getGraphicsContext2D();
        Palette c = Palette.of(dark);
        double w = sheet.asset().width(), h = sheet.asset().height(), k = Math.min((WIDE - 16) / w, (HIGH - 16) / h), x = (WIDE - w * k) / 2,
                y = (HIGH - h * k) / 2;
        g.clearRect(0, 0, WIDE, HIGH);
        checkers(g, x, y, w * k, h * k);
        g.setImageSmoothing(k < 1);
        g.drawImage(image, x, y, w * k, h * k);
        if (!grid.fits((int) w, (int) h)) {
            return;
        }
        g.setFont(Font.font("JetBrains Mono", 10));
        List<SheetGrid.Cell> all = grid.cells((int) w, (int) h, COLUMNS.equals(order.getValue()));
        for (SheetGrid.Cell cell : all) {
            int at = chosen.indexOf(cell);
            double cx = x + cell.x() * k, cy = y + cell.y() * k, cw = cell.width() * k, ch = cell.height() * k;
            g.setStroke(at >= 0 ? c.time() : c.ink3());
            g.setLineWidth(at >= 0 ? 1.2 : 0.8);
            g.setLineDashes(at >= 0 ? null : new double[] {3, 3});
            g.strokeRect(cx + 0.5, cy + 0.5, Math.max(1, cw - 1), Math.max(1, ch - 1));
            if (at >= 0 && cw > 22 && ch > 16) {
                String number = String.valueOf(at + 1);
                g.setFill(c.time());
                g.fillRoundRect(cx + 2, cy + 2, 7 + 6 * number.length(), 13, 4, 4);
                g.setFill(Color.WHITE);
                g.fillText(number, cx + 5.5, cy + 12);
            }
        }
        g.setLineDashes();
    }

    /** What is transparent shows squares. */
    private static void checkers(GraphicsContext g, double x, double y, double w, double h) {
        g.setFill(Color.web("#EEF2EF"));
        g.fillRect(x, y, w, h);
        g.setFill(Color.web("#DCE4DF"));
        for (int i = 0; i * 8 < w; i++) {
            for (int j = 0; j * 8 < h; j++) {
                if ((i + j) % 2 == 0) {
                    g.fillRect(x + i * 8, y + j * 8, Math.min(8, w - i * 8), Math.min(8, h - j * 8));
                }
            }
        }
    }

    private void play(long now) {
        GraphicsContext g = stage.getGraphicsContext2D();
        g.clearRect(0, 0, STAGE, STAGE);
        if (chosen.isEmpty()) {
            return;
        }
        long frame = (now - began) * rate / 1_000_000_000L / Math.max(1, number("hold"));
        SheetGrid.Cell c = chosen.get((int) (frame % chosen.size()));
        double k = Math.min(4, Math.min((STAGE - 16) / c.width(), (STAGE - 16) / c.height()));
        double w = c.width() * k, h = c.height() * k, x = (STAGE - w) / 2, y = (STAGE - h) / 2;
        checkers(g, x, y, w, h);
        g.setImageSmoothing(k < 1);
        g.drawImage(image, c.x(), c.y(), c.width(), c.height(), x, y, w, h);
    }
}
