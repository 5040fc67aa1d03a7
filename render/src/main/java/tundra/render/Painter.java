package tundra.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorFilter;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.PaintMode;
import io.github.humbleui.skija.PaintStrokeCap;
import io.github.humbleui.skija.PaintStrokeJoin;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.PathDirection;
import io.github.humbleui.skija.PathEffect;
import io.github.humbleui.skija.PathFillMode;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.TextBlob;
import io.github.humbleui.skija.TextLine;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tundra.core.fit.VisitFrames;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Look;
import tundra.core.frame.Mark;
import tundra.core.frame.SceneLayer;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Affine;
import tundra.core.model.Asset;
import tundra.core.model.Color;

/** Paints frames with Skia. Holds decoded pictures and native paths; one thread at a time; {@link #close} frees them. */
public final class Painter implements AutoCloseable {
    /** The luminance that Skia takes where a colour changes within the letters. */
    private static final Color GREY = new Color(128, 128, 128, 255);
    private final Pictures pictures = new Pictures();
    private final Films films = new Films();
    private Fonts fonts = Fonts.BUNDLED;
    private OnionImages ghosts;
    private SharedMotifs shared;
    private final NativePaths paths = new NativePaths();
    private final Paint fill = new Paint().setAntiAlias(true);
    private final Paint stroke = new Paint().setAntiAlias(true).setMode(PaintMode.STROKE).setStrokeMiter((float) StrokeStyle.MITER_LIMIT);

    /** Where pictures and fonts are found. */
    public void use(Map<String, Asset> shelf) {
        pictures.use(shelf::get);
        films.use(shelf::get);
        fonts = Fonts.of(shelf);
    }

    /** Keeps less of what was decoded, as while nothing is painted. */
    public void rest() {
        pictures.rest();
    }

    /**
     * What is painted into: {@code width}×{@code height} px.
     *
     * @param around the colour of what no scene covers; null for the ground of the scene
     * @param clear whether grounds are left out and seen through
     */
    record Room(int width, int height, Color around, boolean clear) {}

    /** A scene as it is seen at a moment. */
    record Seen(Frame frame, SceneLayer layer) {}

    /** A whole frame of {@code width}×{@code height} px: the canvas is fitted in and centred, what lies outside of it is left out. */
    void whole(Canvas c, Frame frame, int width, int height, boolean clear) {
        int saved = c.save();
        c.clear(clear ? 0 : frame.background().argb());
        double scale = fit(c, frame, width, height);
        picture(frame.nodes(), () -> nodes(c, frame.nodes(), scale));
        c.restoreToCount(saved);
    }

    /** Scenes over each other, each fitted in and centred on its own ground. */
    void scenes(Canvas c, List<Seen> seen, Room room) {
        c.clear(room.clear ? 0 : (room.around == null ? seen.getFirst().frame.background() : room.around).argb());
        for (Seen s : seen) {
            SceneLayer l = s.layer;
            int saved = c.save();
            double scale = fit(c, s.frame, room.width, room.height);
            var size = s.frame.size();
            c.translate((float) (l.x() * size.x()), (float) (l.y() * size.y())).scale((float) l.scaleX(), (float) l.scaleY());
            c.clipRect(SkiaShapes.rect(size));
            if (l.opacity() < 1) {
                c.saveLayerAlpha(SkiaShapes.rect(size), (int) Math.round(255 * l.opacity()));
            }
            if (!room.clear) {
                background(c, s.frame);
            }
            picture(s.frame.nodes(), () -> nodes(c, s.frame.nodes(), scale * l.scaleX()));
            c.restoreToCount(saved);
        }
    }

