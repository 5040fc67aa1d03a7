package tundra.core.model;

import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The table of what is made of pieces. Cards, the file, the command line and the tests read it; what writes each stands in {@code app.output.Makers}.
 */
public final class Outputs {
    public static final Slot FILM_FORMAT = Slot.choice("format", "MP4", "WebM", "WebM AV1"), LOOP_FORMAT = Slot.choice("format", "GIF", "APNG",
            "WebP", "AVIF"),
            FRAMES_FORMAT = Slot.choice("format", "PNG", "WebP", "SVG", "PDF");
    /** Which scene; the first where none is said. */
    public static final Slot SCENE = new Slot("scene", Slot.Type.SCENE, List.of(), "", 0, 0);
    /** Which scene, or all of them one after the other. */
    public static final Slot SCENES = new Slot("scene", Slot.Type.SCENE, List.of(Slot.EVERYTHING), "", 0, 0);
    /** Of the scene. */
    public static final Slot LAYOUT = new Slot("layout", Slot.Type.LAYOUT, List.of(), Slot.DRAWN, 0, 0);
    /** In px; 0 as drawn. Where one of the two is 0 it follows from the other. */
    public static final Slot WIDTH = Slot.number("width", 0, 0, Limits.SIDE), HEIGHT = Slot.number("height", 0, 0, Limits.SIDE);
    /** What is seen beside a scene of another shape. */
    public static final Slot AROUND = Slot.text("around", Slot.Type.COLOR, "#000000");
    /** Pictures a second; 0 the piece's own. */
    public static final Slot RATE = Slot.number("rate", 0, 0, 120);
    public static final Slot FROM = Slot.duration("from", 0);
    /** 0 for the end of Main. */
    public static final Slot UNTIL = Slot.duration("until", 0);
    /** A marker of Main that says where a range begins or ends in place of a time; none where it is empty. */
    public static final Slot FROM_MARKER = new Slot("fromMarker", Slot.Type.MARKER, List.of(), "", 0, 0), UNTIL_MARKER = new Slot("untilMarker",
            Slot.Type.MARKER, List.of(), "", 0, 0);
    public static final Slot TIMES = Slot.number("times", 1, 1, 1000);
    public static final Slot QUALITY = Slot.choice("quality", "good", "small", "best");
    public static final Slot SOUND = Slot.choice("sound", "yes", "no");
    /** Whether what lies behind the canvas is seen through it. */
    public static final Slot CLEAR = Slot.choice("clear", "no", "yes");
    public static final Slot BACK = Slot.choice("back", "no", "yes");
    public static final Slot DITHER = Slot.choice("dither", "no", "yes");
    /** Which moments are kept as pictures. */
    public static final Slot WHICH = Slot.choice("which", "one moment", "each marker", "every frame");
    public static final Slot AT = Slot.duration("at", 0);
    public static final Slot EVERY = Slot.number("every", 1, 1, 1000);
    /** Drawings beside each other; 0 for about square. */
    public static final Slot COLUMNS = Slot.number("columns", 0, 0, 1000);
    public static final Slot MARGIN = Slot.number("margin", 0, 0, 1000), SPACING = Slot.number("spacing", 0, 0, 1000);
    /** How a page or a piece of one is packed. */
    public static final Slot PAGE_AS = Slot.choice("as", "folder", "one file", "ZIP"), EMBED_AS = Slot.choice("as", "element", "frame");
    public static final Slot PICTURES = Slot.choice("pictures", "as they are", "smaller");

    /** What stands in the head of a page; the piece's name where no title is given. */
    public static final Slot TITLE = Slot.text("title", Slot.Type.TEXT, ""), DESCRIPTION = Slot.text("description", Slot.Type.TEXT, ""),
            WORDS = Slot.text("words", Slot.Type.TEXT, "");
    /** Where the page will stand, by which others show it. */
    public static final Slot ADDRESS = Slot.text("address", Slot.Type.LINK, "");
    /** The moment whose picture others show of the page, of the scene that is opened first. */
    public static final Slot SHARED_AT = Slot.duration("sharedAt", 3);
    public static final Slot ICON = Slot.text("icon", Slot.Type.PICTURE, "");
    public static final Slot PAGE_GROUND = Slot.text("pageGround", Slot.Type.COLOR, "#FFFFFF");
    public static final Slot LOADING = Slot.choice("loading", "the first picture", "the ground alone");

