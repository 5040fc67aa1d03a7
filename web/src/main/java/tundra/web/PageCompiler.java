package tundra.web;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import tools.jackson.databind.json.JsonMapper;
import tundra.core.edit.Motifs;
import tundra.core.edit.ScriptApi;
import tundra.core.edit.Scripts;
import tundra.core.flip.SheetMaker;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.FontSource;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Slot;
import tundra.core.series.MotifSeries;
import tundra.core.series.SeriesPainter;

/** Compiles a project to a web page of plain HTML, SVG and Web Animations, with the small player that runs them. */
public final class PageCompiler {
    /** What stands for the piece where scripts are off. */
    private static final String STILL = "still",
            UNMOVED = "This is a still picture: the piece itself moves and answers with JavaScript, which is switched off here.",
            PRINTED = "This is a still picture: the piece itself moves and answers on its page.";
    /** What stands in for the piece on paper and without scripts; a browser loads it only then. */
    private static final String STILL_CSS = """
            .t-still{display:none;text-align:center;font:16px/1.5 sans-serif}
            .t-still img{max-width:100%;height:auto}
            @media print{.t-still{display:block}.t-unmoved{display:none}body:has(>.t-still)>.tundra{display:none}}
            """;
    /** The picture that others show of the page, in the size that they ask for. */
    private static final String SHARED = "shared.png";
    private static final int SHARED_WIDTH = 1200, SHARED_HEIGHT = 630;
    static final String GENERATOR = "Tundra";
    static final JsonMapper JSON = new JsonMapper();
    private final TextMeasurer measure;
    /** Letters of a font's family in a file name. */
    private static final int LONGEST = 40;
    private final FontSource fonts;
    private final SheetMaker sheets;
    private final SeriesPainter series;

    /** One that publishes all motifs as what they are. */
    public PageCompiler(TextMeasurer measure, FontSource fonts, SheetMaker sheets) {
        this(measure, fonts, sheets, null);
    }

    /**
     * @param sheets puts pictures on one sheet for flipbooks of pictures
     * @param series paints the motifs that are published as pictures; null publishes them as what they are
     */
    public PageCompiler(TextMeasurer measure, FontSource fonts, SheetMaker sheets, SeriesPainter series) {
        this.series = series;
        this.measure = measure;
        this.fonts = fonts;
        this.sheets = sheets;
    }

    /** @param extraScript a script that runs before the piece, such as the log of the preview; null for none */
    public Page compile(Project piece, String extraScript) {
        return compile(piece, PageHead.USUAL, extraScript);
    }

