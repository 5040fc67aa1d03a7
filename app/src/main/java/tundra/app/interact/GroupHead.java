package tundra.app.interact;

import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import tundra.app.widget.Buttons;
import tundra.app.widget.Menus;
import tundra.core.edit.Reactions;

/** The name of a group of reactions, which folds it. */
final class GroupHead extends HBox {
    private final ReactionSite site;
    private final String name;
    private final Button fold;

    /** @param toggle folds it, or opens it again */
    GroupHead(ReactionSite site, String name, int number, boolean folded, Runnable toggle) {
        super(6);
        this.site = site;
        this.name = name;
        setAlignment(Pos.CENTER_LEFT);
        long size = site.all().stream().filter(r -> r.group().equals(name)).count();
        fold = new Button((folded ? "▸  " : "▾  ") + name);
        fold.setId(site.prefix() + "group-" + number);
        fold.setMnemonicParsing(false);
        fold.getStyleClass().addAll("flat", "group-head", "strong");
        fold.setAccessibleText((folded ? "Open group " : "Fold group ") + name);
        fold.setOnAction(e -> toggle.run());
        var count = new Label(size == 1 ? "1 reaction" : size + " reactions");
        count.getStyleClass().addAll("quiet", "small");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var more = new Button("⋯");
        more.setId(site.prefix() + "group-menu-" + number);
        more.getStyleClass().addAll("flat", "row-toggle", "on");
        more.setAccessibleText("More for group " + name);
        Buttons.tip(more, "Rename, move, switch off or take the group apart");
        more.setOnAction(e -> menu().show(more, Side.BOTTOM, 0, 2));
        getChildren().addAll(fold, count, gap, more);
        Menus.on(this, this::menu);
    }

    private ContextMenu menu() {
        var m = new ContextMenu();
        boolean off = site.all().stream().filter(r -> r.group().equals(name)).allMatch(r -> r.off());
        m.getItems().addAll(Sentence.item("Rename…", "group-rename", this::rename),
                Sentence.item(off ? "Switch all on" : "Switch all off", "group-switch", () -> site.edit(off ? "Switch group on" : "Switch group off",
                        all -> all.stream().map(r -> r.group().equals(name) ? r.withOff(!off) : r).toList())),
                Sentence.item("Move up", "group-up", () -> site.edit("Move group", all -> Reactions.moveGroup(all, name, false))),
                Sentence.item("Move down", "group-down", () -> site.edit("Move group", all -> Reactions.moveGroup(all, name, true))),
                new SeparatorMenuItem(),
                Sentence.item("Take the group apart", "group-apart", () -> site.edit("Take group apart", all -> Reactions.renameGroup(all, name,
                ""))));
        return m;
    }

    private void rename() {
        Picker.type(fold, name, "What the group is called. A group that is called so already takes these in.", t -> t.isBlank() ? "It needs a name."
                : null,
                t -> site.edit("Rename group", all -> Reactions.renameGroup(all, name, t.strip())));
    }
}