    /** What a visitor sees of a page whose ground is {@code room.around}, the window as large as the room. */
    void visit(Canvas c, List<VisitFrames.Seen> seen, tundra.core.geometry.Point window, Room room) {
        c.clear((room.around == null ? Color.WHITE : room.around).argb());
        int all = c.save();
        c.scale((float) (room.width / window.x()), (float) (room.height / window.y()));
        for (VisitFrames.Seen s : seen) {
            tundra.core.geometry.Rect at = s.state().at();
            var size = s.frame().size();
            int saved = c.save();
            double across = at.width() / size.x(), down = at.height() / size.y();
            c.translate((float) at.x(), (float) at.y()).scale((float) across, (float) down);
            c.clipRect(SkiaShapes.rect(size));
            if (s.state().opacity() < 1) {
                c.saveLayerAlpha(SkiaShapes.rect(size), (int) Math.round(255 * s.state().opacity()));
            }
            background(c, s.frame());
            picture(s.frame().nodes(), () -> nodes(c, s.frame().nodes(), across * room.width / window.x()));
            c.restoreToCount(saved);
        }
        c.restoreToCount(all);
    }

    /** How large a px of the canvas becomes. */
    private static double fit(Canvas c, Frame frame, int width, int height) {
        var size = frame.size();
        double scale = Math.min(width / size.x(), height / size.y());
        c.translate((float) ((width - size.x() * scale) / 2), (float) ((height - size.y() * scale) / 2)).scale((float) scale, (float) scale);
        c.clipRect(SkiaShapes.rect(size));
        return scale;
    }

    /** A whole picture: motifs that stand in it more than once are painted once. */
    void picture(List<FrameNode> nodes, Runnable painting) {
        paths.begin();
        try (var motifs = new SharedMotifs(this, nodes)) {
            shared = motifs;
            painting.run();
        } finally {
            shared = null;
        }
    }

    /** Ghosts are taken from there where it has them; null paints all of them. */
    void use(OnionImages images) {
        ghosts = images;
    }

    /** The background and all nodes, in canvas coordinates of the given Skia canvas. */
    public void paint(Canvas canvas, Frame frame, double scale) {
        paths.begin();
        background(canvas, frame);
        nodes(canvas, frame.nodes(), scale);
    }

    void background(Canvas canvas, Frame frame) {
        canvas.drawRect(SkiaShapes.rect(frame.size()), fill.setColor(frame.background().argb()).setAntiAlias(false));
        fill.setAntiAlias(true);
    }

    void nodes(Canvas canvas, List<FrameNode> nodes, double scale) {
        for (FrameNode n : nodes) {
            node(canvas, n, scale);
        }
    }

    /** The shadow by itself of a node whose first effect is a long shadow, at so many pixels a px. */
    LongShadows.Shadow longShadow(FrameNode n, double scale) {
        return LongShadows.of(n, scale, c -> inside(c, n, 1, scale));
    }

    private void node(Canvas canvas, FrameNode n, double scale) {
        if (n.opacity() <= 0 || n.reach() == null || ghosts != null && ghosts.paint(canvas, n)) {
            return;
        }
        Affine m = n.toParent();
        int saved = canvas.save();
        canvas.concat(matrix(m));
        double alpha = n.opacity();
        Look look = n.look();
        double own = scale * Math.sqrt(Math.abs(m.determinant()));
        if (LongShadows.paint(canvas, n, alpha, c -> inside(c, n, 1, own))) {
            canvas.restoreToCount(saved);
            return;
        }
        boolean plain = look.filters().isEmpty() && look.blend().equals("normal");
        boolean several = n.marks().size() + n.children().size() > 1 || !n.children().isEmpty();
        if (!plain || look.isolated() || alpha < 1 && several) {
            layer(canvas, n, alpha, own);
            alpha = 1;
        }
        inside(canvas, n, alpha, own);
        canvas.restoreToCount(saved);
    }

