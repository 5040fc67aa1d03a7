package tundra.core.model;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/**
 * The table of properties. Adding one is an entry here, a line where it is painted ({@code frame.Marks}) and a line where it is
 * published ({@code web.Channels}).
 */
public final class Properties {
    private static final double FAR = 1e6;
    private static final List<Property<?>> TABLE = new ArrayList<>();

    private static final Predicate<Owner> ANY = o -> o instanceof Element;
    private static final Predicate<Owner> PAINTED = content(Content.Shape.class);
    private static final Predicate<Owner> TEXT = content(Content.Text.class);
    private static final Predicate<Owner> FILLED = PAINTED.or(TEXT);
    private static final Predicate<Owner> GROUP = content(Content.Group.class);
    private static final Predicate<Owner> SIZED = PAINTED.or(GROUP).or(content(Content.Picture.class)).or(content(Content.Block.class));
    private static final Predicate<Owner> CANVAS = o -> o instanceof Canvas;

    /** Where the pivot stands in the parent. */
    public static final Property<Point> POSITION =
            add("position", "Position", ValueType.PAIR, "px", 1, List.of("x", "y"), -FAR, FAR, Point.ZERO, ANY);
    public static final Property<Point> SIZE =
            add("size", "Size", ValueType.PAIR, "px", 1, List.of("w", "h"), 0, FAR, new Point(100, 100), SIZED);
    public static final Property<Point> SCALE =
            add("scale", "Scale", ValueType.PAIR, "%", 100, List.of("x", "y"), -1000, 1000, new Point(1, 1), ANY);
    public static final Property<Double> ROTATION =
            add("rotation", "Rotation", ValueType.NUMBER, "°", 1, List.of("°"), -FAR, FAR, 0.0, ANY);
    /** As a fraction of the element's box. */
    public static final Property<Point> PIVOT =
            add("pivot", "Pivot", ValueType.PAIR, "%", 100, List.of("x", "y"), -100, 100, new Point(0.5, 0.5), ANY);
    public static final Property<Double> OPACITY =
            add("opacity", "Opacity", ValueType.NUMBER, "%", 100, List.of("%"), 0, 1, 1.0, ANY);
    public static final Property<Paint> FILL =
            add("fill", "Fill", ValueType.PAINT, "", 1, List.of("r", "g", "b", "a"), 0, 255, Color.NONE, FILLED);
    public static final Property<Paint> STROKE =
            add("stroke", "Stroke", ValueType.PAINT, "", 1, List.of("r", "g", "b", "a"), 0, 255, Color.NONE, PAINTED);
    public static final Property<Double> STROKE_WIDTH =
            add("strokeWidth", "Stroke width", ValueType.NUMBER, "px", 1, List.of("px"), 0, 10_000, 1.0, PAINTED);
    public static final Property<Double> CORNER_RADIUS = add("cornerRadius", "Corner radius", ValueType.NUMBER, "px", 1, List.of("px"),
            0, 100_000, 0.0, content(Content.Rectangle.class));
    public static final Property<Color> BACKGROUND =
            add("background", "Canvas", ValueType.COLOR, "", 1, List.of("r", "g", "b", "a"), 0, 255, Color.WHITE, CANVAS);

    public static final Property<String> STROKE_ENDS = choice("strokeEnds", "Ends", PAINTED, "butt", "round", "square");
    public static final Property<String> STROKE_JOINS = choice("strokeJoins", "Joins", PAINTED, "miter", "round", "bevel");
    /** Length of a dash; 0 draws the stroke through. */
    public static final Property<Double> DASH =
            add("dash", "Dash", ValueType.NUMBER, "px", 1, List.of("px"), 0, 100_000, 0.0, PAINTED);
    public static final Property<Double> GAP = add("gap", "Gap", ValueType.NUMBER, "px", 1, List.of("px"), 0, 100_000, 6.0, PAINTED);
    public static final Property<Double> DASH_OFFSET =
            add("dashOffset", "Dash offset", ValueType.NUMBER, "px", 1, List.of("px"), -FAR, FAR, 0.0, PAINTED);
    /** From which fraction of each contour's length to which its stroke is drawn. */
    public static final Property<Point> REVEAL = add("reveal", "Stroke reveal", ValueType.PAIR, "%", 100, List.of("from", "to"), 0, 1,
            new Point(0, 1), PAINTED);

