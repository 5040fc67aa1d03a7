package tundra.app.outline;

import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
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
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.job.Notices;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.BlockIcon;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Menus;
import tundra.app.widget.NameField;
import tundra.app.widget.Words;
import tundra.core.edit.Arrange;
import tundra.core.edit.Motifs;
import tundra.core.edit.Names;
import tundra.core.edit.Shelf;
import tundra.core.edit.TimeText;
import tundra.core.flip.SheetBook;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Swatch;
import tundra.render.Fonts;

/** What was brought into the project and is ready to use: pictures, fonts, sounds and swatches. Files dropped here are kept without being placed. */
public final class ShelfPanel extends VBox {
    private static final double TILE = 58;
    final Studio studio;
    final Notices notices;
    private final FlowPane motifs = new FlowPane(6, 6);
    private Map<String, MotifTile> tiles = Map.of();
    private Project countedIn;
    private final FlowPane pictures = new FlowPane(6, 6);
    private final FlowPane swatches = new FlowPane(4, 4);
    private final Text empty = Words.of("Pictures, fonts, sounds and swatches are kept here. Drop a file to keep it for later.", "quiet", "small");
    private static final double EMPTY_WIDTH = 200;
    private final BlockTiles blocks;
    /** Shows nothing but the blocks. */
    private final LightButton shows = new LightButton("Blocks");
    private boolean saysEmpty = true;
    private boolean stale;
    private List<Asset> shownAssets = List.of();
    private List<Swatch> shownSwatches = List.of();
    private final ShelfUse uses;

    /**
     * @param narrow whether there is room for one tile only
     * @param keep takes files that were dropped here
     */
    public ShelfPanel(Studio studio, Commands commands, Notices notices, boolean narrow, Consumer<List<Path>> keep) {
        this.studio = studio;
        this.notices = notices;
        uses = new ShelfUse(studio, notices);
        setId("shelf");
        getStyleClass().addAll("outline", "shelf");
        var title = Words.section("Shelf");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var more = new LightButton("Swatches");
        more.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        more.getStyleClass().addAll("flat", "small");
        Buttons.menu(more, () -> Stream.of(CommandIds.READ_SWATCHES, CommandIds.WRITE_SWATCHES).map(id -> {
            var item = new MenuItem(commands.get(id).name().get());
            item.setOnAction(e -> commands.run(id));
            return item;
        }).toList());
        shows.setId("shelf-blocks");
        shows.getStyleClass().addAll("flat", "small");
        Buttons.tip(shows, "Ready-made parts: galleries, video, maps, fields and more");
        shows.setOnAction(() -> {
            shows.setSelected(!shows.isSelected());
            fill();
        });
        var head = narrow ? new HBox(title) : new HBox(title, gap, shows, more);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("panel-head");
        empty.setWrappingWidth(narrow ? TILE : EMPTY_WIDTH);
        blocks = new BlockTiles(commands);
        getChildren().addAll(head, new Region());
        fill();
        setOnDragOver(this::over);
        setOnDragDropped(e -> {
            if (e.getDragboard().hasFiles()) {
                keep.accept(e.getDragboard().getFiles().stream().map(File::toPath).toList());
                e.setDropCompleted(true);
                e.consume();
            }
        });
        studio.listen(what -> {
            stale |= what.contains(Aspect.DOCUMENT) || what.contains(Aspect.FILE);
            refreshIfSeen();
        });
        // on a desk without it, it is left as it is until it is seen again
        sceneProperty().addListener((o, was, is) -> refreshIfSeen());
        refresh();
    }

    private void refreshIfSeen() {
        if (stale && getScene() != null) {
            stale = false;
            refresh();
        }
    }

    private void fill() {
        getChildren().set(1, scrolling(shows.isSelected() ? box(blocks) : saysEmpty ? box(empty, blocks) : box(motifs, pictures, swatches, blocks)));
    }

    private static VBox box(Node... content) {
        var box = new VBox(8, content);
        box.getStyleClass().add("shelf-box");
        return box;
    }

