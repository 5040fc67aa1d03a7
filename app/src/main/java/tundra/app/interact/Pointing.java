package tundra.app.interact;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Predicate;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;

/** Takes what is selected next in place of a word. Only one word waits at a time, and selecting nothing (Escape) ends it. */
final class Pointing implements Consumer<Set<Aspect>> {
    private static Pointing waiting;
    private final Studio studio;
    /** Says whether it waits for more. */
    private final Predicate<Set<String>> take;
    private Set<String> before;

    private Pointing(Studio studio, Predicate<Set<String>> take) {
        this.studio = studio;
        this.take = take;
        before = studio.selection();
    }

    private static void begin(Pointing p) {
        if (waiting != null) {
            waiting.end();
        }
        waiting = p;
        p.studio.listen(p);
    }

    private void end() {
        studio.unlisten(this);
        waiting = waiting == this ? null : waiting;
    }

    /** What is selected next. */
    static void next(Studio studio, Consumer<Set<String>> take) {
        begin(new Pointing(studio, ids -> {
            take.accept(ids);
            return false;
        }));
    }

    /** All that is selected one after the other; what is pointed at once more is taken away again, but for the last. */
    static void several(Studio studio, Consumer<Set<String>> take) {
        var all = new LinkedHashSet<String>();
        begin(new Pointing(studio, ids -> {
            if (ids.size() > 1 || all.size() < 2 || !all.remove(ids.iterator().next())) {
                all.addAll(ids);
            }
            take.accept(Collections.unmodifiableSet(new LinkedHashSet<>(all)));
            return true;
        }));
    }

    /** One element after the other, two together each time. */
    static void pairs(Studio studio, BiConsumer<String, String> take) {
        studio.select(Set.of());
        var first = new String[1];
        begin(new Pointing(studio, ids -> {
            String id = ids.iterator().next();
            if (first[0] == null) {
                first[0] = id;
            } else if (!id.equals(first[0])) {
                String of = first[0];
                first[0] = null;
                take.accept(of, id);
            }
            return true;
        }));
    }

    @Override
    public void accept(Set<Aspect> what) {
        if (what.contains(Aspect.FILE) || what.contains(Aspect.SCENE)) {
            end();
        } else if (what.contains(Aspect.SELECTION) && !studio.selection().equals(before)) {
            before = studio.selection();
            if (before.isEmpty() || !take.test(before)) {
                end();
            }
        }
    }
}
