package tundra.core.edit;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import tundra.core.geometry.Numbers;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.Marker;
import tundra.core.model.Paint;
import tundra.core.model.Project;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.model.ValueType;
import tundra.core.motion.EasingText;

/** What the sentences of reactions say, in words. */
public final class Sentences {
    private final Project project;
    private final Board board;
    private final Reach reach;

    public Sentences(Project project, Board board) {
        this(project, board, Reach.PLACE);
    }

    /** @param open the board that is open, whose things are named where the reach is its place */
    public Sentences(Project project, Board open, Reach reach) {
        this.project = project;
        board = reach.board(open);
        this.reach = reach;
    }

    /** A whole sentence. */
    public String of(SentenceKind kind, Slots slots) {
        return kind.parts().stream().map(p -> p.slot() == null ? reach.words(p.words()) : word(p.slot(), slots.get(p.slot())))
                .collect(Collectors.joining(" "));
    }

    /**
     * A piece of a sentence.
     *
     * @param noun whether it stands in a slot, so that something else could stand there
     */
    public record Phrase(String words, boolean noun) {}

    /**
     * A whole sentence in its pieces.
     *
     * @param language gives a sentence, its slots between braces, in the words of another language
     */
    public List<Phrase> phrases(SentenceKind kind, Slots slots, UnaryOperator<String> language) {
        return kind.parts(language.apply(reach.words(kind.sentence()))).stream().map(p -> p.slot() == null ? new Phrase(p.words(), false)
                : new Phrase(word(p.slot(), slots.get(p.slot())), true)).toList();
    }

    /** What stands in a slot. */
    public String word(Slot s, Object v) {
        return switch (s.type()) {
            case ELEMENT -> element((String) v);
            case ELEMENTS -> v.equals(List.of(Slot.EVERYTHING)) ? "every part" : elements((List<?>) v);
            case PLAYER -> v.equals(Slot.EVERYTHING) ? "everything" : board.timeline((String) v) instanceof Timeline t
                    ? t.name() : element((String) v);
            case TIMELINE -> board.timeline((String) v) instanceof Timeline t ? t.name() : "?";
            case MARKER -> marker(board, (String) v) instanceof Marker m ? m.name() : "?";
            case MOTIF_MARKER -> Motifs.marker(project, (String) v) instanceof Marker m ? m.name() : "?";
            case TIME, DURATION -> TimeText.seconds((Long) v);
            case NUMBER -> Numbers.plain((Double) v, 4);
            case LAYOUT -> v.equals(Slot.DRAWN) ? "as drawn" : layout((String) v);
            case SCENE -> project.scene((String) v) instanceof Scene x ? x.name() : "?";
            case VALUE -> project.value((String) v) == null ? "?" : project.value((String) v).name();
            case SCRIPT -> project.script((String) v) == null ? "?" : project.script((String) v).name() + "()";
            case SOUND -> project.assets().get((String) v) instanceof Asset a ? a.title() : "?";
            case EASING -> easing((String) v);
            case SETTING, CHANGE -> setting((Setting) v);
            case TEXT -> "“" + v + "”";
            case CONTENT -> number((String) v) ? (String) v : "“" + v + "”";
            case PICTURE, VIDEO, FILE -> project.assets().get((String) v) instanceof Asset a ? a.title() : "?";
            case TRANSITION -> transition((String) v);
            case MAP_PLACE -> v.equals("") ? "a place" : (String) v;
            default -> String.valueOf(v);
        };
    }

    /** Such as “with a push to the left in 0.5 s”. */
    public static String transition(String text) {
        Transition t = Transition.parse(text);
        return t == null ? "as it comes" : t.kind() == Transition.Kind.CUT ? "at once" : "with a " + t.kind().word
                + (t.kind().moves() ? " to the " + t.side().word().replaceFirst("^up$", "top").replaceFirst("^down$", "bottom") : "") + " in "
                + TimeText.seconds(t.time());
    }

    private String layout(String id) {
        return project.places().stream().flatMap(p -> p.board().layouts().stream()).filter(l -> l.id().equals(id)).map(Layout::name).findFirst()
                .orElse("?");
    }

    private static boolean number(String text) {
        return text.matches("-?\\d+(\\.\\d+)?");
    }

    private String element(String id) {
        return Reactions.element(board, id) instanceof Element e ? e.called() : "?";
    }

    private String elements(List<?> ids) {
        return ids.size() > 3 ? ids.size() + " elements" : ids.stream().map(x -> element((String) x)).collect(Collectors.joining(", "));
    }

    /** A marker of any timeline; null when there is none. */
    public static Marker marker(Board b, String id) {
        return b.timelines().stream().flatMap(t -> t.markers().stream()).filter(m -> m.id().equals(id)).findFirst().orElse(null);
    }

    /** The timeline that a marker is on; null when there is none. */
    public static Timeline timelineOf(Board b, String marker) {
        return b.timelines().stream().filter(t -> t.markers().stream().anyMatch(m -> m.id().equals(marker))).findFirst().orElse(null);
    }

    private static String easing(String text) {
        String name = EasingText.parse(text).text();
        return name.startsWith("cubic-bezier") ? "eased" : name;
    }

    /** Such as “opacity 50 %”. */
    public static String setting(Setting s) {
        return s.property().label().toLowerCase(Locale.ROOT) + " " + value(s.property(), s.value());
    }

    @SuppressWarnings("unchecked")
    private static <T> String value(Property<T> p, Object v) {
        if (v instanceof String || v instanceof Color) {
            return v instanceof Color c ? c.hex() : (String) v;
        }
        if (p.type() == ValueType.PAINT || p.type() == ValueType.OUTLINE) {
            return v instanceof Paint x ? x.main().hex() : "";
        }
        double[] parts = p.type().parts((T) v);
        return Arrays.stream(parts).mapToObj(x -> Numbers.plain(x * p.shown(), 3)).collect(Collectors.joining(", "))
                + (p.unit().isEmpty() ? "" : " " + p.unit());
    }
}
