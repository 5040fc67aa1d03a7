package tundra.app.outline;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tundra.app.command.Commands;
import tundra.app.view.DropFormats;
import tundra.app.widget.BlockIcon;
import tundra.app.widget.Buttons;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;

/** The blocks on the shelf: a click places one in the middle of the canvas, a drag where it is let go. */
final class BlockTiles extends VBox {
    private static final double TILE = 58;

    BlockTiles(Commands commands) {
        super(6);
        setId("block-tiles");
        for (BlockKind.Family f : BlockKind.Family.values()) {
            var tiles = new FlowPane(6, 6);
            Blocks.ALL.stream().filter(k -> k.family() == f).forEach(k -> tiles.getChildren().add(tile(commands, k)));
            var name = new Label(f.label);
            name.setWrapText(true);
            name.getStyleClass().addAll("quiet", "small");
            getChildren().addAll(name, tiles);
        }
    }

    private static Button tile(Commands commands, BlockKind k) {
        var face = new StackPane(BlockIcon.of(k, 26));
        face.getStyleClass().add("shelf-sheet");
        face.setMinSize(TILE, TILE * 0.62);
        var name = new Label(k.label());
        name.getStyleClass().addAll("quiet", "small");
        name.setMaxWidth(TILE);
        var box = new VBox(2, face, name);
        box.setAlignment(Pos.CENTER);
        var b = new Button(null, box);
        b.setId("place-" + k.key());
        b.getStyleClass().add("block-tile");
        b.setAccessibleText("Place a " + k.word() + ": " + k.hint());
        Buttons.tip(b, k.label() + ": " + k.hint());
        b.setOnAction(e -> commands.run("block-" + k.key()));
        b.setOnDragDetected(e -> {
            var content = new ClipboardContent();
            content.put(DropFormats.BLOCK, k.key());
            b.startDragAndDrop(TransferMode.COPY).setContent(content);
            e.consume();
        });
        return b;
    }
}
