package tundra.render;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.EncodeJPEGOptions;
import io.github.humbleui.skija.EncoderJPEG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Motifs;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.series.MotifSeries;
import tundra.core.series.SeenArea;
import tundra.core.series.Series;
import tundra.core.series.SeriesPainter;
import tundra.core.work.Progress;

/** Paints motifs as series of pictures, as small as they may be for what they show: soft things need few pixels. */
public final class SkiaSeries implements SeriesPainter {
    /** How alike the pictures must be to the motif, in dB: some more than the 38 that the page is held to, since effects may lie over them. */
    public static final double ALIKE = 40;
    /** Pixels of all pictures together. */
    private static final long MOST = 48L << 20;
    private static final double[] SCALES = {1 / 16.0, 1 / 12.0, 1 / 10.0, 1 / 8.0, 1 / 6.0, 1 / 4.0, 1 / 3.0, 1 / 2.0, 1};
    /** Pixels of a long shadow at most: large ones are soft. */
    private static final double SHADOW_PIXELS = 4e6;
    private static final int COMPARED = 4;
    private static final int KEPT = 6;
    /** Series that were painted last, by the motif and all that it holds. */
    private static final Map<List<Object>, Series> KNOWN = lastOf(KEPT);
    /** Long shadows that were painted last, by what casts them and what is on the shelf. */
    private static final Map<List<Object>, Shadow> SHADOWS = lastOf(64);
    private final Progress progress;

