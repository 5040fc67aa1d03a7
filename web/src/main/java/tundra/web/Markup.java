package tundra.web;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tundra.core.check.TouchAreas;
import tundra.core.edit.Draggings;
import tundra.core.edit.Motifs;
import tundra.core.edit.Reactions;
import tundra.core.frame.Blending;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Slot;
import tundra.core.model.Tie;
import tundra.core.model.Values;

/**
 * The HTML of a piece's scenes: each element a box of its own, so that it can move off the main thread. Parts are found by the first of
 * their classes, which is their name within the board; how they look at rest stands in the style sheet.
 */
final class Markup {
    final Project project;
    final TextMeasurer measure;
    final ValueTexts values;
    final StringBuilder out = new StringBuilder();
    final StyleSheet css = new StyleSheet();
    private final Map<String, PageElement> elements = new HashMap<>();
    private final Map<String, Board> boards = new HashMap<>();
    final Set<Face> faces = new LinkedHashSet<>();
    final Set<String> pictures = new LinkedHashSet<>();
    final Map<String, FlipSheet> sheets = new LinkedHashMap<>();
    final Map<String, FlipSheet> flips = new HashMap<>();
    boolean wraps;
    /** How many elements that are tapped what is written now lies in. */
    int tapped;

    /** A font that the page uses. */
    record Face(String family, int weight) {}
    private final ContentMarkup contents = new ContentMarkup(this);
    private final Set<String> crowded;
    private StillParts still = StillParts.NONE;

    Markup(Project project, TextMeasurer measure, ValueTexts values) {
        this.values = values;
        this.project = project;
        this.measure = measure;
        crowded = Crowded.motifs(project);
        var nothing = new Board(new Point(1, 1), Values.NONE, List.of(), List.of(), List.of());
        // stands for whatever instance a reaction of a motif happens in: only its outer box is known, and nothing of it is written
        elements.put(Slot.INSTANCE, new PageElement(nothing, Reactions.INSTANCE, PartNames.of(nothing, Reactions.INSTANCE, new Point(1, 1)), measure,
                false));
    }

    String html() {
        return out.toString();
    }

    StyleSheet css() {
        return css;
    }

    /** What is published of an element; null for nothing. */
    PageElement of(String id) {
        return elements.get(id);
    }

    Set<Face> faces() {
        return faces;
    }

    Set<String> pictures() {
        return pictures;
    }

    /** Whether a text that breaks at a width shows a value. */
    boolean wraps() {
        return wraps;
    }

    /** The sheets that the page needs, by their paths. */
    Map<String, FlipSheet> sheets() {
        return sheets;
    }

    /** Flipbooks that are published as a sheet, by their ids. */
    Map<String, FlipSheet> flips() {
        return flips;
    }

    static String sceneTarget(Scene s) {
        return PageId.of(s.id());
    }

    static String picturePath(Asset a) {
        return "pictures/" + a.hash().substring(0, 16) + "." + a.ending();
    }

    static String escape(String s) {
        var b = new StringBuilder();
        s.codePoints().forEach(c -> {
            switch (c) {
                case '&' -> b.append("&amp;");
                case '<' -> b.append("&lt;");
                case '>' -> b.append("&gt;");
                case '"' -> b.append("&quot;");
                case '\'' -> b.append("&#39;");
                default -> {
                    if (c >= 32 || c == '\t') {
                        b.appendCodePoint(c);
                    }
                }
            }
        });
        return b.toString();
    }

    /** @param first whether it is there from the beginning; what the others hold is made when they are shown */
    void scene(Scene s, boolean first) {
        Board b = s.board();
        String name = sceneTarget(s);
        canvas(b, name);
        double scrolls = Scroll.length(b);
        if (scrolls > 0) {
            String wrap = name + "-scroll";
            css.put(wrap, "position", "relative");
            css.put(wrap, "height", CssText.px(b.size().y() + scrolls));
            css.put(wrap, "grid-area", "1/1");
            out.append("<div class=\"").append(wrap).append('"').append(first ? ">" : " hidden>");
            out.append(Scrolling.rests(b, wrap, css));
        }
        still = StillParts.of(project, b);
        out.append("<section class=\"").append(name).append(" t-scene\" aria-label=\"").append(escape(s.name())).append('"')
                .append(first ? ">\n" : " hidden>\n<template>\n");
        board(b);
        out.append(first ? "</section>\n" : "</template>\n</section>\n");
        if (scrolls > 0) {
            out.append("</div>\n");
        }
    }

