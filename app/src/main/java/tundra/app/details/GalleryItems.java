package tundra.app.details;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.view.DropFormats;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Words;
import tundra.core.edit.Arrange;
import tundra.core.edit.Galleries;
import tundra.core.edit.Names;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** The items of a gallery in their order: what each is read out as and what is written at it; dragged to another place, or taken out. */
final class GalleryItems extends VBox {
    /** Rows at once; the others follow by the wheel of the panel's own list. */
    private static final int SHOWN = 200;
    private final Studio studio;
    private final String gallery;
    private final VBox list = new VBox(4);
    private final LightLabel none = new LightLabel("Drop pictures on the gallery, or choose some.", "quiet", "small");
    private List<Element> shown = List.of();
    private Content.Block of;
    private Object typing = new Object();

    GalleryItems(Studio studio, Commands commands, String gallery) {
        super(6);
        this.studio = studio;
        this.gallery = gallery;
        setId("gallery-items");
        var fill = new LightButton("Add pictures…");
        fill.setId("gallery-fill");
        fill.getStyleClass().add("small-press");
        fill.setOnAction(() -> commands.run("gallery-fill"));
        var steer = new LightButton("Arrows and dots");
        steer.setId("gallery-steer");
        steer.getStyleClass().add("small-press");
        Buttons.tip(steer, "Places two arrows and dots that leaf the gallery; each can look otherwise");
        steer.setOnAction(() -> commands.run("gallery-steer"));
        getChildren().addAll(Words.section("Pictures and motifs"), none, list, new HBox(6, fill, steer));
        refresh();
    }

    void refresh() {
        Content.Block b = Blocks.of(studio.board().find(gallery));
        if (b == null || b.equals(of) && b.children().equals(shown)) {
            return;
        }
        boolean same = ids(b.children()).equals(ids(shown)) && of != null;
        of = b;
        shown = b.children();
        none.setVisible(shown.isEmpty());
        none.setManaged(shown.isEmpty());
        if (same && list.getChildren().stream().anyMatch(n -> n.lookupAll(".text-field").stream().anyMatch(Node::isFocused))) {
            return;
        }
        list.getChildren().setAll(shown.stream().limit(SHOWN).map(this::row).toList());
    }

    private static List<String> ids(List<Element> of) {
        return of.stream().map(Element::id).toList();
    }

    private Node row(Element e) {
        var name = field(e.name(), "Read out as", words -> studio.edit("Change the words of an item", typing, b -> Names.rename(b, e.id(), words)));
        var caption = field(((Map<?, ?>) of.get(Blocks.CAPTION_WORDS)).get(e.id()) instanceof String own ? own : "", "Caption: as read out", words ->
                studio.edit("Change a caption", typing, b -> b.mapElement(gallery, x -> {
            var all = new TreeMap<String, String>();
            ((Map<?, ?>) Blocks.of(x).get(Blocks.CAPTION_WORDS)).forEach((id, own) -> all.put((String) id, (String) own));
            if (words.isEmpty()) {
                all.remove(e.id());
            } else {
                all.put(e.id(), words);
            }
            return x.withContent(Blocks.of(x).with(Blocks.CAPTION_WORDS, Map.copyOf(all)));
        })));
        var out = new LightButton("");
        out.setMark(Icon.CLOSE.node(11), LightLabel.Place.BEFORE);
        out.getStyleClass().add("small-press");
        out.setAccessibleText("Take " + e.name() + " out of the gallery");
        Buttons.tip(out, out.getAccessibleText());
        out.setOnAction(() -> studio.edit("Take " + e.name() + " out of the gallery", b -> Arrange.delete(b, Set.of(e.id()))));
        var words = new VBox(2, name, caption);
        HBox.setHgrow(words, Priority.ALWAYS);
        var grip = new LightLabel(String.valueOf(shown.indexOf(e) + 1), "chip", "chip-space");
        grip.setFocusTraversable(true);
        grip.setMinWidth(30);
        grip.setAccessibleText("Item " + grip.getText() + ": " + e.name() + ". Alt with the arrow keys moves it.");
        Buttons.tip(grip, "Drag it to another place, or press Alt with an arrow key");
        grip.setOnKeyPressed(k -> {
            int by = !k.isAltDown() ? 0 : switch (k.getCode()) {
                case UP, LEFT -> -1;
                case DOWN, RIGHT -> 1;
                default -> 0;
            };
            if (by != 0) {
                move(e.id(), ids(shown).indexOf(e.id()) + by);
                k.consume();
            }
        });
        grip.setOnMouseClicked(m -> studio.select(List.of(e.id())));
        var row = new HBox(6, grip, words, out);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("gallery-item");
        grip.setOnDragDetected(m -> {
            var content = new ClipboardContent();
            content.put(DropFormats.ITEM, e.id());
            grip.startDragAndDrop(TransferMode.MOVE).setContent(content);
            m.consume();
        });
        row.setOnDragOver(d -> {
            if (d.getDragboard().hasContent(DropFormats.ITEM)) {
                d.acceptTransferModes(TransferMode.MOVE);
                d.consume();
            }
        });
        row.setOnDragDropped(d -> {
            if (d.getDragboard().getContent(DropFormats.ITEM) instanceof String id) {
                move(id, ids(shown).indexOf(e.id()));
                d.setDropCompleted(true);
                d.consume();
            }
        });
        return row;
    }

    private void move(String item, int to) {
        if (to >= 0 && to < shown.size() && ids(shown).contains(item)) {
            studio.edit("Move an item of the gallery", b -> Galleries.moved(b, gallery, item, to));
        }
    }

    private TextField field(String now, String hint, Consumer<String> take) {
        var f = new TextField(now);
        f.setPromptText(hint);
        f.setAccessibleText(hint);
        f.setMinWidth(0);
        f.getStyleClass().add("small");
        f.textProperty().addListener((o, was, is) -> {
            if (f.isFocused()) {
                take.accept(is.strip());
            }
        });
        f.focusedProperty().addListener((o, was, is) -> typing = new Object());
        return f;
    }
}
