package tundra.app.details;

import java.util.function.UnaryOperator;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.edit.Scenes;
import tundra.core.model.Opening;
import tundra.core.model.Scene;
import tundra.core.model.Transition;
import tundra.core.motion.NamedEasing;

/** How the open scene comes: its transition, whether it goes on where it was left, whose ground it has, and whether it lies over all others. */
final class OpeningSection extends VBox {
    private final Studio studio;
    private final ComboBox<Transition.Kind> kind = new LightComboBox<>();
    private final ComboBox<Transition.Side> side = new LightComboBox<>();
    private final NumberField time = new NumberField("Takes", "s", 3);
    private final ComboBox<NamedEasing> easing = new LightComboBox<>();
    private final CheckBox keeps = new CheckBox("Goes on where it was left");
    private final CheckBox ground = new CheckBox("Has the ground of the piece");
    private final CheckBox over = new CheckBox("Lies over all other scenes");
    private final NamedRow how;
    private final NamedRow way;
    private boolean showing;

    OpeningSection(Studio studio, Commands commands) {
        super(6);
        this.studio = studio;
        kind.getItems().setAll(Transition.Kind.values());
        kind.setConverter(new WordsOf<>(k -> k.word));
        side.getItems().setAll(Transition.Side.values());
        side.setConverter(new WordsOf<>(s -> switch (s) {
            case LEFT -> "to the left";
            case RIGHT -> "to the right";
            case UP -> "upwards";
            case DOWN -> "downwards";
        }));
        easing.getItems().setAll(NamedEasing.ALL);
        easing.setConverter(new WordsOf<>(NamedEasing::feel));
        for (ComboBox<?> c : new ComboBox<?>[] {kind, side, easing}) {
            c.setMaxWidth(Double.MAX_VALUE);
            c.setMinWidth(0);
            HBox.setHgrow(c, Priority.ALWAYS);
        }
        kind.setId("opening-kind");
        side.setId("opening-side");
        time.setId("opening-time");
        easing.setId("opening-easing");
        kind.setAccessibleText("How the scene comes");
        side.setAccessibleText("Where it moves to");
        easing.setAccessibleText("How the transition goes");
        kind.setOnAction(e -> transition("Come with a " + kind.getValue(), null, t -> t.with(kind.getValue())));
        side.setOnAction(e -> transition("Come another way", null, t -> t.with(side.getValue())));
        time.onChange((v, merge) -> transition("Change how long it takes", merge, t -> t.withTime(Math.round(v * 1e6))));
        easing.setOnAction(e -> transition("Change how the transition goes", null, t -> t.with(easing.getValue().easing())));
        keeps.setId("opening-keeps");
        ground.setId("opening-ground");
        over.setId("opening-over");
        Buttons.tip(keeps, "Opened again, its timelines, dragged parts and scrolling are where they were; otherwise it begins anew");
        Buttons.tip(ground, "Its ground is one with that of all scenes that have it");
        Buttons.tip(over, "Such as a menu or a score: it is seen in every scene, above it, and its own ground isn't");
        keeps.setOnAction(e -> opening(keeps.isSelected() ? "Go on where it was left" : "Begin anew", null, o -> o.withKeeps(keeps.isSelected())));
        ground.setOnAction(e -> opening(ground.isSelected() ? "Have the ground of the piece" : "Have an own ground", null,
                o -> o.withPieceGround(ground.isSelected())));
        over.setOnAction(e -> {
            if (!showing) {
                String id = studio.scene().id();
                studio.editProject(over.isSelected() ? "Lie over all scenes" : "Be a scene among the others", null,
                        p -> p.withPage(p.page().withOver(over.isSelected() ? id : "")));
            }
        });
        var ways = new LightButton("Ways through the piece");
        ways.setId("opening-ways");
        ways.getStyleClass().add("small-press");
        ways.setOnAction(() -> commands.run("ways"));
        way = new NamedRow("Moves", side);
        how = new NamedRow("Takes", time, easing);
        getChildren().addAll(Words.section("When it opens"), new NamedRow("Comes with", kind), way, how, keeps, ground, over, new HBox(ways));
        refresh();
    }

    private void opening(String name, Object merge, UnaryOperator<Opening> change) {
        if (!showing) {
            String id = studio.scene().id();
            studio.editProject(name, merge, p -> Scenes.opening(p, id, change));
            refresh();
        }
    }

    private void transition(String name, Object merge, UnaryOperator<Transition> change) {
        opening(name, merge, o -> o.with(change.apply(o.transition())));
    }

    void refresh() {
        if (!(studio.place() instanceof Scene s)) {
            return;
        }
        showing = true;
        Transition t = s.opening().transition();
        kind.setValue(t.kind());
        side.setValue(t.side());
        time.show(t.time() / 1e6);
        easing.setValue(NamedEasing.ALL.stream().filter(n -> n.easing().text().equals(t.easing().text())).findFirst().orElse(null));
        way.setVisible(t.kind().moves());
        way.setManaged(t.kind().moves());
        how.setVisible(t.kind() != Transition.Kind.CUT);
        how.setManaged(how.isVisible());
        keeps.setSelected(s.opening().keeps());
        ground.setSelected(s.opening().pieceGround());
        over.setSelected(studio.project().over() == s);
        over.setDisable(studio.project().scenes().size() < 2);
        showing = false;
    }
}
