package tundra.render;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;

/** A picture as a PDF of one page. */
final class PdfPage {
    /** Of a CSS px in points. */
    private static final float POINTS = 0.75f;

    private PdfPage() {}

    /**
     * @param argb {@code w}×{@code h} pixels that aren't premultiplied
     * @param width of the page in CSS px
     * @param height of the page in CSS px
     */
    static byte[] of(int[] argb, int w, int h, double width, double height) throws IOException {
        var image = new BufferedImage(w, h, BufferedImage.TYPE_INT_ARGB);
        image.setRGB(0, 0, w, h, argb, 0, w);
        var out = new ByteArrayOutputStream();
        try (var doc = new PDDocument()) {
            var page = new PDPage(new PDRectangle((float) width * POINTS, (float) height * POINTS));
            doc.addPage(page);
            try (var on = new PDPageContentStream(doc, page)) {
                on.drawImage(LosslessFactory.createFromImage(doc, image), 0, 0, (float) width * POINTS, (float) height * POINTS);
            }
            doc.save(out);
        }
        return out.toByteArray();
    }
}
