package tundra.web;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import tundra.core.block.FieldLayout;
import tundra.core.block.Gallery;
import tundra.core.block.MapView;
import tundra.core.block.PageLayout;
import tundra.core.block.Placement;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
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
 * What blocks are on the page: HTML that says what it is, laid out by the numbers of {@code frame.BlockArt}. The parts of a block are called
 * as its element with a letter of their own behind a dash; {@code -k} is the block itself, which the player looks for.
 */
final class BlockMarkup {
    /** Puts something on the page, within a box of the block's size. */
    private interface Part {
        void write(BlockMarkup to, Content.Block b);
    }

    private static final Map<BlockKind, Part> TABLE = Map.ofEntries(
            Map.entry(Blocks.STRIP, BlockMarkup::gallery), Map.entry(Blocks.STACK, BlockMarkup::gallery), Map.entry(Blocks.TURNTABLE, BlockMarkup::gallery), Map.entry(Blocks.DOTS, BlockMarkup::dots),
            Map.entry(Blocks.VIDEO, BlockMarkup::video), Map.entry(Blocks.SOUND, BlockMarkup::sound), Map.entry(Blocks.PAGE, BlockMarkup::page), Map.entry(Blocks.MAP_BLOCK, BlockMarkup::map),
            Map.entry(Blocks.CALL, (m, b) -> m.link(b, "tel:" + b.text(Blocks.PHONE).replaceAll("[^+0-9]", ""), b.text(Blocks.WORDS).isEmpty() ? b.text(Blocks.PHONE) : b.text(Blocks.WORDS))),
            Map.entry(Blocks.MAIL_LINK, (m, b) -> m.link(b, "mailto:" + b.text(Blocks.MAIL) + subject(b), b.text(Blocks.WORDS).isEmpty() ? b.text(Blocks.MAIL) : b.text(Blocks.WORDS))),
            Map.entry(Blocks.LINK_AREA, BlockMarkup::area), Map.entry(Blocks.TEXT_FIELD, BlockMarkup::field), Map.entry(Blocks.TICK, BlockMarkup::tick), Map.entry(Blocks.CHOICE, BlockMarkup::choice),
            Map.entry(Blocks.SLIDER, BlockMarkup::slider), Map.entry(Blocks.PROGRESS, BlockMarkup::progress), Map.entry(Blocks.COUNTDOWN, BlockMarkup::countdown));
    /** What is read out where a block has no words of its own. */
    private static final Map<BlockKind, String> USUAL = Map.of(Blocks.STRIP, "Pictures", Blocks.STACK, "Pictures", Blocks.TURNTABLE, "Pictures", Blocks.DOTS, "Which picture is shown", Blocks.COUNTDOWN, "Time left", Blocks.PROGRESS, "Progress");

    private final Project project;
    private final Board board;
    private final Element element;
    private final String name;
    private final TextMeasurer measure;
    private final StringBuilder out;
    private final StyleSheet css;
    private final Set<Markup.Face> faces;
    private final Consumer<Element> child;

    /**
     * @param faces gets the fonts that it writes in
     * @param child writes an item of a gallery
     */
    BlockMarkup(Project project, PageElement e, StringBuilder out, StyleSheet css, Set<Markup.Face> faces, Consumer<Element> child) {
        this.project = project;
        this.board = e.board();
        this.element = e.element();
        this.name = PageId.of(e.id());
        this.measure = e.measure();
        this.out = out;
        this.css = css;
        this.faces = faces;
        this.child = child;
    }

    void write() {
        Content.Block b = Blocks.of(element);
        TABLE.get(b.kind()).write(this, b);
    }

    /** The part of a block that the player looks for. */
    static String part(String id) {
        return PageId.of(id) + "-k";
    }

    // --- what parts are made of ---

    private void place(String part, Rect r) {
        css.put(part, "position", "absolute");
        css.put(part, "left", CssText.px(r.x()));
        css.put(part, "top", CssText.px(r.y()));
        css.put(part, "width", CssText.px(r.width()));
        css.put(part, "height", CssText.px(r.height()));
        css.put(part, "box-sizing", "border-box");
    }

    /** As large as its block, also while that changes. */
    private void whole(String part) {
        css.put(part, "position", "absolute");
        css.put(part, "inset", "0");
        css.put(part, "width", "100%");
        css.put(part, "height", "100%");
        css.put(part, "box-sizing", "border-box");
    }

