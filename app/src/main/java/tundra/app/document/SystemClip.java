package tundra.app.document;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.util.Collection;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.image.Image;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;
import javax.imageio.ImageIO;
import tundra.app.art.ArtReader;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Studio;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Project;
import tundra.core.model.Tree;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;
import tundra.render.Still;

/** The system's clipboard: elements go there as SVG text; SVG text and pictures of other programs come in from there. */
public final class SystemClip {
    private static final DataFormat MARK = format("application/x-tundra-copy");
    private static final DataFormat SVG = format("image/svg+xml");

    private SystemClip() {}

    private static DataFormat format(String type) {
        DataFormat known = DataFormat.lookupMimeType(type);
        return known != null ? known : new DataFormat(type);
    }

    /** @param mark lets a paste in the same window know its own copy; null for text alone */
    public static void put(Studio studio, Collection<String> ids, String mark) {
        String svg = SvgWriter.write(studio.project(), only(studio, ids), Fonts.of(studio.project().assets()));
        var content = new ClipboardContent();
        content.putString(svg);
        content.put(SVG, svg);
        if (mark != null) {
            content.put(MARK, mark);
        }
        Clipboard.getSystemClipboard().setContent(content);
    }

    /** What is on the canvas of some elements, and nothing else. */
    private static Frame only(Studio studio, Collection<String> ids) {
        Frame f = studio.picture().frame();
        return new Frame(f.size(), Color.NONE, Tree.ids(studio.board().elements()).stream().filter(ids::contains).map(f::find)
                .filter(p -> p != null).map(p -> p.node().withPlacement(p.toCanvas())).toList());
    }

    /** Copies what elements look like as a picture of twice their size, cut to what they paint. */
    public static void putPicture(Studio studio, Jobs jobs, Notices notices, Collection<String> ids) {
        Frame all = only(studio, ids);
        Rect r = null;
        for (FrameNode n : all.nodes()) {
            r = n.reach() == null ? r : n.toParent().bounds(n.reach()).union(r);
        }
        if (r == null) {
            return;
        }
        Affine to = Affine.translate(-r.x(), -r.y());
        var cut = new Frame(new Point(Math.max(1, r.width()), Math.max(1, r.height())), Color.NONE,
                all.nodes().stream().map(n -> n.withPlacement(to.times(n.toParent()))).toList());
        double k = Math.min(2, 4096 / Math.max(cut.size().x(), cut.size().y()));
        Project p = studio.project();
        jobs.run(() -> Still.png(p, cut, (int) Math.ceil(cut.size().x() * k), (int) Math.ceil(cut.size().y() * k)), png -> {
            var content = new ClipboardContent();
            content.putImage(new Image(new ByteArrayInputStream(png)));
            Clipboard.getSystemClipboard().setContent(content);
            notices.news("Copied as a picture.");
        });
    }

    public static boolean isMarked(String mark) {
        return mark != null && mark.equals(Clipboard.getSystemClipboard().getContent(MARK));
    }

    /** Brings in what another program copied; says whether there was something to bring in. */
    public static boolean bringIn(FileJobs files, Notices notices) {
        Clipboard c = Clipboard.getSystemClipboard();
        if (c.hasString() && ArtReader.isSvg(c.getString())) {
            files.importing.bringInText(c.getString());
        } else if (c.hasFiles()) {
            files.importing.bringIn(c.getFiles().stream().map(File::toPath).toList());
        } else if (c.hasImage()) {
            try (var out = new ByteArrayOutputStream()) {
                ImageIO.write(SwingFXUtils.fromFXImage(c.getImage(), null), "png", out);
                files.importing.bringInPicture(out.toByteArray());
            } catch (IOException e) {
                notices.problem("The picture on the clipboard can't be read: " + e.getMessage());
            }
        } else {
            return false;
        }
        return true;
    }
}