    /** @param head what is said in the page's head */
    public Page compile(Project piece, PageHead head, String extraScript) {
        var values = new ValueTexts();
        Project project = prepared(piece, values);
        var markup = new Markup(project, measure, values);
        var layouts = LayoutPages.of(piece, measure, this::prepared);
        for (Scene s : project.scenes()) {
            Set<String> before = markup.css().names();
            markup.scene(s, s == project.scenes().getFirst());
            layouts.css(s, before, markup);
        }
        List<Motif> motifs = motifs(project);
        for (Motif m : motifs) {
            Set<String> before = markup.css().names();
            markup.motif(m);
            layouts.css(m, before, markup.css());
        }
        layouts.markups().forEach(markup::with);
        var files = new LinkedHashMap<String, Page.Part>();
        // what is only tried is ready at once
        boolean pack = series != null && extraScript == null;
        // nobody tries a piece with its scripts off
        byte[] still = series == null || extraScript != null ? null : series.still(piece);
        if (still != null) {
            files.put(STILL + ".png", Page.Part.of(still));
            files.put(STILL + ".css", Page.Part.of(utf8(".tundra,.t-printed{display:none}.t-still{display:block}\n")));
        }
        byte[] shared = head.sharedAt() < 0 || series == null ? null : series.shared(piece, head.sharedAt(), SHARED_WIDTH, SHARED_HEIGHT);
        if (shared != null) {
            files.put(SHARED, Page.Part.of(shared));
        }
        Asset icon = piece.assets().get(head.icon());
        if (icon != null) {
            files.put(Markup.picturePath(icon), Page.Part.of(icon.source()));
        }
        files.put("index.html", Page.Part.of(utf8(html(project, markup.html(), extraScript, still != null,
                headLines(piece, head, icon, shared != null)))));
        String snaps = project.scenes().stream().anyMatch(x -> Scrolling.rests(x.board())) ? "html{scroll-snap-type:y proximity}\n" : "";
        files.put("piece.css", Page.Part.of(utf8(css(markup, pack) + around(head) + (still == null ? "" : STILL_CSS) + snaps + markup.css()
                .css(scope(project)))));
        var used = new HashSet<String>();
        String data = new PageData(series != null).data(project, motifs, markup, layouts, extraScript != null, used);
        if (extraScript != null) {
            used.addAll(Set.of(PlayerScript.RECORD, PlayerScript.NAMED_SETS));
        }
        if (values.any()) {
            used.add(PlayerScript.CHIPS);
        }
        if (markup.wraps()) {
            used.addAll(Set.of(PlayerScript.WRAPS, PlayerScript.CHIPS));
        }
        files.put("tundra-player.js", Page.Part.of(utf8(PlayerScript.with(used))));
        for (Script s : project.scripts()) {
            files.put(scriptPath(project, s), Page.Part.of(utf8(script(project, s, extraScript != null))));
            files.put("tundra.d.ts", Page.Part.of(utf8(ScriptApi.declarations())));
        }
        files.put("piece.js", Page.Part.of(utf8("Tundra.players[\"" + PlayerScript.key(used) + "\"].start(" + data + ");\n")));
        for (String hash : markup.pictures()) {
            Asset a = project.assets().get(hash);
            files.put(Markup.picturePath(a), Page.Part.of(a.source()));
        }
        markup.sheets().forEach((path, sheet) -> files.put(path, Page.Part.of(sheets.sheet(sheet.pictures(), sheet.grid()))));
        project.places().forEach(x -> x.board().timelines().forEach(t -> t.sounds().forEach(sound -> {
            Asset a = project.assets().get(sound.asset());
            files.put(soundPath(a), Page.Part.of(a.source()));
        })));
        for (Reaction r : project.allReactions()) {
            r.slots().stream().map(s -> s.first(Slot.Type.SOUND)).filter(Objects::nonNull).map(project.assets()::get)
                    .forEach(a -> files.put(soundPath(a), Page.Part.of(a.source())));
        }
        BlockWriter.files(project, series, files);
        PackedFonts packed = pack ? new PackedFonts(piece) : null;
        for (Markup.Face f : markup.faces()) {
            byte[] whole = fonts.file(f.family(), f.weight());
            files.put(fontPath(f, pack), Page.Part.of(pack ? packed.of(whole) : whole));
            byte[] licence = fonts.licence(f.family());
            if (licence != null) {
                files.put("fonts/LICENSE-" + slug(f.family()) + ".txt", Page.Part.of(licence));
            }
        }
        return new Page(files);
    }

    /** As it is compiled: with pictures for the motifs that are published so, values in texts and timelines for what actions set. */
    private Project prepared(Project piece, ValueTexts values) {
        return SetTimelines.with(values.in(series == null ? piece : MotifSeries.published(piece, series)));
    }

    /** Scripts of one name have a number each. */
    private static String scriptPath(Project p, Script s) {
        long before = p.scripts().subList(0, p.scripts().indexOf(s)).stream().filter(x -> x.name().equalsIgnoreCase(s.name())).count();
        return "script-" + s.name().replaceAll("[^A-Za-z0-9_]", "-") + (before == 0 ? "" : "-" + (before + 1)) + ".js";
    }