    private Rect box(Content.Block b) {
        return new Rect(0, 0, b.box().x(), b.box().y());
    }

    private static String hex(Content.Block b, Slot s) {
        return Color.parse(b.text(s)).hex();
    }

    private String radius(Content.Block b, Rect r) {
        return CssText.px(Math.min(b.number(Blocks.RADIUS_OF_CORNERS), Math.min(r.width(), r.height()) / 2));
    }

    /** What it is called to who doesn't see it. */
    private String spoken(Content.Block b) {
        String own = b.kind().setting(Blocks.NAME) == null ? "" : b.text(Blocks.NAME);
        return Markup.escape(!own.isEmpty() ? own : element.name().matches("(?i)" + b.kind().label() + "( \\d+)?") ? USUAL.getOrDefault(b.kind(), b.kind().label()) : element.called());
    }

    private String face(Content.Block b, int weight) {
        faces.add(new Markup.Face(b.text(Blocks.FONT), weight));
        return "'" + PageCompiler.family(b.text(Blocks.FONT), weight) + "'";
    }

    private static int weight(Content.Block b) {
        return b.kind().setting(Blocks.WEIGHT) == null ? 400 : (int) b.number(Blocks.WEIGHT);
    }

    /**
     * Words where the canvas has them, to the part of a px.
     *
     * @param part what they are called on the page
     * @param at where their line box begins; with a width they lie in its middle
     */
    private void words(Content.Block b, String part, String words, Slot ink, double size, Point at, double middle) {
        words(b, part, words, hex(b, ink), size, at, middle);
    }

    private void words(Content.Block b, String part, String words, String ink, double size, Point at, double middle) {
        double line = b.kind().family() == BlockKind.Family.FIELD ? FieldLayout.line(b) / size : FieldLayout.LINE;
        var t = new Content.Text(words, b.text(Blocks.FONT), weight(b), size, Content.Align.LEFT, line);
        TextLayout.Line first = TextLayout.of(t, measure).lines().getFirst();
        css.put(part, "font", weight(b) + " " + CssText.px(size) + " " + face(b, weight(b)));
        css.put(part, "fill", ink);
        out.append("<svg class=\"t-p\" aria-hidden=\"true\"><text class=\"").append(part).append("\" x=\"").append(Numbers.plain(middle > 0 ? at.x() + middle / 2 : at.x(), 4)).append("\" y=\"")
                .append(Numbers.plain(at.y() + first.baseline(), 4)).append('"').append(middle > 0 ? " text-anchor=\"middle\">" : ">").append(Markup.escape(words)).append("</text></svg>");
    }

    /** A tag that stays open. */
    private void open(String tag, String part, String more) {
        out.append('<').append(tag).append(" class=\"").append(part).append('"').append(more).append('>');
    }

    private static String attribute(String name, String value) {
        return " " + name + "=\"" + Markup.escape(value) + "\"";
    }

    // --- galleries ---

    private void gallery(Content.Block b) {
        List<Element> items = element.children().stream().filter(c -> !c.hidden() && !c.guide()).toList();
        var g = Gallery.of(b, items.size());
        String k = name + "-k";
        whole(k);
        css.put(k, "overflow", "hidden");
        css.put(k, "touch-action", b.kind() == Blocks.STRIP && b.text(Blocks.ALONG).equals("down") ? "pan-x" : "pan-y");
        open("div", k + " t--b", " role=\"group\" aria-roledescription=\"gallery\" tabindex=\"0\" aria-label=\"" + spoken(b) + "\"");
        css.put(name + "-l", "list-style", "none");
        css.put(name + "-l", "margin", "0");
        css.put(name + "-l", "padding", "0");
        open("ul", name + "-l", "");
        double w = b.number(Blocks.ITEM_WIDTH), h = b.number(Blocks.ITEM_HEIGHT);
        for (int i = 0; i < items.size(); i++) {
            item(b, g, i, items.get(i), w, h);
        }
        out.append("</ul></div>\n");
    }

