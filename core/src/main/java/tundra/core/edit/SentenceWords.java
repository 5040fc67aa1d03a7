package tundra.core.edit;

import static java.util.Map.entry;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;

/** By what other words the kinds of sentences are found, by those who don't know how Tundra calls them. */
public final class SentenceWords {
    private static final Map<String, String> ALL = Map.ofEntries(
            // events
            entry("tapped", "click clicked touch press button mouse"), entry("tappedTwice", "double click twice"),
                    entry("pressed", "mouse down touch start hold"), entry("released", "mouse up touch end let go"),
            entry("held", "long press hold"), entry("over", "hover mouse enter in"), entry("out", "hover mouse leave exit"),
            entry("swiped", "flick gesture slide finger"), entry("pinched", "zoom fingers gesture spread"),
            entry("landed", "drop dropped placed fits snap"), entry("landedOn", "drop dropped placed target fits"),
            entry("missed", "drop wrong miss fail"), entry("takenOut", "drag remove"), entry("allLanded", "drop complete done solved all finished"),
            entry("dragStarted", "drag begin start grab"), entry("dragged", "drag move"), entry("dragEnded", "drag end drop release"),
            entry("keyPressed", "keyboard type shortcut letter"), entry("opened", "load start begin ready scene enter"),
            entry("closed", "leave exit scene end"), entry("passed", "cue time frame marker"), entry("reached", "cue label marker"),
            entry("ended", "finish finished complete done stop timeline"), entry("instanceReached", "motif symbol marker cue"),
            entry("scrolledTo", "scroll percent position"), entry("scrolled", "scroll wheel"), entry("entered", "visible scroll appear viewport"),
            entry("left", "scroll disappear viewport invisible"), entry("became", "value variable score equals is"),
            entry("changed", "value variable score update"), entry("narrower", "resize width phone mobile responsive small"),
            entry("layoutBecame", "breakpoint resize width phone tablet desktop responsive"),
            entry("wider", "resize width desktop responsive large"), entry("after", "delay timer wait seconds"),
            entry("every", "interval repeat timer clock tick"),
            entry("tappedElsewhere", "outside click away close blur"),
            entry("itemShown", "gallery slide picture carousel"), entry("itemChanged", "gallery slide picture next"),
            entry("galleryEnded", "gallery slide last first"), entry("itemTapped", "gallery slide picture click"),
            entry("mediaStarted", "video sound audio play movie film"), entry("mediaPaused", "video sound audio stop movie film"),
            entry("mediaEnded", "video sound audio finished movie film"), entry("mediaPassed", "video sound audio time cue movie film"),
            entry("placeChosen", "map pin marker click location"), entry("fieldChanged", "form input text typed entered"),
            entry("sent", "form submit sent success"), entry("notSent", "form submit error failed"), entry("countdownOver", "timer date zero"),
            // conditions
            entry("value", "variable score number points"), entry("shown", "visible hidden seen"),
                    entry("plays", "playing running timeline animation"), entry("time", "position frame timeline stands"),
                    entry("key", "keyboard held shift"),
            entry("width", "wide narrow responsive phone mobile desktop size screen"),
            entry("layout", "breakpoint width phone tablet desktop responsive"), entry("motion", "reduced accessibility animation"),
            // actions
            entry("play", "start resume continue animation timeline run"), entry("pause", "stop halt freeze animation timeline"),
                    entry("toggle", "switch play pause animation timeline"), entry("playFromStart", "restart replay start animation timeline"),
            entry("playFrom", "jump marker label animation"), entry("playFromTime", "jump animation timeline seconds"),
            entry("playTo", "marker label stop animation"), entry("playBack", "reverse backward rewind animation timeline"),
            entry("goTo", "jump seek time frame timeline"), entry("setSpeed", "rate fast slow speed timeline"),
            entry("show", "visible appear reveal display unhide"), entry("hide", "invisible disappear remove vanish"),
            entry("toggleShown", "visible invisible switch toggle"),
            entry("set", "look property opacity fade colour color size rotation scale position move turn fill stroke change transition"),
            entry("changeBy", "look property relative add move turn grow shrink opacity rotation"), entry("toFront", "top order layer z above"),
            entry("toBack", "bottom order layer z below"), entry("sendHome", "drag reset return back parts every part"),
            entry("openScene", "go scene page screen slide jump"), entry("nextScene", "go scene page forward slide"),
            entry("previousScene", "go scene page backward slide"), entry("back", "go scene return history"),
            entry("openLink", "link url web address website page href navigate tab"), entry("call", "phone telephone number dial"),
            entry("writeMail", "email mail e-mail message contact"), entry("playSound", "sound music audio noise start resume continue"),
            entry("pauseSound", "sound music audio silence"), entry("toggleSound", "sound music audio mute switch"),
            entry("stopSound", "sound music audio silence end"), entry("setVolume", "sound music audio loud quiet mute"),
            entry("playSoundFromStart", "sound music audio restart again"),
            entry("setValue", "value variable score points number assign"),
            entry("addValue", "value variable score points count increase plus increment subtract"),
            entry("toggleValue", "value variable switch yes no flag"),
            entry("randomValue", "value variable dice chance random number"), entry("putText", "text value write display score label show"),
            entry("run", "script code function javascript"), entry("say", "screen reader accessibility announce voice"),
            entry("showItem", "gallery slide picture go to"), entry("nextItem", "gallery slide picture next forward"),
            entry("previousItem", "gallery slide picture previous back"), entry("turnOnce", "gallery rotate spin carousel round"),
            entry("playGallery", "gallery autoplay slideshow start"), entry("pauseGallery", "gallery autoplay slideshow stop"),
            entry("playMedia", "video sound audio play movie film"), entry("pauseMedia", "video sound audio stop movie film"),
            entry("toggleMedia", "video sound audio play pause movie film"), entry("seekMedia", "video sound audio jump time movie film"),
            entry("mediaVolume", "video sound audio loud movie film"), entry("muteMedia", "video sound audio silent unmute movie film"),
            entry("goToPlace", "map location pin fly"), entry("zoomMap", "map closer in out"), entry("send", "form submit post contact"),
            entry("copyText", "clipboard copy"), entry("wait", "delay pause seconds timer later"),
            entry("waitUntil", "wait pause click tap hold on continue"), entry("stop", "end cancel break rest"));