    /** A file for each, so that one that can't be read takes nothing else with it; comments stay where they are wanted. */
    private static String script(Project p, Script s, boolean tried) {
        String source = ScriptReader.plain(s.comments() || tried ? s.source() : Scripts.withoutComments(s.source()));
        return "Tundra.scripts[\"" + p.id() + " " + s.id() + "\"] = (() => {\n" + (tried ? ScriptReader.guarded(source, s.name()) : source)
                + "\nreturn " + s.name() + ";\n})();\n";
    }

    /** The class of a piece, by which its own names are told from those of others on the same page. */
    static String scope(Project p) {
        return "tundra-" + PageId.of(p.id());
    }

    static String soundPath(Asset a) {
        return "sounds/" + a.hash().substring(0, 16) + "." + a.ending();
    }

    private static byte[] utf8(String s) {
        return s.getBytes(StandardCharsets.UTF_8);
    }

    /** The family's name on the page: its own, so that a font of the system never stands in. */
    static String family(String family, int weight) {
        return "t-" + slug(family) + "-" + weight;
    }

    /** A family as a part of file names and of CSS, told from all others: short plain names as they are, others by a hash. */
    private static String slug(String family) {
        String plain = family.replaceAll("[^A-Za-z0-9]+", "-");
        boolean clear = family.length() <= LONGEST && family.matches("[A-Za-z0-9]+( [A-Za-z0-9]+)*");
        return clear ? plain : plain.substring(0, Math.min(plain.length(), LONGEST)) + "-" + Asset.hash(utf8(family)).substring(0, 8);
    }

    private static String fontPath(Markup.Face f, boolean packed) {
        return "fonts/" + slug(f.family()) + "-" + f.weight() + (packed ? ".woff2" : ".ttf");
    }

    /** Nothing stands in it that a strict Content-Security-Policy forbids: styles and scripts are files. */
    private static String html(Project p, String main, String extraScript, boolean still, String headLines) {
        var s = new StringBuilder("<!doctype html>\n<html lang=\"" + Markup.escape(p.page().language()) + "\">\n<head>\n<meta charset=\"utf-8\">\n");
        s.append("<meta name=\"viewport\" content=\"width=device-width,initial-scale=1\">\n<meta name=\"generator\" content=\"").append(GENERATOR)
                .append("\">\n").append(headLines).append("<link rel=\"stylesheet\" href=\"piece.css\">\n")
                .append(still ? "<noscript><link rel=\"stylesheet\" href=\"" + STILL + ".css\"></noscript>\n" : "")
                .append("</head>\n<body>\n").append(still ? "<div class=\"t-still\"><img src=\"" + STILL + ".png\" alt=\"" + Markup.escape(p.name())
                + "\" loading=\"lazy\"><p class=\"t-unmoved\">" + UNMOVED
                        + "</p><p class=\"t-printed\">" + PRINTED + "</p></div>\n" : "").append("<main class=\"tundra ").append(scope(p))
                        .append("\">\n");
        s.append("<h1 class=\"t--title\">").append(Markup.escape(p.name())).append("</h1>\n").append(main).append("</main>\n");
        if (extraScript != null) {
            s.append("<script src=\"").append(extraScript).append("\"></script>\n");
        }
        s.append("<script src=\"tundra-player.js\"></script>\n");
        p.scripts().forEach(x -> s.append("<script src=\"").append(scriptPath(p, x)).append("\"></script>\n"));
        return s.append("<script src=\"piece.js\"></script>\n</body>\n</html>\n").toString();
    }

    private static String headLines(Project p, PageHead head, Asset icon, boolean shared) {
        String title = head.title().isEmpty() ? p.name() : head.title();
        var s = new StringBuilder("<title>").append(Markup.escape(title)).append("</title>\n");
        meta(s, "name", "description", head.description());
        meta(s, "name", "keywords", head.words());
        if (icon != null) {
            s.append("<link rel=\"icon\" type=\"").append(icon.mediaType()).append("\" href=\"").append(Markup.picturePath(icon)).append("\">\n");
        }
        if (!head.address().isEmpty()) {
            s.append("<link rel=\"canonical\" href=\"").append(Markup.escape(head.address())).append("\">\n");
            meta(s, "property", "og:url", head.address());
        }
        if (shared) {
            meta(s, "property", "og:title", title);
            meta(s, "property", "og:description", head.description());
            meta(s, "property", "og:type", "website");
            // those who show it ask for a whole address; without one they may take it from beside the page
            meta(s, "property", "og:image", head.address() + SHARED);
        }
        return s.toString();
    }