    /** Slant along x and along y, after turning and scaling as in CSS. */
    public static final Property<Point> SKEW =
            add("skew", "Skew", ValueType.PAIR, "°", 1, List.of("x", "y"), -89, 89, Point.ZERO, ANY);
    /** Between letters. */
    public static final Property<Double> LETTER_SPACING = add("letterSpacing", "Letter spacing", ValueType.NUMBER, "px", 1, List.of("px"),
            -1000, 1000, 0.0, TEXT);
    /** The form of a path while it changes, in the box of its content; where it has no keys the content's own outline holds. */
    public static final Property<Outline> OUTLINE = add("outline", "Outline", ValueType.OUTLINE, "", 1, List.of("px²"), -FAR, FAR,
            new Outline(List.of()), content(Content.Path.class));
    /** The position split into its two numbers, each with keys of its own; in place of the position's keys. */
    public static final Property<Double> POSITION_X =
            add("positionX", "Position x", ValueType.NUMBER, "px", 1, List.of("px"), -FAR, FAR, 0.0, ANY);
    public static final Property<Double> POSITION_Y =
            add("positionY", "Position y", ValueType.NUMBER, "px", 1, List.of("px"), -FAR, FAR, 0.0, ANY);
    /** Whether the element turns with its motion path; its rotation is added. */
    public static final Property<String> FACE_PATH = choice("facePath", "Face path", ANY, "no", "yes");
    /** The angle of the art that looks ahead on the path. */
    public static final Property<Double> FRONT =
            add("front", "Front looks to", ValueType.NUMBER, "°", 1, List.of("°"), -360, 360, 0.0, ANY);
    /** Seen or not; what isn't seen catches no pointer either. */
    public static final Property<String> SHOWN = choice("shown", "Shown", ANY, "yes", "no");
    /** What becomes of what a group holds outside of its size. */
    public static final Property<String> OVERFLOW = choice("overflow", "Overflow", GROUP, "shown", "clipped");
    public static final Property<Double> FONT_SIZE =
            add("fontSize", "Text size", ValueType.NUMBER, "px", 1, List.of("px"), 0.1, 10_000, 24.0, TEXT);
    public static final Property<Double> FONT_WEIGHT =
            add("fontWeight", "Weight", ValueType.STEP, "", 1, List.of(""), 100, 900, 400.0, TEXT);
    /** A multiple of the text size. */
    public static final Property<Double> LINE_HEIGHT =
            add("lineHeight", "Line height", ValueType.NUMBER, "×", 1, List.of("×"), 0.1, 10, 1.2, TEXT);
    /** The width at which lines break at spaces; 0 breaks at line ends only. */
    public static final Property<Double> WRAP = add("wrap", "Wrap width", ValueType.NUMBER, "px", 1, List.of("px"), 0, FAR, 0.0, TEXT);
    public static final Property<String> TEXT_ALIGN = choice("textAlign", "Alignment", TEXT, "left", "centre", "right");
    /** How an element is laid over what lies behind it, as in CSS. */
    public static final Property<String> BLEND = choice("blend", "Blend mode", ANY, "normal", "multiply", "screen", "overlay", "darken", "lighten",
            "color-dodge",
            "color-burn", "hard-light", "soft-light", "difference", "exclusion", "hue", "saturation", "color", "luminosity", "plus-lighter");
    /** Whether what a group or a motif holds blends only with each other. */
    public static final Property<String> ISOLATE = choice("isolate", "Isolate", GROUP.or(content(Content.Instance.class))
            .or(content(Flipbook.class)), "no", "yes");

