package tundra.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Point;

/**
 * The table of blocks. Shelf, details, file, schema, page and docs read it. A new kind is an entry here, its picture in
 * {@code frame.BlockArt}, its markup in {@code web.BlockMarkup} and its section of the player.
 */
public final class Blocks {
    private static final List<BlockKind> TABLE = new ArrayList<>();
    private static final String ITEMS = "Items", MOVE = "Leafing", LOOK = "Look", WHAT = "Shows", SAYS = "Says", PLAYS = "Plays", RIGHTS = "May";

    // of all that is read out
    public static final Slot NAME = Slot.text("name", Slot.Type.TEXT, "");

    // of galleries
    public static final Slot ITEM_WIDTH = Slot.number("itemWidth", 240, 1, 10_000);
    public static final Slot ITEM_HEIGHT = Slot.number("itemHeight", 160, 1, 10_000);
    public static final Slot SPACING = Slot.number("spacing", 16, -1000, 1000);
    public static final Slot FITS = Slot.choice("fits", "cover", "contain", "stretch", "as drawn");
    public static final Slot CAPTIONS = Slot.choice("captions", "none", "below", "over");
    /** What is written at items, where it is another text than their names. */
    public static final Slot CAPTION_WORDS = new Slot("captionWords", Slot.Type.CAPTIONS, List.of(), Map.of(), 0, 0);
    public static final Slot FIRST = Slot.number("first", 1, 1, 1000);
    public static final Slot ALONG = Slot.choice("along", "across", "down");
    public static final Slot SNAP = Slot.choice("snap", "middle", "start");
    public static final Slot SEEN = Slot.number("leafs", 1, 1, 100);
    public static final Slot NEIGHBOURS = Slot.number("neighbours", 100, 10, 200);
    public static final Slot OFFSET = Slot.number("offset", 0, -1000, 1000);
    public static final Slot PILE = Slot.choice("leaving", "fades", "thrown");
    public static final Slot TILT = Slot.number("tilt", 8, -180, 180);
    public static final Slot RADIUS = Slot.number("radius", 280, 1, 10_000);
    public static final Slot DEPTH = Slot.number("depth", 900, 10, 100_000);
    public static final Slot FADE = Slot.number("fade", 60, 0, 100);
    public static final Slot LOOPS = yesNo("loops", false);
    public static final Slot TURN_TIME = Slot.duration("takes", 0.5);
    public static final Slot TURN_EASING = Slot.text("easing", Slot.Type.EASING, "cubic-bezier(0.3, 0, 0.2, 1)");
    public static final Slot BY_ITSELF = yesNo("byItself", false);
    public static final Slot EVERY = Slot.duration("every", 4);
    public static final Slot BY_WHEEL = yesNo("byWheel", true);

    // of what shows something of the piece
    public static final Slot OF_GALLERY = new Slot("gallery", Slot.Type.ELEMENT, List.of("strip", "stack", "turntable"), "", 0, 0);
    public static final Slot OF_TIMELINE = new Slot("timeline", Slot.Type.TIMELINE, List.of(), "", 0, 0);
    public static final Slot OF_VALUE = new Slot("value", Slot.Type.VALUE, List.of(), "", 0, 0);

    // of media
    public static final Slot VIDEO_FILE = Slot.text("video", Slot.Type.VIDEO, "");
    public static final Slot SOUND_FILE = Slot.text("sound", Slot.Type.SOUND, "");
    public static final Slot WORDS_FILE = Slot.text("words", Slot.Type.FILE, "");
    public static final Slot POSTER_AT = Slot.duration("poster", 0);
    public static final Slot FROM = Slot.duration("from", 0);
    /** 0 for its end. */
    public static final Slot TO = Slot.duration("to", 0);
    public static final Slot TIME_BY = Slot.choice("time", "its own", "the timeline's");
    public static final Slot CONTROLS = yesNo("controls", true);
    public static final Slot STARTS = yesNo("starts", false);
    public static final Slot MUTED = yesNo("muted", false);
    public static final Slot VOLUME = Slot.number("volume", 100, 0, 100);

