package tundra.web;

import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import tundra.core.block.FieldLayout;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Slot;

/**
 * What the parts of a block on the page are made of. They are called as its element with a letter of their own behind a dash; {@code -k} is the
 * block itself, which the player looks for.
 */
abstract class BlockHtml {
    /** What is read out where a block has no words of its own. */
    private static final Map<BlockKind, String> USUAL = Map.of(Blocks.STRIP, "Pictures", Blocks.STACK, "Pictures", Blocks.TURNTABLE, "Pictures",
            Blocks.DOTS, "Which picture is shown", Blocks.COUNTDOWN, "Time left", Blocks.PROGRESS, "Progress");

    /**
     * Where a block is written.
     *
     * @param faces gets the fonts that it writes in
     * @param child writes an item of a gallery
     */
    record Target(Project project, PageElement at, StringBuilder out, StyleSheet css, Set<Markup.Face> faces, Consumer<Element> child) {}

    final Project project;
    final Board board;
    final Element element;
    final String name;
    final StringBuilder out;
    final StyleSheet css;
    final Consumer<Element> child;
    private final TextMeasurer measure;
    private final Set<Markup.Face> faces;

    BlockHtml(Target to) {
        this.project = to.project();
        this.board = to.at().board();
        this.element = to.at().element();
        this.name = PageId.of(to.at().id());
        this.measure = to.at().measure();
        this.out = to.out();
        this.css = to.css();
        this.faces = to.faces();
        this.child = to.child();
    }

    final void place(String part, Rect r) {
        css.put(part, "position", "absolute");
        css.put(part, "left", CssText.px(r.x()));
        css.put(part, "top", CssText.px(r.y()));
        css.put(part, "width", CssText.px(r.width()));
        css.put(part, "height", CssText.px(r.height()));
        css.put(part, "box-sizing", "border-box");
    }

    /** As large as its block, also while that changes. */
    final void whole(String part) {
        css.put(part, "position", "absolute");
        css.put(part, "inset", "0");
        css.put(part, "width", "100%");
        css.put(part, "height", "100%");
        css.put(part, "box-sizing", "border-box");
    }

    final Rect box(Content.Block b) {
        return new Rect(0, 0, b.box().x(), b.box().y());
    }

    static String hex(Content.Block b, Slot s) {
        return Color.parse(b.text(s)).hex();
    }

    final String radius(Content.Block b, Rect r) {
        return CssText.px(Math.min(b.number(Blocks.RADIUS_OF_CORNERS), Math.min(r.width(), r.height()) / 2));
    }

    /** What it is called to who doesn't see it. */
    final String spoken(Content.Block b) {
        String own = b.kind().setting(Blocks.NAME) == null ? "" : b.text(Blocks.NAME);
        return Markup.escape(!own.isEmpty() ? own : element.name().matches("(?i)" + b.kind().label() + "( \\d+)?")
                ? USUAL.getOrDefault(b.kind(), b.kind().label()) : element.called());
    }

    final String face(Content.Block b, int weight) {
        faces.add(new Markup.Face(b.text(Blocks.FONT), weight));
        return "'" + PageCompiler.family(b.text(Blocks.FONT), weight) + "'";
    }

    static int weight(Content.Block b) {
        return b.kind().setting(Blocks.WEIGHT) == null ? 400 : (int) b.number(Blocks.WEIGHT);
    }

    /**
     * Words where the canvas has them, to the part of a px.
     *
     * @param part what they are called on the page
     * @param at where their line box begins; with a width they lie in its middle
     */
    final void words(Content.Block b, String part, String words, Slot ink, double size, Point at, double middle) {
        words(b, part, words, hex(b, ink), size, at, middle);
    }

    final void words(Content.Block b, String part, String words, String ink, double size, Point at, double middle) {
        double line = b.kind().family() == BlockKind.Family.FIELD ? FieldLayout.line(b) / size : FieldLayout.LINE;
        var t = new Content.Text(words, b.text(Blocks.FONT), weight(b), size, Content.Align.LEFT, line);
        TextLayout.Line first = TextLayout.of(t, measure).lines().getFirst();
        css.put(part, "font", weight(b) + " " + CssText.px(size) + " " + face(b, weight(b)));
        css.put(part, "fill", ink);
        out.append("<svg class=\"t-p\" aria-hidden=\"true\"><text class=\"").append(part).append("\" x=\"")
                .append(Numbers.plain(middle > 0 ? at.x() + middle / 2 : at.x(), 4)).append("\" y=\"")
                .append(Numbers.plain(at.y() + first.baseline(), 4)).append('"').append(middle > 0 ? " text-anchor=\"middle\">" : ">")
                .append(Markup.escape(words)).append("</text></svg>");
    }

    /** A tag that stays open. */
    final void open(String tag, String part, String more) {
        out.append('<').append(tag).append(" class=\"").append(part).append('"').append(more).append('>');
    }

    static String attribute(String name, String value) {
        return " " + name + "=\"" + Markup.escape(value) + "\"";
    }

    /** Where a visitor writes. */
    final void input(Content.Block b, String part, String radius, String ground, String line) {
        css.put(part, "margin", "0");
        css.put(part, "padding", "0 " + CssText.px(FieldLayout.PAD - 1));
        css.put(part, "border", "1px solid " + line);
        css.put(part, "border-radius", radius);
        css.put(part, "background-color", ground);
        css.put(part, "color", hex(b, Blocks.INK));
        css.put(part, "font", "400 " + CssText.px(b.number(Blocks.LETTERS)) + "/" + CssText.px(FieldLayout.line(b)) + " " + face(b, 400));
    }

    /** What the value of a block is when the page opens; empty without one. */
    final String start(Content.Block b) {
        PieceValue v = project.value(b.text(Blocks.OF_VALUE));
        return v == null ? "" : v.start();
    }

    /** How far a number is between the two of a block, 0 to 1. */
    static double share(Content.Block b, String text) {
        double least = b.number(Blocks.LEAST), most = b.number(Blocks.MOST);
        try {
            return most > least ? Numbers.clamp((Double.parseDouble(text) - least) / (most - least), 0, 1) : 0;
        } catch (NumberFormatException e) {
            return 0;
        }
    }
}