    /** What the pointer looks like over it. */
    public static final Property<String> CURSOR = choice("cursor", "Cursor", ANY, "auto", "pointer", "default", "grab", "grabbing", "move", "text",
            "crosshair", "zoom-in", "help",
            "wait", "not-allowed", "none");

    // of effects
    public static final Property<Point> BLUR = add("blur", "Blur", ValueType.PAIR, "px", 1, List.of("x", "y"), 0, 1000, new Point(4, 4),
            effect(EffectKind.BLUR));
    public static final Property<Double> BRIGHTNESS =
            add("brightness", "Brightness", ValueType.NUMBER, "%", 100, List.of("%"), 0, 100, 1.0, effect(EffectKind.BRIGHTNESS));
    public static final Property<Double> CONTRAST =
            add("contrast", "Contrast", ValueType.NUMBER, "%", 100, List.of("%"), 0, 1000, 1.0, effect(EffectKind.CONTRAST));
    public static final Property<Double> SATURATION =
            add("saturation", "Saturation", ValueType.NUMBER, "%", 100, List.of("%"), 0, 100, 1.0, effect(EffectKind.SATURATION));
    public static final Property<Double> HUE = add("hue", "Hue turn", ValueType.NUMBER, "°", 1, List.of("°"), -FAR, FAR, 0.0, effect(EffectKind.HUE));
    public static final Property<Double> INVERT = add("invert", "Invert", ValueType.NUMBER, "%", 100, List.of("%"), 0, 1, 1.0,
            effect(EffectKind.INVERT));
    public static final Property<Quad> SLOPE = add("slope", "Slope", ValueType.QUAD, "", 1, List.of("r", "g", "b", "a"), -1000, 1000, Quad.ONE,
            effect(EffectKind.CHANNELS));
    public static final Property<Quad> OFFSET = add("offset", "Offset", ValueType.QUAD, "", 1, List.of("r", "g", "b", "a"), -1000, 1000, Quad.ZERO,
            effect(EffectKind.CHANNELS));
    public static final Property<Color> TINT = add("tint", "Colour", ValueType.COLOR, "", 1, List.of("r", "g", "b", "a"), 0, 255,
            Color.parse("#DB7A22"), effect(EffectKind.TINT));
    public static final Property<Double> TINT_AMOUNT =
            add("tintAmount", "Amount", ValueType.NUMBER, "%", 100, List.of("%"), 0, 1, 1.0, effect(EffectKind.TINT));
    public static final Property<Point> SHADOW_OFFSET = add("shadowOffset", "Offset", ValueType.PAIR, "px", 1, List.of("x", "y"), -10_000, 10_000,
            new Point(4, 6),
            effect(EffectKind.DROP_SHADOW, EffectKind.INNER_SHADOW));
    public static final Property<Double> SHADOW_BLUR = add("shadowBlur", "Blur", ValueType.NUMBER, "px", 1, List.of("px"), 0, 1000, 6.0,
            effect(EffectKind.DROP_SHADOW, EffectKind.INNER_SHADOW));
    public static final Property<Color> SHADOW_COLOR = add("shadowColor", "Colour", ValueType.COLOR, "", 1, List.of("r", "g", "b", "a"), 0, 255,
            Color.parse("#1D292680"),
            effect(EffectKind.DROP_SHADOW, EffectKind.INNER_SHADOW, EffectKind.LONG_SHADOW));
    /** Clockwise from the right. */
    public static final Property<Double> LONG_DIRECTION =
            add("longDirection", "Direction", ValueType.NUMBER, "°", 1, List.of("°"), -FAR, FAR, 45.0, effect(EffectKind.LONG_SHADOW));
    public static final Property<Double> LONG_LENGTH =
            add("longLength", "Length", ValueType.NUMBER, "px", 1, List.of("px"), 0, 2000, 80.0, effect(EffectKind.LONG_SHADOW));
    /** How much of its opacity it has lost at its end. */
    public static final Property<Double> LONG_FADE = add("longFade", "Fade", ValueType.NUMBER, "%", 100, List.of("%"), 0, 1, 1.0,
            effect(EffectKind.LONG_SHADOW));
    /** What of it catches the pointer on the page. */
    /** As what a text is read out: a heading of one of three levels below the piece's title, or plain words. */
    public static final Property<String> HEADING = choice("heading", "Heading", TEXT, "none", "first", "second", "third");
    public static final Property<String> TOUCH = choice("touch", "Touch", ANY, "what is seen", "its whole box", "lets through");
    /**
     * At which share of the page's scrolling an element goes along while its scene stands: 1 as fast as the page, 0 not at all, below 0 the other
     * way.
     */
    public static final Property<Double> PARALLAX = add("parallax", "Parallax", ValueType.NUMBER, "%", 100, List.of("%"), -3, 3, 0.0, ANY);

