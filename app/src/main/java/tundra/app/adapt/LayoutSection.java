package tundra.app.adapt;

import java.util.ArrayList;
import javafx.scene.control.CheckBox;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.core.fit.Layouts;
import tundra.core.fit.Preset;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Differs;
import tundra.core.model.Layout;
import tundra.core.model.Limits;
import tundra.core.model.Scene;

/** The layout that is worked on in numbers: the widths that it is for, and the size of its canvas. */
public final class LayoutSection extends VBox {
    private final Studio studio;
    private final NumberField from = new NumberField("Least width of the layout", "from", 0);
    private final NumberField to = new NumberField("First width that it is not for", "to", 0);
    private final NumberField width = new NumberField("Width of its canvas", "w", 0);
    private final NumberField height = new NumberField("Height of its canvas", "h", 0);
    private final NumberField tried = new NumberField("A width to try", "w", 0);
    private final NumberField triedHigh = new NumberField("A height to try", "h", 0);
    private final NamedRow widths = new NamedRow("Widths", from, to);
    private final NamedRow size = new NamedRow("Canvas", width, height);

    private final CheckBox ended = new CheckBox();

    public LayoutSection(Studio studio, Commands commands) {
        super(6);
        this.studio = studio;
        ended.setId("layout-ended");
        ended.setOnAction(e -> {
            String id = studio.layout().id(), timeline = studio.timeline().id();
            boolean on = ended.isSelected();
            studio.editBase(on ? "Skip a timeline in a layout" : "Play a timeline in a layout", null, b -> Layouts.ended(b, id, timeline, on));
        });
        Buttons.tip(ended, "As an intro that is skipped here: all that it moves is where it ends, and it does not play");
        getStyleClass().add("layout-section");
        from.setId("layout-from");
        to.setId("layout-to");
        width.setId("layout-w");
        height.setId("layout-h");
        tried.setId("layout-try");
        tried.onChange((v, merge) -> tryAt(v, studio.board().size().y()));
        triedHigh.setId("layout-try-h");
        triedHigh.onChange((v, merge) -> tryAt(studio.board().size().x(), v));
        from.onChange((v, merge) -> range((int) Math.rint(v), studio.layout().to(), merge));
        to.onChange((v, merge) -> range(studio.layout().from(), v <= 0 ? Layout.WIDEST : (int) Math.rint(v), merge));
        width.onChange((v, merge) -> size(new Point(v, studio.drawn().size().y()), merge));
        height.onChange((v, merge) -> size(new Point(studio.drawn().size().x(), v), merge));
        var make = new LightButton("New layout");
        make.setId("layout-make");
        Buttons.menu(make, () -> {
            var items = new ArrayList<MenuItem>();
            for (Preset p : studio.place() instanceof Scene ? Preset.values() : new Preset[0]) {
                items.add(item("preset-" + p, p.label + ", " + p.what, commands, CommandIds.LAYOUT_NEW + p));
            }
            items.add(item("preset-half", "Half as wide", commands, CommandIds.LAYOUT_HALF));
            return items;
        });
        var rename = Buttons.text(commands.get(CommandIds.LAYOUT_RENAME), "Rename");
        var delete = Buttons.text(commands.get(CommandIds.LAYOUT_DELETE), "Delete");
        getChildren().addAll(Words.section("Layout"), new HBox(6, make, rename, delete), widths, size, new NamedRow("Try at", tried, triedHigh),
                ended);
        studio.listen(what -> refresh());
        refresh();
    }

    private static MenuItem item(String id, String words, Commands commands, String command) {
        var m = new MenuItem(words);
        m.setId(id);
        m.setOnAction(e -> commands.run(command));
        return m;
    }

    private void range(int a, int b, Object merge) {
        String id = studio.layout().id();
        studio.editBase("Change the widths of a layout", merge, x -> Layouts.range(x, id, a, b));
    }

    private void tryAt(double w, double h) {
        studio.layouts().tryAt(whole(new Point(w, h)));
    }

    private static Point whole(Point s) {
        return new Point(Numbers.clamp(Math.rint(s.x()), 1, Limits.SIDE), Numbers.clamp(Math.rint(s.y()), 1, Limits.SIDE));
    }

    private void size(Point s, Object merge) {
        Point whole = whole(s);
        studio.edit("Change canvas size", merge, b -> b.withSize(whole));
        refresh();
    }

    private void refresh() {
        Layout l = studio.layout();
        widths.setVisible(l != null);
        widths.setManaged(l != null);
        ended.setVisible(l != null);
        ended.setManaged(l != null);
        if (l != null) {
            ended.setText(studio.timeline().name() + " is skipped");
            ended.setSelected(l.differs().timelines().getOrDefault(studio.timeline().id(), Differs.OfTimeline.NOTHING).ended());
            from.show(l.from());
            to.show(l.to() == Layout.WIDEST ? 0 : l.to());
        }
        width.show(studio.drawn().size().x());
        height.show(studio.drawn().size().y());
        tried.show(studio.board().size().x());
        triedHigh.show(studio.board().size().y());
    }
}
