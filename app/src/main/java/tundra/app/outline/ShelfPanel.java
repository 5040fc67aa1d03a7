package tundra.app.outline;

import java.io.ByteArrayInputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.core.edit.Arrange;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Swatch;
import tundra.core.model.Values;

/** What was brought into the project and is ready to place: pictures and swatches. Files dropped here are kept without being placed. */
public final class ShelfPanel extends VBox {
    private static final double TILE = 58;
    private final Studio studio;
    private final FlowPane pictures = new FlowPane(6, 6);
    private final FlowPane swatches = new FlowPane(4, 4);
    private final Label empty = new Label("Pictures and swatches are kept here.\nDrop a file to keep it for later.");
    private List<Asset> shownAssets = List.of();
    private List<Swatch> shownSwatches = List.of();

    /** @param keep takes files that were dropped here */
    public ShelfPanel(Studio studio, Commands commands, Consumer<List<Path>> keep) {
        this.studio = studio;
        setId("shelf");
        getStyleClass().addAll("outline", "shelf");
        var title = new Label("Shelf");
        title.getStyleClass().add("section");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var more = new MenuButton("Swatches");
        more.getStyleClass().addAll("flat", "small");
        for (String id : List.of("read-swatches", "write-swatches")) {
            var item = new MenuItem(commands.get(id).name().get());
            item.setOnAction(e -> commands.run(id));
            more.getItems().add(item);
        }
        var head = new HBox(title, gap, more);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("panel-head");
        empty.getStyleClass().addAll("quiet", "small");
        var content = new VBox(8, empty, pictures, swatches);
        content.getStyleClass().add("shelf-box");
        var scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, scroll);
        setOnDragOver(this::over);
        setOnDragDropped(e -> {
            if (e.getDragboard().hasFiles()) {
                keep.accept(e.getDragboard().getFiles().stream().map(java.io.File::toPath).toList());
                e.setDropCompleted(true);
                e.consume();
            }
        });
        studio.listen(what -> refresh());
        refresh();
    }

    private void over(DragEvent e) {
        if (e.getDragboard().hasFiles()) {
            e.acceptTransferModes(TransferMode.COPY);
            e.consume();
        }
    }

    private void refresh() {
        Project p = studio.project();
        List<Asset> assets = List.copyOf(p.assets().values());
        if (!assets.equals(shownAssets)) {
            shownAssets = assets;
            pictures.getChildren().setAll(assets.stream().map(this::tile).toList());
        }
        if (!p.swatches().equals(shownSwatches)) {
            shownSwatches = p.swatches();
            swatches.getChildren().setAll(shownSwatches.stream().map(this::swatch).toList());
        }
        boolean none = assets.isEmpty() && shownSwatches.isEmpty();
        empty.setVisible(none);
        empty.setManaged(none);
    }

    private Button tile(Asset a) {
        var image = new ImageView(new Image(new ByteArrayInputStream(a.data()), TILE * 2, TILE * 2, true, true));
        image.setPreserveRatio(true);
        image.setFitWidth(TILE);
        image.setFitHeight(TILE * 0.75);
        var name = new Label(a.name());
        name.getStyleClass().addAll("quiet", "small");
        name.setMaxWidth(TILE);
        var box = new VBox(2, image, name);
        box.setAlignment(Pos.CENTER);
        var b = new Button(null, box);
        b.getStyleClass().add("swatch-button");
        b.setAccessibleText("Place " + a.name());
        Buttons.tip(b, "Place " + a.name() + " on the canvas");
        b.setOnAction(e -> place(a));
        return b;
    }

    private void place(Asset a) {
        Point canvas = studio.board().size();
        double k = Math.min(1, Math.min(canvas.x() / a.width(), canvas.y() / a.height()));
        var e = new Element(a.name().replaceFirst("\\.[A-Za-z0-9]+$", ""), new Content.Picture(a.hash()), Values.NONE
                .with(Properties.POSITION, canvas.times(0.5)).with(Properties.SIZE, new Point(a.width() * k, a.height() * k)));
        studio.edit("Place " + e.name(), b -> Arrange.add(b, studio.inside(), e, studio.frame()));
        studio.select(List.of(e.id()));
    }

    /** A click paints the selection's fill. */
    private Button swatch(Swatch s) {
        var r = new Rectangle(20, 20);
        r.setArcWidth(8);
        r.setArcHeight(8);
        r.getStyleClass().add("swatch");
        r.setFill(javafx.scene.paint.Color.rgb(s.color().red(), s.color().green(), s.color().blue(), s.color().alpha() / 255.0));
        var b = new Button(null, r);
        b.getStyleClass().add("swatch-button");
        b.setAccessibleText("Fill with " + s.name());
        Buttons.tip(b, s.name() + ": fills what is selected");
        b.setOnAction(e -> studio.edit("Fill with " + s.name(), board -> {
            var out = board;
            for (String id : studio.selection()) {
                if (Properties.of(board.find(id).content()).contains(Properties.FILL)) {
                    out = studio.set(out, id, Properties.FILL, s.color());
                }
            }
            return out;
        }));
        return b;
    }
}