    // how an element follows its parent's size, along one axis and the other
    public static final Property<String> TIE_X = choice("tieX", "Tied across", ANY, "left", "middle", "right", "both sides");
    /** Whether the distance to the left, or of the middle, is in px or goes with the parent's width. */
    public static final Property<String> LEFT_IN = choice("leftIn", "Left in", ANY, "px", "%");
    public static final Property<String> WIDTH_IN = choice("widthIn", "Width in", ANY, "px", "%");
    public static final Property<String> RIGHT_IN = choice("rightIn", "Right in", ANY, "px", "%");
    public static final Property<String> TIE_Y = choice("tieY", "Tied down", ANY, "top", "middle", "bottom", "both sides");
    public static final Property<String> TOP_IN = choice("topIn", "Top in", ANY, "px", "%");
    public static final Property<String> HEIGHT_IN = choice("heightIn", "Height in", ANY, "px", "%");
    public static final Property<String> BOTTOM_IN = choice("bottomIn", "Bottom in", ANY, "px", "%");
    /** Whether its way travels with it, or goes with the parent's size. */
    public static final Property<String> WAY_IN = choice("wayIn", "Way in", ANY, "px", "%");
    /** What becomes of its art in a box of another size. */
    public static final Property<String> RESIZE = choice("resize", "Resize", ANY, "stretch", "keep", "contain", "cover");
    /** The point of the art that stays at the same point of the box, where it isn't stretched. */
    public static final Property<Point> RESIZE_POINT = add("resizePoint", "Fixed point", ValueType.PAIR, "%", 100, List.of("x", "y"), 0, 1,
            new Point(0.5, 0.5), ANY);
    /** Whether a text keeps its size, or goes with the width of the scene as a whole. */
    public static final Property<String> SIZE_IN = choice("sizeIn", "Size in", TEXT, "px", "%");
    /** The least size of a text that goes with the width, in px of its letters; 0 for none. */
    public static final Property<Double> SIZE_LEAST = add("sizeLeast", "At least", ValueType.NUMBER, "px", 1, List.of("px"), 0, 10_000, 0.0, TEXT);
    /** The greatest size of a text that goes with the width, in px of its letters; 0 for none. */
    public static final Property<Double> SIZE_MOST = add("sizeMost", "At most", ValueType.NUMBER, "px", 1, List.of("px"), 0, 10_000, 0.0, TEXT);
    public static final List<Property<?>> TIES = List.of(TIE_X, LEFT_IN, WIDTH_IN, RIGHT_IN, TIE_Y, TOP_IN, HEIGHT_IN, BOTTOM_IN, WAY_IN, RESIZE,
            RESIZE_POINT, SIZE_IN, SIZE_LEAST, SIZE_MOST);

