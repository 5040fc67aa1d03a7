package tundra.app.window;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import tundra.app.studio.Desk;
import tundra.app.studio.OpenPlace;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.core.edit.Motifs;
import tundra.core.model.Place;
import tundra.core.model.States;

/** Above the canvas while a motif is open: the places passed, each of which leads back, and how often the motif is used. */
final class WayBar extends HBox {
    /** In px, as the style sheet has it. */
    static final double HEIGHT = 34;
    /** The names of places are no wider, in px. */
    private static final double LONG = 120;
    /** What is only said, in the order in which it gives way where the window is narrow. */
    private final List<Region> extras = new ArrayList<>();
    private final Studio studio;
    private String shown = "";

    WayBar(Studio studio) {
        super(4);
        this.studio = studio;
        setId("way");
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("way");
        setMinWidth(0);
        widthProperty().addListener(o -> fit());
        studio.listen(what -> refresh());
        refresh();
    }

    private void refresh() {
        List<OpenPlace.Step> way = studio.open().way();
        setVisible(!way.isEmpty());
        setManaged(!way.isEmpty());
        if (way.isEmpty()) {
            return;
        }
        var uses = Motifs.uses(studio.project(), studio.place().id());
        States.State look = studio.target().look();
        String now = (studio.desk() == Desk.DRAW && look != null ? look + " " + studio.target().oneLook() : "")
                + Stream.concat(way.stream().map(OpenPlace.Step::place), Stream.of(studio.place().id()))
                .map(id -> studio.project().place(id)).map(p -> p == null ? "" : p.name()).toList() + " " + uses.count();
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        getChildren().clear();
        extras.clear();
        for (int i = 0; i < way.size(); i++) {
            int step = i;
            Place p = studio.project().place(way.get(i).place());
            var back = new LightButton(p.name());
            back.setId("way-" + i);
            back.getStyleClass().add("flat");
            back.setOnAction(() -> studio.navigation().backTo(step));
            back.setMaxWidth(LONG);
            Buttons.tip(back, "Back to " + p.name());
            getChildren().addAll(back, new LightLabel("›", "quiet"));
        }
        var here = new LightLabel(studio.place().name(), "chip", "chip-motif");
        here.setMaxWidth(LONG);
        var words = new LightLabel("a motif, " + (uses.count() == 1 ? "used once" : "used " + uses.count()
                + " times: what you change here changes all of them"), "quiet");
        words.setMinWidth(0);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        var up = new LightLabel("Esc goes up", "quiet");
        up.setMinWidth(Region.USE_PREF_SIZE);
        extras.add(words);
        extras.addFirst(up);
        getChildren().addAll(here, words);
        if (studio.desk() == Desk.DRAW && look != null) {
            looks(look);
        }
        getChildren().add(up);
        fit();
    }

    /** Leaves out of what is only said as much as there is no room for. */
    private void fit() {
        extras.forEach(x -> seen(x, true));
        for (Region x : extras) {
            double wanted = getChildren().stream().filter(Node::isManaged).mapToDouble(n -> n.prefWidth(-1) + getSpacing()).sum();
            if (wanted <= getWidth() - snappedLeftInset() - snappedRightInset()) {
                return;
            }
            seen(x, false);
        }
    }

    private static void seen(Region x, boolean on) {
        x.setVisible(on);
        x.setManaged(on);
    }

    /** Says which look of a button is shown, and where a change goes: a colour set while one look is shown is else set for all of them. */
    private void looks(States.State look) {
        var title = new LightLabel("Changes go to", "quiet");
        title.setMinWidth(Region.USE_PREF_SIZE);
        extras.add(title);
        var either = new HBox(look("looks-all", "all looks", false), look("looks-one", "only " + look.words, true));
        either.setAlignment(Pos.CENTER);
        either.getStyleClass().addAll("segments", "seen-at");
        either.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().addAll(title, either);
    }

    private LightButton look(String id, String words, boolean one) {
        var b = new LightButton(words);
        b.setId(id);
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setSelected(studio.target().oneLook() == one);
        Buttons.tip(b, one ? "What is changed while drawing becomes a key of this look, and the other looks stay"
                : "What is changed while drawing changes in all looks");
        b.setOnAction(() -> studio.target().setOneLook(one));
        return b;
    }
}