    private SentenceWords() {}

    /** Whether something that is told in some words is meant by what was typed: each word begins one of its words, or one of its other words. */
    public static boolean finds(String typed, String words, String others) {
        List<String> all = Arrays.asList((words + " " + others).toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}%]+"));
        return Arrays.stream(typed.strip().replace("-", "").toLowerCase(Locale.ROOT).split("\\s+"))
                .allMatch(t -> all.stream().anyMatch(w -> w.startsWith(t)) || t.length() > 2 && words.toLowerCase(Locale.ROOT).contains(t));
    }

    /** Whether words begin with what was typed, after a leading When or While: such are meant before those that are only called so as well. */
    public static boolean begins(String typed, String words) {
        return words.toLowerCase(Locale.ROOT).replaceFirst("^(when|while) ", "").startsWith(typed.strip().toLowerCase(Locale.ROOT));
    }

    /** Those of a kind of sentence, with what may stand in its blanks. */
    public static String of(SentenceKind k) {
        var out = new StringBuilder(ALL.getOrDefault(k.key(), ""));
        k.slots().forEach(s -> out.append(' ').append(noun(s.type())));
        return out.toString();
    }

    /** What a blank of a kind wants; empty where its words say it. */
    public static String noun(Slot.Type type) {
        return switch (type) {
            case PLAYER, TIMELINE -> "timeline";
            case SOUND -> "sound";
            case SCENE -> "scene";
            case VALUE -> "value";
            case SCRIPT -> "script";
            case MARKER, MOTIF_MARKER -> "marker";
            case LAYOUT -> "layout";
            case SETTING, CHANGE -> "look";
            case LINK -> "link";
            default -> "";
        };
    }

    /** What the blanks of a kind want, such as “sound”. */
    public static String wants(SentenceKind k) {
        return k.slots().stream().map(s -> noun(s.type())).filter(s -> !s.isEmpty()).distinct().findFirst().orElse("");
    }
}