    private void item(Content.Block b, Gallery g, int i, Element e, double w, double h) {
        String li = PageId.of(e.id()) + "-i", cell = li + "c";
        Placement p = g.place(i, g.first());
        place(li, new Rect(0, 0, w, h));
        css.put(li, "translate", CssText.px(p.x() - w / 2) + " " + CssText.px(p.y() - h / 2));
        css.put(li, "rotate", CssText.deg(p.rotation()));
        css.put(li, "scale", Numbers.plain(p.scale(), 6));
        css.put(li, "opacity", Numbers.plain(p.opacity(), 6));
        css.put(li, "z-index", Long.toString(Math.round(p.front() * 1000)));
        css.put(li, "visibility", g.seen(p) ? "inherit" : "hidden");
        open("li", li, "");
        place(cell, new Rect(0, 0, w, h));
        css.put(cell, "overflow", "hidden");
        open("div", cell, "");
        child.accept(e);
        out.append("</div>");
        String where = b.text(Blocks.CAPTIONS), words = caption(b, e);
        if (!where.equals("none") && !words.isEmpty()) {
            double letters = b.number(Blocks.LETTERS), line = letters * FieldLayout.LINE, gap = FieldLayout.GAP;
            boolean over = where.equals("over");
            if (over) {
                place(li + "o", new Rect(0, h - line - 2 * gap, w, line + 2 * gap));
                css.put(li + "o", "background-color", "#FFFFFFCC");
                open("div", li + "o", "></div");
            }
            words(b, li + "t", words, Blocks.INK, letters, new Point(0, over ? h - line - gap : h + gap), w);
        }
        out.append("</li>\n");
    }

    static String caption(Content.Block b, Element e) {
        return ((Map<?, ?>) b.get(Blocks.CAPTION_WORDS)).get(e.id()) instanceof String own ? own : e.name();
    }

    private void dots(Content.Block b) {
        Content.Block of = Blocks.of(board.find(b.text(Blocks.OF_GALLERY)));
        int n = of == null ? 0 : (int) of.children().stream().filter(c -> !c.hidden() && !c.guide()).count(), first = of == null ? 0 : Gallery.of(of, n).first();
        double d = b.number(Blocks.DOT), step = d + b.number(Blocks.SPACING), left = (b.box().x() - (n - 1) * step - d) / 2;
        whole(name + "-k");
        css.put(name + "-k button", "--dot", hex(b, Blocks.LINE));
        css.put(name + "-k [aria-current]", "--dot", hex(b, Blocks.ACCENT));
        open("div", name + "-k t--b", " role=\"group\" aria-label=\"" + spoken(b) + "\"");
        for (int i = 0; i < n; i++) {
            String one = name + "-k" + i;
            place(one, new Rect(left + i * step, (b.box().y() - d) / 2, d, d));
            open("button", one + " t--dot t--b", " type=\"button\" aria-label=\"Item " + (i + 1) + " of " + n + "\"" + (i == first ? " aria-current=\"true\"" : ""));
            out.append("</button>");
        }
        out.append("</div>\n");
    }

    // --- video, sound, pages ---

    private void video(Content.Block b) {
        String k = name + "-k";
        whole(k);
        css.put(k, "object-fit", b.text(Blocks.FITS).equals("stretch") ? "fill" : b.text(Blocks.FITS).equals("contain") ? "contain" : "cover");
        css.put(k, "border-radius", radius(b, box(b)));
        Asset a = project.assets().get(b.text(Blocks.VIDEO_FILE));
        boolean timed = b.text(Blocks.TIME_BY).equals("the timeline's");
        media(b, "video", a, " playsinline preload=\"metadata\"", b.is(Blocks.MUTED) || b.is(Blocks.STARTS) || timed, timed);
    }

    static String posterPath(Content.Block b, Asset a) {
        return "videos/" + a.hash().substring(0, 16) + "-" + still(b) / 1000 + ".jpg";
    }

    static String mediaPath(Asset a) {
        return (a.kind() == Asset.Kind.VIDEO ? "videos/" : "sounds/") + a.hash().substring(0, 16) + "." + a.ending();
    }

    /** When the still of a video is, in µs. */
    static long still(Content.Block b) {
        return Math.max((Long) b.get(Blocks.FROM), (Long) b.get(Blocks.POSTER_AT));
    }

    private void sound(Content.Block b) {
        whole(name + "-k");
        media(b, "audio", project.assets().get(b.text(Blocks.SOUND_FILE)), " preload=\"metadata\"", false, false);
    }

