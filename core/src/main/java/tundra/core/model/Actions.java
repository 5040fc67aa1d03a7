package tundra.core.model;

import java.util.ArrayList;
import java.util.List;

/** The table of actions. File, sentences, page and docs read it; the player has a function for each in its {@code ACTIONS}. */
public final class Actions {
    private static final List<ActionKind> TABLE = new ArrayList<>();

    public static final Slot PLAYER = Events.PLAYER;
    public static final Slot TIME = Events.TIME;
    public static final Slot MARKER = Events.MARKER;
    public static final Slot ELEMENTS = new Slot("elements", Slot.Type.ELEMENTS);
    /** Parts that visitors can drag. */
    public static final Slot PARTS = Slot.elementsOrAll("elements");
    public static final Slot SETTING = new Slot("setting", Slot.Type.SETTING);
    public static final Slot CHANGE = new Slot("setting", Slot.Type.CHANGE);
    public static final Slot OVER = Slot.duration("over", 0.4);
    public static final Slot EASING = Slot.text("easing", Slot.Type.EASING, "cubic-bezier(0.25, 0.1, 0.25, 1)");
    public static final Slot SPEED = Slot.number("speed", 100, 1, 10_000);
    public static final Slot SCENE = new Slot("scene", Slot.Type.SCENE);
    public static final Slot TRANSITION = Slot.text("transition", Slot.Type.TRANSITION, Transition.OWN);
    public static final Slot LINK = Slot.text("address", Slot.Type.LINK, "https://example.org");
    public static final Slot TAB = Slot.choice("tab", "the same tab", "a new tab");
    public static final Slot PHONE = Slot.text("number", Slot.Type.PHONE, "+00 000 000");
    public static final Slot MAIL = Slot.text("mail", Slot.Type.MAIL, "somebody@example.org");
    public static final Slot SOUND = new Slot("sound", Slot.Type.SOUND);
    public static final Slot VOLUME = Slot.number("volume", 50, 0, 100);
    public static final Slot VALUE = Events.VALUE;
    public static final Slot CONTENT = Events.CONTENT;
    public static final Slot AMOUNT = Slot.number("amount", 1, -1e9, 1e9);
    public static final Slot FROM = Slot.number("from", 1, -1e9, 1e9);
    public static final Slot TO = Slot.number("to", 6, -1e9, 1e9);
    public static final Slot SCRIPT = new Slot("script", Slot.Type.SCRIPT);
    public static final Slot TEXT = Slot.text("text", Slot.Type.TEXT, "Hello");
    public static final Slot INTO = new Slot("into", Slot.Type.ELEMENT, List.of("text"), null, 0, 0);
    public static final Slot DURATION = Slot.duration("duration", 1);

    public static final Slot WAY = Slot.choice("way", "forwards", "backwards");
    public static final Slot MUTED = Slot.choice("muted", "silent", "heard");
    public static final Slot CLOSER = Slot.choice("closer", "in", "out");
    /** What visitors filled in: fields, or groups of them. */
    public static final Slot FILLED = new Slot("elements", Slot.Type.ELEMENTS);