    // of a page within the page
    public static final Slot ADDRESS = Slot.text("address", Slot.Type.LINK, "");
    public static final Slot FOLDER = Slot.text("folder", Slot.Type.FILE, "");
    public static final Slot ASKS_FIRST = yesNo("asksFirst", true);
    public static final Slot MAY_SCRIPT = yesNo("mayScript", false);
    public static final Slot MAY_SEND = yesNo("maySend", false);
    public static final Slot MAY_OPEN = yesNo("mayOpen", false);
    public static final Slot MAY_FILL = yesNo("mayFill", false);

    // of maps
    public static final Slot MAP = new Slot("map", Slot.Type.MAP, List.of(), MapData.EMPTY, 0, 0);
    public static final Slot LONGITUDE = Slot.number("longitude", 0, -180, 180);
    public static final Slot LATITUDE = Slot.number("latitude", 0, -85, 85);
    /** As on the web: the world is 256 px times 2 to the power of it wide. */
    public static final Slot ZOOM = Slot.number("zoom", 13, 0, 22);
    public static final Slot PANS = yesNo("pans", true);
    public static final Slot ZOOMS = yesNo("zooms", true);
    public static final Slot SEARCHES = yesNo("searches", false);
    public static final Slot LABELS = yesNo("labels", true);
    public static final Slot SERVICE = Slot.text("service", Slot.Type.LINK, "");
    public static final Slot WATER = color("water", "#CFE0EA");
    public static final Slot LAND = color("land", "#EEF2EC");
    public static final Slot ROADS = color("roads", "#A9B5AF");
    public static final Slot ROUTE = color("route", "#DB7A22");
    public static final Slot PLACES = color("places", "#1C6A5E");

    // of links
    public static final Slot WORDS = Slot.text("words", Slot.Type.TEXT, "");
    public static final Slot PHONE = Slot.text("number", Slot.Type.PHONE, "+00 000 000");
    public static final Slot MAIL = Slot.text("mail", Slot.Type.MAIL, "somebody@example.org");
    public static final Slot SUBJECT = Slot.text("subject", Slot.Type.TEXT, "");
    public static final Slot LINK = Slot.text("link", Slot.Type.LINK, "https://example.org");
    public static final Slot TAB = Actions.TAB;

    // of fields
    public static final Slot LABEL = Slot.text("label", Slot.Type.TEXT, "");
    public static final Slot HINT = Slot.text("hint", Slot.Type.TEXT, "");
    public static final Slot KIND = Slot.choice("kind", "text", "mail address", "number", "telephone number", "several lines");
    public static final Slot NEEDED = yesNo("needed", false);
    public static final Slot ERROR = Slot.text("error", Slot.Type.TEXT, "");
    /** One choice in each line. */
    public static final Slot CHOICES = Slot.text("choices", Slot.Type.TEXT, "One\nTwo\nThree");
    public static final Slot SHOWN_AS = Slot.choice("shownAs", "a list", "buttons");
    public static final Slot LEAST = Slot.number("least", 0, -1e9, 1e9);
    public static final Slot MOST = Slot.number("most", 100, -1e9, 1e9);
    public static final Slot STEP = Slot.number("step", 1, 1e-6, 1e9);
    public static final Slot UNTIL = Slot.text("until", Slot.Type.DATE, "2030-01-01T00:00");
    public static final Slot OVER_WORDS = Slot.text("overWords", Slot.Type.TEXT, "It has begun");

    // of looks
    public static final Slot FONT = Slot.text("font", Slot.Type.FONT, "Figtree");
    public static final Slot WEIGHT = Slot.number("weight", 400, 100, 900);
    public static final Slot LETTERS = Slot.number("letters", 16, 4, 400);
    public static final Slot INK = color("ink", "#1D2926");
    public static final Slot GROUND = color("ground", "#FFFFFF");
    public static final Slot LINE = color("line", "#5C6B66");
    public static final Slot ACCENT = color("accent", "#1C6A5E");
    public static final Slot RADIUS_OF_CORNERS = Slot.number("corners", 8, 0, 1000);
    public static final Slot DOT = Slot.number("dot", 10, 2, 200);

