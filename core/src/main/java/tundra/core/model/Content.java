package tundra.core.model;

import java.util.List;
import java.util.Locale;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** What an element is. */
public sealed interface Content {

    /** Resting values with those that this content keeps itself, such as the size of a text. */
    default Values kept(Values rest) {
        return rest;
    }

    /** This content as values say of what it keeps. */
    default Content with(Values v) {
        return this;
    }

    /** Has a fill, a stroke and a size. */
    sealed interface Shape extends Content {}

    record Rectangle() implements Shape {}

    record Ellipse() implements Shape {}

    /**
     * A regular polygon in the ellipse that fills its box, its first corner at the top; a star when the corners between, at
     * {@code inner} times the way out, differ from those of the polygon.
     *
     * @param points 3 to 100 corners; a star has as many again between them
     * @param inner 0 to 1; 1 makes the plain polygon
     */
    record Polygon(int points, double inner) implements Shape {
        public Polygon {
            points = Math.max(3, Math.min(100, points));
            inner = Double.isFinite(inner) ? Math.max(0, Math.min(1, inner)) : 1;
        }
    }

    /**
     * An outline that lies in the box (0, 0)–{@code box}; the size property stretches it from there.
     *
     * @param evenOdd filled by the even-odd rule rather than by the non-zero rule
     */
    record Path(Outline outline, Point box, boolean evenOdd) implements Shape {
        public Path(Outline outline, Point box) {
            this(outline, box, false);
        }
    }

    /**
     * Lines of text.
     *
     * @param size in px
     * @param lineHeight a multiple of the size
     * @param spacing between letters, in px
     * @param wrap the width at which lines break at spaces, in px; 0 breaks at line ends only
     */
    record Text(String text, String family, int weight, double size, Align align, double lineHeight, double spacing, double wrap)
            implements Content {
        /** Free of a width, with the font's own letter distances. */
        public Text(String text, String family, int weight, double size, Align align, double lineHeight) {
            this(text, family, weight, size, align, lineHeight, 0, 0);
        }

        @Override
        public Values kept(Values rest) {
            return rest.keeping(Properties.FONT_SIZE, size).keeping(Properties.FONT_WEIGHT, (double) weight).keeping(Properties.LINE_HEIGHT,
                    lineHeight)
                    .keeping(Properties.WRAP, wrap).keeping(Properties.TEXT_ALIGN, align.word());
        }

        @Override
        public Text with(Values v) {
            var t = new Text(text, family, v.has(Properties.FONT_WEIGHT) ? v.get(Properties.FONT_WEIGHT).intValue() : weight,
                    v.has(Properties.FONT_SIZE) ? v.get(Properties.FONT_SIZE) : size, v.has(Properties.TEXT_ALIGN)
                    ? Align.of(v.get(Properties.TEXT_ALIGN)) : align,
                    v.has(Properties.LINE_HEIGHT) ? v.get(Properties.LINE_HEIGHT) : lineHeight, spacing, v.has(Properties.WRAP)
                    ? v.get(Properties.WRAP) : wrap);
            return t.equals(this) ? this : t;
        }

        public Text withFamily(String f) {
            return new Text(text, f, weight, size, align, lineHeight, spacing, wrap);
        }

        public Text withText(String t) {
            return new Text(t, family, weight, size, align, lineHeight, spacing, wrap);
        }

        public Text withFace(String f, int w) {
            return new Text(text, f, w, size, align, lineHeight, spacing, wrap);
        }

        public Text withSize(double s) {
            return new Text(text, family, weight, s, align, lineHeight, spacing, wrap);
        }

        public Text withAlign(Align a) {
            return new Text(text, family, weight, size, a, lineHeight, spacing, wrap);
        }

        public Text withLineHeight(double h) {
            return new Text(text, family, weight, size, align, h, spacing, wrap);
        }

        public Text withSpacing(double s) {
            return new Text(text, family, weight, size, align, lineHeight, s, wrap);
        }

        public Text withWrap(double w) {
            return new Text(text, family, weight, size, align, lineHeight, spacing, w);
        }
    }