    private void media(Content.Block b, String tag, Asset a, String more, boolean muted, boolean timed) {
        open(tag, name + "-k t--b", more + " aria-label=\"" + spoken(b) + "\"" + (b.is(Blocks.CONTROLS) && !timed ? " controls" : "") + (muted ? " muted" : "") + (a == null ? "" : attribute("src", mediaPath(a))));
        out.append("</").append(tag).append(">\n");
    }

    private void page(Content.Block b) {
        String k = name + "-k", folder = b.text(Blocks.FOLDER), address = b.text(Blocks.ADDRESS);
        whole(k);
        css.put(k, "background-color", hex(b, Blocks.GROUND));
        css.put(k + " iframe", "border", "0");
        css.put(k + " iframe", "width", "100%");
        css.put(k + " iframe", "height", "100%");
        String src = folder.isEmpty() ? address : folderPath(folder) + "index.html";
        open("div", k + " t--b", attribute("data-src", src) + attribute("data-sandbox", rights(b)) + " data-title=\"" + spoken(b) + "\"");
        if (folder.isEmpty() && (b.is(Blocks.ASKS_FIRST) || address.isEmpty())) {
            PageLayout l = PageLayout.of(b);
            words(b, name + "-t", l.words(), Blocks.INK, b.number(Blocks.LETTERS), new Point(0, l.top()), b.box().x());
            if (!address.isEmpty()) {
                place(name + "-y", l.button());
                css.put(name + "-y", "background-color", hex(b, Blocks.ACCENT));
                css.put(name + "-y", "border-radius", CssText.px(PageLayout.CORNERS));
                css.put(name + "-y", "border", "0");
                css.put(name + "-y", "padding", "0");
                css.put(name + "-y", "cursor", "pointer");
                open("button", name + "-y t--b", " type=\"button\" aria-label=\"" + PageLayout.SHOW + ": " + Markup.escape(l.words()) + "\"");
                words(b, name + "-yt", PageLayout.SHOW, Blocks.GROUND, b.number(Blocks.LETTERS), new Point(0, (l.button().height() - b.number(Blocks.LETTERS) * FieldLayout.LINE) / 2), l.button().width());
                out.append("</button>");
            }
        } else if (!src.isEmpty()) {
            out.append("<iframe").append(attribute("src", src)).append(attribute("sandbox", rights(b))).append(" title=\"").append(spoken(b)).append("\" loading=\"lazy\" referrerpolicy=\"no-referrer\"></iframe>");
        }
        out.append("</div>\n");
    }

    static String folderPath(String hash) {
        return "pages/" + hash.substring(0, 16) + "/";
    }

    private static String rights(Content.Block b) {
        return ((b.is(Blocks.MAY_SCRIPT) ? "allow-scripts " : "") + (b.is(Blocks.MAY_FILL) ? "allow-same-origin " : "") + (b.is(Blocks.MAY_SEND) ? "allow-forms " : "") + (b.is(Blocks.MAY_OPEN) ? "allow-popups allow-top-navigation-by-user-activation " : "")).strip();
    }

    // --- maps ---

    private void map(Content.Block b) {
        String k = name + "-k";
        whole(k);
        css.put(k, "overflow", "hidden");
        css.put(k, "border-radius", radius(b, box(b)));
        css.put(k, "background-color", hex(b, Blocks.LAND));
        if (b.is(Blocks.PANS)) {
            css.put(k, "touch-action", "none");
            css.put(k, "cursor", "grab");
        }
        open("div", k + " t--b", " role=\"group\" aria-roledescription=\"map\" aria-label=\"" + spoken(b) + "\"" + (b.is(Blocks.PANS) || b.is(Blocks.ZOOMS) ? " tabindex=\"0\"" : ""));
        out.append("<svg class=\"t-p\" aria-hidden=\"true\"><g class=\"").append(name).append("-g\" transform=\"translate(").append(Numbers.plain(b.box().x() / 2, 4)).append(" ").append(Numbers.plain(b.box().y() / 2, 4)).append(")\">");
        Affine middle = Affine.translate(-b.box().x() / 2, -b.box().y() / 2);
        int n = 0;
        for (MapView.Shape s : MapView.shapes(b)) {
            out.append("<path class=\"").append(name).append("-g").append(n++).append("\" d=\"").append(s.outline().through(middle).svgPath()).append("\" fill-rule=\"evenodd\" fill=\"").append(s.fill() == null ? "none" : s.fill().hex()).append('"');
            if (s.stroke() != null) {
                out.append(" stroke=\"").append(s.stroke().hex()).append("\" stroke-width=\"").append(Numbers.plain(s.width(), 2)).append("\" stroke-linecap=\"round\" stroke-linejoin=\"round\" vector-effect=\"non-scaling-stroke\"");
                out.append(s.dash() > 0 ? " stroke-dasharray=\"" + Numbers.plain(s.dash(), 2) + "\"" : "");
            }
            out.append("/>");
        }
        out.append("</g></svg><ul class=\"").append(name).append("-l\">");
        css.put(name + "-l", "list-style", "none");
        css.put(name + "-l", "margin", "0");
        css.put(name + "-l", "padding", "0");
        pins(b);
        out.append("</ul>");
        controls(b);
        out.append("</div>\n");
    }

