package tundra.app.page;

import java.nio.IntBuffer;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.transform.Transform;

/** Puts pictures of something into shared memory. Interface thread only. */
final class Pictures {
    private final Node of;
    private final SharedPicture to;
    private final SnapshotParameters how = new SnapshotParameters();
    private double scale = 1;
    private WritableImage image;
    private int number, lastHash;

    Pictures(Node of, SharedPicture to) {
        this.of = of;
        this.to = to;
        how.setFill(Color.TRANSPARENT);
    }

    void scale(double s) {
        scale = s;
        how.setTransform(Transform.scale(s, s));
    }

    /** @return whether the picture is another than the last one */
    boolean make() {
        int wide = (int) Math.round(of.getLayoutBounds().getWidth() * scale), high = (int) Math.round(of.getLayoutBounds().getHeight() * scale);
        if (wide < 1 || high < 1 || (long) wide * high > to.room()) {
            return false;
        }
        if (image == null || image.getWidth() != wide || image.getHeight() != high) {
            image = new WritableImage(wide, high);
            lastHash = 0;
        }
        how.setViewport(new Rectangle2D(0, 0, wide, high));
        of.snapshot(how, image);
        var made = new SharedPicture.Made(number + 1, wide, high);
        IntBuffer pixels = to.pixels(made.place());
        image.getPixelReader().getPixels(0, 0, wide, high, PixelFormat.getIntArgbPreInstance(), pixels, wide);
        int hash = pixels.clear().limit(wide * high).hashCode();
        if (hash == lastHash && number > 0) {
            return false;
        }
        lastHash = hash;
        number++;
        to.done(made);
        return true;
    }
}
