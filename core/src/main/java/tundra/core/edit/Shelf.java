package tundra.core.edit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Project;
import tundra.core.model.Slot;
import tundra.core.model.Tree;

/** What is kept in a project to be used. */
public final class Shelf {
    private static final Pattern NUMBERED = Pattern.compile("(.*[^\\s\\d_-])[\\s_-]*(\\d{1,6})");

    private Shelf() {}

    /** Whether anything in the project needs a file; {@code family} is the one that it belongs to when it is a font. */
    public static boolean used(Project p, Asset a, String family) {
        boolean[] found = {false};
        p.places().forEach(s -> Tree.each(s.board().elements(), e -> found[0] |= switch (e.content()) {
            case Content.Picture x -> x.asset().equals(a.hash());
            case Content.Text t -> a.kind() == Asset.Kind.FONT && t.family().equals(family);
            default -> a.kind() == Asset.Kind.FONT ? family != null && family.equals(BlockSettings.family(e)) : BlockSettings.files(e)
                    .contains(a.hash());
        }));
        p.places().forEach(s -> s.board().timelines().forEach(t -> found[0] |= t.sounds().stream().anyMatch(x -> x.asset().equals(a.hash()))));
        p.allReactions().forEach(r -> found[0] |= r.slots().stream().anyMatch(x -> a.hash().equals(x.first(Slot.Type.SOUND))));
        return found[0];
    }

    public static Project without(Project p, String hash) {
        var left = new LinkedHashMap<>(p.assets());
        left.remove(hash);
        return p.withAssets(left);
    }

    /** Three or more pictures of one size whose titles differ by a number at their end, in its order, by what they have in common. */
    public static Map<String, List<Asset>> series(List<Asset> assets) {
        var all = new LinkedHashMap<String, TreeMap<Integer, Asset>>();
        for (Asset a : assets) {
            Matcher m = NUMBERED.matcher(a.title());
            if (a.kind() == Asset.Kind.PICTURE && m.matches()) {
                all.computeIfAbsent(m.group(1) + " " + a.width() + "×" + a.height(), k -> new TreeMap<>()).putIfAbsent(Integer.parseInt(m.group(2)),
                        a);
            }
        }
        var out = new LinkedHashMap<String, List<Asset>>();
        all.forEach((key, of) -> {
            if (of.size() >= 3) {
                out.put(key.substring(0, key.lastIndexOf(' ')), List.copyOf(of.values()));
            }
        });
        return out;
    }
}
