package tundra.app.builtin;

import java.util.ArrayList;
import java.util.List;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.fit.Layouts;
import tundra.core.fit.Override;
import tundra.core.fit.Preset;
import tundra.core.fit.Shares;
import tundra.core.fit.WhatDiffers;
import tundra.core.geometry.Point;
import tundra.core.model.Layout;
import tundra.core.model.Limits;
import tundra.core.model.Scene;

/** The layouts of the open scene, and what differs in the one that is worked on. */
public final class LayoutCommands {
    private LayoutCommands() {}

    /**
     * @param rename lets the name of the layout that is worked on be typed
     * @param breaks shows the widths at which it breaks
     */
    public static void add(Workshop w, Runnable rename, Runnable breaks) {
        Studio s = w.studio;
        var c = w.commands;
        for (Preset p : Preset.values()) {
            c.add(CommandIds.LAYOUT_NEW + p, () -> "New layout: " + p.label + ", " + p.what, null, () -> s.place() instanceof Scene,
                    () -> make(s, p));
        }
        c.add(CommandIds.LAYOUT_HALF, () -> "New layout: half as wide", null, () -> s.base().layouts().size() < Limits.LAYOUTS, () -> half(s));
        c.add(CommandIds.LAYOUT_RENAME, () -> "Rename layout" + named(s), null, () -> s.layout() != null && s.desk() == Desk.ADAPT, rename);
        c.add(CommandIds.LAYOUT_DELETE, () -> "Delete layout" + named(s), null, () -> s.layout() != null, () -> {
            Layout gone = s.layout();
            s.editBase("Delete layout " + gone.name(), null, b -> Layouts.delete(b, gone.id()));
            w.notices.news("Layout “" + gone.name() + "” is deleted. The scene as it is drawn is for its widths now; undo brings it back.");
        });
        c.add(CommandIds.BREAKS, "Where the layout breaks", null, () -> s.place() instanceof Scene && s.desk() == Desk.ADAPT, breaks);
        c.add(CommandIds.SHARE_WIDTH, "Share the width in equal parts", null, () -> Shares.can(s.board(), s.selection()),
                () -> s.edit("Share the width", b -> Shares.across(b, s.selection())));
        c.add("layout-wider", "Work on the next wider layout", null, () -> s.base().layouts().size() > 0, () -> step(s, 1));
        c.add("layout-narrower", "Work on the next narrower layout", null, () -> s.base().layouts().size() > 0, () -> step(s, -1));
        c.add(CommandIds.LAYOUT_SCOPE, () -> s.layouts().everyLayout() ? "Changes go to this layout only" : "Changes go to every layout", null,
                () -> s.layout() != null, () -> s.layouts().setEveryLayout(!s.layouts().everyLayout()));
        c.add(CommandIds.HAND_BACK, () -> "Hand the selected elements back to the scene as drawn", null, () -> s.layout() != null && !ofSelected(s)
                .isEmpty(), () -> {
            s.layouts().handBack("the selected elements", ofSelected(s));
        });
        c.add(CommandIds.HAND_BACK_KEYS, "Hand these keys back to the scene as drawn", null, () -> !keysOf(s).isEmpty(), () -> s.layouts()
                .handBack("keys", keysOf(s)));
        c.add(CommandIds.HAND_BACK_ALL, () -> "Hand all of the layout" + named(s) + " back to the scene as drawn", null, () -> s.layout() != null
                && !s.layout().differs().none(), () -> {
            Layout of = s.layout();
            s.layouts().handBack(of.name(), Override.of(of.differs()));
        });
        c.addMore(() -> {
            var out = new ArrayList<Command>();
            if (!s.base().layouts().isEmpty()) {
                out.add(new Command("layout", () -> "Work on the scene as it is drawn", null, () -> true, () -> s.layouts().setLayout(null)));
                s.base().layouts().forEach(l -> out.add(new Command("layout", () -> "Work on layout " + l.name(), null, () -> true, () -> s.layouts()
                        .setLayout(l.id()))));
            }
            return out;
        });
    }

    /** The tracks of this timeline that the layout has of its own: those of the chosen keys, or of what is selected. */
    private static List<Override> keysOf(Studio s) {
        return s.layouts().differs().stream().filter(o -> o instanceof Override.Keys k && k.timeline().equals(s.timeline().id())
                && (s.time().keys().isEmpty() ? s.selection().contains(k.owner()) : s.time().keys().stream()
                .anyMatch(r -> r.element().equals(k.owner())
                && r.property() == k.property()))).toList();
    }

    /** A layout for what is narrower than three quarters, such as an instance of a motif in a narrow place. */
    private static void half(Studio s) {
        Point size = s.base().size();
        s.layouts().setLayout(null);
        s.editBase("New layout: half as wide", null, b -> Layouts.add(b, "Half", 0, (int) Math.max(1, Math.ceil(size.x() * 0.75)),
                new Point(Math.max(1, Math.round(size.x() / 2)), size.y()), null));
        s.layouts().setLayout(Layouts.at(s.base(), 0).id());
    }

    private static String named(Studio s) {
        return s.layout() == null ? "" : " " + s.layout().name();
    }

    private static void make(Studio s, Preset p) {
        String like = s.layout() == null ? null : s.layout().id();
        var made = new String[1];
        s.editBase("New layout " + p.label, null, b -> {
            var out = Layouts.add(b, p.label, p.from, p.to, p.size, like);
            made[0] = out.layouts().stream().filter(l -> b.layout(l.id()) == null).findFirst().orElseThrow().id();
            return out;
        });
        s.layouts().setLayout(made[0]);
    }

    /** The layouts by their widths, each once. */
    private static void step(Studio s, int by) {
        List<String> all = new ArrayList<>();
        Layouts.ranges(s.base()).forEach(r -> {
            String id = r.layout() == null ? "" : r.layout().id();
            if (!all.contains(id)) {
                all.add(id);
            }
        });
        int at = all.indexOf(s.layout() == null ? "" : s.layout().id());
        String to = all.get(Math.floorMod(at + by, all.size()));
        s.layouts().setLayout(to.isEmpty() ? null : to);
    }

    private static List<Override> ofSelected(Studio s) {
        List<Override> own = Override.of(s.layout().differs());
        return WhatDiffers.of(s.base()).stream().filter(r -> r.element() != null && s.selection().contains(r.element()) && own.contains(r.what()))
                .map(WhatDiffers.Row::what).toList();
    }
}