    /** Takes what another one has written, and needs, for the same page. */
    void with(Markup other) {
        out.append(other.out);
        faces.addAll(other.faces);
        pictures.addAll(other.pictures);
        sheets.putAll(other.sheets);
        wraps |= other.wraps;
    }

    private void canvas(Board b, String name) {
        css.put(name, "width", CssText.px(b.size().x()));
        css.put(name, "height", CssText.px(b.size().y()));
        Channels.rest(b, name, css);
        if (b.canvas().get(Properties.SCENE_OVERFLOW).equals("scrolls")) {
            css.put(name, "overflow", "auto");
        }
        double scrolls = Scroll.length(b);
        if (scrolls > 0) {
            css.put(name, "position", "sticky");
            css.put(name, "top", "0");
        }
    }

    /** What a scene or motif holds in one of its layouts, for the player to go over to. */
    void layout(Place p, Layout l) {
        still = StillParts.NONE;
        if (p instanceof Scene s) {
            canvas(s.board(), sceneTarget(s));
        }
        out.append("<template class=\"").append(l == null ? "" : PageId.of(l.id())).append("\">\n");
        board(p.board());
        out.append("</template>\n");
    }

    /** What the player fills the instances of a motif with. */
    void motif(Motif m) {
        still = StillParts.of(project, m.board(), crowded.contains(m.id()));
        out.append("<template class=\"").append(PageId.of(m.id())).append("\">\n");
        board(m.board());
        out.append("</template>\n");
    }

    private void board(Board b) {
        var reactive = new HashSet<String>();
        b.reactions().forEach(r -> {
            if (!r.off() && (r.when().kind() == Events.TAPPED || r.when().kind() == Events.TAPPED_TWICE)) {
                reactive.add((String) r.when().slots().get(Events.ELEMENT));
            }
            (r.off() ? Stream.<Action>of() : Stream.concat(r.actions().stream(), r.otherwise().stream())).filter(a -> a.kind() == Actions.WAIT_UNTIL)
                    .forEach(a -> reactive.add((String) a.slots().get(Events.ELEMENT)));
        });
        Motifs.instances(b, id -> project.motif(id) instanceof Motif m && (m.states() != null || tapped(m))).forEach(e -> reactive.add(e.id()));
        TouchAreas.catching(project, b).forEach(id -> {
            if (b.find(id) instanceof Element e && !e.rest().get(Properties.TOUCH).equals("lets through")) {
                css.put(PageId.of(id), "--touch", "auto");
            }
        });
        elements(b, b.elements(), reactive);
    }

    /** Whether the instances of a motif are places to tap. */
    static boolean tapped(Motif m) {
        return m.board().reactions().stream().anyMatch(r -> !r.off() && (r.when().kind() == Events.TAPPED || r.when().kind() == Events.TAPPED_TWICE)
                && r.when().slots().names(Slot.INSTANCE));
    }

    /** Of neighbours that stay as they are all are written as one SVG. */
    private void elements(Board board, List<Element> all, Set<String> reactive) {
        boolean within = false;
        for (Element e : all) {
            if (StillParts.unpublished(e)) {
                continue;
            }
            if (within != still.has(e)) {
                out.append(within ? "</svg>\n" : ContentMarkup.SHAPES);
                within = !within;
            }
            if (within) {
                still(board, e);
            } else {
                element(board, e, reactive);
            }
        }
        out.append(within ? "</svg>\n" : "");
    }

    private void still(Board board, Element e) {
        boards.put(e.id(), board);
        var page = new PageElement(board, e, PartNames.still(e, box(e)), measure, false);
        elements.put(e.id(), page);
        Channels.rest(page, css);
        if (e.content() instanceof Content.Shape s) {
            contents.shape(page, s);
            return;
        }
        out.append("<g class=\"").append(page.box().outer()).append("\">");
        e.children().stream().filter(c -> !StillParts.unpublished(c)).forEach(c -> still(board, c));
        out.append("</g>");
    }