    private static <V> Map<List<Object>, V> lastOf(int kept) {
        return new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<List<Object>, V> e) {
                return size() > kept;
            }
        };
    }

    /** @param progress of each motif */
    public SkiaSeries(Progress progress) {
        this.progress = progress;
    }

    /** One whose work nobody watches. */
    public SkiaSeries() {
        this(Progress.NONE);
    }

    /** One that was painted before is had again: a piece that is tried again and again has the same ones. */
    @Override
    public Shadow longShadow(Project p, Element e, double scale) {
        List<Object> key = List.of(e, p.assets().keySet(), scale);
        synchronized (SHADOWS) {
            if (SHADOWS.containsKey(key)) {
                return SHADOWS.get(key);
            }
        }
        Shadow made = painted(p, e, scale);
        synchronized (SHADOWS) {
            SHADOWS.put(key, made);
        }
        return made;
    }

    private static Shadow painted(Project p, Element e, double most) {
        var board = new Board(new Point(1, 1), Values.NONE, List.of(e), List.of(new Timeline("", Timeline.MAIN, 1, false, false, Map.of())),
                List.of());
        List<FrameNode> nodes = Frames.of(p, board, Fonts.of(p.assets())).at(0).nodes();
        if (nodes.isEmpty() || nodes.getFirst().content() == null) {
            return null;
        }
        FrameNode n = nodes.getFirst();
        var reach = n.reach();
        double scale = Math.min(most, Math.sqrt(SHADOW_PIXELS / (reach.width() * reach.height())));
        try (var painter = new Painter()) {
            painter.use(p.assets());
            var made = new LongShadows.Shadow[1];
            painter.picture(nodes, () -> made[0] = painter.longShadow(n, scale));
            try (Image image = made[0].image()) {
                return new Shadow(Asset.picture(e.name() + " shadow.webp", "image/webp", image.getWidth(), image.getHeight(), Rasters.webp(image)),
                        made[0].area(), n.box());
            }
        }
    }

    @Override
    public byte[] still(Project p) {
        Board b = p.scenes().getFirst().board();
        return Still.png(p, Frames.of(p, b, Fonts.of(p.assets())).at(Moment.opened(b, b.main().duration())));
    }

    @Override
    public byte[] shared(Project p, long time, int width, int height) {
        Board b = p.scenes().getFirst().board();
        return Still.png(p, Frames.of(p, b, Fonts.of(p.assets())).at(Moment.opened(b, time)), width, height);
    }

    @Override
    public Asset smaller(Asset picture, int width, int height) {
        try (Image image = PictureReader.decode(picture.data()); Image fit = Rasters.scaled(image, width, height)) {
            byte[] webp = Rasters.webp(fit);
            return webp.length >= picture.source().length() ? null : new Asset(picture.hash(), picture.name(), "image/webp", width, height, 0, webp);
        }
    }

    /** A series that was painted before and still holds; null for none. */
    public static Series known(Project p, Motif m) {
        synchronized (KNOWN) {
            return KNOWN.get(key(p, m));
        }
    }

    private static List<Object> key(Project p, Motif m) {
        var key = new ArrayList<Object>();
        key.add(p.frameRate());
        key.add(SeenArea.of(p, m));
        key.add(m.board());
        p.motifs().stream().filter(x -> Motifs.holds(p, m.id(), x.id())).forEach(x -> key.add(x.board()));
        return key;
    }

    @Override
    public Series paint(Project p, Motif m) {
        Series known = known(p, m);
        if (known == null) {
            try (var painter = new Painter()) {
                painter.use(p.assets());
                known = new Work(p, m, painter).series();
            }
            synchronized (KNOWN) {
                KNOWN.put(key(p, m), known);
            }
        }
        return known;
    }

    private final class Work {
        private final Project project;
        private final Motif motif;
        private final Painter painter;
        private final FrameBuilder builder;
        private final int count;
        private final tundra.core.geometry.Rect area;
        /** Frames in their full size, by their numbers: what small pictures are held against. */
        private final Map<Integer, byte[]> wholes = new HashMap<>();

        Work(Project p, Motif m, Painter painter) {
            project = p;
            motif = m;
            this.painter = painter;
            builder = Frames.of(p, m.board(), Fonts.of(p.assets()));
            count = MotifSeries.frames(p, m);
            area = area();
        }

        private List<FrameNode> nodes(int frame) {
            Frame f = builder.at(Moment.opened(motif.board(), project.frameTime(frame)));
            return f.nodes();
        }

        /** All that any of its frames paints on and visitors can see, in whole pixels. */
        private tundra.core.geometry.Rect area() {
            tundra.core.geometry.Rect all = null, seen = SeenArea.of(project, motif);
            for (int i = 0; i < count; i++) {
                asked();
                for (FrameNode n : nodes(i)) {
                    if (n.reach() != null) {
                        var r = n.toParent().bounds(n.reach());
                        all = all == null ? r : all.union(r);
                    }
                }
            }
            if (all == null || seen != null && !all.intersects(seen)) {
                return new tundra.core.geometry.Rect(0, 0, 1, 1);
            }
            all = seen == null ? all : all.intersection(seen);
            double x = Math.floor(all.x()), y = Math.floor(all.y());
            return new tundra.core.geometry.Rect(x, y, Math.max(1, Math.ceil(all.x() + all.width()) - x),
                    Math.max(1, Math.ceil(all.y() + all.height()) - y));
        }

        Series series() {
            double scale = SCALES[0], alike = 0;
            for (double s : SCALES) {
                if ((long) width(s) * height(s) * count > MOST && s > SCALES[0]) {
                    break;
                }
                scale = s;
                alike = alike(s);
                if (alike >= ALIKE) {
                    break;
                }
            }
            var pictures = new ArrayList<Asset>();
            var shows = new ArrayList<Integer>();
            var places = new LinkedHashMap<String, Integer>();
            for (int i = 0; i < count; i++) {
                asked();
                try (Image image = image(i, scale)) {
                    Asset a = Asset.picture(motif.name() + " " + (i + 1) + ".webp", "image/webp", image.getWidth(), image.getHeight(),
                            Rasters.webp(image));
                    Integer at = places.putIfAbsent(a.hash(), pictures.size());
                    if (at == null) {
                        pictures.add(a);
                    }
                    shows.add(places.get(a.hash()));
                }
                progress.share((i + 1.0) / count);
            }
            return new Series(List.copyOf(pictures), List.copyOf(shows), area, scale, alike);
        }

        private void asked() {
            progress.check();
        }

        private int width(double scale) {
            return (int) Math.max(1, Math.round(area.width() * scale));
        }

        private int height(double scale) {
            return (int) Math.max(1, Math.round(area.height() * scale));
        }

        private Image image(int frame, double scale) {
            int w = width(scale), h = height(scale);
            List<FrameNode> nodes = nodes(frame);
            try (Surface s = Surface.makeRasterN32Premul(w, h)) {
                Canvas c = s.getCanvas();
                c.clear(0);
                c.scale((float) (w / area.width()), (float) (h / area.height())).translate((float) -area.x(), (float) -area.y());
                painter.picture(nodes, () -> painter.nodes(c, nodes, scale));
                return s.makeImageSnapshot();
            }
        }

        /** The least likeness of some frames when small pictures are shown as large as the motif. */
        private double alike(double scale) {
            double least = 99;
            for (int k = 0; k < Math.min(COMPARED, count); k++) {
                asked();
                int frame = (int) ((2L * k + 1) * count / (2 * COMPARED)) % count;
                byte[] whole = wholes.computeIfAbsent(frame, this::whole);
                int w = width(1), h = height(1);
                try (Image small = compressed(frame, scale); Surface s = Surface.makeRasterN32Premul(w, h); var paint = new Paint()) {
                    s.getCanvas().drawImageRect(small, Rect.makeWH(small.getWidth(), small.getHeight()), Rect.makeWH(w, h), SamplingMode.LINEAR,
                            paint, true);
                    try (Image large = s.makeImageSnapshot()) {
                        least = Math.min(least, decibels(whole, bytes(large)));
                    }
                }
                if (least < ALIKE) {
                    break;
                }
            }
            return least;
        }

        /** A frame as it is loaded with the page. */
        private Image compressed(int frame, double scale) {
            try (Image i = image(frame, scale)) {
                return Image.makeDeferredFromEncodedBytes(Rasters.webp(i));
            }
        }

        private byte[] whole(int frame) {
            try (Image i = image(frame, 1)) {
                return bytes(i);
            }
        }

        private static byte[] bytes(Image i) {
            try (var b = new Bitmap()) {
                b.allocPixels(i.getImageInfo());
                i.readPixels(b);
                return b.readPixels();
            }
        }

        /** Peak signal-to-noise ratio of premultiplied pixels, all channels alike. */
        private static double decibels(byte[] a, byte[] b) {
            double sum = 0;
            for (int i = 0; i < a.length; i++) {
                double d = (a[i] & 0xff) - (b[i] & 0xff);
                sum += d * d;
            }
            return sum == 0 ? 99 : Math.min(99, 10 * Math.log10(255.0 * 255 * a.length / sum));
        }
    }

    @Override
    public byte[] poster(Asset video, long time) {
        try (var frames = new VideoFrames(VideoFile.of(video)); Image image = frames.at(time)) {
            return image == null ? null : EncoderJPEG.encode(image, EncodeJPEGOptions.DEFAULT.withQuality(82)).getBytes();
        } catch (IOException e) {
            // the video itself says that it can't be read when it is published
            return null;
        }
    }
}