    /** A layer of its own, which is filtered, faded and blended as a whole. */
    private static void layer(Canvas canvas, FrameNode n, double alpha, double scale) {
        tundra.core.geometry.Rect r = n.content().grow(1);
        Rect bounds = Rect.makeXYWH((float) r.x(), (float) r.y(), (float) r.width(), (float) r.height());
        try (var filtering = new Filtering(n.look().filters(), scale);
                var paint = new Paint().setAlphaf((float) alpha).setBlendMode(Filtering.blend(n.look().blend())).setImageFilter(filtering.filter())) {
            canvas.saveLayer(bounds, paint);
        }
    }

    /** What a node shows, on a canvas in its coordinates. */
    void inside(Canvas canvas, FrameNode n, double alpha, double scale) {
        for (Mark mark : n.marks()) {
            mark(canvas, mark, alpha, scale);
        }
        n.clips().forEach(c -> canvas.clipPath(paths.of(c), true));
        if (n.motif() == null || shared == null || !shared.paint(canvas, n)) {
            nodes(canvas, n.children(), scale);
        }
    }

    static Matrix33 matrix(Affine m) {
        return new Matrix33((float) m.a(), (float) m.c(), (float) m.e(), (float) m.b(), (float) m.d(), (float) m.f(), 0, 0, 1);
    }

    private void mark(Canvas canvas, Mark mark, double alpha, double scale) {
        switch (mark) {
            case Mark.Fill f -> Shading.with(fill, f.paint(), f.box(), alpha, () -> form(canvas, f.form(), fill));
            case Mark.Stroke s -> Shading.with(stroke, s.paint(), s.box(), alpha, () -> stroke(canvas, s));
            case Mark.Image i -> image(canvas, i, alpha, scale);
            case Mark.Film f -> film(canvas, f, alpha);
            case Mark.Glyphs g -> text(canvas, g, alpha);
        }
    }

    private void stroke(Canvas canvas, Mark.Stroke s) {
        StrokeStyle style = s.style();
        stroke.setStrokeWidth((float) style.width()).setStrokeCap(PaintStrokeCap.valueOf(style.ends().toUpperCase(Locale.ROOT)))
                .setStrokeJoin(PaintStrokeJoin.valueOf(style.joins().toUpperCase(Locale.ROOT)));
        if (style.pattern().isEmpty()) {
            form(canvas, s.form(), stroke);
            return;
        }
        try (PathEffect dashes = PathEffect.makeDash(style.intervals(), (float) style.offset())) {
            stroke.setPathEffect(dashes);
            if (s.form() instanceof Form.Box b && b.radius() > 0) {
                // dashes start where a browser starts them: after the top left corner
                try (var builder = new PathBuilder(); Path p = builder.addRRect(SkiaShapes.rounded(b), PathDirection.CLOCKWISE, 0).build()) {
                    canvas.drawPath(p, stroke);
                }
            } else {
                form(canvas, s.form(), stroke);
            }
        } finally {
            stroke.setPathEffect(null);
        }
    }

    private void form(Canvas canvas, Form form, Paint paint) {
        switch (form) {
            case Form.Box b when b.radius() <= 0 -> canvas.drawRect(SkiaShapes.rect(b.size()), paint);
            case Form.Box b -> canvas.drawRRect(SkiaShapes.rounded(b), paint);
            case Form.Oval o -> canvas.drawOval(SkiaShapes.rect(o.size()), paint);
            case Form.Curve c when c.evenOdd() -> {
                try (Path odd = paths.of(c.outline()).makeWithFillMode(PathFillMode.EVEN_ODD)) {
                    canvas.drawPath(odd, paint);
                }
            }
            case Form.Curve c -> canvas.drawPath(paths.of(c.outline()), paint);
        }
    }

    private void image(Canvas canvas, Mark.Image i, double alpha, double scale) {
        Image image = pictures.at(i.asset(), i.size().x() * scale);
        if (image != null && i.size().x() > 0 && i.size().y() > 0) {
            try (var paint = new Paint().setAlphaf((float) alpha).setAntiAlias(true);
                    ColorFilter tint = i.tint() == null ? null : ColorFilter.makeBlend(i.tint().argb(), BlendMode.SRC_IN)) {
                paint.setColorFilter(tint);
                canvas.drawImageRect(image, Rect.makeWH(image.getWidth(), image.getHeight()), SkiaShapes.rect(i.size()),
                        SamplingMode.LINEAR, paint, true);
            }
        }
    }

