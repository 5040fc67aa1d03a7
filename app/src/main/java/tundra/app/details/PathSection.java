package tundra.app.details;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.Facing;
import tundra.core.edit.Paths;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.PathShape;

/** What holds for the whole of a motion path: how round it is, whether it closes, whether one easing runs over all of it. */
final class PathSection extends VBox {
    private final Studio studio;
    private final String element;
    private final Slider bend = new Slider(0, 1, 0);
    private final NumberField number = new NumberField("Bend", "", 2);
    private final CheckBox closed = new CheckBox("Closed: flows through its join");
    private final CheckBox whole = new CheckBox("One easing for the whole way");
    private final EasingCurve curve = new EasingCurve(100, 64, true);
    private Object merge = new Object();
    private final HBox bendRow;
    private final Button front = new Button("Its front is where it flies now");
    private final Button mirror = new Button("Mirror where it goes left");
    private final VBox turnedOver = new VBox(4);
    private boolean showing;

    PathSection(Studio studio, Commands commands, String element) {
        this.studio = studio;
        this.element = element;
        setSpacing(6);
        bend.setId("path-bend");
        bend.setAccessibleText("Bend of the path");
        HBox.setHgrow(bend, Priority.ALWAYS);
        number.setId("field-bend");
        number.setMinWidth(68);
        number.setMaxWidth(68);
        bend.valueProperty().addListener((o, was, is) -> bend(Math.rint(is.doubleValue() * 100) / 100, merge));
        bend.setOnMousePressed(e -> merge = new Object());
        number.onChange((v, m) -> bend(v, m));
        var row = new NamedRow("Bend", bend, number);
        var all = new Button("Bend all keys");
        all.setId("path-bend-all");
        Buttons.tip(all, "Gives up the handles set by hand, so that the bend rounds every key");
        all.setOnAction(e -> edit("Bend all keys", null, (b, t) -> Paths.bendAll(b, t, element)));
        closed.setId("path-closed");
        closed.setOnAction(e -> commands.run(CommandIds.PATH_CLOSE));
        whole.setId("path-whole");
        whole.setWrapText(true);
        whole.setOnAction(e -> edit(whole.isSelected() ? "Ease the whole way" : "Ease each interval", null,
                (b, t) -> whole.isSelected() ? Paths.whole(b, t, element) : Paths.whole(b, t, element, null)));
        curve.onChange((e, m) -> edit("Change easing of the way", m, (b, t) -> Paths.whole(b, t, element, e)));
        mirror.setId("path-mirror");
        Buttons.tip(mirror, "Turns it round, by keys of its scale, wherever its way leads against the side that it looks to");
        mirror.setOnAction(e -> commands.run(CommandIds.PATH_MIRROR));
        bendRow = row;
        var title = Words.section("The whole path");
        front.setId("path-front");
        Buttons.tip(front, "The side of the art that looks where it flies at the playhead becomes its front");
        front.setOnAction(e -> edit("Set front", null, (b, t) -> Facing.frontAhead(b, t, element, studio.time().playhead())));
        var over = new Label("It faces against its way: it sets out turned over.");
        over.setWrapText(true);
        over.getStyleClass().addAll("quiet", "small");
        turnedOver.getChildren().addAll(over, front);
        // what comes and goes stands last, so that nothing moves away from under the pointer
        getChildren().addAll(title, closed, whole, curve, new FlowPane(6, 6, all, mirror), turnedOver);
        refresh();
    }

    /** How round the path is, to stand with the other numbers of the way. */
    HBox bend() {
        return bendRow;
    }

    private interface Change {
        Board of(Board b, String timeline);
    }

    private void edit(String name, Object with, Change change) {
        if (!showing) {
            Timeline t = studio.time().moving(element, Properties.POSITION);
            studio.edit(name + " of " + studio.board().find(element).name(), with, b -> change.of(b, t.id()));
        }
    }

    private void bend(double v, Object with) {
        edit("Bend path", with, (b, t) -> Paths.bend(b, t, element, v));
    }

    void refresh() {
        if (studio.board().find(element) == null) {
            return;
        }
        Timeline t = studio.time().moving(element, Properties.POSITION);
        boolean any = t.track(element, Properties.POSITION) != null && t.track(element, Properties.POSITION).keys().size() > 1;
        for (Region r : List.of(this, bendRow)) {
            r.setVisible(any);
            r.setManaged(any);
        }
        boolean over = Facing.turnedOver(studio.board(), t.id(), element);
        turnedOver.setVisible(over);
        turnedOver.setManaged(over);
        PathShape shape = Paths.shape(studio.board(), t.id(), element);
        showing = true;
        bend.setValue(shape.bend());
        number.show(shape.bend());
        closed.setSelected(shape.closed());
        whole.setSelected(shape.whole() != null);
        Easing e = shape.whole();
        curve.setVisible(e != null);
        curve.setManaged(e != null);
        if (e != null) {
            curve.show(e, studio.dark());
        }
        showing = false;
    }
}
