package tundra.web;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.TextLayout;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Track;

/**
 * How a text is set. Where any of it is keyed the player sets the lines as {@link TextLayout} does, from measures that are published with
 * them: the width of each line in px per px of text size, and all ways in which the lines break while the wrap width moves.
 */
final class TextChannel implements Channel {
    /** Letters that are spaced neither join nor change with their neighbours, in every browser. */
    static final String APART = "\"liga\" 0,\"clig\" 0,\"calt\" 0,\"dlig\" 0,\"hlig\" 0";
    /** Lines are measured in this size. */
    private static final double MEASURED = 100;
    /** Of ways to break the lines. */
    private static final int MOST = 500;
    private static final List<Property<?>> SET = List.of(Properties.FONT_SIZE, Properties.FONT_WEIGHT, Properties.LINE_HEIGHT, Properties.WRAP,
            Properties.TEXT_ALIGN, Properties.LETTER_SPACING);

    @Override
    public List<Property<?>> of() {
        return SET;
    }

    @Override
    public boolean movesBox() {
        return true;
    }

    /** Whether any of how a text is set is keyed. */
    static boolean moves(Board board, Element e) {
        return SET.stream().anyMatch(p -> Keyed.any(board, e.id(), p));
    }

    /** The text as it rests. */
    static Content.Text rest(PageElement e) {
        return (Content.Text) ElementPaint.resolved(e.content(), e.element().rest());
    }

    /** The weights that a text rests or is keyed to. */
    static TreeSet<Integer> weights(PageElement e) {
        var out = new TreeSet<>(List.of(rest(e).weight()));
        for (Timeline t : e.board().timelines()) {
            Track<Double> track = t.track(e.id(), Properties.FONT_WEIGHT);
            if (track != null) {
                track.keys().forEach(k -> out.add(k.value().intValue()));
            }
        }
        return out;
    }

    /** The most lines that it ever has. */
    static int lines(PageElement e) {
        return ways(e).stream().mapToInt(w -> w.lines().length).max().orElse(0);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        var t = rest(e);
        css.put(e.box().shape(), "font", t.weight() + " " + CssText.px(t.size()) + " '" + PageCompiler.family(t.family(), t.weight()) + "'");
        if (t.spacing() != 0) {
            css.put(e.box().shape(), "letter-spacing", CssText.px(t.spacing()));
            css.put(e.box().shape(), "font-feature-settings", APART);
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        if (!moves(e.board(), e.element())) {
            return;
        }
        var t = rest(e);
        String target = e.box().shape();
        out.mixes().with(target, "text", data(e), t.size(), t.weight(), t.lineHeight(), t.wrap(), t.align().ordinal(), t.spacing());
        out.number(target, Mixes.part("text", 0), out.of(e, Properties.FONT_SIZE));
        out.held(target, Mixes.part("text", 1), out.of(e, Properties.FONT_WEIGHT), v -> Numbers.plain(v, 0));
        out.number(target, Mixes.part("text", 2), out.of(e, Properties.LINE_HEIGHT));
        out.number(target, Mixes.part("text", 3), out.of(e, Properties.WRAP));
        out.held(target, Mixes.part("text", 4), out.of(e, Properties.TEXT_ALIGN), v -> "" + Content.Align.of(v).ordinal());
        out.number(target, Mixes.part("text", 5), out.of(e, Properties.LETTER_SPACING));
    }

    /** @param from the least wrap width at which the lines break so; 0 for lines as long as they are written */
    private record Way(double from, String[] lines) {}

    /** All ways in which the lines break, the one of the greatest wrap width first and the unbroken one last. */
    private static List<Way> ways(PageElement e) {
        var t = rest(e);
        var out = new ArrayList<Way>();
        if (e.keyed(Properties.WRAP)) {
            double wrap = 1e6, from;
            do {
                String[] lines = TextLayout.broken(t.withWrap(wrap), e.measure());
                from = 0;
                for (String line : lines) {
                    from = line.indexOf(' ') < 0 ? from : Math.max(from, TextLayout.width(t, line, e.measure(), t.spacing() == 0));
                }
                out.add(new Way(from, lines));
                wrap = from - 1e-6;
            } while (from > 0 && out.size() < MOST);
            out.add(new Way(0, TextLayout.broken(t.withWrap(0), e.measure())));
        } else {
            out.add(new Way(0, TextLayout.broken(t, e.measure())));
        }
        return out;
    }

    /** What the player needs besides: the box, the faces and the ways to break. */
    private static Map<String, Object> data(PageElement e) {
        var t = rest(e);
        var out = new LinkedHashMap<String, Object>();
        out.put("box", e.box().inner());
        out.put("gradients", GradientChannels.maps(e).keySet());
        var faces = new LinkedHashMap<String, Object>();
        var weights = weights(e);
        weights.forEach(w -> faces.put("" + w, List.of(PageCompiler.family(t.family(), w), e.measure().ascent(t.family(), w), e.measure()
                .descent(t.family(), w))));
        out.put("faces", faces);
        out.put("ways", ways(e).stream().map(way -> {
            var lines = new ArrayList<Object>();
            for (String line : way.lines()) {
                var widths = new LinkedHashMap<String, Object>();
                weights.forEach(w -> widths.put("" + w, List.of(width(e, t, w, line, true), width(e, t, w, line, false))));
                lines.add(List.of(line, widths));
            }
            return List.of(new BigDecimal(Numbers.plain(way.from(), 4)), lines);
        }).toList());
        return out;
    }

    private static Object width(PageElement e, Content.Text t, int weight, String line, boolean ligatures) {
        return new BigDecimal(Numbers.plain(e.measure().width(t.family(), weight, MEASURED, line, ligatures) / MEASURED, 7));
    }
}
