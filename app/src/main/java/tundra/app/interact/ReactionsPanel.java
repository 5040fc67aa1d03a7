package tundra.app.interact;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.publish.TryIt;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.core.edit.Reach;
import tundra.core.edit.Reactions;
import tundra.core.model.Dragging;
import tundra.core.model.Reaction;

/** The reactions of the scene, and of the whole piece, as sentences; one that fires in the running page lights up. */
public final class ReactionsPanel extends VBox {
    private final Studio studio;
    private final Commands commands;
    private final VBox list = new VBox(8);
    private final ScrollPane scroll;
    private final ValuesPanel values;
    private final Map<String, Sentence> shown = new HashMap<>();
    /** The sentences that were there, and of which scene or motif. */
    private Set<String> known = Set.of();
    private String place = "";
    private final Set<String> folded = new HashSet<>();

    public ReactionsPanel(Studio studio, Commands commands, TryIt tryIt) {
        this.studio = studio;
        this.commands = commands;
        setId("reactions");
        getStyleClass().add("reactions");
        var title = Words.section("Reactions");
        var in = new Label("in this scene");
        in.getStyleClass().add("quiet");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        LightButton add = Buttons.text(commands.get(CommandIds.ADD_REACTION), "+ When…");
        LightButton match = Buttons.text(commands.get(CommandIds.MATCH_PAIRS), "Match pairs");
        var head = new HBox(8, title, in, gap, match, add);
        head.setAlignment(Pos.CENTER_LEFT);
        scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        values = new ValuesPanel(studio, tryIt);
        getChildren().addAll(head, scroll, values);
        studio.listen(what -> {
            if (what.contains(Aspect.DOCUMENT) || what.contains(Aspect.SCENE) || what.contains(Aspect.SELECTION) || what.contains(Aspect.FILE)) {
                build();
                values.build();
            }
        });
        tryIt.onReaction(this::light);
        build();
    }

    private void build() {
        shown.clear();
        var rows = new ArrayList<Node>();
        List<Dragging> drags = studio.board().drags();
        for (int i = 0; i < drags.size(); i++) {
            rows.add(new DragCard(studio, drags.get(i), i + 1, this::show));
        }
        sentences(rows, new ReactionSite(studio, Reach.PLACE));
        boolean none = rows.isEmpty();
        var piece = new ReactionSite(studio, Reach.PIECE);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(8, Words.section("In the whole piece"), gap, Buttons.text(commands.get(CommandIds.ADD_PIECE_REACTION), "+ When…"));
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("piece-reactions");
        rows.add(head);
        sentences(rows, piece);
        list.getChildren().setAll(rows);
        if (none) {
            var empty = Words.wrapped("Nothing reacts yet. Select an element on the canvas and press “+ When…”: the first sentence is"
                    + " “When it is tapped, play Main from start”. Each of its words opens what may stand there instead.");
            list.getChildren().addFirst(empty);
        }
        var fresh = new HashSet<>(shown.keySet());
        fresh.removeAll(known);
        // what was just made is where one looks; another scene is seen from its start
        if (fresh.size() == 1 && place.equals(studio.place().id())) {
            reveal(fresh.iterator().next());
        }
        place = studio.place().id();
        known = Set.copyOf(shown.keySet());
    }

    /** One sentence after the other, those of a group beneath its name. */
    private void sentences(List<Node> rows, ReactionSite site) {
        List<Reaction> all = site.all();
        List<String> groups = Reactions.groups(all);
        String group = "";
        for (int i = 0; i < all.size(); i++) {
            Reaction r = all.get(i);
            String key = site.prefix() + r.group();
            if (!r.group().isEmpty() && !r.group().equals(group)) {
                rows.add(new GroupHead(site, r.group(), groups.indexOf(r.group()) + 1, folded.contains(key), () -> fold(key)));
            }
            group = r.group();
            if (group.isEmpty() || !folded.contains(key)) {
                var s = new Sentence(site, r, i + 1);
                if (!group.isEmpty()) {
                    s.getStyleClass().add("grouped");
                }
                shown.put(r.id(), s);
                rows.add(s);
            }
        }
    }

    private void fold(String group) {
        if (!folded.remove(group)) {
            folded.add(group);
        }
        build();
    }

    /** Brings a sentence of the open place into view, by its id. */
    public void find(String id) {
        Stream.concat(studio.board().reactions().stream(), studio.project().reactions().stream()).filter(r -> r.id().equals(id)).findFirst()
                .ifPresent(this::show);
    }

    /** Brings a sentence into view, with the keyboard on it. */
    private void show(Reaction r) {
        if (r == null) {
            return;
        }
        // one that was just made is told of only at the next pulse
        if (folded.remove(r.group()) || !shown.containsKey(r.id())) {
            build();
        }
        if (shown.containsKey(r.id())) {
            reveal(r.id());
            shown.get(r.id()).requestFocus();
        }
    }

    /** Brings a sentence into view and lights it up. */
    private void reveal(String reaction) {
        Sentence s = shown.get(reaction);
        applyCss();
        layout();
        double room = list.getHeight() - scroll.getViewportBounds().getHeight();
        if (room > 0) {
            scroll.setVvalue(Math.clamp((s.getBoundsInParent().getCenterY() - scroll.getViewportBounds().getHeight() / 2) / room, 0, 1));
        }
        light(reaction);
    }

    private void light(String reaction) {
        Sentence s = shown.get(reaction);
        if (s != null) {
            s.getStyleClass().remove("lit");
            s.getStyleClass().add("lit");
            var off = new PauseTransition(Duration.seconds(1.2));
            off.setOnFinished(e -> s.getStyleClass().remove("lit"));
            off.play();
        }
    }
}
