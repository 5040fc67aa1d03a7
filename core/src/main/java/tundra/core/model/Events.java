package tundra.core.model;

import java.util.ArrayList;
import java.util.List;

/** The table of events. File, sentences, page and docs read it; the player listens for each in its {@code EVENTS}. */
public final class Events {
    private static final List<EventKind> TABLE = new ArrayList<>();

    public static final Slot ELEMENT = new Slot("element", Slot.Type.ELEMENT);
    public static final Slot PLACE = new Slot("place", Slot.Type.ELEMENT);
    public static final Slot TIMELINE = new Slot("timeline", Slot.Type.TIMELINE);
    public static final Slot PLAYER = new Slot("timeline", Slot.Type.PLAYER);
    public static final Slot MARKER = new Slot("marker", Slot.Type.MARKER);
    public static final Slot INSTANCE = new Slot("instance", Slot.Type.ELEMENT, List.of("instance"), null, 0, 0);
    public static final Slot INNER = new Slot("inner", Slot.Type.MOTIF_MARKER);
    public static final Slot TIME = new Slot("time", Slot.Type.TIME);
    public static final Slot VALUE = new Slot("value", Slot.Type.VALUE);
    public static final Slot CONTENT = Slot.text("content", Slot.Type.CONTENT, "1");
    public static final Slot KEY = Slot.text("key", Slot.Type.KEY, "Enter");
    public static final Slot WAY = Slot.choice("way", "forwards", "backwards", "either way");
    public static final Slot SIDE = Slot.choice("side", "left", "right", "up", "down");
    public static final Slot PINCH = Slot.choice("pinch", "open", "together");
    public static final Slot SCROLL = Slot.choice("scroll", "on", "back");
    public static final Slot SHARE = Slot.number("share", 50, 0, 100);
    public static final Slot WIDTH = Slot.number("width", 600, 1, 20_000);
    public static final Slot LAYOUT = new Slot("layout", Slot.Type.LAYOUT);
    public static final Slot DURATION = Slot.duration("duration", 2);

    public static final Slot GALLERY = Slot.element("gallery", "strip", "stack", "turntable");
    public static final Slot ITEM = Slot.number("item", 1, 1, 1000);
    public static final Slot MEDIA = Slot.element("media", "video", "sound player");
    public static final Slot MEDIA_TIME = Slot.duration("at", 1);
    public static final Slot MAP = Slot.element("map", "map");
    public static final Slot MAP_PLACE = Slot.text("spot", Slot.Type.MAP_PLACE, "");
    public static final Slot FIELD = Slot.element("field", "text field", "tick", "choice", "slider");
    public static final Slot COUNTDOWN = Slot.element("countdown", "countdown");

