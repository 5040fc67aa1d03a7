package tundra.core.edit;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.UnaryOperator;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Tree;

/** What blocks say of themselves, and what they name. */
public final class BlockSettings {
    /** Settings that name a file of the shelf. */
    private static final Set<Slot.Type> FILES = Set.of(Slot.Type.SOUND, Slot.Type.PICTURE, Slot.Type.VIDEO, Slot.Type.FILE);

    private BlockSettings() {}

    /** Several blocks with one setting changed, where they have it. */
    public static Board with(Board b, Collection<String> ids, Slot slot, Object value) {
        return b.mapElements(Set.copyOf(ids), e -> Blocks.of(e) instanceof Content.Block k && k.kind().setting(slot) != null
                ? Galleries.fitted(e.withContent(k.with(slot, value)), slot) : e);
    }

    /** Without what names something that is gone; the same board where nothing is. */
    static Board tidied(Board b, BiPredicate<Slot.Type, String> around) {
        var changed = new HashMap<String, Slots>();
        Tree.each(b.elements(), e -> {
            if (Blocks.of(e) instanceof Content.Block k) {
                Slots now = k.settings().mapSettings((slot, id) -> there(b, e, slot, id) && around.test(slot.type(), id) ? id : null);
                if (now != k.settings()) {
                    changed.put(e.id(), now);
                }
            }
        });
        return changed.isEmpty() ? b : b.mapElements(changed.keySet(), e -> e.withContent(Blocks.of(e).with(changed.get(e.id()))));
    }

    private static boolean there(Board b, Element block, Slot slot, String id) {
        return switch (slot.type()) {
            case ELEMENT -> b.find(id) instanceof Element e && slot.takes(e.content().word());
            case TIMELINE -> b.timeline(id) != null;
            case CAPTIONS -> block.children().stream().anyMatch(c -> c.id().equals(id));
            default -> true;
        };
    }

    /** An element whose block names things by other ids, as after a copy; what is not told stays. */
    static Element renamed(Element e, Map<String, String> ids) {
        return Blocks.of(e) instanceof Content.Block k ? e.withContent(k.with(k.settings().mapSettings((slot, id) -> ids.getOrDefault(id, id)))) : e;
    }

    /** An element whose block names other things of its board. */
    static Element ofBoard(Element e, UnaryOperator<String> change) {
        return Blocks.of(e) instanceof Content.Block k
                ? e.withContent(k.with(k.settings().mapSettings((slot, id) -> Reactions.OF_BOARD.contains(slot.type())
                || slot.type() == Slot.Type.CAPTIONS ? change.apply(id) : id))) : e;
    }

    /** The hashes of the files that an element's block names. */
    public static Set<String> files(Element e) {
        var out = new HashSet<String>();
        if (Blocks.of(e) instanceof Content.Block k) {
            k.settings().values().forEach((slot, v) -> {
                if (FILES.contains(slot.type()) && !v.equals("")) {
                    out.add((String) v);
                }
            });
        }
        return out;
    }

    /** The font family that a block writes in; null where it writes nothing. */
    public static String family(Element e) {
        return Blocks.of(e) instanceof Content.Block k && k.settings().get(Blocks.FONT) instanceof String f ? f : null;
    }

    /** What kind of file may stand in a slot; null where it is none. */
    public static Asset.Kind kind(Slot slot) {
        return switch (slot.type()) {
            case SOUND -> Asset.Kind.SOUND;
            case PICTURE -> Asset.Kind.PICTURE;
            case VIDEO -> Asset.Kind.VIDEO;
            case FILE -> Asset.Kind.FILE;
            default -> null;
        };
    }

    /** Whether a file may stand in a setting: timed words for a video, a folder's files for a page. */
    public static boolean takes(LabelledSlot s, Asset a) {
        return a.kind() == kind(s.slot()) && (a.kind() != Asset.Kind.FILE || a.mediaType().equals(s.slot() == Blocks.FOLDER ? Asset.FILES
                : Asset.WORDS));
    }
}