    /** A picture of the shelf, by its content hash. */
    record Picture(String asset) implements Content {}

    /**
     * A motif as it is placed.
     *
     * @param motif its id
     * @param box the size of the motif's canvas, which it is handled by
     */
    record Instance(String motif, Point box, Clock clock) implements Content {
        public Instance withClock(Clock c) {
            return new Instance(motif, box, c);
        }
    }

    /** Holds other elements. */
    sealed interface Parent extends Content permits Group, Flipbook, Block {
        List<Element> children();

        Parent withChildren(List<Element> children);

        /** The width and height of its own coordinates that it is handled by. */
        Point box();

        Parent withBox(Point box);
    }

    /**
     * Children from back to front, in a box of its own.
     *
     * @param clip in its coordinates hides what lies outside; null hides nothing
     * @param scatter how its instances were placed by lot; null for any other group
     */
    record Group(List<Element> children, Point box, Outline clip, Scatter scatter) implements Parent {
        public Group {
            children = List.copyOf(children);
        }

        public Group(List<Element> children, Point box, Outline clip) {
            this(children, box, clip, null);
        }

        public Group(List<Element> children, Point box) {
            this(children, box, null, null);
        }

        @Override
        public Values kept(Values rest) {
            return rest.keeping(Properties.SIZE, box);
        }

        @Override
        public Group with(Values v) {
            return v.has(Properties.SIZE) && !v.get(Properties.SIZE).equals(box) ? withBox(v.get(Properties.SIZE)) : this;
        }

        @Override
        public Group withChildren(List<Element> c) {
            return new Group(c, box, clip, scatter);
        }

        @Override
        public Group withBox(Point b) {
            return new Group(children, b, clip, scatter);
        }
    }

    /**
     * A ready-made part.
     *
     * @param settings of its kind
     * @param children the items of a gallery, in their order; none for anything else
     */
    record Block(BlockKind kind, Slots settings, List<Element> children, Point box) implements Parent {
        public Block {
            children = List.copyOf(children);
        }

        public Object get(Slot s) {
            return settings.get(s);
        }

        public String text(Slot s) {
            return (String) settings.get(s);
        }

        public double number(Slot s) {
            return (Double) settings.get(s);
        }

        /** Whether a choice of yes and no says yes. */
        public boolean is(Slot s) {
            return "yes".equals(settings.get(s));
        }

        public Block with(Slots to) {
            return to == settings ? this : new Block(kind, to, children, box);
        }

        public Block with(Slot s, Object value) {
            return with(settings.with(s, value));
        }

        @Override
        public Values kept(Values rest) {
            return rest.keeping(Properties.SIZE, box);
        }

        @Override
        public Block with(Values v) {
            return v.has(Properties.SIZE) && !v.get(Properties.SIZE).equals(box) ? withBox(v.get(Properties.SIZE)) : this;
        }

        @Override
        public Block withChildren(List<Element> c) {
            return new Block(kind, settings, c, box);
        }

        @Override
        public Block withBox(Point b) {
            return new Block(kind, settings, children, b);
        }
    }

    /** How lines of text stand to each other. */
    enum Align {
        LEFT, CENTRE, RIGHT;

        /** As it is written in values and files. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        public static Align of(String word) {
            return valueOf(word.toUpperCase(Locale.ROOT));
        }
    }

    /** The word for it in the interface. */
    default String word() {
        return switch (this) {
            case Rectangle r -> "rectangle";
            case Ellipse e -> "ellipse";
            case Polygon p -> "polygon";
            case Path p -> "path";
            case Text t -> "text";
            case Picture p -> "picture";
            case Group g -> "group";
            case Flipbook f -> "flipbook";
            case Block b -> b.kind().word();
            case Instance i -> "instance";
        };
    }
}
