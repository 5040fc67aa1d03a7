package tundra.app.paint;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathEffect;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.types.RRect;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayDeque;
import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * Paints with Skia what is drawn by hand in the window. Its methods, and what stands at first, are those of JavaFX's {@code GraphicsContext}: lengths
 * in px of the window, angles in
 * degrees, ends of lines square. Colours only. Interface thread only.
 */
public final class SkiaGraphics {
    private final Canvas canvas;
    private final double width;
    private final double density;
    private final io.github.humbleui.skija.Paint paint = new io.github.humbleui.skija.Paint().setAntiAlias(true);
    private final ArrayDeque<State> saved = new ArrayDeque<>();
    private State now = new State();
    private PathBuilder path = new PathBuilder();

    /** What is saved and restored besides the canvas' own transform and clip. */
    private static final class State {
        Color fill = Color.BLACK, stroke = Color.BLACK;
        double width = 1, alpha = 1;
        float[] dashes = {};
        PaintStrokeCap cap = PaintStrokeCap.SQUARE;
        PaintStrokeJoin join = PaintStrokeJoin.MITER;
        PathFillMode rule = PathFillMode.WINDING;
        Font font = Font.getDefault();
        TextAlignment align = TextAlignment.LEFT;
        VPos baseline = VPos.BASELINE;

        State copy() {
            var s = new State();
            s.fill = fill;
            s.stroke = stroke;
            s.width = width;
            s.alpha = alpha;
            s.dashes = dashes;
            s.cap = cap;
            s.join = join;
            s.rule = rule;
            s.font = font;
            s.align = align;
            s.baseline = baseline;
            return s;
        }
    }

    /**
     * @param width of what is painted, in px of the window
     * @param density pixels of the screen to a px of the window; the canvas is scaled by it already
     */
    public SkiaGraphics(Canvas canvas, double width, double density) {
        this.canvas = canvas;
        this.width = width;
        this.density = density;
    }

    /** Of what is painted, in px of the window. */
    public double width() {
        return width;
    }

    /** Pixels of the screen to a px of the window. */
    public double density() {
        return density;
    }

    // --- how it is painted ---

    public void setFill(Color c) {
        now.fill = c;
    }

    public void setStroke(Color c) {
        now.stroke = c;
    }

    public void setLineWidth(double w) {
        now.width = w;
    }

    /** Lengths of dashes and gaps in turn; none for a whole line. */
    public void setLineDashes(double... dashes) {
        now.dashes = new float[dashes.length];
        for (int i = 0; i < dashes.length; i++) {
            now.dashes[i] = (float) dashes[i];
        }
    }

    public void setLineCap(StrokeLineCap cap) {
        now.cap = PaintStrokeCap.valueOf(cap.name());
    }

    public void setLineJoin(StrokeLineJoin join) {
        now.join = PaintStrokeJoin.valueOf(join.name());
    }

    public void setFillRule(FillRule rule) {
        now.rule = rule == FillRule.EVEN_ODD ? PathFillMode.EVEN_ODD : PathFillMode.WINDING;
    }

    public void setGlobalAlpha(double a) {
        now.alpha = a;
    }

    public void setFont(Font f) {
        now.font = f;
    }

    public void setTextAlign(TextAlignment a) {
        now.align = a;
    }

    public void setTextBaseline(VPos b) {
        now.baseline = b;
    }

    public void save() {
        canvas.save();
        saved.push(now.copy());
    }

    public void restore() {
        canvas.restore();
        now = saved.pop();
    }

    public void translate(double x, double y) {
        canvas.translate((float) x, (float) y);
    }

    public void rotate(double degrees) {
        canvas.rotate((float) degrees);
    }

    private static int argb(Color c, double alpha) {
        return (int) Math.round(c.getOpacity() * alpha * 255) << 24 | (int) Math.round(c.getRed() * 255) << 16 | (int) Math.round(
                c.getGreen() * 255) << 8 | (int) Math.round(c.getBlue() * 255);
    }

    private io.github.humbleui.skija.Paint filled() {
        return paint.setMode(PaintMode.FILL).setColor(argb(now.fill, now.alpha)).setPathEffect(null);
    }

    /** Does something with the paint of lines. */
    private void stroked(Runnable work) {
        paint.setMode(PaintMode.STROKE).setColor(argb(now.stroke, now.alpha)).setStrokeWidth((float) now.width).setStrokeCap(now.cap)
                .setStrokeJoin(now.join).setStrokeMiter(10);
        if (now.dashes.length == 0) {
            paint.setPathEffect(null);
            work.run();
            return;
        }
        float[] dashes = now.dashes.length % 2 == 0 ? now.dashes : twice(now.dashes);
        try (PathEffect effect = PathEffect.makeDash(dashes, 0)) {
            paint.setPathEffect(effect);
            work.run();
        } finally {
            paint.setPathEffect(null);
        }
    }

    private static float[] twice(float[] odd) {
        float[] out = new float[2 * odd.length];
        System.arraycopy(odd, 0, out, 0, odd.length);
        System.arraycopy(odd, 0, out, odd.length, odd.length);
        return out;
    }

    // --- shapes ---

    private static Rect area(double x, double y, double w, double h) {
        return Rect.makeLTRB((float) x, (float) y, (float) (x + Math.max(0, w)), (float) (y + Math.max(0, h)));
    }

    private static RRect round(double x, double y, double w, double h, double arcWidth, double arcHeight) {
        float rx = (float) Math.max(0, Math.min(arcWidth, w) / 2), ry = (float) Math.max(0, Math.min(arcHeight, h) / 2);
        return RRect.makeXYWH((float) x, (float) y, (float) Math.max(0, w), (float) Math.max(0, h), rx, ry);
    }