    /** A picture of a video in its box, as CSS {@code object-fit} lays it there. */
    private void film(Canvas canvas, Mark.Film f, double alpha) {
        Image image = films.at(f.asset(), f.time());
        if (image == null || !(f.size().x() > 0) || !(f.size().y() > 0)) {
            return;
        }
        double kx = f.size().x() / image.getWidth(), ky = f.size().y() / image.getHeight(), k = f.fits().equals("contain") ? Math.min(kx, ky)
                : Math.max(kx, ky);
        double w = image.getWidth() * (f.fits().equals("stretch") ? kx : k), h = image.getHeight() * (f.fits().equals("stretch") ? ky : k);
        try (var paint = new Paint().setAlphaf((float) alpha).setAntiAlias(true)) {
            int saved = canvas.save();
            canvas.clipRect(SkiaShapes.rect(f.size()), true);
            canvas.drawImageRect(image, Rect.makeWH(image.getWidth(), image.getHeight()), Rect.makeXYWH((float) ((f.size().x() - w) / 2),
                    (float) ((f.size().y() - h) / 2), (float) w, (float) h), SamplingMode.LINEAR, paint, true);
            canvas.restoreToCount(saved);
        }
    }

    /** Letters in the tone that a browser gives them. */
    private void text(Canvas canvas, Mark.Glyphs g, double alpha) {
        Color tone = g.paint() instanceof Color c ? c : GREY;
        Point box = new Point((float) g.layout().box().x(), (float) g.layout().box().y());
        float pad = (float) g.text().size();
        Rect bounds = Rect.makeLTRB(-pad, -pad, box.getX() + pad, box.getY() + pad);
        double seen = alpha * (g.paint() instanceof Color c ? c.alpha() / 255.0 : 1);
        try (var toned = new Paint().setColorFilter(TextTone.of(tone)); var faded = new Paint().setAlphaf((float) seen)) {
            int saved = canvas.save();
            if (seen < 1) {
                // a layer of its own: a paint's alpha would come before its colour filter
                canvas.saveLayer(bounds, faded);
            }
            canvas.saveLayer(bounds, toned);
            Shading.with(fill, g.paint() instanceof Color c ? c.withAlpha(255) : g.paint(), g.layout().box(), 1, () -> glyphs(canvas, g, fill));
            canvas.restoreToCount(saved);
        }
    }

    private void glyphs(Canvas canvas, Mark.Glyphs g, Paint paint) {
        try (Font font = fonts.font(g.text().family(), g.text().weight(), g.text().size())) {
            for (var line : g.layout().lines()) {
                if (!line.text().isEmpty()) {
                    try (TextLine shaped = Fonts.shape(line.text(), font, g.layout().ligatures())) {
                        line(canvas, shaped, font, g.text().spacing(), (float) line.x(), (float) line.baseline(), paint);
                    }
                }
            }
        }
    }

    private static void line(Canvas canvas, TextLine shaped, Font font, double spacing, float x, float y, Paint paint) {
        if (spacing == 0) {
            canvas.drawTextLine(shaped, x, y, paint);
            return;
        }
        float[] at = shaped.getPositions();
        var apart = new Point[at.length / 2];
        for (int i = 0; i < apart.length; i++) {
            apart[i] = new Point((float) (at[2 * i] + i * spacing), at[2 * i + 1]);
        }
        try (TextBlob blob = TextBlob.makeFromPos(shaped.getGlyphs(), apart, font)) {
            canvas.drawTextBlob(blob, x, y, paint);
        }
    }

    @Override
    public void close() {
        pictures.close();
        films.close();
        paths.close();
        fill.close();
        stroke.close();
    }
}