    private void pins(Content.Block b) {
        List<MapView.Pin> pins = MapView.pins(b);
        double letters = b.number(Blocks.LETTERS), r = MapView.PIN;
        for (int i = 0; i < pins.size(); i++) {
            MapView.Pin p = pins.get(i);
            String li = name + "-p" + i;
            css.put(li, "position", "absolute");
            css.put(li, "translate", CssText.px(p.at().x()) + " " + CssText.px(p.at().y()));
            open("li", li, attribute("data-at", Numbers.plain(p.degrees().x(), 7) + " " + Numbers.plain(p.degrees().y(), 7)));
            String words = p.name().isEmpty() ? "Place " + (i + 1) : p.name();
            open("button", li + "b t--pin t--b", " type=\"button\"" + attribute("aria-label", words));
            out.append("</button><svg class=\"t-p\" aria-hidden=\"true\"><circle r=\"").append(Numbers.plain(r, 2)).append("\" fill=\"#fff\"/><circle r=\"").append(Numbers.plain(r - MapView.PIN_LINE, 2)).append("\" fill=\"").append(hex(b, Blocks.PLACES)).append("\"/></svg>");
            if (b.is(Blocks.LABELS) && !p.name().isEmpty()) {
                words(b, li + "t", p.name(), Blocks.INK, letters, new Point(r + 4, -letters * FieldLayout.LINE / 2), 0);
            }
            out.append("</li>");
        }
    }

    private void controls(Content.Block b) {
        if (b.is(Blocks.ZOOMS)) {
            for (boolean in : new boolean[] {true, false}) {
                Rect r = MapView.zoomButton(b, in);
                String part = name + (in ? "-zi" : "-zo");
                place(part, r);
                css.put(part, "background-color", "#FFFFFF");
                css.put(part, "border", "0");
                css.put(part, "border-radius", CssText.px(MapView.CORNERS));
                css.put(part, "padding", "0");
                open("button", part + " t--b", " type=\"button\" aria-label=\"Zoom " + (in ? "in" : "out") + "\"");
                out.append("<svg class=\"t-p\" aria-hidden=\"true\"><path d=\"").append(MapView.sign(in).svgPath()).append("\" fill=\"none\" stroke=\"").append(hex(b, Blocks.INK)).append("\" stroke-width=\"2\" stroke-linecap=\"round\"/></svg></button>");
            }
        }
        if (b.is(Blocks.SEARCHES)) {
            Rect r = MapView.searchField(b);
            place(name + "-q", r);
            input(b, name + "-q", CssText.px(MapView.CORNERS), "#FFFFFF", "#FFFFFF");
            out.append("<input class=\"").append(name).append("-q t--b\" type=\"search\" autocomplete=\"off\" role=\"combobox\" aria-expanded=\"false\" aria-autocomplete=\"list\" placeholder=\"").append(MapView.SEARCH).append("\" aria-label=\"Search places on the map\">");
            css.put(name + "-r", "position", "absolute");
            css.put(name + "-r", "left", CssText.px(r.x()));
            css.put(name + "-r", "top", CssText.px(r.y() + r.height() + 4));
            css.put(name + "-r", "width", CssText.px(r.width()));
            css.put(name + "-r", "font", "400 " + CssText.px(b.number(Blocks.LETTERS)) + "/1.3 " + face(b, 400));
            css.put(name + "-r", "color", hex(b, Blocks.INK));
            out.append("<ul class=\"").append(name).append("-r t--found\" role=\"listbox\" aria-label=\"Places found\" hidden></ul>");
        }
    }