    public static final ActionKind PLAY = add("play", "go on with {timeline}", PLAYER);
    public static final ActionKind PAUSE = add("pause", "pause {timeline}", PLAYER);
    public static final ActionKind TOGGLE = add("toggle", "play or pause {timeline}", PLAYER);
    public static final ActionKind PLAY_FROM_START = add("playFromStart", "play {timeline} from start", PLAYER);
    public static final ActionKind PLAY_FROM = add("playFrom", "play from {marker}", MARKER);
    public static final ActionKind PLAY_FROM_TIME = add("playFromTime", "play {timeline} from {time} on", PLAYER, TIME);
    public static final ActionKind PLAY_TO = add("playTo", "play on to {marker} and stop there", MARKER);
    public static final ActionKind PLAY_BACK = add("playBack", "play {timeline} backwards", PLAYER);
    public static final ActionKind GO_TO = add("goTo", "go to {timeline} at {time}", PLAYER, TIME);
    public static final ActionKind SET_SPEED = add("setSpeed", "play {timeline} at {speed} %", PLAYER, SPEED);
    public static final ActionKind SHOW = add("show", "show {elements}", ELEMENTS);
    public static final ActionKind HIDE = add("hide", "hide {elements}", ELEMENTS);
    public static final ActionKind TOGGLE_SHOWN = add("toggleShown", "show or hide {elements}", ELEMENTS);
    public static final ActionKind SET = add("set", "set {elements} to {setting} over {over} {easing}", ELEMENTS, SETTING, OVER, EASING);
    public static final ActionKind CHANGE_BY = add("changeBy", "change {elements} by {setting} over {over} {easing}", ELEMENTS, CHANGE, OVER, EASING);
    public static final ActionKind TO_FRONT = add("toFront", "bring {elements} to the front", ELEMENTS);
    public static final ActionKind TO_BACK = add("toBack", "send {elements} to the back", ELEMENTS);
    public static final ActionKind SEND_HOME = add("sendHome", "send {elements} home over {over}", PARTS, OVER);
    public static final ActionKind OPEN_SCENE = add("openScene", "open {scene} {transition}", SCENE, TRANSITION);
    public static final ActionKind NEXT_SCENE = add("nextScene", "open the next scene {transition}", TRANSITION);
    public static final ActionKind PREVIOUS_SCENE = add("previousScene", "open the scene before {transition}", TRANSITION);
    public static final ActionKind BACK = add("back", "go back to where the visitor was");
    public static final ActionKind OPEN_LINK = add("openLink", "open {address} in {tab}", LINK, TAB);
    public static final ActionKind CALL = add("call", "call {number}", PHONE);
    public static final ActionKind WRITE_MAIL = add("writeMail", "write a mail to {mail}", MAIL);
    public static final ActionKind PLAY_SOUND = add("playSound", "play on {sound}", SOUND);
    public static final ActionKind PLAY_SOUND_FROM_START = add("playSoundFromStart", "play {sound} from its start", SOUND);
    public static final ActionKind PAUSE_SOUND = add("pauseSound", "pause {sound}", SOUND);
    public static final ActionKind TOGGLE_SOUND = add("toggleSound", "play or pause {sound}", SOUND);
    public static final ActionKind STOP_SOUND = add("stopSound", "stop {sound}", SOUND);
    public static final ActionKind SET_VOLUME = add("setVolume", "set the volume of {sound} to {volume} %", SOUND, VOLUME);
    public static final ActionKind SET_VALUE = add("setValue", "set {value} to {content}", VALUE, CONTENT);
    public static final ActionKind ADD_VALUE = add("addValue", "add {amount} to {value}", VALUE, AMOUNT);
    public static final ActionKind TOGGLE_VALUE = add("toggleValue", "turn {value} to its opposite", VALUE);
    public static final ActionKind RANDOM_VALUE = add("randomValue", "set {value} to a random number from {from} to {to}", VALUE, FROM, TO);
    public static final ActionKind PUT_TEXT = add("putText", "write {value} into {into}", VALUE, INTO);
    public static final ActionKind RUN = add("run", "run {script}", SCRIPT);
    public static final ActionKind SAY = add("say", "tell screen readers {text}", TEXT);
    public static final ActionKind COPY_TEXT = add("copyText", "copy {text}", TEXT);
    public static final ActionKind WAIT = add("wait", "wait {duration}", DURATION);
    public static final ActionKind SHOW_ITEM = add("showItem", "show item {item} of {gallery}", Events.ITEM, Events.GALLERY);
    public static final ActionKind NEXT_ITEM = add("nextItem", "leaf {gallery} on", Events.GALLERY);
    public static final ActionKind PREVIOUS_ITEM = add("previousItem", "leaf {gallery} back", Events.GALLERY);
    public static final ActionKind TURN_ONCE = add("turnOnce", "turn {gallery} once {way} in {duration}", Events.GALLERY, WAY, DURATION);
    public static final ActionKind PLAY_GALLERY = add("playGallery", "let {gallery} leaf by itself", Events.GALLERY);
    public static final ActionKind PAUSE_GALLERY = add("pauseGallery", "stop {gallery} leafing by itself", Events.GALLERY);
    public static final ActionKind PLAY_MEDIA = add("playMedia", "start {media}", Events.MEDIA);
    public static final ActionKind PAUSE_MEDIA = add("pauseMedia", "pause {media}", Events.MEDIA);
    public static final ActionKind TOGGLE_MEDIA = add("toggleMedia", "start or pause {media}", Events.MEDIA);
    public static final ActionKind SEEK_MEDIA = add("seekMedia", "take {media} to {at}", Events.MEDIA, Events.MEDIA_TIME);
    public static final ActionKind MEDIA_VOLUME = add("mediaVolume", "set the volume of {media} to {volume} %", Events.MEDIA, VOLUME);
    public static final ActionKind MUTE_MEDIA = add("muteMedia", "make {media} {muted}", Events.MEDIA, MUTED);
    public static final ActionKind GO_TO_PLACE = add("goToPlace", "take {map} to {spot}", Events.MAP, Events.MAP_PLACE);
    public static final ActionKind ZOOM_MAP = add("zoomMap", "zoom {map} {closer}", Events.MAP, CLOSER);
    /** As a form, where all that has to be filled in is; what is wrong is said at its field, and nothing is sent. */
    public static final ActionKind SEND = add("send", "send what is in {elements} to {address}", FILLED, LINK);
    /** What follows waits for a tap; one that came since the scene was opened, before it was waited for, counts. */
    public static final ActionKind WAIT_UNTIL = add("waitUntil", "wait here until {element} is tapped", Events.ELEMENT);
    public static final ActionKind STOP = add("stop", "stop the rest of this reaction");

    public static final List<ActionKind> ALL = List.copyOf(TABLE);

    private Actions() {}

    private static ActionKind add(String key, String sentence, Slot... slots) {
        var k = new ActionKind(key, sentence, List.of(slots));
        TABLE.add(k);
        return k;
    }

    /** Null when there is none. */
    public static ActionKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    /** An action with its slots filled in turn. */
    public static Action of(ActionKind kind, Object... values) {
        return new Action(kind, Slots.of(kind.slots(), values));
    }
}
