package tundra.core.model;

import java.util.List;

/** The table of what is made of pieces besides their page; the command line reads it. What writes one is in {@code render.Filming}. */
public final class Outputs {
    public static final Slot FILM_FORMAT = Slot.choice("format", "MP4", "WebM", "WebM AV1"), LOOP_FORMAT = Slot.choice("format", "GIF", "APNG", "WebP");
    /** In px; 0 as drawn. The height follows. */
    public static final Slot WIDTH = Slot.number("width", 0, 0, Limits.SIDE);
    /** Pictures a second; 0 the piece's own. */
    public static final Slot RATE = Slot.number("rate", 0, 0, 120);
    public static final Slot FROM = Slot.duration("from", 0);
    /** 0 for the end of Main. */
    public static final Slot UNTIL = Slot.duration("until", 0);
    public static final Slot TIMES = Slot.number("times", 1, 1, 1000);
    public static final Slot QUALITY = Slot.choice("quality", "good", "small", "best");
    /** Whether what lies behind the canvas is seen through it. */
    public static final Slot CLEAR = Slot.choice("clear", "no", "yes");
    public static final Slot BACK = Slot.choice("back", "no", "yes");
    public static final Slot DITHER = Slot.choice("dither", "no", "yes");

    public static final OutputKind FILM = new OutputKind("film", "Film", "A scene from its opening, as a video", List.of(s(FILM_FORMAT, "Format", ""), s(WIDTH, "Width", "px"), s(RATE, "Rate", "/s"), s(FROM, "From", "s"), s(UNTIL, "Until", "s"),
            s(TIMES, "Times", ""), s(QUALITY, "Quality", ""), s(CLEAR, "See-through ground (WebM)", "")));
    public static final OutputKind LOOP = new OutputKind("loop", "Loop", "A moving picture that begins again at its end", List.of(s(LOOP_FORMAT, "Format", ""), s(WIDTH, "Width", "px"), s(RATE, "Rate", "/s"), s(FROM, "From", "s"), s(UNTIL, "Until", "s"),
            s(BACK, "There and back", ""), s(CLEAR, "See-through ground", ""), s(DITHER, "Mixed colours (GIF)", "")));

    public static final List<OutputKind> ALL = List.of(FILM, LOOP);

    private Outputs() {}

    private static LabelledSlot s(Slot slot, String label, String unit) {
        return new LabelledSlot(slot, label, unit, "");
    }
}
