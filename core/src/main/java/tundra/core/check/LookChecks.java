package tundra.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.FontSource;
import tundra.core.model.Paint;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** Finds what can't be shown as it is meant: fonts that are missing or damaged, and gradients that can't be painted. */
final class LookChecks {
    private final Project project;
    private final Place scene;
    private final TextMeasurer measure;
    private final ImageComparer eyes;
    private final List<Finding> out = new ArrayList<>();

    LookChecks(Project project, Place scene, TextMeasurer measure, ImageComparer eyes) {
        this.project = project;
        this.scene = scene;
        this.measure = measure;
        this.eyes = eyes;
    }

    /** What is on the shelf is told once, at the first scene. */
    static List<Finding> damagedFonts(Project p, ImageComparer eyes) {
        var out = new ArrayList<Finding>();
        for (Asset a : eyes.unreadableFonts()) {
            out.add(new Finding(Check.FONT, p.scenes().getFirst().id(), null, null, 0,
                    "The font “" + a.title() + "” on the shelf can't be read. Bring it in again, or take it off the shelf.", null));
        }
        return out;
    }

    List<Finding> run() {
        Set<String> families = new HashSet<>(eyes.families());
        Tree.each(scene.board().elements(), e -> {
            if (e.content() instanceof Content.Text t && !e.guide() && !families.contains(t.family())) {
                String id = e.id();
                out.add(new Finding(Check.FONT, scene.id(), id, null, 0,
                        e.name() + " is set in “" + t.family() + "”, which isn't in this piece; it is shown in " + FontSource.STANDARD + ".",
                        new Finding.Fix("Set in " + FontSource.STANDARD,
                        b -> b.mapElement(id, x -> x.withContent(((Content.Text) x.content()).withFamily(FontSource.STANDARD))))));
            }
        });
        Frames.of(project, scene.board(), measure).at(0).nodes().forEach(this::look);
        return out;
    }

    private void look(FrameNode n) {
        for (Mark m : n.marks()) {
            Paint p = switch (m) {
                case Mark.Fill f -> f.paint();
                case Mark.Stroke s -> s.paint();
                case Mark.Glyphs g -> g.paint();
                case Mark.Image i -> null;
                case Mark.Film f -> null;
            };
            if (p != null && n.id() != null && !eyes.paints(p, n.box())) {
                out.add(new Finding(Check.UNPAINTED, scene.id(), n.id(), null, 0,
                        scene.board().find(n.id()).name()
                        + " has a gradient that can't be painted; its last colour stands in for it. Lay the gradient anew.", null));
                break;
            }
        }
        if (n.motif() == null) {
            n.children().forEach(this::look);
        }
    }
}