    public static final BlockKind STRIP = add("strip", "Strip", BlockKind.Family.GALLERY,
            "Pictures and motifs side by side, to leaf or scroll through", 640, 200, gallery(
            s(ALONG, "Runs", "", MOVE), s(SNAP, "Stops at", "", MOVE), s(SEEN, "Leafs on by", "items", MOVE), s(NEIGHBOURS, "Beside", "%", ITEMS),
            s(OFFSET, "Lowered by", "px", ITEMS)));
    public static final BlockKind STACK = add("stack", "Stack", BlockKind.Family.GALLERY,
            "One over the other: they fade into each other, or the top one is thrown", 320, 220, gallery(
            s(PILE, "The old one", "", MOVE), s(OFFSET, "Offset behind", "px", ITEMS), s(TILT, "Tilt", "°", MOVE)));
    public static final BlockKind TURNTABLE = add("turntable", "Turntable", BlockKind.Family.GALLERY, "On a ring that turns in depth", 640, 260,
            gallery(
            s(RADIUS, "Radius", "px", ITEMS), s(DEPTH, "Seen from", "px", ITEMS), s(OFFSET, "Back rises", "px", ITEMS),
            s(FADE, "Back fades", "%", ITEMS)));
    public static final BlockKind DOTS = add("dots", "Dots", BlockKind.Family.GALLERY, "Shows which item of a gallery is seen; a tap goes to one",
            160, 24,
            s(OF_GALLERY, "Of", "", WHAT), s(NAME, "Read out as", "", WHAT), s(DOT, "Size", "px", LOOK), s(SPACING, "Spacing", "px", LOOK),
            s(LINE, "Colour", "", LOOK), s(ACCENT, "The seen one", "", LOOK));

    public static final BlockKind VIDEO = add("video", "Video", BlockKind.Family.MEDIA, "A film, with or without controls", 480, 270,
            s(VIDEO_FILE, "File", "", WHAT), s(NAME, "Read out as", "", WHAT), s(FITS, "In its box", "", WHAT),
            s(POSTER_AT, "Still at", "s", WHAT), s(WORDS_FILE, "Captions", "", WHAT), s(TIME_BY, "Time", "", PLAYS), s(FROM, "From", "s", PLAYS),
            s(TO, "To", "s", PLAYS), s(CONTROLS, "Controls", "", PLAYS),
            s(STARTS, "Starts by itself", "", PLAYS), s(LOOPS, "Again and again", "", PLAYS), s(MUTED, "Silent", "", PLAYS),
            s(VOLUME, "Volume", "%", PLAYS), s(RADIUS_OF_CORNERS, "Corners", "px", LOOK));
    public static final BlockKind SOUND = add("sound", "Sound player", BlockKind.Family.MEDIA, "A sound, with or without controls", 320, 54,
            s(SOUND_FILE, "File", "", WHAT), s(NAME, "Read out as", "", WHAT),
            s(FROM, "From", "s", PLAYS), s(TO, "To", "s", PLAYS), s(CONTROLS, "Controls", "", PLAYS), s(STARTS, "Starts by itself", "", PLAYS),
            s(LOOPS, "Again and again", "", PLAYS), s(VOLUME, "Volume", "%", PLAYS));
    public static final BlockKind PAGE = add("page", "Embedded page", BlockKind.Family.MEDIA,
            "A page of another host, or a folder of files that goes along", 480, 320, s(ADDRESS, "Address", "", WHAT), s(FOLDER, "Folder", "", WHAT),
            s(NAME, "Read out as", "", WHAT),
            s(ASKS_FIRST, "Asks before it loads", "", RIGHTS), s(MAY_SCRIPT, "run scripts", "", RIGHTS), s(MAY_FILL, "keep data as its own host", "",
            RIGHTS), s(MAY_SEND, "send forms", "", RIGHTS), s(MAY_OPEN, "open other pages", "", RIGHTS),
            s(FONT, "Font", "", LOOK), s(LETTERS, "Letters", "px", LOOK), s(INK, "Ink", "", LOOK), s(GROUND, "Ground", "", LOOK),
            s(ACCENT, "Button", "", LOOK));

