package tundra.app.timeline;

import java.util.HashMap;
import java.util.Map;
import javafx.application.Platform;
import javafx.scene.paint.Color;
import tundra.app.job.Work;
import tundra.app.paint.SkiaGraphics;
import tundra.core.model.Asset;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.render.SoundPeaks;

/** The waves of sounds, worked out off the interface thread when they are first looked at. */
final class SoundWaves {
    private final Map<String, SoundPeaks> known = new HashMap<>();
    private final Runnable ready;

    /** @param ready runs when a wave can be drawn that couldn't before */
    SoundWaves(Runnable ready) {
        this.ready = ready;
    }

    void draw(SkiaGraphics g, Project p, PlacedSound s, long timeline, TimeScale scale, double middle, double half, Color ink) {
        Asset a = p.assets().get(s.asset());
        SoundPeaks peaks = peaks(a);
        long heard = s.heard(a.duration(), timeline), part = Math.max(1, s.part(a.duration()));
        double from = Math.max(scale.left(), scale.x(s.start())), to = Math.min(g.width(), scale.x(s.start() + heard));
        g.setStroke(ink);
        g.setLineWidth(1);
        if (peaks == null) {
            g.strokeLine(from, middle, to, middle);
            return;
        }
        for (double x = Math.ceil(from) + 0.5; x < to; x++) {
            double since = scale.time(x) - s.start(), step = scale.time(x + 1) - scale.time(x), at = s.from() + (s.loop() ? since % part : since);
            double top = peaks.loudest(at, at + step) * half * s.gain(Math.max(0, since), heard);
            g.strokeLine(x, middle - Math.max(0.5, top), x, middle + Math.max(0.5, top));
        }
    }

    private SoundPeaks peaks(Asset a) {
        if (!known.containsKey(a.hash())) {
            known.put(a.hash(), null);
            Work.start("sound waves", () -> {
                SoundPeaks p = SoundPeaks.of(a);
                Platform.runLater(() -> {
                    known.put(a.hash(), p);
                    ready.run();
                });
            });
        }
        return known.get(a.hash());
    }
}