    private static final List<LabelledSlot> SHOWN = List.of(s(SCENE, "Scene", ""), s(LAYOUT, "Layout", ""));
    public static final OutputKind PAGE = new OutputKind("page", "Web page", "Runs by a double click and on any host",
            List.of(s(PAGE_AS, "As", ""), s(PICTURES, "Pictures", ""), s(TITLE, "Title", ""), s(DESCRIPTION, "Description", ""),
            s(WORDS, "Key words", ""),
            s(ADDRESS, "Will stand at", ""), s(SHARED_AT, "Shared at", "s"), s(ICON, "Icon", ""), s(PAGE_GROUND, "Around it", ""),
            s(LOADING, "While it loads", "")));
    public static final OutputKind EMBED = new OutputKind("embed", "Embed piece", "To put into a page that is there already",
            List.of(s(EMBED_AS, "As", ""), s(SCENE, "Opens", ""), s(PICTURES, "Pictures", "")));
    public static final OutputKind FILM = new OutputKind("film", "Film", "A scene from its opening, as a video",
            List.of(s(FILM_FORMAT, "Format", ""), s(SCENES, "Scene", ""), s(LAYOUT, "Layout", ""), s(WIDTH, "Width", "px"), s(HEIGHT, "Height", "px"),
            s(AROUND, "Around it", ""), s(RATE, "Rate", "/s"), s(FROM, "From", "s"), s(UNTIL, "Until", "s"), s(FROM_MARKER, "From marker", ""),
            s(UNTIL_MARKER, "Until marker", ""), s(TIMES, "Times", ""), s(QUALITY, "Quality", ""), s(SOUND, "With sound", ""),
            s(CLEAR, "See-through (WebM)", "")));
    public static final OutputKind LOOP = new OutputKind("loop", "Loop", "A moving picture that begins again at its end",
            List.of(s(LOOP_FORMAT, "Format", ""), s(SCENE, "Scene", ""), s(LAYOUT, "Layout", ""), s(WIDTH, "Width", "px"), s(RATE, "Rate", "/s"),
            s(FROM, "From", "s"),
            s(UNTIL, "Until", "s"), s(FROM_MARKER, "From marker", ""), s(UNTIL_MARKER, "Until marker", ""), s(BACK, "There and back", ""),
            s(CLEAR, "See-through ground", ""), s(DITHER, "Mixed colours (GIF)", "")));
    public static final OutputKind FRAMES = new OutputKind("frames", "Still frames", "Pictures of chosen moments",
            List.of(s(FRAMES_FORMAT, "Format", ""), s(SCENE, "Scene", ""), s(LAYOUT, "Layout", ""), s(WHICH, "Which", ""), s(AT, "Moment", "s"),
            s(EVERY, "Every … frame", ""),
            s(FROM, "From", "s"), s(UNTIL, "Until", "s"), s(FROM_MARKER, "From marker", ""), s(UNTIL_MARKER, "Until marker", ""),
            s(WIDTH, "Width", "px"), s(CLEAR, "See-through ground", "")));
    public static final OutputKind SHEET = new OutputKind("sheet", "Sheet", "All frames on one picture, with their places as JSON",
            List.of(SHOWN.get(0), SHOWN.get(1), s(FROM, "From", "s"), s(UNTIL, "Until", "s"), s(FROM_MARKER, "From marker", ""),
            s(UNTIL_MARKER, "Until marker", ""), s(COLUMNS, "Columns", ""), s(MARGIN, "Margin", "px"), s(SPACING, "Spacing", "px"),
            s(WIDTH, "Width of one", "px")));
    public static final OutputKind SVG = new OutputKind("animated-svg", "Animated SVG", "One file that moves by itself, without script",
            List.of(SHOWN.get(0), SHOWN.get(1)));
    public static final OutputKind EXCHANGE = new OutputKind("exchange", "Exchange", "Timelines and elements as JSON, for other programs", List.of());

    public static final List<OutputKind> ALL = List.of(PAGE, EMBED, FILM, LOOP, FRAMES, SHEET, SVG, EXCHANGE);
    /** What a piece has as long as nobody said anything else. */
    public static final List<Output> USUAL = List.of(usual(PAGE), usual(EMBED), usual(FILM), usual(LOOP), usual(FRAMES));
    private static final Map<String, String> ENDINGS = Map.ofEntries(Map.entry("MP4", "mp4"), Map.entry("WebM", "webm"),
            Map.entry("WebM AV1", "webm"), Map.entry("GIF", "gif"), Map.entry("APNG", "png"), Map.entry("WebP", "webp"),
            Map.entry("AVIF", "avif"), Map.entry("PNG", "png"), Map.entry("SVG", "svg"), Map.entry("PDF", "pdf"));

    private Outputs() {}

    private static LabelledSlot s(Slot slot, String label, String unit) {
        return new LabelledSlot(slot, label, unit, "");
    }

    private static Output usual(OutputKind kind) {
        return kind.made("usual-" + kind.key(), kind.label());
    }

    /** Null when there is none. */
    public static OutputKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    /** How the file of an output ends, without a dot; empty for a folder. */
    public static String ending(Output o) {
        if (o.kind() == PAGE) {
            return o.text(PAGE_AS).equals("one file") ? "html" : o.text(PAGE_AS).equals("ZIP") ? "zip" : "";
        }
        return o.kind() == EMBED ? "" : o.kind() == SHEET ? "png" : o.kind() == SVG ? "svg" : o.kind() == EXCHANGE ? "json" : o.kind() == FRAMES
                && series(o) ? "" : ENDINGS.get(format(o));
    }

    /** Whether it is several pictures, in a folder. */
    public static boolean series(Output o) {
        return o.kind() == FRAMES && !o.text(WHICH).equals("one moment");
    }

    /** The word for the format of a film, a loop or pictures. */
    public static String format(Output o) {
        return o.kind() == FILM ? o.text(FILM_FORMAT) : o.kind() == LOOP ? o.text(LOOP_FORMAT) : o.text(FRAMES_FORMAT);
    }

    /** The ending of a format's files. */
    public static String endingOf(String format) {
        return ENDINGS.get(format);
    }

    /**
     * The name of its file or folder: the one that was given, or one after the piece. @param piece the name of the piece's file, without its ending,
     * or the piece's own
     */
    public static String file(String piece, Output o) {
        String ending = ending(o);
        if (!o.file().isEmpty()) {
            return o.file();
        }
        String name = o.name().equals(o.kind().label()) ? o.kind().key() : plain(o.name());
        return plain(piece) + "-" + name + (ending.isEmpty() ? "" : "." + ending);
    }

    private static String plain(String words) {
        String s = words.replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "").toLowerCase(Locale.ROOT);
        return s.isEmpty() ? "piece" : s.length() <= 60 ? s : s.substring(0, 60);
    }
}