    public static final BlockKind MAP_BLOCK = add("map", "Map", BlockKind.Family.MAP, "Drawn from a GeoJSON file: places, a route, areas", 480, 320,
            s(MAP, "Shows", "", WHAT), s(NAME, "Read out as", "", WHAT),
            s(LONGITUDE, "Middle, east", "°", WHAT), s(LATITUDE, "Middle, north", "°", WHAT), s(ZOOM, "Zoom", "", WHAT),
            s(PANS, "be moved", "", RIGHTS), s(ZOOMS, "be zoomed", "", RIGHTS), s(LABELS, "Names", "", WHAT),
            s(SEARCHES, "be searched", "", RIGHTS), s(SERVICE, "Place service", "", RIGHTS), s(FONT, "Font", "", LOOK),
            s(LETTERS, "Letters", "px", LOOK), s(INK, "Ink", "", LOOK),
            s(LAND, "Land", "", LOOK), s(WATER, "Water", "", LOOK), s(ROADS, "Roads", "", LOOK), s(ROUTE, "Route", "", LOOK),
            s(PLACES, "Places", "", LOOK), s(RADIUS_OF_CORNERS, "Corners", "px", LOOK));

    public static final BlockKind CALL = add("call", "Call link", BlockKind.Family.LINK, "A tap calls a number", 220, 44,
            look(s(WORDS, "Words", "", SAYS), s(PHONE, "Number", "", SAYS)));
    public static final BlockKind MAIL_LINK = add("mail", "Mail link", BlockKind.Family.LINK, "A tap begins a mail", 220, 44,
            look(s(WORDS, "Words", "", SAYS), s(MAIL, "Mail address", "", SAYS), s(SUBJECT, "Subject", "", SAYS)));
    public static final BlockKind LINK_AREA = add("link", "Link area", BlockKind.Family.LINK, "Lies over anything and leads to an address", 220, 120,
            s(NAME, "Read out as", "", SAYS), s(LINK, "Address", "", SAYS), s(TAB, "Opens in", "", SAYS));

    public static final BlockKind TEXT_FIELD = add("field", "Text field", BlockKind.Family.FIELD, "The visitor writes, and a value holds it", 280,
            72, field(s(KIND, "Holds", "", SAYS), s(HINT, "Hint", "", SAYS)));
    public static final BlockKind TICK = add("tick", "Tick", BlockKind.Family.FIELD, "Yes or no", 280, 28, field());
    public static final BlockKind CHOICE = add("choice", "Choice", BlockKind.Family.FIELD, "One of several", 280, 72,
            field(s(CHOICES, "Choices, one in each line", "", SAYS), s(SHOWN_AS, "Shown as", "", LOOK)));
    public static final BlockKind SLIDER = add("slider", "Slider", BlockKind.Family.FIELD, "A number between two others", 280, 56,
            field(s(LEAST, "From", "", SAYS), s(MOST, "To", "", SAYS), s(STEP, "In steps of", "", SAYS)));

    public static final BlockKind PROGRESS = add("progress", "Progress", BlockKind.Family.SHOWN, "How far a timeline or a value is", 280, 12,
            s(OF_TIMELINE, "Timeline", "", WHAT), s(OF_VALUE, "Value", "", WHAT),
            s(LEAST, "From", "", WHAT), s(MOST, "To", "", WHAT), s(NAME, "Read out as", "", WHAT), s(GROUND, "Ground", "", LOOK),
            s(ACCENT, "How far", "", LOOK), s(RADIUS_OF_CORNERS, "Corners", "px", LOOK));
    public static final BlockKind COUNTDOWN = add("countdown", "Countdown", BlockKind.Family.SHOWN, "Days, hours, minutes and seconds to a date",
            280, 40, s(UNTIL, "Until", "", WHAT), s(OVER_WORDS, "Then says", "", WHAT), s(NAME, "Read out as", "", WHAT),
            s(FONT, "Font", "", LOOK), s(WEIGHT, "Weight", "", LOOK), s(LETTERS, "Letters", "px", LOOK), s(INK, "Ink", "", LOOK));