    void element(Board board, Element e, Set<String> reactive) {
        if (StillParts.unpublished(e)) {
            return;
        }
        boards.put(e.id(), board);
        PartNames box = PartNames.of(board, e, box(e));
        var page = new PageElement(board, e, box, measure, Blending.passes(board, e) && blends(e));
        elements.put(e.id(), page);
        e.effects().forEach(x -> elements.put(x.id(), page));
        Channels.rest(page, css);
        boolean dragged = Draggings.of(board, e.id()) != null;
        boolean parallax = e.rest().get(Properties.PARALLAX) != 0;
        if (parallax) {
            out.append("<div class=\"").append(box.outer()).append("-y\">");
        }
        if (dragged) {
            out.append("<div class=\"").append(box.outer()).append("-h\">");
        }
        if (box.span() != null) {
            out.append("<div class=\"").append(box.span()).append("\">");
        }
        out.append("<div class=\"").append(box.outer());
        if (reactive.contains(e.id()) && !(e.content() instanceof Content.Block)) {
            out.append(" t-tap\" role=\"").append(Spoken.role(board, e)).append("\" tabindex=\"0\" aria-label=\"")
                    .append(escape(Spoken.name(project, e)));
        } else if (ContentMarkup.ofPictures(e)) {
            out.append("\" role=\"img\" aria-label=\"").append(escape(e.called()));
        } else if (HeadingChannel.level(page) > 0) {
            out.append("\" role=\"heading\" aria-level=\"").append(HeadingChannel.level(page));
        }
        out.append("\">");
        List<String> effects = FilterChannel.between(page);
        effects.forEach(name -> out.append("<div class=\"").append(name).append("\">"));
        if (box.inner() != null) {
            out.append("<div class=\"").append(box.inner()).append("\">");
        }
        if (e.content() instanceof Content.Group g && g.clip() != null) {
            css.put(box.box(), "clip-path", "path('" + g.clip().svgPath() + "')");
        }
        boolean tap = reactive.contains(e.id());
        tapped += tap ? 1 : 0;
        out.append(FilterChannel.definition(page));
        contents.content(page);
        if (e.content() instanceof Flipbook f) {
            contents.flipbook(board, e, f, reactive);
        } else if (e.content() instanceof Content.Block) {
            BlockMarkup.write(new BlockHtml.Target(project, page, out, css, faces, c -> element(board, c, reactive)));
        } else {
            carrying(board, e);
            elements(board, e.children(), reactive);
        }
        tapped -= tap ? 1 : 0;
        out.append("</div>".repeat(1 + effects.size() + (box.inner() == null ? 0 : 1) + (box.span() == null ? 0 : 1) + (dragged ? 1 : 0)
                + (parallax ? 1 : 0))).append('\n');
    }

    /** What a group holds is taken along by its ties while the group's own size is keyed or set: CSS knows that size. */
    private void carrying(Board board, Element e) {
        if (!(e.content() instanceof Content.Group g) || !Keyed.any(board, e.id(), Properties.SIZE)) {
            return;
        }
        boolean any = false;
        for (Element c : e.children()) {
            Point by = Tie.carried(c, g.box());
            any |= carried(c, "left", "100cqw", g.box().x(), by.x()) | carried(c, "top", "100cqh", g.box().y(), by.y());
        }
        if (any) {
            css.put(elements.get(e.id()).box().box(), "container-type", "size");
        }
    }

    private boolean carried(Element c, String side, String whole, double drawn, double by) {
        if (by != 0) {
            css.put(PageId.of(c.id()), side, "calc((" + whole + " - " + CssText.px(drawn) + ") * " + Numbers.plain(by, 9) + ")");
        }
        return by != 0;
    }

    /** Whether anything that an element holds blends with what lies behind it, at rest or by keys. */
    private boolean blends(Element e) {
        if (e.content() instanceof Content.Instance i) {
            Motif m = project.motif(i.motif());
            return m != null && m.board().elements().stream().anyMatch(x -> blending(m.board(), x));
        }
        Board b = boards.get(e.id());
        return e.children().stream().anyMatch(x -> blending(b, x));
    }

    private boolean blending(Board b, Element e) {
        boards.put(e.id(), b);
        return !e.rest().get(Properties.BLEND).equals("normal") || b != null && Keyed.any(b, e.id(), Properties.BLEND)
                || (b == null || Blending.passes(b, e)) && blends(e);
    }

    private Point box(Element e) {
        return switch (e.content()) {
            case Content.Text t -> TextLayout.of((Content.Text) ElementPaint.resolved(t, e.rest()), measure).box();
            case Content.Parent g -> g.box();
            case Content.Instance i -> i.box();
            default -> e.rest().get(Properties.SIZE);
        };
    }

}
