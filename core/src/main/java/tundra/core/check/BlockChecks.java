package tundra.core.check;

import java.util.ArrayList;
import java.util.List;
import tundra.core.edit.BlockSettings;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.MapData;
import tundra.core.model.Place;
import tundra.core.model.Tree;

/** Blocks that show nothing, that ask another host, or that browsers keep silent. */
final class BlockChecks {
    private BlockChecks() {}

    static List<Finding> of(Place place) {
        var out = new ArrayList<Finding>();
        Tree.each(place.board().elements(), e -> {
            if (!e.hidden() && !e.guide() && Blocks.of(e) instanceof Content.Block b) {
                look(place, e, b, out);
            }
        });
        return out;
    }

    private static void look(Place place, Element e, Content.Block b, List<Finding> out) {
        String nothing = nothing(b);
        if (nothing != null) {
            out.add(new Finding(Check.EMPTY, place.id(), e.id(), null, 0, e.name() + " shows nothing: " + nothing, null));
        }
        if (b.kind() == Blocks.SOUND && b.is(Blocks.STARTS)) {
            out.add(new Finding(Check.HELD_BACK, place.id(), e.id(), null, 0, e.name()
                    + " starts by itself: browsers keep it silent until the visitor has tapped or typed somewhere on the page, and it begins then.",
                    new Finding.Fix("Let it wait to be started", x -> BlockSettings.with(x, List.of(e.id()), Blocks.STARTS, "no"))));
        }
        if (b.kind() == Blocks.VIDEO && b.is(Blocks.STARTS) && !b.is(Blocks.MUTED)) {
            out.add(new Finding(Check.HELD_BACK, place.id(), e.id(), null, 0, e.name()
                    + " starts by itself: browsers play it without its sound; a control or a sentence can make it heard.",
                    new Finding.Fix("Make it silent", x -> BlockSettings.with(x, List.of(e.id()), Blocks.MUTED, "yes"))));
        }
        if (b.kind() == Blocks.PAGE && b.text(Blocks.FOLDER).isEmpty() && b.text(Blocks.ADDRESS).matches("(?i)https?:.*")) {
            out.add(new Finding(Check.OTHER_HOST, place.id(), e.id(), null, 0, e.name() + " asks another host, which sees the visitor's address"
                    + (b.is(Blocks.ASKS_FIRST) ? " once the visitor wants it." : " as soon as the page opens."),
                    b.is(Blocks.ASKS_FIRST) ? null : new Finding.Fix("Ask the visitor first", x -> BlockSettings.with(x, List.of(e.id()),
                    Blocks.ASKS_FIRST, "yes"))));
        }
        if (b.kind() == Blocks.MAP_BLOCK && !b.text(Blocks.SERVICE).isEmpty()) {
            out.add(new Finding(Check.OTHER_HOST, place.id(), e.id(), null, 0, e.name() + " asks " + b.text(Blocks.SERVICE)
                    + " for places while the visitor types.", null));
        }
    }

    /** Why a block shows nothing; null where it shows something. */
    private static String nothing(Content.Block b) {
        if (b.kind().gallery()) {
            return b.children().stream().allMatch(c -> c.hidden() || c.guide()) ? "drop pictures or motifs on it." : null;
        }
        return b.kind() == Blocks.DOTS && b.text(Blocks.OF_GALLERY).isEmpty() ? "say which gallery it is of."
                : b.kind() == Blocks.VIDEO && b.text(Blocks.VIDEO_FILE).isEmpty() ? "choose a video in the details."
                : b.kind() == Blocks.SOUND && b.text(Blocks.SOUND_FILE).isEmpty() ? "choose a sound in the details."
                : b.kind() == Blocks.PAGE && b.text(Blocks.ADDRESS).isEmpty() && b.text(Blocks.FOLDER).isEmpty()
                ? "write an address or choose a folder in the details."
                : b.kind() == Blocks.MAP_BLOCK && ((MapData) b.get(Blocks.MAP)).features().isEmpty() ? "choose a GeoJSON file in the details."
                : b.kind() == Blocks.PROGRESS && b.text(Blocks.OF_TIMELINE).isEmpty() && b.text(Blocks.OF_VALUE).isEmpty()
                ? "say which timeline or value it is of." : null;
    }
}
