package tundra.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tundra.core.fit.Frames;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Tree;
import tundra.core.work.Progress;

/** Looks all of a project over. */
public final class Checks {
    /** A change of area that is told, as a fraction, unless another is asked for. */
    public static final double JUMP = 0.25;

    private Checks() {}

    /**
     * All findings, scene by scene in the order of {@link Check} and time.
     *
     * @param jump the change of area from one drawing to the next that is told, as a fraction
     * @param progress asked often; once it is given up what was found so far comes back
     */
    public static List<Finding> run(Project project, TextMeasurer measure, ImageComparer eyes, double jump, Progress progress) {
        eyes.use(project);
        // what is painted takes longest, so it comes last
        var books = new ArrayList<Runnable>();
        var out = new ArrayList<Finding>();
        out.addAll(LookChecks.damagedFonts(project, eyes));
        out.addAll(SceneChecks.of(project));
        out.addAll(StageChecks.pictures(project, measure));
        for (Place s : project.places()) {
            out.addAll(new LookChecks(project, s, measure, eyes).run());
            out.addAll(MotifChecks.of(project, s));
            out.addAll(LoopChecks.of(s));
            out.addAll(BlockChecks.of(s));
            out.addAll(ReactionChecks.of(project, s, measure));
            if (project.scene(s.id()) != null) {
                out.addAll(MotifChecks.heavy(project, s));
                Scene scene = project.scene(s.id());
                out.addAll(StageChecks.of(project, scene, measure));
                books.add(() -> out.addAll(WordChecks.of(project, scene, measure, eyes)));
                books.add(() -> out.addAll(FlashChecks.of(project, scene, measure, eyes, progress)));
            }
            books.add(() -> out.addAll(StageChecks.loop(project, s, measure, eyes)));
            var here = new ArrayList<Element>();
            Tree.each(s.board().elements(), e -> {
                if (e.content() instanceof Flipbook && !e.guide()) {
                    here.add(e);
                }
            });
            if (!here.isEmpty()) {
                var builder = Frames.of(project, s.board(), measure);
                here.forEach(e -> books.add(() -> {
                    var found = new ArrayList<>(new FlipbookChecks(s, e, builder, eyes, jump, progress).run());
                    found.sort(Comparator.comparing(Finding::check).thenComparingLong(Finding::time));
                    out.addAll(found);
                }));
            }
        }
        for (int i = 0; i < books.size() && !progress.cancelled(); i++) {
            books.get(i).run();
            progress.share((i + 1.0) / books.size());
        }
        return out;
    }
}