    // --- links ---

    private static String subject(Content.Block b) {
        return b.text(Blocks.SUBJECT).isEmpty() ? "" : "?subject=" + java.net.URLEncoder.encode(b.text(Blocks.SUBJECT), java.nio.charset.StandardCharsets.UTF_8).replace("+", "%20");
    }

    private void link(Content.Block b, String href, String words) {
        String k = name + "-k";
        whole(k);
        css.put(k, "background-color", hex(b, Blocks.GROUND));
        css.put(k, "border-radius", radius(b, box(b)));
        open("a", k + " t--b", attribute("href", href) + attribute("aria-label", words));
        words(b, name + "-t", words, Blocks.INK, b.number(Blocks.LETTERS), new Point(0, (b.box().y() - b.number(Blocks.LETTERS) * FieldLayout.LINE) / 2), b.box().x());
        out.append("</a>\n");
    }

    private void area(Content.Block b) {
        whole(name + "-k");
        open("a", name + "-k t--b", attribute("href", b.text(Blocks.LINK)) + (b.text(Blocks.TAB).equals("a new tab") ? " target=\"_blank\" rel=\"noopener\"" : "") + " aria-label=\"" + spoken(b) + "\"");
        out.append("</a>\n");
    }

    // --- fields ---

    private String label(Content.Block b) {
        return b.text(Blocks.LABEL).isEmpty() ? element.called() : b.text(Blocks.LABEL);
    }

    private PieceValue value(Content.Block b) {
        return project.value(b.text(Blocks.OF_VALUE));
    }

    private String start(Content.Block b) {
        PieceValue v = value(b);
        return v == null ? "" : v.start();
    }

    private void begin(Content.Block b, String tag, String more) {
        whole(name + "-k");
        open(tag, name + "-k t--b", more);
        FieldLayout l = FieldLayout.of(b);
        if (l.label() != null) {
            words(b, name + "-t", b.text(Blocks.LABEL) + (b.is(Blocks.NEEDED) ? " *" : ""), Blocks.INK, b.number(Blocks.LETTERS), new Point(l.label().x(), l.label().y()), 0);
        }
    }

    /** Ends with the place for what is wrong. */
    private void end(Content.Block b, String tag) {
        css.put(name + "-e", "position", "absolute");
        css.put(name + "-e", "left", "0");
        css.put(name + "-e", "top", CssText.px(b.box().y() + 2));
        css.put(name + "-e", "margin", "0");
        css.put(name + "-e", "white-space", "nowrap");
        css.put(name + "-e", "color", "#C23B3B");
        css.put(name + "-e", "font", "400 " + CssText.px(0.85 * b.number(Blocks.LETTERS)) + "/1.3 " + face(b, 400));
        out.append("</").append(tag).append("><p class=\"").append(name).append("-e t--b\" role=\"alert\" hidden></p>\n");
    }

    private void input(Content.Block b, String part, String radius, String ground, String line) {
        css.put(part, "margin", "0");
        css.put(part, "padding", "0 " + CssText.px(FieldLayout.PAD - 1));
        css.put(part, "border", "1px solid " + line);
        css.put(part, "border-radius", radius);
        css.put(part, "background-color", ground);
        css.put(part, "color", hex(b, Blocks.INK));
        css.put(part, "font", "400 " + CssText.px(b.number(Blocks.LETTERS)) + "/" + CssText.px(FieldLayout.line(b)) + " " + face(b, 400));
    }

    private String needed(Content.Block b) {
        return (b.is(Blocks.NEEDED) ? " required" : "") + " aria-label=\"" + Markup.escape(label(b)) + "\"";
    }

