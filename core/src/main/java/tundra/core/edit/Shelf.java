package tundra.core.edit;

import java.util.LinkedHashMap;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** What is kept in a project to be used. */
public final class Shelf {
    private Shelf() {}

    /** Whether anything in the project needs a file; {@code family} is the one that it belongs to when it is a font. */
    public static boolean used(Project p, Asset a, String family) {
        boolean[] found = {false};
        p.scenes().forEach(s -> Tree.each(s.board().elements(), e -> found[0] |= switch (e.content()) {
            case Content.Picture x -> x.asset().equals(a.hash());
            case Content.Text t -> a.kind() == Asset.Kind.FONT && t.family().equals(family);
            default -> false;
        }));
        p.scenes().forEach(s -> s.board().timelines().forEach(t -> found[0] |= t.sounds().stream().anyMatch(x -> x.asset().equals(a.hash()))));
        return found[0];
    }

    public static Project without(Project p, String hash) {
        var left = new LinkedHashMap<>(p.assets());
        left.remove(hash);
        return p.withAssets(left);
    }
}
