package tundra.app.studio;

import java.util.List;
import java.util.Objects;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.frame.Unseen;
import tundra.core.geometry.Point;
import tundra.core.model.Element;

/** What isn't seen at the playhead though it is selected or pointed at, and why. */
public final class Presence {
    private final Studio studio;

    /** The picture and the element that were looked at last, and whether that is not seen. */
    private Frame lookedAt;
    private Element asked;
    private Element unseen;

    Presence(Studio studio) {
        this.studio = studio;
    }

    /** Where the pointer is in a list of elements; null for nowhere. */
    public void pointAt(String element) {
        if (!Objects.equals(element, studio.chosen.pointed())) {
            studio.chosen.pointAt(element);
            studio.changed(Aspect.SCOPE);
        }
    }

    /** The element that is pointed at in a list, else the one selected, when it is not seen at the playhead; null for none. */
    public Element unseen() {
        Element at = studio.chosen.pointed() == null ? null : studio.board().find(studio.chosen.pointed());
        Element e = at != null ? at : studio.selected();
        if (e == null || studio.time().playing() || studio.desk() == Desk.PUBLISH) {
            return null;
        }
        Frame now = studio.picture().frame();
        if (now != lookedAt || e != asked) {
            lookedAt = now;
            asked = e;
            unseen = whyUnseen(e) == null ? null : e;
        }
        return unseen;
    }

    /** Why an element is not seen now, as one line. */
    public String whyUnseen(Element e) {
        return Unseen.why(studio.picture().board(), studio.picture().builder(), studio.picture().frame(), e.id(), studio.picture()
                .momentAt(seenAt()));
    }

    /** Where an element that is not seen would stand. */
    public Frame.Placed unseenAt(Element e) {
        List<String> path = studio.board().path(e.id());
        Frame.Placed parent = path.size() < 2 ? null : studio.picture().placed(path.get(path.size() - 2));
        Moment at = studio.picture().momentAt(seenAt());
        Point box = studio.picture().builder().boxAt(e, at);
        var own = FrameBuilder.placed(studio.picture().builder().valuesAt(e.id(), at), box);
        var node = new FrameNode(e.id(), true, own, 1, box, List.of(), List.of(), List.of());
        return new Frame.Placed(node, parent == null ? own : parent.toCanvas().times(own));
    }

    private long seenAt() {
        return studio.book.seen();
    }
}
