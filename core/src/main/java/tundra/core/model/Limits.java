package tundra.core.model;

/** The bounds of a document and of the files that hold one. */
public final class Limits {
    public static final int SCHEMA = 2;
    public static final String MIME = "application/x-tundra";
    /** Entries of the zip. */
    public static final int ENTRIES = 10_000;
    /** Bytes of one entry that is stored as it is, of one that is packed, and of all. */
    public static final long ENTRY_BYTES = 512L << 20;
    public static final long PACKED_BYTES = 256L << 20;
    public static final long ALL_BYTES = 1L << 30;
    /** Groups in groups. */
    public static final int NESTING = 200;
    /** Nesting of the JSON. A group takes two levels, a drawing of a flipbook four. */
    public static final int DEPTH = 4 * NESTING + 50;
    public static final int ELEMENTS = 100_000;
    /** Of one element. */
    public static final int EFFECTS = 50;
    /** Elements that a place shows, those of its motifs as often as they stand there; and motifs in motifs. */
    public static final int SHOWN = 100_000;
    public static final int MOTIF_DEPTH = 100;
    /** Of one scene. */
    public static final int LAYOUTS = 100;
    public static final int NODES = 2_000_000;
    public static final int KEYS = 2_000_000;
    public static final int TEXT_CHARS = 100_000;
    /** Pixels of a picture or a canvas along one side, and of a whole picture. */
    public static final int SIDE = 16_384;
    public static final long PIXELS = 100_000_000;
    public static final double LENGTH = 1e6;
    /** One day, in µs. */
    public static final long TIME = 86_400_000_000L;

    private Limits() {}
}
