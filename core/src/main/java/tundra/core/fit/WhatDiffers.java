package tundra.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tundra.core.edit.Resting;
import tundra.core.edit.SettingText;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Outline;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Setting;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Track;

/** A table of what the layouts of a board change, in the order of its elements: what it is in the base and in each of them. */
public final class WhatDiffers {
    /**
     * @param layout its id; null for the base
     * @param own whether the layout says so itself
     */
    public record Cell(String layout, String text, boolean own) {}

    /**
     * @param element whose it is; null for what is the scene's
     * @param name of the element and of what differs
     * @param cells the base's and each layout's
     */
    public record Row(Override what, String element, String name, List<Cell> cells) {}

    private final Board board;
    private final Board base;
    private final Map<String, Board> seen = new HashMap<>();
    private final Map<String, Integer> order = new HashMap<>();

    private WhatDiffers(Board board) {
        this.board = board;
        base = Lens.base(board);
        board.layouts().forEach(l -> seen.put(l.id(), Lens.get(board, l.id())));
        Tree.owners(board.elements()).forEach(id -> order.put(id, order.size()));
    }

    public static List<Row> of(Board board) {
        return new WhatDiffers(board).rows();
    }

    private List<Row> rows() {
        var all = new LinkedHashSet<Override>();
        var own = new HashMap<String, Set<Override>>();
        board.layouts().forEach(l -> {
            own.put(l.id(), new LinkedHashSet<>(Override.of(l.differs())));
            all.addAll(own.get(l.id()));
        });
        var out = new ArrayList<Row>();
        for (Override o : all) {
            var cells = new ArrayList<Cell>();
            cells.add(new Cell(null, text(base, o), false));
            for (Layout l : board.layouts()) {
                boolean skipped = o instanceof Override.Starts s && l.differs().timelines().containsKey(s.timeline()) && l.differs().timelines()
                        .get(s.timeline()).ended();
                cells.add(new Cell(l.id(), skipped ? "is skipped" : text(seen.get(l.id()), o), own.get(l.id()).contains(o)));
            }
            out.add(new Row(o, element(o), name(o), cells));
        }
        out.sort(Comparator.comparingInt(r -> order.getOrDefault(owner(r.what()), -1)));
        return out;
    }

    private static String owner(Override o) {
        return switch (o) {
            case Override.Value v -> v.owner();
            case Override.Words w -> w.element();
            case Override.Keys k -> k.owner();
            case Override.Shown s -> s.element();
            case Override.Order p -> p.parent();
            case Override.Starts s -> "";
            case Override.Reacts r -> "";
        };
    }

    private String element(Override o) {
        Element e = of(owner(o));
        return e == null ? null : e.id();
    }

    /** The element of an owner, be it one of its effects; null for the canvas and the scene. */
    private Element of(String owner) {
        if (board.find(owner) instanceof Element e) {
            return e;
        }
        var found = new Element[1];
        Tree.each(board.elements(), e -> found[0] = e.effects().stream().anyMatch(x -> x.id().equals(owner)) ? e : found[0]);
        return found[0];
    }

    private String name(Override o) {
        Element e = of(owner(o));
        String who = e == null ? owner(o).equals(Board.CANVAS) ? "Canvas" : "Scene" : e.called();
        return switch (o) {
            case Override.Value v -> who + " · " + v.property().label().toLowerCase(Locale.ROOT);
            case Override.Words w -> who + " · words";
            case Override.Keys k -> who + " · " + k.property().label().toLowerCase(Locale.ROOT) + " keys on " + timeline(k.timeline());
            case Override.Shown s -> who + " · when it is seen on " + timeline(s.timeline());
            case Override.Order x -> who + " · order";
            case Override.Starts s -> timeline(s.timeline()) + " · starts";
            case Override.Reacts r -> "A sentence";
        };
    }

    private String timeline(String id) {
        Timeline t = board.timeline(id);
        return t == null ? "a timeline" : t.name();
    }

    private String text(Board b, Override o) {
        return switch (o) {
            case Override.Value v -> b.owner(v.owner()) == null ? "" : value(b, v.owner(), v.property());
            case Override.Words w -> b.find(w.element()) instanceof Element e && e.content() instanceof Content.Text t ? t.text().lines().findFirst()
                    .orElse("") : "";
            case Override.Keys k -> {
                Track<?> t = b.timeline(k.timeline()) == null ? null : b.timeline(k.timeline()).tracksOf(k.owner()).get(k.property());
                yield t == null ? "no keys" : t.keys().size() == 1 ? "1 key" : t.keys().size() + " keys";
            }
            case Override.Shown s -> {
                Span span = b.timeline(s.timeline()) == null ? null : b.timeline(s.timeline()).shown().get(s.element());
                yield span == null ? "always" : TimeText.seconds(span.from()) + " – " + TimeText.seconds(span.to());
            }
            case Override.Order x -> {
                List<Element> of = x.parent().isEmpty() ? b.elements() : b.find(x.parent()) == null ? List.of() : b.find(x.parent()).children();
                yield of.isEmpty() ? "" : of.getLast().called() + " in front";
            }
            case Override.Starts s -> b.timeline(s.timeline()) == null ? "" : b.timeline(s.timeline()).starts() ? "by itself" : "when it is started";
            case Override.Reacts r -> {
                Reaction own = b.reactions().stream().filter(x -> x.id().equals(r.reaction())).findFirst().orElse(null);
                yield own == null ? "not here" : own.off() ? "off" : "holds";
            }
        };
    }

    private static <T> String value(Board b, String owner, Property<T> p) {
        T v = b.find(owner) instanceof Element ? Resting.of(b, owner, p) : b.owner(owner) instanceof Effect x ? x.rest().get(p) : b.canvas().get(p);
        String unit = p.unit().isEmpty() || v instanceof String ? "" : p.unit().equals("°") ? "°" : " " + p.unit();
        return v instanceof Outline o ? o.contours().stream().mapToInt(c -> c.nodes().size()).sum() + " nodes" : SettingText.of(new Setting(p, v))
                + unit;
    }
}
