package tundra.app.studio;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.application.Platform;
import tundra.app.job.Work;
import tundra.core.flip.Ink;
import tundra.core.flip.PictureInk;
import tundra.core.flip.Registration;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.model.Asset;
import tundra.core.model.Drawing;
import tundra.core.model.RulerLine;
import tundra.render.SkiaImageComparer;

/**
 * What the drawings of the flipbook that is worked on cover, and where they stand by it. Worked out on a thread of its own and
 * kept for as long as the drawings stay as they are.
 */
public final class Registering {
    private static final int MOST = 4000;
    private static final Executor THREAD = Work.line("registering");
    private final Map<FrameNode, Ink> inks = Collections.synchronizedMap(new IdentityHashMap<>());
    private final Map<String, PictureInk> pictures = new ConcurrentHashMap<>();

    /** Gives what some drawings cover, on the interface thread, in the order of the requests. */
    public void inks(Studio s, List<Drawing> of, Consumer<Map<String, Ink>> then) {
        var nodes = new ArrayList<FrameNode>();
        of.forEach(d -> nodes.add(s.picture().builder().drawing(d, s.time().playhead())));
        Map<String, Asset> shelf = s.project().assets();
        THREAD.execute(() -> {
            var out = new ConcurrentHashMap<String, Ink>();
            if (inks.size() > MOST) {
                inks.clear();
            }
            for (int i = 0; i < nodes.size(); i++) {
                FrameNode n = nodes.get(i);
                Ink ink = inks.get(n);
                if (ink == null) {
                    ink = Ink.of(n, hash -> pictures.computeIfAbsent(hash, h -> SkiaImageComparer.ink(shelf.get(h))));
                    inks.put(n, ink);
                }
                out.put(of.get(i).id(), ink);
            }
            Platform.runLater(() -> then.accept(out));
        });
    }

    /** The ruler line to go by, in the flipbook's own coordinates: the lowest level one, else the first upright; null for none. */
    public static RulerLine line(Studio s) {
        Frame.Placed p = s.book().is() ? s.picture().placed(s.book().id()) : null;
        RulerLine found = null;
        for (RulerLine l : s.board().lines()) {
            if (found == null || !l.upright() && (found.upright() || l.at() > found.at())) {
                found = l;
            }
        }
        return p == null || found == null ? null : Registration.local(found, p.toCanvas());
    }

    /** How far each drawing of the run lies off; none when there is nothing to go by. */
    public static List<Registration.Place> places(Studio s, Registration.By by, Map<String, Ink> inks) {
        RulerLine line = by == Registration.By.LINE ? line(s) : null;
        if (!s.book().is() || by == Registration.By.LINE && line == null) {
            return List.of();
        }
        return Registration.places(s.book().book(), s.book().run(), by, line, d -> inks.getOrDefault(d.id(), Ink.NONE));
    }

    /** Brings the run into line, as soon as it is known what the drawings cover; {@code done} hears whether anything moved. */
    public void apply(Studio s, Registration.By by, Consumer<Boolean> done) {
        Set<String> run = s.book().run();
        var before = s.book().book();
        inks(s, before.drawings().stream().filter(d -> run.contains(d.id())).toList(), inks -> {
            if (!s.book().is()) {
                // the flipbook was left meanwhile
                return;
            }
            if (!before.equals(s.book().book())) {
                // it was changed in the meantime: look again
                apply(s, by, done);
                return;
            }
            var places = places(s, by, inks);
            boolean off = places.stream().anyMatch(p -> p.off().length() >= 0.005);
            if (off) {
                s.book().edit("Bring " + run.size() + " drawings into line by " + by.word, null, b -> Registration.apply(b, places));
            }
            done.accept(off);
        });
    }
}
