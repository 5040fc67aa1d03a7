package tundra.web;

import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.MapData;
import tundra.core.model.PieceValue;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Setting;
import tundra.core.model.Slots;
import tundra.core.model.Tree;

/** The letters that a page may show: those of its texts, and all Latin ones where visitors or scripts write. */
final class UsedLetters {
    /** Where Latin letters with their marks end: Latin Extended-A. */
    private static final int LATIN = 0x17F;
    private final Set<Integer> letters = new TreeSet<>();

    private UsedLetters() {}

    /** As code points. */
    static Set<Integer> of(Project p) {
        var out = new UsedLetters();
        out.add(" 0123456789.,:−-–%…");
        for (Place x : p.places()) {
            out.board(x.board());
        }
        p.values().forEach(v -> out.add(v.start() + "yesno"));
        p.allReactions().forEach(r -> r.slots().forEach(out::slots));
        if (p.values().stream().anyMatch(v -> v.kind() == PieceValue.Kind.TEXT) || p.scripts().stream()
                .anyMatch(s -> s.source().matches("(?s).*\\btext\\b.*"))) {
            out.latin();
        }
        return out.letters;
    }

    private void add(String text) {
        text.codePoints().filter(c -> c >= ' ').forEach(letters::add);
    }

    /** What people write here is mostly Latin; what isn't is shown in another font. */
    private void latin() {
        for (int c = ' '; c <= LATIN; c++) {
            letters.add(c);
        }
        add("‘’“”„–—…€");
    }

    private void board(Board b) {
        Tree.each(b.elements(), this::element);
        b.layouts().forEach(l -> l.differs().words().values().forEach(this::add));
        b.timelines().forEach(t -> t.tracks().values().forEach(of -> of.values().forEach(track -> track.keys().forEach(k -> {
            if (k.value() instanceof String s) {
                add(s);
            }
        }))));
    }

    private void element(Element e) {
        if (e.content() instanceof Content.Text t) {
            add(t.text());
        }
        if (Blocks.of(e) instanceof Content.Block b) {
            BlockKind.Family f = b.kind().family();
            if (f == BlockKind.Family.FIELD || f == BlockKind.Family.SHOWN || f == BlockKind.Family.MAP) {
                latin();
            }
            add(e.name());
            slots(b.settings());
            e.children().forEach(c -> add(c.name()));
        }
    }

    private void slots(Slots s) {
        s.values().values().forEach(v -> {
            switch (v) {
                case String words -> add(words);
                case MapData m -> m.places().forEach(x -> add(String.valueOf(x.name())));
                case Map<?, ?> captions -> captions.values().forEach(x -> add(String.valueOf(x)));
                case Setting x when x.value() instanceof String words -> add(words);
                default -> { }
            }
        });
    }
}
