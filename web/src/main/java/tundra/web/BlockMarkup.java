package tundra.web;

import java.util.Map;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/** What each kind of block is on the page: HTML that says what it is, laid out by the numbers of {@code frame.BlockArt}. */
final class BlockMarkup {
    /** Puts something on the page, within a box of the block's size. */
    private interface Part {
        void write(BlockHtml.Target to, Content.Block b);
    }

    private static final Map<BlockKind, Part> TABLE = Map.ofEntries(
            Map.entry(Blocks.STRIP, (to, b) -> new GalleryMarkup(to).gallery(b)), Map.entry(Blocks.STACK, (to, b) -> new GalleryMarkup(to)
            .gallery(b)), Map.entry(Blocks.TURNTABLE, (to, b) -> new GalleryMarkup(to).gallery(b)),
            Map.entry(Blocks.DOTS, (to, b) -> new GalleryMarkup(to).dots(b)),
            Map.entry(Blocks.VIDEO, (to, b) -> new MediaMarkup(to).video(b)), Map.entry(Blocks.SOUND, (to, b) -> new MediaMarkup(to).sound(b)),
            Map.entry(Blocks.PAGE, (to, b) -> new MediaMarkup(to).page(b)),
            Map.entry(Blocks.MAP_BLOCK, (to, b) -> new MapMarkup(to).map(b)),
            Map.entry(Blocks.CALL, (to, b) -> new FieldMarkup(to).call(b)), Map.entry(Blocks.MAIL_LINK, (to, b) -> new FieldMarkup(to).mail(b)),
            Map.entry(Blocks.LINK_AREA, (to, b) -> new FieldMarkup(to).area(b)),
            Map.entry(Blocks.TEXT_FIELD, (to, b) -> new FieldMarkup(to).field(b)), Map.entry(Blocks.TICK, (to, b) -> new FieldMarkup(to).tick(b)),
            Map.entry(Blocks.CHOICE, (to, b) -> new FieldMarkup(to).choice(b)),
            Map.entry(Blocks.SLIDER, (to, b) -> new FieldMarkup(to).slider(b)), Map.entry(Blocks.PROGRESS, (to, b) -> new ShownMarkup(to)
            .progress(b)), Map.entry(Blocks.COUNTDOWN, (to, b) -> new ShownMarkup(to).countdown(b)));

    private BlockMarkup() {}

    static void write(BlockHtml.Target to) {
        Content.Block b = Blocks.of(to.at().element());
        TABLE.get(b.kind()).write(to, b);
    }

    /** The part of a block that the player looks for. */
    static String part(String id) {
        return PageId.of(id) + "-k";
    }
}