    private void field(Content.Block b) {
        begin(b, "label", "");
        FieldLayout l = FieldLayout.of(b);
        String f = name + "-f";
        place(f, l.input());
        input(b, f, radius(b, l.input()), hex(b, Blocks.GROUND), hex(b, Blocks.LINE));
        css.put(f + "::placeholder", "color", hex(b, Blocks.LINE));
        css.put(f + "::placeholder", "opacity", "1");
        String more = needed(b) + (b.text(Blocks.HINT).isEmpty() ? "" : attribute("placeholder", b.text(Blocks.HINT)));
        if (b.text(Blocks.KIND).equals("several lines")) {
            css.put(f, "padding", CssText.px(FieldLayout.PAD - 1));
            css.put(f, "resize", "none");
            out.append("<textarea class=\"").append(f).append(" t--b\"").append(more).append('>').append(Markup.escape(start(b))).append("</textarea>");
        } else {
            String type = switch (b.text(Blocks.KIND)) {
                case "mail address" -> "email\" autocomplete=\"email";
                case "number" -> "number\" step=\"any";
                case "telephone number" -> "tel\" autocomplete=\"tel";
                default -> "text";
            };
            out.append("<input class=\"").append(f).append(" t--b\" type=\"").append(type).append('"').append(more).append(attribute("value", start(b))).append('>');
        }
        end(b, "label");
    }

    private void tick(Content.Block b) {
        begin(b, "label", "");
        FieldLayout l = FieldLayout.of(b);
        String f = name + "-f";
        place(f, l.input());
        css.put(f, "appearance", "none");
        css.put(f, "margin", "0");
        css.put(f, "border", "1px solid " + hex(b, Blocks.LINE));
        css.put(f, "border-radius", CssText.px(Math.min(4, b.number(Blocks.RADIUS_OF_CORNERS))));
        css.put(f, "background-color", hex(b, Blocks.GROUND));
        css.put(f + ":checked", "background-color", hex(b, Blocks.ACCENT));
        css.put(f + ":checked", "border-color", hex(b, Blocks.ACCENT));
        css.put(f + ":not(:checked) + svg", "display", "none");
        out.append("<input class=\"").append(f).append(" t--b\" type=\"checkbox\"").append(needed(b)).append(start(b).matches("(?i)yes|true|on|1") ? " checked>" : ">");
        out.append("<svg class=\"t-p\" aria-hidden=\"true\"><path class=\"").append(name).append("-m\" d=\"").append(FieldLayout.mark(l.input()).svgPath()).append("\" fill=\"none\" stroke=\"").append(hex(b, Blocks.GROUND))
                .append("\" stroke-width=\"2\" stroke-linecap=\"round\" stroke-linejoin=\"round\"/></svg>");
        end(b, "label");
    }

    private void choice(Content.Block b) {
        FieldLayout l = FieldLayout.of(b);
        List<String> all = FieldLayout.choices(b);
        int now = all.indexOf(start(b));
        if (l.buttons().isEmpty()) {
            begin(b, "label", "");
            place(name + "-f", l.input());
            input(b, name + "-f", radius(b, l.input()), hex(b, Blocks.GROUND), hex(b, Blocks.LINE));
            css.put(name + "-f", "appearance", "none");
            out.append("<select class=\"").append(name).append("-f t--b\"").append(needed(b)).append('>');
            for (int i = 0; i < all.size(); i++) {
                out.append("<option").append(i == now ? " selected>" : ">").append(Markup.escape(all.get(i))).append("</option>");
            }
            out.append("</select><svg class=\"t-p\" aria-hidden=\"true\"><path class=\"").append(name).append("-m\" d=\"").append(FieldLayout.arrow(l.input()).svgPath()).append("\" fill=\"none\" stroke=\"").append(hex(b, Blocks.LINE))
                    .append("\" stroke-width=\"1.5\" stroke-linecap=\"round\" stroke-linejoin=\"round\"/></svg>");
            end(b, "label");
            return;
        }
        begin(b, "div", " role=\"radiogroup\" aria-label=\"" + Markup.escape(label(b)) + "\"");
        for (int i = 0; i < all.size(); i++) {
            String one = name + "-f" + i;
            Rect r = l.buttons().get(i);
            place(one, r);
            css.put(one, "border", "1px solid " + hex(b, Blocks.LINE));
            css.put(one, "border-radius", radius(b, r));
            css.put(one, "background-color", hex(b, Blocks.GROUND));
            css.put(one, "cursor", "pointer");
            css.put(one + ":has(:checked)", "background-color", hex(b, Blocks.ACCENT));
            css.put(one + ":has(:checked)", "border-color", hex(b, Blocks.ACCENT));
            css.put(one + ":has(:checked) text", "fill", hex(b, Blocks.GROUND));
            open("label", one + " t--b", "");
            out.append("<input class=\"").append(one).append("r t--radio t--b\" type=\"radio\" name=\"").append(name).append("\"").append(attribute("value", all.get(i))).append(attribute("aria-label", all.get(i))).append(b.is(Blocks.NEEDED) ? " required" : "").append(i == now ? " checked>" : ">");
            words(b, one + "t", all.get(i), Blocks.INK, b.number(Blocks.LETTERS), new Point(-1, FieldLayout.middle(r, FieldLayout.line(b)) - r.y() - 1), r.width());
            out.append("</label>");
        }
        end(b, "div");
    }

