package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import tundra.core.edit.Motifs;
import tundra.core.frame.AudibleSounds;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** What of a scene only a page with a script has. */
final class LeftOut {
    private LeftOut() {}

    /** Each with its number or its names, such as {@code 2 sounds}. */
    static List<String> of(Project p, Board b) {
        var out = new ArrayList<String>();
        long sounds = b.timelines().stream().mapToLong(t -> AudibleSounds.on(p, b, t).size()).max().orElse(0);
        count(out, sounds, "sound", "sounds");
        count(out, b.reactions().stream().filter(r -> !r.off()).count(), "reaction", "reactions");
        count(out, b.drags().size(), "part to drag", "parts to drag");
        count(out, b.timelines().stream().filter(t -> t.scroll() != null).count(), "timeline that goes by scrolling",
                "timelines that go by scrolling");
        count(out, b.timelines().stream().filter(t -> !t.starts()).count(), "timeline that something starts", "timelines that something starts");
        var blocks = new ArrayList<String>();
        Tree.each(b.elements(), (Element e) -> {
            if (Blocks.of(e) != null) {
                blocks.add("“" + e.name() + "”");
            }
        });
        if (!blocks.isEmpty()) {
            out.add("what can be done with " + String.join(", ", blocks.subList(0, Math.min(3, blocks.size()))) + (blocks.size() > 3 ? " …" : ""));
        }
        Timeline main = b.main();
        boolean later = b.timelines().stream().anyMatch(t -> t != main && t.starts() && t.loop() && main.duration() % t.duration() != 0)
                || Motifs.instances(b, x -> true).stream().anyMatch(e -> e.content() instanceof Content.Instance i && p.motif(i.motif()).clock(i)
                .own() && main.duration() % p.motif(i.motif()).board().main().duration() != 0);
        if (later) {
            out.add("loops beyond the end of Main");
        }
        return out;
    }

    private static void count(List<String> out, long n, String one, String several) {
        if (n > 0) {
            out.add(n == 1 ? "1 " + one : n + " " + several);
        }
    }
}