    public void clearRect(double x, double y, double w, double h) {
        filled().setBlendMode(BlendMode.CLEAR);
        canvas.drawRect(area(x, y, w, h), paint);
        paint.setBlendMode(BlendMode.SRC_OVER);
    }

    public void fillRect(double x, double y, double w, double h) {
        canvas.drawRect(area(x, y, w, h), filled());
    }

    public void strokeRect(double x, double y, double w, double h) {
        stroked(() -> canvas.drawRect(area(x, y, w, h), paint));
    }

    public void fillRoundRect(double x, double y, double w, double h, double arcWidth, double arcHeight) {
        canvas.drawRRect(round(x, y, w, h, arcWidth, arcHeight), filled());
    }

    public void strokeRoundRect(double x, double y, double w, double h, double arcWidth, double arcHeight) {
        stroked(() -> canvas.drawRRect(round(x, y, w, h, arcWidth, arcHeight), paint));
    }

    public void fillOval(double x, double y, double w, double h) {
        canvas.drawOval(area(x, y, w, h), filled());
    }

    public void strokeOval(double x, double y, double w, double h) {
        stroked(() -> canvas.drawOval(area(x, y, w, h), paint));
    }

    public void strokeLine(double x0, double y0, double x1, double y1) {
        stroked(() -> canvas.drawLine((float) x0, (float) y0, (float) x1, (float) y1, paint));
    }

    public void fillPolygon(double[] xs, double[] ys, int count) {
        try (Path p = polygon(xs, ys, count)) {
            canvas.drawPath(p, filled());
        }
    }

    public void strokePolygon(double[] xs, double[] ys, int count) {
        try (Path p = polygon(xs, ys, count)) {
            stroked(() -> canvas.drawPath(p, paint));
        }
    }

    private static Path polygon(double[] xs, double[] ys, int count) {
        try (var b = new PathBuilder()) {
            for (int i = 0; i < count; i++) {
                if (i == 0) {
                    b.moveTo((float) xs[i], (float) ys[i]);
                } else {
                    b.lineTo((float) xs[i], (float) ys[i]);
                }
            }
            return b.closePath().build();
        }
    }

    // --- the path ---

    public void beginPath() {
        path.close();
        path = new PathBuilder();
    }

    public void moveTo(double x, double y) {
        path.moveTo((float) x, (float) y);
    }

    public void lineTo(double x, double y) {
        path.lineTo((float) x, (float) y);
    }

    public void bezierCurveTo(double x1, double y1, double x2, double y2, double x, double y) {
        path.cubicTo((float) x1, (float) y1, (float) x2, (float) y2, (float) x, (float) y);
    }

    public void rect(double x, double y, double w, double h) {
        path.addRect(area(x, y, w, h));
    }

    public void closePath() {
        path.closePath();
    }

    public void fill() {
        try (Path whole = path.snapshot(); Path p = whole.makeWithFillMode(now.rule)) {
            canvas.drawPath(p, filled());
        }
    }

    public void stroke() {
        try (Path p = path.snapshot()) {
            stroked(() -> canvas.drawPath(p, paint));
        }
    }

    public void clip() {
        try (Path p = path.snapshot()) {
            canvas.clipPath(p, true);
        }
    }

    // --- words and pictures ---

    public void fillText(String text, double x, double y) {
        fillText(text, x, y, Double.POSITIVE_INFINITY);
    }

    /** @param most the width, in px, that longer words are narrowed to */
    public void fillText(String text, double x, double y, double most) {
        if (text.isEmpty()) {
            return;
        }
        Letters.Line line = Letters.of(text, now.font);
        double width = line.width(), narrow = width > most ? most / width : 1;
        double left = switch (now.align) {
            case CENTER -> -width / 2;
            case RIGHT -> -width;
            default -> 0;
        };
        double down = switch (now.baseline) {
            case TOP -> line.ascent();
            case CENTER -> (line.ascent() - line.descent()) / 2;
            case BOTTOM -> -line.descent();
            case BASELINE -> 0;
        };
        canvas.save();
        canvas.translate((float) x, (float) y).scale((float) narrow, 1);
        // letters stand on whole pixels, where they are sharpest
        canvas.drawTextLine(line.shaped(), (float) left, (float) (narrow == 1 ? Math.rint((y + down) * density) / density - y : down), filled());
        canvas.restore();
    }

    /** A picture of pixels as colours with an alpha that isn't multiplied in; it goes with whoever holds it. */
    public static Image image(int[] argb, int w, int h) {
        var bytes = ByteBuffer.allocate(4 * argb.length).order(ByteOrder.LITTLE_ENDIAN);
        bytes.asIntBuffer().put(argb);
        return Image.makeRasterFromBytes(new ImageInfo(w, h, ColorType.BGRA_8888, ColorAlphaType.UNPREMUL), bytes.array(), 4L * w);
    }

    /** A picture, stretched to where it goes. */
    public void drawImage(Image image, double x, double y, double w, double h) {
        canvas.drawImageRect(image, Rect.makeWH(image.getWidth(), image.getHeight()), area(x, y, w, h), SamplingMode.LINEAR, paint(now.alpha), true);
    }

    /** A part of a picture, stretched to where it goes. */
    public void drawImage(Image image, double sx, double sy, double sw, double sh, double x, double y, double w, double h) {
        canvas.drawImageRect(image, area(sx, sy, sw, sh), area(x, y, w, h), SamplingMode.LINEAR, paint(now.alpha), true);
    }

    private io.github.humbleui.skija.Paint paint(double alpha) {
        return paint.setMode(PaintMode.FILL).setPathEffect(null).setColor((int) Math.round(alpha * 255) << 24);
    }
}