    /** How high a scene is where its room is another than drawn. */
    public static final Property<String> SCENE_HEIGHT = choice("sceneHeight", "Height", CANVAS, "as drawn", "with the width", "the window's",
            "its content's");
    /** What becomes of what goes over a scene's sides. */
    public static final Property<String> SCENE_OVERFLOW = choice("sceneOverflow", "Overflow", CANVAS, "clipped", "scrolls");
    /** What becomes of a whole scene in its window; {@code follow}: what is tied follows, and the piece's page says the rest. */
    public static final Property<String> SCENE_RESIZE = choice("sceneResize", "Resize", CANVAS, "follow", "keep", "stretch", "contain", "cover");
    /** The point of the scene that stays at the same point of the window. */
    public static final Property<Point> SCENE_POINT = add("scenePoint", "Fixed point", ValueType.PAIR, "%", 100, List.of("x", "y"), 0, 1,
            new Point(0.5, 0.5), CANVAS);
    /** How a scene follows its room. */
    public static final List<Property<?>> ROOM = List.of(SCENE_HEIGHT, SCENE_OVERFLOW, SCENE_RESIZE, SCENE_POINT);

    /** What is keyed but has no resting value of its own: it is part of another property or of the content. */
    private static final List<Property<?>> KEYS_ONLY = List.of(OUTLINE, POSITION_X, POSITION_Y);
    /** What is never keyed: it holds at all times. */
    private static final Set<Property<?>> REST_ONLY = Stream.of(List.of(ISOLATE, CURSOR, HEADING, TOUCH, PARALLAX), TIES, ROOM).flatMap(List::stream)
            .collect(Collectors.toUnmodifiableSet());
    /** Where an element stands and how it lies there, whatever it looks like. */
    public static final List<Property<?>> PLACING = List.of(POSITION, ROTATION, SCALE, SKEW, PIVOT, FACE_PATH, FRONT);
    /** What texts keep at rest in their content, as files do. */
    public static final List<Property<?>> OF_TEXT = List.of(FONT_SIZE, FONT_WEIGHT, LINE_HEIGHT, WRAP, TEXT_ALIGN);

    public static final List<Property<?>> ALL = List.copyOf(TABLE);
    private static final Map<String, Property<?>> BY_KEY = ALL.stream().collect(Collectors.toMap(Property::key, Function.identity()));

    private Properties() {}

    private static Predicate<Owner> content(Class<? extends Content> type) {
        return o -> o instanceof Element e && type.isInstance(e.content());
    }

    private static Predicate<Owner> effect(EffectKind... kinds) {
        List<EffectKind> of = List.of(kinds);
        return o -> o instanceof Effect e && of.contains(e.kind());
    }

    private static Property<String> choice(String key, String label, Predicate<Owner> appliesTo, String... options) {
        return add(key, label, new ValueType.ChoiceType(List.of(options)), "", 1, List.of(""), 0, options.length - 1, options[0], appliesTo);
    }

    private static <T> Property<T> add(String key, String label, ValueType<T> type, String unit, double shown, List<String> parts,
            double min, double max, T standard, Predicate<Owner> appliesTo) {
        var p = new Property<>(TABLE.size(), key, label, type, unit, shown, parts, min, max, standard, appliesTo);
        TABLE.add(p);
        return p;
    }

    /** The property of a file key; null when there is none. */
    public static Property<?> byKey(String key) {
        return BY_KEY.get(key);
    }

    /** Whether a property is there only as keys and has no resting value to show or change. */
    public static boolean keysOnly(Property<?> p) {
        return KEYS_ONLY.contains(p);
    }

    /** Whether a property can be keyed. */
    public static boolean keyed(Property<?> p) {
        return !REST_ONLY.contains(p);
    }

    /** What an owner rests with. */
    public static List<Property<?>> of(Owner owner) {
        return ALL.stream().filter(p -> p.appliesTo(owner) && !keysOnly(p)).toList();
    }

    /** What all of some owners, at least one, rest with. */
    public static List<Property<?>> common(Collection<? extends Owner> owners) {
        var out = new ArrayList<>(of(owners.iterator().next()));
        owners.forEach(o -> out.removeIf(p -> !p.appliesTo(o)));
        return out;
    }
}
