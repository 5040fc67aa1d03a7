package tundra.app.details;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.layout.VBox;
import tundra.app.command.Commands;
import tundra.app.document.BlockFiles;
import tundra.app.studio.Studio;
import tundra.app.widget.Words;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Slot;

/** What can be said of blocks of one kind, under its headings; of a gallery its items first. */
final class BlockSection extends VBox {
    private final List<SettingRow> rows = new ArrayList<>();
    private GalleryItems items;

    BlockSection(Studio studio, Commands commands, BlockFiles files, List<String> ids) {
        super(14);
        Content.Block b = Blocks.of(studio.board().find(ids.getFirst()));
        if (b.kind().gallery() && ids.size() == 1) {
            items = new GalleryItems(studio, commands, ids.getFirst());
            getChildren().add(items);
        }
        Map<String, VBox> groups = new LinkedHashMap<>();
        for (LabelledSlot s : b.kind().settings()) {
            if (s.slot().type() != Slot.Type.CAPTIONS) {
                var row = new SettingRow(studio, commands, files, ids, s);
                rows.add(row);
                groups.computeIfAbsent(s.group(), g -> new VBox(6, Words.section(g))).getChildren().add(row);
            }
        }
        getChildren().addAll(groups.values());
        refresh();
    }

    void refresh() {
        rows.forEach(SettingRow::refresh);
        if (items != null) {
            items.refresh();
        }
    }
}