    private static ScrollPane scrolling(VBox content) {
        var scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        setVgrow(scroll, Priority.ALWAYS);
        return scroll;
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
            Map<String, List<Asset>> series = Shelf.series(assets);
            var all = new ArrayList<Node>();
            series.forEach((name, of) -> all.add(seriesTile(name, of)));
            assets.stream().filter(a -> series.values().stream().noneMatch(of -> of.contains(a))).forEach(a -> all.add(tile(a)));
            pictures.getChildren().setAll(all);
        }
        if (p != countedIn && !(p.motifs().isEmpty() && tiles.isEmpty())) {
            countedIn = p;
            Map<String, Integer> counts = Motifs.counts(p);
            var now = new LinkedHashMap<String, MotifTile>();
            for (Motif m : p.motifs()) {
                MotifTile t = tiles.containsKey(m.id()) ? tiles.get(m.id()) : new MotifTile(studio, this::rename);
                t.show(p, m, counts.getOrDefault(m.id(), 0));
                now.put(m.id(), t);
            }
            if (!List.copyOf(now.values()).equals(motifs.getChildren())) {
                motifs.getChildren().setAll(now.values());
            }
            tiles = now;
        }
        if (!p.swatches().equals(shownSwatches)) {
            shownSwatches = p.swatches();
            swatches.getChildren().setAll(shownSwatches.stream().map(this::swatch).toList());
        }
        boolean none = assets.isEmpty() && shownSwatches.isEmpty() && tiles.isEmpty();
        if (none != saysEmpty) {
            saysEmpty = none;
            fill();
        }
    }

    /** Lets the name of a motif be typed over its tile. */
    private void rename(Motif m) {
        Node tile = tiles.get(m.id());
        var at = sceneToLocal(tile.localToScene(0, tile.getBoundsInLocal().getHeight() - 18));
        NameField.open(this, at.getX(), at.getY(), Math.max(90, tile.getBoundsInLocal().getWidth()), m.name(),
                name -> studio.editProject("Rename motif " + m.name(), null, x -> Motifs.rename(x, m.id(), name)));
    }

    /** Numbered pictures together, which are placed as a flipbook. */
    private Button seriesTile(String title, List<Asset> of) {
        var name = new Label(title + " ×" + of.size());
        name.getStyleClass().addAll("quiet", "small");
        name.setMaxWidth(TILE);
        var box = new VBox(2, face(of.getFirst()), name);
        box.setAlignment(Pos.CENTER);
        var b = new Button(null, box);
        b.getStyleClass().add("swatch-button");
        b.setAccessibleText("Place " + title + " as a flipbook of " + of.size() + " drawings");
        Buttons.tip(b, b.getAccessibleText());
        b.setOnAction(e -> {
            int rate = studio.project().frameRate();
            Element book = SheetBook.of(Names.free(studio.board(), title), of, Math.max(1, rate / 12), rate, studio.board().size().times(0.5));
            studio.edit("Place " + title, board -> Arrange.add(board, book));
            studio.groups().enter(null);
            studio.select(List.of(book.id()));
        });
        var off = new MenuItem("Take the unused ones of " + title + " off the shelf");
        off.setOnAction(e -> studio.editProject("Take " + title + " off the shelf", null, p -> {
            Project out = p;
            for (Asset a : of) {
                out = Shelf.used(out, a, null) ? out : Shelf.without(out, a.hash());
            }
            return out;
        }));
        var menu = new ContextMenu(off);
        Menus.on(b, () -> menu);
        return b;
    }

    private Button tile(Asset a) {
        String does = switch (a.kind()) {
            case PICTURE -> "Place " + a.name() + " on the canvas";
            case FONT -> "Set the selected text in " + Fonts.familyOf(a);
            case VIDEO -> "Place " + a.title() + ", " + TimeText.seconds(a.duration()) + ", as a video";
            case FILE -> a.mediaType().equals(Asset.WORDS) ? "Show " + a.title() + " as the captions of the selected video" : "Place the page in "
                    + a.title();
            case SOUND -> "Place " + a.title() + ", " + TimeText.seconds(a.duration()) + ", at the playhead of " + studio.timeline().name();
        };
        var name = new Label(a.kind() == Asset.Kind.FONT ? Fonts.familyOf(a) : a.name());
        name.getStyleClass().addAll("quiet", "small");
        name.setMaxWidth(TILE);
        var box = new VBox(2, face(a), name);
        box.setAlignment(Pos.CENTER);
        var b = new Button(null, box);
        b.getStyleClass().add("swatch-button");
        b.setAccessibleText(does);
        Buttons.tip(b, does);
        b.setOnAction(e -> uses.use(a));
        var off = new MenuItem("Take " + a.title() + " off the shelf");
        off.setOnAction(e -> studio.editProject("Take " + a.title() + " off the shelf", null, p -> Shelf.without(p, a.hash())));
        var menu = new ContextMenu(off);
        menu.setOnShowing(e -> off.setDisable(Shelf.used(studio.project(), a, a.kind() == Asset.Kind.FONT ? Fonts.familyOf(a) : null)));
        Menus.on(b, () -> menu);
        return b;
    }

    private static Node face(Asset a) {
        switch (a.kind()) {
            case PICTURE -> {
                return picture(a);
            }
            case VIDEO -> {
                return sheet(BlockIcon.of(Blocks.VIDEO, 26));
            }
            case FILE -> {
                return sheet(BlockIcon.of(a.mediaType().equals(Asset.FILES) ? Blocks.PAGE : Blocks.TEXT_FIELD, 26));
            }
            case FONT -> {
                var letters = new Label("Aa");
                Work.start("shelf font", () -> {
                    Font own = fontOf(a);
                    if (own != null) {
                        Platform.runLater(() -> letters.setFont(own));
                    }
                });
                return sheet(letters);
            }
            default -> {
                return sheet(Icon.SOUND.node(26));
            }
        }
    }

    /** A picture made small; read and decoded off the interface thread. */
    private static Node picture(Asset a) {
        var view = new ImageView();
        view.setPreserveRatio(true);
        view.setFitWidth(TILE);
        view.setFitHeight(TILE * 0.75);
        var at = new StackPane(view);
        Work.start("shelf picture", () -> {
            try {
                var small = new Image(new ByteArrayInputStream(a.data()), TILE * 2, TILE * 2, true, true);
                Platform.runLater(() -> view.setImage(small));
            } catch (UncheckedIOException e) {
                // its file can't be read any more; saving says so
                Platform.runLater(() -> at.getChildren().setAll(sheet(Icon.CLOSE.node(26))));
            }
        });
        return at;
    }

    /** In a font of the shelf; null where it can't be read. */
    private static Font fontOf(Asset a) {
        try {
            return Font.loadFont(new ByteArrayInputStream(a.data()), 24);
        } catch (UncheckedIOException e) {
            return null;
        }
    }

    private static Node sheet(Node inside) {
        var pane = new StackPane(inside);
        pane.getStyleClass().add("shelf-sheet");
        pane.setMinSize(TILE, TILE * 0.75);
        return pane;
    }

    /** A click paints the selection's fill. */
    private Button swatch(Swatch s) {
        var r = new Rectangle(20, 20);
        r.setArcWidth(8);
        r.setArcHeight(8);
        r.getStyleClass().add("swatch");
        r.setFill(Color.rgb(s.color().red(), s.color().green(), s.color().blue(), s.color().alpha() / 255.0));
        var b = new Button(null, r);
        b.getStyleClass().add("swatch-button");
        b.setAccessibleText("Fill with " + s.name());
        Buttons.tip(b, s.name() + ": fills what is selected");
        b.setOnAction(e -> studio.edit("Fill with " + s.name(), board -> {
            var out = board;
            for (String id : studio.selection()) {
                if (Properties.FILL.appliesTo(board.find(id))) {
                    out = studio.target().set(out, id, Properties.FILL, s.color());
                }
            }
            return out;
        }));
        return b;
    }
}
