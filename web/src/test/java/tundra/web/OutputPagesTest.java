package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.GradientPaint;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.file.FileProblem;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.core.series.ShownPictures;
import tundra.core.svg.AnimatedSvg;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.render.Still;
import tundra.samples.OpenNight;

/** Pages of one file, elements for other pages and drawings that move, as a visitor meets them. */
class OutputPagesTest extends InBrowser {
    private static Page compiled(Project p, PageHead head) {
        return new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries()).compile(p, head, null);
    }

    private static Path written(Page page, String name) throws Exception {
        Path to = Files.createDirectories(folder.resolve(name));
        for (var e : page.files().entrySet()) {
            Path at = to.resolve(e.getKey());
            Files.createDirectories(at.getParent());
            Files.write(at, e.getValue().bytes());
        }
        return to;
    }

    private static byte[] still(Project p, long time) {
        Board b = p.scenes().getFirst().board();
        return Still.png(p, Frames.of(p, b, Fonts.BUNDLED).at(Moment.opened(b, time)));
    }

    @Test
    void aPageOfOneFileNeedsNothingElse() throws Exception {
        Project demo = OpenNight.project();
        Path to = Files.createDirectories(folder.resolve("one"));
        Files.writeString(to.resolve("index.html"), OneFile.of(compiled(demo, PageHead.USUAL)));
        browser.open(to, 1280, 640);
        browser.run("window.asked = performance.getEntriesByType('resource').map(x => x.name).filter(x => !x.startsWith('data:'))");
        assertThat((List<?>) browser.run("return window.asked")).isEmpty();
        List<Double> times = demo.scenes().getFirst().board().timelines().stream().map(t -> 3000.0).toList();
        assertThat(Psnr.of(browser.still(times, 3000), still(demo, 3_000_000))).isGreaterThan(38);
        // the other scenes, their sounds and their pictures are in it, too
        browser.run("Tundra.pieces[0].show('Raise the mast')");
        browser.until("return Tundra.pieces[0].shown.name === 'Raise the mast'");
        assertThat(browser.run("return [...document.images].every(x => x.src.startsWith('data:'))")).isEqualTo(true);
    }

    @Test
    void theHeadSaysWhatThePageIs() throws Exception {
        Project demo = OpenNight.project();
        var output = Outputs.PAGE.made().with(Outputs.TITLE, "A <night> out").with(Outputs.DESCRIPTION, "Come \"and\" see")
                .with(Outputs.WORDS, "snow, stars").with(Outputs.ADDRESS, "https://fellmark.example/night").with(Outputs.PAGE_GROUND, "#102030")
                .with(Outputs.LOADING, "the ground alone").with(Outputs.SHARED_AT, 2_000_000L);
        Path to = written(compiled(demo, PageHead.of(output)), "head");
        browser.open(to, 1280, 640);
        assertThat(browser.run("return document.title")).isEqualTo("A <night> out");
        assertThat(browser.run("return document.querySelector('meta[name=description]').content")).isEqualTo("Come \"and\" see");
        assertThat(browser.run("return document.querySelector('meta[property=\"og:image\"]').content"))
                .isEqualTo("https://fellmark.example/night/shared.png");
        assertThat(browser.run("return getComputedStyle(document.body).backgroundColor")).isEqualTo("rgb(16, 32, 48)");
        assertThat(browser.run("return getComputedStyle(document.querySelector('.tundra')).visibility")).as("it is ready").isEqualTo("visible");
        var shared = ImageIO.read(to.resolve("shared.png").toFile());
        assertThat(List.of(shared.getWidth(), shared.getHeight())).containsExactly(1200, 630);
    }


    /** Three pieces within a page whose style sheet changes whatever it reaches, under a strict policy. */
    @Test
    void elementsStandInAHostilePageAndLeaveItAlone() throws Exception {
        var pieces = List.of(OpenNight.project(), MotionPiece.make(), SeveralPiecesTest.slides("one", "#1C6A5E"));
        Path to = Files.createDirectories(folder.resolve("embeds"));
        var html = new StringBuilder(
                "<!doctype html><meta charset='utf-8'><meta http-equiv='Content-Security-Policy' content=\"default-src 'self'\"><link rel='stylesheet' href='reset.css'><section id='mine'>Mine</section>");
        for (Project p : pieces) {
            written(Embed.of(p, compiled(p, PageHead.USUAL)), "embeds/" + p.id());
            html.append("<section>").append(Embed.snippet(p, p.id()).replace("></", " starts='at once'></")).append("</section>");
        }
        Files.writeString(to.resolve("reset.css"),
                "body{margin:0}section{color:red;font:italic 40px serif;letter-spacing:9px}#mine{position:static}main,h1,.tundra,.t-scene,svg,text{display:none!important;opacity:.3!important;transform:rotate(9deg)!important}"
                + "div{border:9px solid red!important}p{all:unset}");
        Files.writeString(to.resolve("index.html"), html);
        browser.open(to, 1280, 2000);
        browser.until("return globalThis.Tundra && Tundra.pieces.length === 3");
        List<String> tags = new ArrayList<>();
        pieces.forEach(p -> tags.add(Embed.tag(p)));
        for (String tag : tags) {
            browser.until("return document.querySelector('" + tag + "').piece !== null");
        }
        // the demo looks as it does alone
        Project demo = pieces.getFirst();
        List<Double> times = demo.scenes().getFirst().board().timelines().stream().map(t -> 3000.0).toList();
        browser.run("const p = document.querySelector(arguments[1]).piece, s = p.scenes[0]; s.timelines.forEach((t, i) => { t.reset(); if (t.starts) t.goTo(arguments[0][i]); }); s.board.run({ playing: false, at: 3000 });", times, tags.getFirst());
        browser.until("return document.fonts.status === 'loaded'");
        var box = (List<?>) browser.run("const r = document.querySelector(arguments[0]).piece.el.getBoundingClientRect(); return [r.x, r.y]",
                tags.getFirst());
        browser.run("const p = document.querySelector(arguments[0]).piece; for (const a of p.el.getAnimations({ subtree: true })) { a.commitStyles(); a.cancel(); }", tags.getFirst());
        var shot = ImageIO.read(new ByteArrayInputStream(browser.shot())).getSubimage(((Number) box.get(0)).intValue(), ((Number) box.get(1))
                .intValue(), 1280, 640);
        var out = new ByteArrayOutputStream();
        ImageIO.write(shot, "png", out);
        double db = Psnr.of(out.toByteArray(), still(demo, 3_000_000));
        System.out.println("PSNR of an element in a hostile page: " + db + " dB");
        assertThat(db).isGreaterThan(38);
        // nothing of it is seen outside
        assertThat(browser.run("return document.querySelectorAll('body .t-scene, body main, body .tundra').length")).isEqualTo(0L);
        assertThat(browser.run("const s = getComputedStyle(document.querySelector('#mine')); return [s.position, s.color, s.fontStyle].join()"))
                .isEqualTo("static,rgb(255, 0, 0),italic");
        // tapped, asked, told, opened
        browser.run("window.told = []; const x = document.querySelector('" + tags.get(2)
                + "'); for (const e of ['value', 'scene']) x.addEventListener('tundra-' + e, (v) => told.push(e + ' ' + JSON.stringify(v.detail)));");
        browser.run("document.querySelector('" + tags.get(2) + "').scrollIntoView()");
        var at = (List<?>) browser.run(
                "const r = document.querySelector(arguments[0]).piece.el.querySelector('.t-box .t-p > *').getBoundingClientRect(); return [r.x + 20, r.y + 20]", tags.get(2));
        browser.click(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue());
        browser.until("return document.querySelector('" + tags.get(2) + "').value('taps') === 1");
        assertThat(browser.run("return told.join()")).isEqualTo("value {\"name\":\"taps\",\"value\":1}");
        browser.run("document.querySelector('" + tags.get(2) + "').set('taps', 7)");
        assertThat(browser.run("return document.querySelector('" + tags.get(2) + "').value('taps')")).isEqualTo(7L);
        browser.run("window.scenes = []; const x = document.querySelector('" + tags.getFirst()
                + "'); x.addEventListener('tundra-scene', (v) => scenes.push(v.detail.scene)); x.scene = 'Raise the mast';");
        browser.until("return document.querySelector('" + tags.getFirst() + "').scene === 'Raise the mast'");
        assertThat(browser.run("return scenes.join()")).isEqualTo("Raise the mast");
    }

    @Test
    void anElementWaitsUntilItIsNearAndStandsTwiceOnAPage() throws Exception {
        Project p = SeveralPiecesTest.slides("one", "#1C6A5E");
        Path to = Files.createDirectories(folder.resolve("near"));
        written(Embed.of(p, compiled(p, PageHead.USUAL)), "near/one");
        String tag = Embed.tag(p);
        Files.writeString(to.resolve("index.html"), "<!doctype html><meta charset='utf-8'><body style='margin:0'><" + tag + "></" + tag
                + "><p style='height:3000px'></p><" + tag + " width='120'></" + tag + "><script src='one/embed.js' async></script>");
        browser.open(to, 600, 400);
        browser.until("return document.querySelectorAll('" + tag + "')[0].piece !== null");
        assertThat(browser.run("return document.querySelectorAll('" + tag + "')[1].piece")).as("it is far below").isNull();
        double room = ((Number) browser.run("return document.querySelectorAll('" + tag + "')[1].getBoundingClientRect().height")).doubleValue();
        assertThat(room).as("its room is kept").isBetween(59.0, 61.0);
        browser.run("scrollTo(0, 3000)");
        browser.until("return document.querySelectorAll('" + tag + "')[1].piece !== null");
        assertThat(browser.run("return document.querySelectorAll('" + tag + "')[1].piece.room")).isEqualTo(120L);
        assertThat(((Number) browser.run("return Tundra.pieces[1].el.getBoundingClientRect().width")).doubleValue()).isBetween(119.0, 121.0);
        browser.run("document.querySelectorAll('" + tag + "')[1].set('taps', 3)");
        assertThat(browser.run("return [...document.querySelectorAll('" + tag + "')].map(x => x.value('taps')).join()")).as("each counts for itself")
                .isEqualTo("0,3");
    }

    /** A drawing that moves shows what the stills show, at twelve moments, without any script. */
    @Test
    void anAnimatedSvgIsThePieceAtEachOfItsMoments() throws Exception {
        for (Project p : List.of(OpenNight.project(), MotionPiece.make())) {
            Board b = p.scenes().getFirst().board();
            AnimatedSvg.Made made = AnimatedSvg.of(p, b, Fonts.BUNDLED, Fonts.BUNDLED, Progress.NONE);
            assertThat(made.text()).doesNotContain("<script").doesNotContain("onload");
            Path to = Files.createDirectories(folder.resolve("svg-" + p.id()));
            Files.writeString(to.resolve("index.html"), "<!doctype html><meta charset='utf-8'><body style='margin:0'>" + made.text());
            browser.open(to, (int) b.size().x(), (int) b.size().y());
            double worst = 99;
            for (int i = 0; i < 12; i++) {
                // the moments of frames, not at the very end of a round
                long time = p.snap(b.main().duration() * i / 12);
                browser.run("for (const a of document.getAnimations()) { a.pause(); a.currentTime = arguments[0]; }", time / 1000.0 + 0.01);
                double db = Psnr.of(browser.shot(), still(p, time));
                worst = Math.min(worst, db);
                assertThat(db).as("%s at %d ms", p.name(), time / 1000).isGreaterThan(38);
            }
            System.out.println("PSNR of " + p.name() + " as an animated SVG: " + worst + " dB, " + made.text().length() / 1024 + " KB; "
                    + made.leftOut());
        }
    }

    @Test
    void picturesHaveNoMorePixelsThanAFineScreenShows() throws Exception {
        var large = new BufferedImage(1600, 800, BufferedImage.TYPE_INT_RGB);
        var g = large.createGraphics();
        g.setPaint(new GradientPaint(0, 0, java.awt.Color.BLUE, 1600, 800, java.awt.Color.ORANGE));
        g.fillRect(0, 0, 1600, 800);
        var bytes = new ByteArrayOutputStream();
        ImageIO.write(large, "png", bytes);
        Asset a = Asset.picture("sky.png", "image/png", 1600, 800, bytes.toByteArray());
        var e = new Element("sky", "Sky", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 60))
                .with(Properties.SIZE, new Point(160, 80)),
                new Content.Picture(a.hash()));
        Project p = Project.empty("P", new Point(200, 120), 24).withAsset(a);
        Project piece = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e)));
        assertThat(ShownPictures.sizes(piece, Fonts.BUNDLED).get(a.hash())).isEqualTo(new Point(160, 80));
        Project small = ShownPictures.smaller(piece, Fonts.BUNDLED, new SkiaSeries());
        Asset now = small.assets().get(a.hash());
        assertThat(List.of(now.width(), now.height())).containsExactly(320, 160);
        assertThat(now.source().length()).isLessThan(a.source().length() / 4);
        browser.open(written(compiled(small, PageHead.USUAL), "small"), 200, 120);
        browser.until("return document.querySelector('.t-scene img').complete");
        assertThat(browser.run("return document.querySelector('.t-scene img').naturalWidth")).isEqualTo(320L);
        assertThat(Psnr.of(browser.shot(), still(piece, 0))).isGreaterThan(38);
    }

    @Test
    void whatCantLieInOneFileIsRefused() {
        Project p = MotionPiece.make();
        var files = new LinkedHashMap<>(compiled(p, PageHead.USUAL).files());
        files.put("pages/abc/index.html", Page.Part.of("<p>x".getBytes(StandardCharsets.UTF_8)));
        assertThatThrownBy(() -> OneFile.of(new Page(files))).isInstanceOf(FileProblem.class).hasMessageContaining("make a folder");
    }

    /** Sizes were attributes in SVG 1.1, which the checker goes by; in SVG 2 they are properties of CSS. */
    private static final String SVG_1 = "Element “(rect|ellipse|circle|image)” is missing required attribute “(width|height|rx|ry|r)”.";

    /** By the checker of the HTML standard's own editors. It is older than some elements' attributes that browsers know. */
    private static List<String> invalid(String html) throws Exception {
        var checker = new nu.validator.client.EmbeddedValidator();
        checker.setOutputFormat(nu.validator.client.EmbeddedValidator.OutputFormat.JSON);
        checker.setForceHTML(true);
        String said = checker.validate(new ByteArrayInputStream(html.getBytes(StandardCharsets.UTF_8)));
        var out = new ArrayList<String>();
        if (!said.isBlank()) {
            tools.jackson.databind.json.JsonMapper.shared().readTree(said).path("messages").forEach(m -> {
                if (m.path("type").asString("").equals("error") && !m.path("message").asString("").matches(SVG_1)) {
                    out.add(m.path("message").asString("") + " | " + m.path("extract").asString(""));
                }
            });
        }
        return out.stream().distinct().toList();
    }

    @Test
    void thePagesAreValidHtml() throws Exception {
        assertThat(invalid("<!doctype html><html lang=en><title>x</title><p id=a><p id=a>")).as("what isn't valid is told").isNotEmpty();
        for (Project p : List.of(OpenNight.project(), MotionPiece.make())) {
            Page page = compiled(p, PageHead.of(Outputs.PAGE.made().with(Outputs.DESCRIPTION, "A \"night\" out")
                    .with(Outputs.ADDRESS, "https://fellmark.example/")));
            String html = new String(page.files().get("index.html").bytes(), StandardCharsets.UTF_8), shown = html;
            // what lies in templates is a tree of its own, with ids of its own, which the checker doesn't know
            assertThat(invalid(html).stream().filter(m -> !m.startsWith("Duplicate ID")).toList()).as(p.name()).isEmpty();
            for (String before = ""; !before.equals(shown); ) {
                before = shown;
                shown = shown.replaceAll("(?s)<template[^>]*>(?:(?!<template).)*?</template>", "");
            }
            assertThat(invalid(shown)).as(p.name()).isEmpty();
            assertThat(invalid(new String(Embed.of(p, page).files().get("index.html").bytes(), StandardCharsets.UTF_8))).as(p.name()).isEmpty();
        }
    }

    @Test
    void textsAreHeadingsWhereTheyAreMarkedAsSuch() throws Exception {
        var title = new Element("title", "Title", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 40))
                .with(Properties.HEADING, "second")
                .with(Properties.FILL, tundra.core.model.Color.BLACK), new Content.Text("How to get there", "Figtree", 600, 18, Content.Align.LEFT,
                1.2));
        var plain = new Element("plain", "Plain", false, false, title.rest().with(Properties.HEADING, "none"), title.content());
        Project p = Project.empty("P", new Point(240, 120), 24);
        browser.open(written(compiled(p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(title, plain))), PageHead.USUAL),
                "headings"), 240, 120);
        assertThat(browser.run("return [...document.querySelectorAll('[role=heading]')].map(x => x.ariaLevel + ' ' + x.textContent.trim()).join()"))
                .isEqualTo("3 How to get there");
        var tree = (Map<?, ?>) browser.driver.executeCdpCommand("Accessibility.getFullAXTree", Map.of());
        assertThat(tree.toString()).contains("value=heading").contains("How to get there");
    }
}
