package tundra.core.edit;

import java.util.List;
import java.util.Map;
import tundra.core.block.MapView;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.MapData;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** New blocks, as they are placed. */
public final class PlacedBlock {
    private PlacedBlock() {}

    /** A block of a kind around a point of a board; dots and the like take to what is there for them. */
    public static Element of(Board b, BlockKind kind, Point at) {
        Content.Block block = kind.made();
        if (kind == Blocks.DOTS) {
            String gallery = Tree.ids(b.elements()).stream().filter(id -> Blocks.OF_GALLERY.takes(b.find(id).content().word())).findFirst()
                    .orElse("");
            block = block.with(Blocks.OF_GALLERY, gallery);
        }
        if (kind == Blocks.PROGRESS && !b.timelines().isEmpty()) {
            block = block.with(Blocks.OF_TIMELINE, b.main().id());
        }
        if (kind.setting(Blocks.LABEL) != null) {
            block = block.with(Blocks.LABEL, kind.label());
        }
        return element(b, kind.label(), block, at);
    }

    private static Element element(Board b, String name, Content.Block block, Point at) {
        return new Element(Names.free(b, name), block, Values.NONE.with(Properties.POSITION, at));
    }

    /** A video of the shelf, no larger than the canvas. */
    public static Element video(Board b, Asset video, Point at) {
        double k = Math.min(1, Math.min(b.size().x() * 0.8 / video.width(), b.size().y() * 0.8 / video.height()));
        Content.Block block = Blocks.VIDEO.made().with(Blocks.VIDEO_FILE, video.hash())
                .withBox(new Point(Math.round(video.width() * k), Math.round(video.height() * k)));
        return element(b, video.title(), block, at);
    }

    public static Element sound(Board b, Asset sound, Point at) {
        return element(b, sound.title(), Blocks.SOUND.made().with(Blocks.SOUND_FILE, sound.hash()), at);
    }

    public static Element page(Board b, Asset folder, Point at) {
        return element(b, folder.title(), Blocks.PAGE.made().with(Blocks.FOLDER, folder.hash()), at);
    }

    /** A map of all that a file holds. */
    public static Element map(Board b, String name, MapData data, Point at) {
        return element(b, name, whole(Blocks.MAP_BLOCK.made().with(Blocks.MAP, data)), at);
    }

    /** A map that shows all that it has. */
    public static Content.Block whole(Content.Block map) {
        Point[] seen = MapView.whole((MapData) map.get(Blocks.MAP), map.box());
        return map.with(Blocks.LONGITUDE, seen[0].x()).with(Blocks.LATITUDE, seen[0].y()).with(Blocks.ZOOM, seen[1].x());
    }

    /** Two arrows beside a gallery that leaf it, with their sentences, and dots below; each an element that can look otherwise. */
    public static Board steered(Board b, String gallery) {
        Element g = b.find(gallery);
        Point at = g.rest().get(Properties.POSITION), box = Blocks.of(g).box();
        Board out = b;
        for (boolean on : new boolean[] {false, true}) {
            Element arrow = Arrow.of(Names.free(out, on ? "Next" : "Previous"), on, at.plus(new Point((box.x() / 2 + 28) * (on ? 1 : -1), 0)));
            out = beside(out, gallery, arrow);
            out = Reactions.with(out, new Reaction(Ids.next(), Events.tapped(arrow.id()),
                    List.of(Actions.of(on ? Actions.NEXT_ITEM : Actions.PREVIOUS_ITEM, gallery))));
        }
        Element dots = element(out, "Dots", Blocks.DOTS.made().with(Blocks.OF_GALLERY, gallery), at.plus(new Point(0, box.y() / 2 + 24)));
        return beside(out, gallery, dots);
    }

    /** Right in front of another element, in the same parent. */
    private static Board beside(Board b, String of, Element e) {
        return b.withElements(Tree.replaced(b.elements(), Map.of(of, List.of(b.find(of), e))));
    }
}