    /** A press and release on the element, or Enter or Space while it has the focus. */
    public static final EventKind TAPPED = add("tapped", "When {element} is tapped", ELEMENT);
    /** A press and release anywhere in the page but on the element: told before what is tapped there reacts. */
    public static final EventKind TAPPED_ELSEWHERE = add("tappedElsewhere", "When anything but {element} is tapped", ELEMENT);
    public static final EventKind TAPPED_TWICE = add("tappedTwice", "When {element} is tapped twice", ELEMENT);
    public static final EventKind PRESSED = add("pressed", "When {element} is pressed", ELEMENT);
    public static final EventKind RELEASED = add("released", "When {element} is let go", ELEMENT);
    /** For half a second, without moving. */
    public static final EventKind HELD = add("held", "When {element} is held down", ELEMENT);
    public static final EventKind OVER = add("over", "When the pointer comes over {element}", ELEMENT);
    public static final EventKind OUT = add("out", "When the pointer leaves {element}", ELEMENT);
    public static final EventKind SWIPED = add("swiped", "When {element} is swiped {side}", ELEMENT, SIDE);
    public static final EventKind PINCHED = add("pinched", "When {element} is pinched {pinch}", ELEMENT, PINCH);
    /** A dragged part, on any place that it fits. */
    public static final EventKind LANDED = add("landed", "When {element} lands", ELEMENT);
    public static final EventKind LANDED_ON = add("landedOn", "When {element} lands on {place}", ELEMENT, PLACE);
    public static final EventKind MISSED = add("missed", "When {element} is let go where it does not fit", ELEMENT);
    /** A part that had landed is picked up again. */
    public static final EventKind TAKEN_OUT = add("takenOut", "When {element} is taken out of its place", ELEMENT);
    public static final EventKind ALL_LANDED = add("allLanded", "When every part has landed");
    public static final EventKind DRAG_STARTED = add("dragStarted", "When {element} is picked up", ELEMENT);
    public static final EventKind DRAGGED = add("dragged", "While {element} is dragged", ELEMENT);
    public static final EventKind DRAG_ENDED = add("dragEnded", "When {element} is put down", ELEMENT);
    public static final EventKind KEY_PRESSED = add("keyPressed", "When the key {key} is pressed", KEY);
    public static final EventKind OPENED = add("opened", "When this scene opens");
    public static final EventKind CLOSED = add("closed", "When this scene closes");
    /** A cue. */
    public static final EventKind PASSED = add("passed", "When {timeline} passes {time} {way}", TIMELINE, TIME, WAY);
    public static final EventKind REACHED = add("reached", "When {marker} is reached", MARKER);
    public static final EventKind ENDED = add("ended", "When {timeline} ends", PLAYER);
    /** A motif where it stands, at a marker of its own. */
    public static final EventKind INSTANCE_REACHED = add("instanceReached", "When {instance} reaches {inner}", INSTANCE, INNER);
    public static final EventKind SCROLLED_TO = add("scrolledTo", "When the page is scrolled to {share} %", SHARE);
    public static final EventKind SCROLLED = add("scrolled", "When the page scrolls {scroll}", SCROLL);
    public static final EventKind ENTERED = add("entered", "When {element} comes into view", ELEMENT);
    public static final EventKind LEFT = add("left", "When {element} leaves the view", ELEMENT);
    public static final EventKind BECAME = add("became", "When {value} becomes {content}", VALUE, CONTENT);
    public static final EventKind CHANGED = add("changed", "When {value} changes", VALUE);
    public static final EventKind NARROWER = add("narrower", "When the page gets narrower than {width} px", WIDTH);
    public static final EventKind WIDER = add("wider", "When the page gets wider than {width} px", WIDTH);
    /** A layout takes over from another one while the scene is shown. */
    public static final EventKind LAYOUT_BECAME = add("layoutBecame", "When the layout becomes {layout}", LAYOUT);
    public static final EventKind AFTER = add("after", "When this scene was open for {duration}", DURATION);
    public static final EventKind EVERY = add("every", "Every {duration}", DURATION);

    public static final EventKind ITEM_SHOWN = add("itemShown", "When {gallery} comes to item {item}", GALLERY, ITEM);
    public static final EventKind ITEM_CHANGED = add("itemChanged", "When {gallery} comes to another item", GALLERY);
    /** It does not loop, and came to its first or its last item. */
    public static final EventKind GALLERY_ENDED = add("galleryEnded", "When {gallery} comes to an end", GALLERY);
    public static final EventKind ITEM_TAPPED = add("itemTapped", "When item {item} of {gallery} is tapped", ITEM, GALLERY);
    public static final EventKind MEDIA_STARTED = add("mediaStarted", "When {media} starts", MEDIA);
    public static final EventKind MEDIA_PAUSED = add("mediaPaused", "When {media} is paused", MEDIA);
    public static final EventKind MEDIA_ENDED = add("mediaEnded", "When {media} has ended", MEDIA);
    public static final EventKind MEDIA_PASSED = add("mediaPassed", "When {media} passes {at}", MEDIA, MEDIA_TIME);
    public static final EventKind PLACE_CHOSEN = add("placeChosen", "When {spot} is chosen on {map}", MAP_PLACE, MAP);
    public static final EventKind FIELD_CHANGED = add("fieldChanged", "When {field} is filled in", FIELD);
    public static final EventKind SENT = add("sent", "When what was filled in has arrived");
    public static final EventKind NOT_SENT = add("notSent", "When what was filled in could not be sent");
    public static final EventKind COUNTDOWN_OVER = add("countdownOver", "When {countdown} is over", COUNTDOWN);

    public static final List<EventKind> ALL = List.copyOf(TABLE);

    private Events() {}

    private static EventKind add(String key, String sentence, Slot... slots) {
        var k = new EventKind(key, sentence, List.of(slots));
        TABLE.add(k);
        return k;
    }

    /** Null when there is none. */
    public static EventKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    public static Event tapped(String element) {
        return of(TAPPED, element);
    }

    /** An event with its slots filled in turn. */
    public static Event of(EventKind kind, Object... values) {
        return new Event(kind, Slots.of(kind.slots(), values));
    }
}
