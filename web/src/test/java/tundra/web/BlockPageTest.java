package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.MapData;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.render.Fonts;
import tundra.render.Still;

/** Blocks look on the page as they do on the canvas, whatever is said of them. */
class BlockPageTest extends InBrowser {
    /** What browsers draw by themselves, or what shows the time. */
    private static final Set<BlockKind> THEIR_OWN = Set.of(Blocks.VIDEO, Blocks.SOUND, Blocks.COUNTDOWN);

    /** A block with one setting other than usual, and what that is. */
    private record Variant(Element element, String says) {}

    private static List<Variant> variants(BlockKind kind) {
        var out = new ArrayList<Variant>();
        out.add(new Variant(variant(kind, 0, kind.made()), "as placed"));
        for (LabelledSlot s : kind.settings()) {
            for (Object v : BlockPiece.others(s)) {
                Content.Block b = based(kind).with(s.slot(), v);
                b = s.slot() == Blocks.LETTERS ? b.with(kind.setting(Blocks.CAPTIONS) == null ? Blocks.LETTERS : Blocks.CAPTIONS,
                        kind.setting(Blocks.CAPTIONS) == null ? v : "over") : b;
                out.add(new Variant(variant(kind, out.size(), b), s.label() + " " + (v instanceof MapData ? "a map" : v)));
            }
        }
        return out;
    }

    private static Content.Block based(BlockKind kind) {
        Content.Block b = kind.made();
        if (kind == Blocks.MAP_BLOCK) {
            b = b.with(Blocks.MAP, BlockPiece.MAP).with(Blocks.LONGITUDE, 10.002).with(Blocks.LATITUDE, 70.001);
        }
        if (kind.setting(Blocks.LABEL) != null) {
            b = b.with(Blocks.LABEL, "Your name");
        }
        return kind.setting(Blocks.WORDS) != null ? b.with(Blocks.WORDS, "Come along") : b;
    }

    private static Element variant(BlockKind kind, int i, Content.Block b) {
        double w = kind.box().x() + BlockPiece.GAP, h = kind.box().y() + BlockPiece.GAP;
        int columns = Math.max(1, (int) (1280 / w));
        return BlockPiece.element("v" + i, kind, new Point((i % columns + 0.5) * w, (i / columns + 0.5) * h)).withContent(b);
    }

    @Test
    void everySettingOfEveryBlockLooksTheSame() throws Exception {
        var soft = new SoftAssertions();
        for (BlockKind kind : Blocks.ALL) {
            if (!THEIR_OWN.contains(kind)) {
                alike(kind, soft);
            }
        }
        soft.assertAll();
    }

    private static void alike(BlockKind kind, SoftAssertions soft) throws Exception {
        List<Variant> all = variants(kind);
        double bottom = all.stream().mapToDouble(v -> v.element().rest().get(Properties.POSITION).y()).max().orElse(0)
                + (kind.box().y() + BlockPiece.GAP) / 2;
        Project p = BlockPiece.of(new Point(1280, Math.ceil(bottom)), all.stream().map(Variant::element).toList());
        for (Variant v : kind.gallery() ? all : List.<Variant>of()) {
            p = BlockPiece.filled(p, v.element().id());
        }
        if (kind == Blocks.DOTS) {
            Element strip = BlockPiece.element("strip", Blocks.STRIP, new Point(3000, 0));
            p = BlockPiece.filled(p.mapBoard(p.scenes().getFirst().id(), b -> {
                var more = new ArrayList<>(b.elements());
                more.add(strip);
                return b.withElements(more).mapElements(Set.copyOf(all.stream().map(v -> v.element().id()).toList()),
                        e -> e.withContent(Blocks.of(e).with(Blocks.OF_GALLERY, "strip")));
            }), "strip");
        }
        Board b = p.scenes().getFirst().board();
        open(p, "every-" + kind.key(), 1280, (int) b.size().y());
        browser.seek(b.timelines().stream().map(t -> 0.0).toList(), 0);
        byte[] theirs = browser.shot(), ours = Still.png(p, Frames.of(p, b, Fonts.BUNDLED).at(Moment.opened(b, 0)));
        BufferedImage mine = ImageIO.read(new ByteArrayInputStream(ours)), page = ImageIO.read(new ByteArrayInputStream(theirs));
        var seen = new ArrayList<String>();
        for (Variant v : all) {
            // a browser puts the words of a list up to a px elsewhere
            double db = Psnr.of(cut(mine, v, kind), cut(page, v, kind));
            seen.add(String.format(Locale.ROOT, "%.1f", db));
            soft.assertThat(db).as("%s: %s", kind, v.says()).isGreaterThanOrEqualTo(kind == Blocks.CHOICE ? 28 : 36);
        }
        System.out.println("PSNR of " + kind + ": " + seen + " dB");
        if (Boolean.getBoolean("parity.keep")) {
            Files.createDirectories(Path.of("target/parity"));
            Files.write(Path.of("target/parity/" + kind + "-tundra.png"), ours);
            Files.write(Path.of("target/parity/" + kind + "-chromium.png"), theirs);
        }
    }

    private static byte[] cut(BufferedImage from, Variant v, BlockKind kind) throws Exception {
        Point at = v.element().rest().get(Properties.POSITION);
        int w = (int) (kind.box().x() + BlockPiece.GAP - 2), h = (int) (kind.box().y() + BlockPiece.GAP - 2);
        int x = Math.max(0, (int) Math.round(at.x() - w / 2.0)), y = Math.max(0, (int) Math.round(at.y() - h / 2.0));
        var out = new ByteArrayOutputStream();
        ImageIO.write(from.getSubimage(x, y, Math.min(w, from.getWidth() - x), Math.min(h, from.getHeight() - y)), "png", out);
        return out.toByteArray();
    }
}