    private static void meta(StringBuilder s, String by, String name, String words) {
        if (!words.isEmpty()) {
            s.append("<meta ").append(by).append("=\"").append(name).append("\" content=\"").append(Markup.escape(words)).append("\">\n");
        }
    }

    /** Around the piece, and until it is there. */
    private static String around(PageHead head) {
        return (head.ground().equals(Color.WHITE) ? "" : "body{background:" + head.ground().hex() + "}\n")
                + (head.blank() ? ".tundra:not([data-ready]){visibility:hidden}\n" : "");
    }

    private static String css(Markup m, boolean pack) {
        var s = new StringBuilder();
        for (Markup.Face f : m.faces()) {
            s.append("@font-face{font-family:'").append(family(f.family(), f.weight())).append("';font-weight:").append(f.weight())
                    .append(";src:url(").append(fontPath(f, pack)).append(")}\n");
        }
        return s.append("""
                body{margin:0}
                .tundra{display:grid}
                html:has(>body>.tundra){overflow-x:clip}
                .t-scene{grid-area:1/1;position:relative;isolation:isolate;overflow:hidden;margin:0 auto;--touch:none;user-select:none;-webkit-user-select:none}
                .t--turning{overflow:clip}
                .t-scene[hidden]{display:none}
                .t-scene:focus{outline:none}
                .t-scene div:where([class^=t-]){position:absolute;left:0;top:0;transform-origin:0 0;pointer-events:none}
                .t-p{position:absolute;left:0;top:0;width:1px;height:1px;overflow:visible}
                .t-p *,.t-scene img:where([class^=t-]){pointer-events:var(--touch)}
                .t-p text{white-space:pre;text-rendering:geometricPrecision}
                .t-scene img:where([class^=t-]){position:absolute;left:0;top:0;display:block}
                .t-scene [hidden]{display:none}
                .t-through,.t-through *{pointer-events:none!important}
                .t-say,.t--title{position:absolute;width:1px;height:1px;margin:0;overflow:hidden;clip-path:inset(50%)}
                .t-hand:focus-visible{outline:none!important;box-shadow:none!important}
                .t-tap{cursor:pointer}
                .t-scene .t--b{pointer-events:auto}
                .t--b .t-p,.t--b .t-p *{pointer-events:none}
                .t--b:focus-visible{outline:3px solid #2F78A3;outline-offset:2px}
                .t--dot{border:0;border-radius:50%;padding:0;background:var(--dot);cursor:pointer}
                .t--pin{position:absolute;left:-12px;top:-12px;width:24px;height:24px;padding:0;border:0;border-radius:50%;background:none;cursor:pointer}
                .t--radio{position:absolute;inset:0;margin:0;opacity:0;cursor:pointer}
                .t--b:has(>.t--radio:focus-visible){outline:3px solid #2F78A3;outline-offset:2px}
                .t--found{margin:0;padding:4px 0;list-style:none;background:#fff;border-radius:6px;box-shadow:0 2px 8px #0003;pointer-events:auto;z-index:1}
                .t--found li{padding:4px 10px;cursor:pointer}
                .t--found [aria-selected=true],.t--found li:hover{background:#D9EAE4}
                .t-tap:focus-visible{outline:3px solid #2F78A3;outline-offset:3px;box-shadow:0 0 0 3px #fff}
                """).toString();
    }

    /** The motifs that the scenes show, by whatever way. */
    private static List<Motif> motifs(Project p) {
        return p.motifs().stream().filter(m -> p.scenes().stream().anyMatch(s -> Motifs.holds(p, s.id(), m.id()))).toList();
    }

}