    /** How far a number is between the two of a block, 0 to 1. */
    private static double share(Content.Block b, String text) {
        double least = b.number(Blocks.LEAST), most = b.number(Blocks.MOST);
        try {
            return most > least ? Numbers.clamp((Double.parseDouble(text) - least) / (most - least), 0, 1) : 0;
        } catch (NumberFormatException e) {
            return 0;
        }
    }

    private void slider(Content.Block b) {
        begin(b, "label", "");
        FieldLayout l = FieldLayout.of(b);
        double y = Math.round(l.input().y() + l.input().height() / 2), w = l.input().width(), k = FieldLayout.THUMB, x = k + share(b, start(b)) * (w - 2 * k), t = FieldLayout.TRACK;
        place(name + "-f", l.input());
        css.put(name + "-f", "opacity", "0");
        css.put(name + "-f", "margin", "0");
        css.put(name + "-f", "cursor", "pointer");
        out.append("<input class=\"").append(name).append("-f t--b\" type=\"range\"").append(needed(b)).append(" min=\"").append(Numbers.plain(b.number(Blocks.LEAST), 9)).append("\" max=\"").append(Numbers.plain(b.number(Blocks.MOST), 9))
                .append("\" step=\"").append(Numbers.plain(b.number(Blocks.STEP), 9)).append('"').append(attribute("value", start(b).isEmpty() ? Numbers.plain(b.number(Blocks.LEAST), 9) : start(b))).append('>');
        place(name + "-r", new Rect(0, y - t / 2, w, t));
        place(name + "-a", new Rect(0, y - t / 2, x, t));
        place(name + "-h", new Rect(x - k, y - k, 2 * k, 2 * k));
        css.put(name + "-r", "background-color", hex(b, Blocks.LINE));
        css.put(name + "-a", "background-color", hex(b, Blocks.ACCENT));
        css.put(name + "-h", "background-color", hex(b, Blocks.ACCENT));
        for (String part : List.of("-r", "-a", "-h")) {
            css.put(name + part, "border-radius", CssText.px(part.equals("-h") ? k : t / 2));
            css.put(name + part, "pointer-events", "none");
            open("div", name + part, "></div");
        }
        css.put(name + "-f:focus-visible ~ ." + name + "-h", "outline", "3px solid #2F78A3");
        css.put(name + "-f:focus-visible ~ ." + name + "-h", "outline-offset", "2px");
        end(b, "label");
    }

    // --- what shows something of the piece ---

    private void progress(Content.Block b) {
        String k = name + "-k";
        boolean timed = board.timeline(b.text(Blocks.OF_TIMELINE)) != null;
        double share = timed ? 0 : share(b, start(b));
        whole(k);
        css.put(k, "overflow", "hidden");
        css.put(k, "background-color", hex(b, Blocks.GROUND));
        css.put(k, "border-radius", radius(b, box(b)));
        whole(name + "-a");
        css.put(name + "-a", "background-color", hex(b, Blocks.ACCENT));
        css.put(name + "-a", "transform-origin", "0 0");
        css.put(name + "-a", "scale", Numbers.plain(share, 6) + " 1");
        open("div", k + " t--b", " role=\"progressbar\" aria-label=\"" + spoken(b) + "\" aria-valuemin=\"0\" aria-valuemax=\"100\" aria-valuenow=\"" + Math.round(100 * share) + "\"");
        open("div", name + "-a", "></div></div");
    }

    private void countdown(Content.Block b) {
        whole(name + "-k");
        open("div", name + "-k t--b", " role=\"timer\" aria-label=\"" + spoken(b) + "\"");
        words(b, name + "-t", "12 d 08:30:00", Blocks.INK, b.number(Blocks.LETTERS), new Point(0, (b.box().y() - b.number(Blocks.LETTERS) * FieldLayout.LINE) / 2), b.box().x());
        out.append("</div>\n");
    }
}
