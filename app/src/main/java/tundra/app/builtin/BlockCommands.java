package tundra.app.builtin;

import java.util.List;
import java.util.Locale;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.edit.PlacedBlock;
import tundra.core.geometry.Point;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.MapData;

/** Placing blocks, and what is done with one that is selected. */
public final class BlockCommands {
    private final Workshop w;
    private final Studio s;

    private BlockCommands(Workshop w) {
        this.w = w;
        s = w.studio;
    }

    public static void add(Workshop w) {
        new BlockCommands(w).all();
    }

    /** The command that places a kind. */
    public static String place(BlockKind kind) {
        return "block-" + kind.key();
    }

    private void all() {
        var c = w.commands;
        for (BlockKind k : Blocks.ALL) {
            c.add(place(k), "Place a block: " + k.label().toLowerCase(Locale.ROOT), null, () -> true, () -> place(s, k, null));
        }
        c.add("gallery-fill", "Fill the gallery with pictures…", null, () -> gallery() != null, () -> w.files.blocks.fill(gallery().id()));
        c.add("gallery-steer", "Add arrows and dots to the gallery", null, () -> gallery() != null, () -> {
            Element g = gallery();
            s.edit("Add arrows and dots to " + g.name(), b -> PlacedBlock.steered(b, g.id()));
            w.notices.news(g.name() + " is leafed by two arrows and by dots now; all three can look and lie otherwise.");
        });
        c.add("map-choose", "Show another GeoJSON file on the map…", null, () -> map() != null, () -> w.files.blocks.chooseMap(map().id()));
        c.add("map-write", "Write the map to a GeoJSON file…", null, () -> map() != null && !((MapData) Blocks.of(map()).get(Blocks.MAP)).features()
                .isEmpty(), () -> w.files.blocks.writeMap(map()));
        c.add("map-whole", "Show all of the map", null, () -> map() != null, () -> {
            Element m = map();
            s.edit("Show all of " + m.name(), b -> b.mapElement(m.id(), e -> e.withContent(PlacedBlock.whole(Blocks.of(e)))));
        });
    }

    /** @param at where on the canvas; null for its middle */
    public static void place(Studio s, BlockKind kind, Point at) {
        if (s.desk() == Desk.PUBLISH) {
            s.setDesk(Desk.DRAW);
        }
        Element made = PlacedBlock.of(s.board(), kind, at == null ? s.board().size().times(0.5) : at);
        s.edit("Place " + made.name(), b -> s.add(b, made));
        if (s.board().find(made.id()) != null) {
            s.select(List.of(made.id()));
        }
    }

    private Element gallery() {
        Content.Block b = Blocks.of(s.selected());
        return b != null && b.kind().gallery() ? s.selected() : null;
    }

    private Element map() {
        Content.Block b = Blocks.of(s.selected());
        return b != null && b.kind() == Blocks.MAP_BLOCK ? s.selected() : null;
    }

}