    public static final List<BlockKind> ALL = List.copyOf(TABLE);

    private Blocks() {}

    private static LabelledSlot s(Slot slot, String label, String unit, String group) {
        return new LabelledSlot(slot, label, unit, group);
    }

    private static Slot yesNo(String key, boolean yes) {
        return yes ? Slot.choice(key, "yes", "no") : Slot.choice(key, "no", "yes");
    }

    private static Slot color(String key, String hex) {
        return Slot.text(key, Slot.Type.COLOR, hex);
    }

    /** What all galleries have, with what one has of its own. */
    private static LabelledSlot[] gallery(LabelledSlot... own) {
        var out = new ArrayList<>(List.of(s(NAME, "Read out as", "", ITEMS), s(ITEM_WIDTH, "Item width", "px", ITEMS),
                s(ITEM_HEIGHT, "Item height", "px", ITEMS), s(SPACING, "Spacing", "px", ITEMS), s(FITS, "Pictures", "", ITEMS),
                s(CAPTIONS, "Captions", "", ITEMS), s(CAPTION_WORDS, "Words", "", ITEMS), s(FIRST, "First item", "", ITEMS)));
        out.addAll(List.of(own));
        out.addAll(List.of(s(LOOPS, "After the last, the first", "", MOVE), s(TURN_TIME, "Takes", "s", MOVE), s(TURN_EASING, "Easing", "", MOVE),
                s(BY_ITSELF, "Leafs by itself", "", MOVE), s(EVERY, "Every", "s", MOVE),
                s(BY_WHEEL, "Wheel leafs", "", MOVE), s(FONT, "Font", "", LOOK), s(LETTERS, "Letters", "px", LOOK), s(INK, "Ink", "", LOOK)));
        return out.toArray(LabelledSlot[]::new);
    }

    private static LabelledSlot[] look(LabelledSlot... own) {
        var out = new ArrayList<>(List.of(own));
        out.addAll(List.of(s(FONT, "Font", "", LOOK), s(WEIGHT, "Weight", "", LOOK), s(LETTERS, "Letters", "px", LOOK), s(INK, "Ink", "", LOOK),
                s(GROUND, "Ground", "", LOOK), s(RADIUS_OF_CORNERS, "Corners", "px", LOOK)));
        return out.toArray(LabelledSlot[]::new);
    }

    private static LabelledSlot[] field(LabelledSlot... own) {
        var out = new ArrayList<>(List.of(s(LABEL, "Label", "", SAYS), s(OF_VALUE, "Value", "", SAYS)));
        out.addAll(List.of(own));
        out.addAll(List.of(s(NEEDED, "Has to be filled in", "", SAYS), s(ERROR, "When wrong", "", SAYS), s(FONT, "Font", "", LOOK),
                s(LETTERS, "Letters", "px", LOOK), s(INK, "Ink", "", LOOK), s(GROUND, "Ground", "", LOOK),
                s(LINE, "Line", "", LOOK), s(ACCENT, "Accent", "", LOOK), s(RADIUS_OF_CORNERS, "Corners", "px", LOOK)));
        return out.toArray(LabelledSlot[]::new);
    }

    private static BlockKind add(String key, String label, BlockKind.Family family, String hint, double w, double h, LabelledSlot... settings) {
        var k = new BlockKind(key, label, family, hint, new Point(w, h), List.of(settings));
        TABLE.add(k);
        return k;
    }

    /** Null when there is none. */
    public static BlockKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    /** The block that an element is; null for anything else. */
    public static Content.Block of(Element e) {
        return e != null && e.content() instanceof Content.Block b ? b : null;
    }
}
