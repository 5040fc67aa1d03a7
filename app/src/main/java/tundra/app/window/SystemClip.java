package tundra.app.window;

import java.util.Collection;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;
import tundra.app.art.ArtReader;
import tundra.core.frame.Frame;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;

/** The system's clipboard: elements go there as SVG text; SVG text and pictures of other programs come in from there. */
final class SystemClip {
    private static final DataFormat MARK = format("application/x-tundra-copy");
    private static final DataFormat SVG = format("image/svg+xml");

    private SystemClip() {}

    private static DataFormat format(String type) {
        DataFormat known = DataFormat.lookupMimeType(type);
        return known != null ? known : new DataFormat(type);
    }

    /** @param mark lets a paste in the same window know its own copy; null for text alone */
    static void put(Workshop w, Collection<String> ids, String mark) {
        Frame f = w.studio.frame();
        var only = new Frame(f.size(), tundra.core.model.Color.NONE, tundra.core.model.Tree.ids(w.studio.board().elements()).stream().filter(ids::contains).map(f::find).filter(p -> p != null)
                .map(p -> p.node().withPlacement(p.toCanvas())).toList());
        String svg = SvgWriter.write(w.studio.project(), only, Fonts.of(w.studio.project().assets()));
        var content = new ClipboardContent();
        content.putString(svg);
        content.put(SVG, svg);
        if (mark != null) {
            content.put(MARK, mark);
        }
        Clipboard.getSystemClipboard().setContent(content);
    }

    static boolean isMarked(String mark) {
        return mark != null && mark.equals(Clipboard.getSystemClipboard().getContent(MARK));
    }

    static boolean hasArt() {
        Clipboard c = Clipboard.getSystemClipboard();
        return c.hasImage() || c.hasFiles() || c.hasString() && ArtReader.isSvg(c.getString());
    }

    /** Brings in what another program copied; says whether there was something to bring in. */
    static boolean bringIn(Workshop w) {
        Clipboard c = Clipboard.getSystemClipboard();
        if (c.hasString() && ArtReader.isSvg(c.getString())) {
            w.files.bringInText(c.getString());
        } else if (c.hasFiles()) {
            w.files.bringIn(c.getFiles().stream().map(java.io.File::toPath).toList());
        } else if (c.hasImage()) {
            try (var out = new java.io.ByteArrayOutputStream()) {
                javax.imageio.ImageIO.write(SwingFXUtils.fromFXImage(c.getImage(), null), "png", out);
                w.files.bringInPicture(out.toByteArray());
            } catch (java.io.IOException e) {
                w.notices.problem("The picture on the clipboard can't be read: " + e.getMessage());
            }
        } else {
            return false;
        }
        return true;
    }
}
