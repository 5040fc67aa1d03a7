package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Galleries;
import tundra.core.fit.Lens;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Blocks where they meet something else: in a group, in a motif that stands twice, keyed, in layouts, two on a page. */
class BlockContextTest extends InBrowser {
    private static Content.Block block(BlockKind kind) {
        Content.Block b = kind.made();
        if (kind == Blocks.MAP_BLOCK) {
            b = b.with(Blocks.MAP, BlockPiece.MAP).with(Blocks.LONGITUDE, 10.002).with(Blocks.LATITUDE, 70.001);
        }
        if (kind.gallery()) {
            b = b.with(Blocks.ITEM_WIDTH, 100.0).with(Blocks.ITEM_HEIGHT, 70.0).with(Blocks.LOOPS, "yes").with(Blocks.CAPTIONS, "over");
        }
        if (kind == Blocks.TURNTABLE) {
            b = b.with(Blocks.RADIUS, 80.0);
        }
        return (kind.setting(Blocks.LABEL) == null ? b : b.with(Blocks.LABEL, "Label"))
                .withBox(new Point(200, kind.gallery() || kind == Blocks.MAP_BLOCK ? 110 : 60));
    }

    private static Element at(String id, Content.Block b, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)), b);
    }

    private static Element filled(Project p, Element e) {
        Content.Block g = Blocks.of(e);
        if (!g.kind().gallery()) {
            return e;
        }
        Board b = new Board(new Point(10, 10), Values.NONE, List.of(e), List.of(), List.of());
        return Galleries.withPictures(b, e.id(), BlockPiece.pictures(p), -1).find(e.id());
    }

    /** One as it is, one in a group that is turned, one that a timeline moves and fades, and a motif with one that stands twice. */
    private static Project piece(BlockKind kind) {
        Project p = BlockPiece.of(new Point(800, 500), List.of());
        Element plain = filled(p, at("plain", block(kind), 130, 90)), keyed = filled(p, at("keyed", block(kind), 400, 90));
        var group = new Element("group", "group", false, false, Values.NONE.with(Properties.POSITION, new Point(650, 110))
                .with(Properties.ROTATION, 20.0), new Content.Group(List.of(filled(p, at("inside", block(kind), 110, 60))), new Point(220, 120)));
        var motif = new Motif("m", "M", new Board(new Point(220, 120), Values.NONE, List.of(filled(p, at("of", block(kind), 110, 60))),
                List.of(new Timeline("m-main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of()));
        var all = new ArrayList<Element>(List.of(plain, keyed, group));
        for (int i = 0; i < 2; i++) {
            all.add(new Element("i" + i, "i" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(140 + 300 * i, 330))
                    .with(Properties.SCALE, new Point(1 + 0.2 * i, 1 + 0.2 * i)), new Content.Instance("m", new Point(220, 120), Clock.OWN)));
        }
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()).with("keyed", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(400, 90), Easing.LINEAR), new Key<>(2_000_000, new Point(400, 150), Easing.LINEAR))))
                .with("keyed", Properties.SIZE,
                new Track<>(List.of(new Key<>(0, block(kind).box(), Easing.LINEAR), new Key<>(2_000_000, block(kind).box().plus(new Point(40, 0)),
                Easing.LINEAR))));
        if (kind.family() != BlockKind.Family.GALLERY && kind != Blocks.PROGRESS) {
            // what a size moves inside of these is laid out anew with a layout, not while it is keyed
            main = main.withTracks("keyed", Map.of(Properties.POSITION, main.track("keyed", Properties.POSITION)));
        }
        Timeline t = main;
        p = p.withMotifs(List.of(p.motifs().getFirst(), motif)).mapBoard(p.scenes().getFirst().id(), b -> new Board(b.size(), b.canvas(), all,
                List.of(t), List.of()).withLayouts(List.of(new Layout("phone", "Phone", 0, 500, new Point(420, 700)))));
        return p.mapBoard(p.scenes().getFirst().id(), b -> {
            Board phone = Lens.get(b, "phone");
            Board now = phone.withRest("plain", v -> v.with(Properties.POSITION, new Point(210, 90))
                    .with(Properties.SIZE, new Point(380, block(kind).box().y())))
                    .withRest("group", v -> v.with(Properties.POSITION, new Point(210, 250)).with(Properties.ROTATION, 0.0))
                    .withRest("i0", v -> v.with(Properties.POSITION, new Point(210, 420))).withRest("i1", v -> v.with(Properties.SHOWN, "no"));
            return Lens.put(b, "phone", now, Lens.Scope.ONLY_HERE);
        });
    }

    @Test
    void everyKindLooksTheSameInAGroupAMotifKeyedAndInALayout() throws Exception {
        var soft = new SoftAssertions();
        for (BlockKind kind : Blocks.ALL) {
            if (List.of(Blocks.VIDEO, Blocks.SOUND, Blocks.COUNTDOWN, Blocks.DOTS, Blocks.LINK_AREA).contains(kind)) {
                continue;
            }
            Project p = piece(kind);
            var visit = new Visit(browser, folder, "context-" + kind, p);
            var seen = new ArrayList<String>();
            for (String layout : new String[] {null, "phone", null}) {
                Project now = p.mapBoard(p.scenes().getFirst().id(), b -> Lens.get(b, layout));
                Board b = now.scenes().getFirst().board();
                browser.resize((int) b.size().x(), (int) b.size().y());
                browser.until("return Tundra.pieces[0].shown.layout === " + (layout == null ? "null" : "'Phone'"));
                Moment m = Moment.opened(b, 1_000_000);
                visit.go(m);
                double db = visit.like(now, m);
                seen.add(String.format(Locale.ROOT, "%.1f", db));
                soft.assertThat(db).as("%s in %s", kind, layout).isGreaterThan(kind == Blocks.CHOICE ? 33 : 36);
            }
            System.out.println("PSNR of " + kind + " in contexts: " + seen + " dB");
        }
        soft.assertAll();
    }

    /** What a visitor did to a block stays when another layout takes over, and two of a motif's are two. */
    @Test
    void whatWasDoneStaysInAnotherLayoutAndEachIsItsOwn() throws Exception {
        Project p = piece(Blocks.STRIP);
        open(p, "stays", 800, 500);
        String plain = "Tundra.pieces[0].shown.board.block('t-plain')";
        browser.run(plain + ".go(2, 0)");
        browser.run("window.boards = [...document.querySelectorAll('.t-of-k')]; boards[0].focus(); boards[0].dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }))");
        browser.until("return [...boards[0].querySelectorAll('li')].findIndex((x) => +x.style.zIndex === 0) === 1");
        assertThat(((Number) browser.run("return [...boards[1].querySelectorAll('li')].findIndex((x) => +x.style.zIndex === 0)")).intValue())
                .isZero();
        browser.resize(420, 700);
        browser.until("return Tundra.pieces[0].shown.layout === 'Phone'");
        assertThat(((Number) browser.run("return " + plain + ".item")).intValue()).isEqualTo(2);
        // its items lie in the middle of the wider box
        browser.until("const r = " + plain + ".items[2].getBoundingClientRect(); return Math.abs(r.x + r.width / 2 - 210) < 0.6");
        Project fields = piece(Blocks.TEXT_FIELD);
        open(fields, "words", 800, 500);
        browser.run("document.querySelector('.t-plain-f').focus(); document.querySelector('.t-plain-f').value = 'Ada'");
        browser.resize(420, 700);
        browser.until("return Tundra.pieces[0].shown.layout === 'Phone'");
        browser.until("const f = document.querySelector('.t-plain-f'); return f.value === 'Ada' && document.activeElement === f && Math.abs(f.getBoundingClientRect().width - 380) < 0.6");
    }

    @Test
    void twoPiecesOfBlocksOnOnePageKeepApart() throws Exception {
        Path one = publish(piece(Blocks.STRIP), "pair-one"), two = publish(piece(Blocks.CHOICE).withId("another"), "pair-two");
        Path page = Files.createDirectories(folder.resolve("pair"));
        var s = new StringBuilder("<!doctype html><body>");
        for (Path x : List.of(one, two)) {
            String html = Files.readString(x.resolve("index.html"), StandardCharsets.UTF_8), name = x.getFileName().toString();
            s.append("<link rel=\"stylesheet\" href=\"../").append(name).append('/')
                    .append(html.replaceAll("(?s).*<link rel=\"stylesheet\" href=\"(piece[^\"]*)\".*", "$1")).append("\"><div style=\"width:800px\">")
                    .append(html.replaceAll("(?s).*(<main.*</main>).*", "$1")).append("</div>");
            for (var m = Pattern.compile("<script src=\"([^\"]+)\"").matcher(html); m.find();) {
                s.append("<script src=\"../").append(name).append('/').append(m.group(1)).append("\"></script>");
            }
        }
        Files.writeString(page.resolve("index.html"), s.toString());
        browser.open(page, 900, 1100);
        browser.until("return Tundra.pieces.length === 2");
        browser.run("Tundra.pieces[0].shown.board.block('t-plain').go(1, 0)");
        assertThat(((Number) browser.run("return Tundra.pieces[0].shown.board.block('t-plain').item")).intValue()).isEqualTo(1);
        assertThat((String) browser.run("return Tundra.pieces[1].shown.board.block('t-plain').data.block")).isEqualTo("choice");
    }

    /** A folder of files that goes along, shut off from the piece, and an address that waits for the visitor. */
    @Test
    void aPageWithinThePageIsShutOffAndAsksFirst() throws Exception {
        var zip = new ByteArrayOutputStream();
        try (var out = new ZipOutputStream(zip)) {
            for (var e : Map.of("index.html", "<!doctype html><title>Inside</title><script src=\"a/b.js\"></script><p>Inside", "a/b.js",
                    "document.title = 'ran'").entrySet()) {
                out.putNextEntry(new ZipEntry(e.getKey()));
                out.write(e.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        Asset files = Asset.file("Inside", Asset.FILES, zip.toByteArray());
        Project p = BlockPiece.of(new Point(800, 400), List.of(at("own", Blocks.PAGE.made().with(Blocks.FOLDER, files.hash()), 250, 200),
                at("far", Blocks.PAGE.made().with(Blocks.ADDRESS, "https://fellmark.example/open").with(Blocks.MAY_SCRIPT, "yes"), 620, 200)))
                .withAsset(files);
        open(p, "pages", 800, 400);
        assertThat(Files.exists(folder.resolve("pages").resolve("pages").resolve(files.hash().substring(0, 16)).resolve("a").resolve("b.js")))
                .isTrue();
        assertThat((String) browser.run(
                "const f = document.querySelector('.t-own-k iframe'); return f.getAttribute('sandbox') + '|' + f.title + '|' + f.src.endsWith('index.html')")).isEqualTo("|own|true");
        assertThat((Boolean) browser.run(
                "return document.querySelector('.t-far-k iframe') === null && document.querySelector('.t-far-t').textContent === 'From fellmark.example'")).isTrue();
        browser.run("window.made = []; const real = HTMLIFrameElement.prototype, src = Object.getOwnPropertyDescriptor(real, 'src'); Object.defineProperty(real, 'src', { set(v) { made.push(v); } });");
        browser.run("document.querySelector('.t-far-y').click()");
        browser.until("const f = document.querySelector('.t-far-k iframe'); return f?.getAttribute('sandbox') === 'allow-scripts' && made[0] === 'https://fellmark.example/open'");
    }
}
