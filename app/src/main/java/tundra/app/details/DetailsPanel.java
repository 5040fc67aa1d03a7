package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.command.Commands;
import tundra.app.document.BlockFiles;
import tundra.app.job.Jobs;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Registering;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.tool.Paints;
import tundra.app.tool.ToolOptions;
import tundra.app.widget.Lazy;
import tundra.app.widget.LightLabel;
import tundra.app.widget.TallPane;
import tundra.app.widget.Translated;
import tundra.app.widget.Words;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;

/** What is selected, with its properties as numbers and colours. */
public final class DetailsPanel extends TallPane {
    private final Studio studio;
    private final Commands commands;
    private final Jobs jobs;
    private final BlockFiles blockFiles;
    private final ToolOptions options;
    private final PropertyRow.Needs needs;
    private final Registering registering;
    private final VBox box = new VBox();
    private final List<PropertyRow<?>> rows = new ArrayList<>();
    private final Lazy<EasingSection> easing;
    /** Shows anew what the sections below the rows say. */
    private final List<Runnable> refreshed = new ArrayList<>();
    /** Whether the drawings of a flipbook are among them. */
    private boolean ofDrawings;
    private String shown;
    /** The elements that were chosen last, and how often that changed. */
    private Set<String> chosen = Set.of();
    private int choice;
    /** Of more elements than this the values are shown a few times a second, not at every step of a drag. */
    private static final int MANY = 100;
    private final PauseTransition later = new PauseTransition(Duration.millis(120));

    /** @param onGradient runs when a gradient was chosen for the selected element, to be placed on the canvas */
    public DetailsPanel(Studio studio, Settings settings, Jobs jobs, Commands commands, BlockFiles blockFiles, ToolOptions options, Paints paints,
            Registering registering, Runnable onGradient) {
        this.studio = studio;
        this.commands = commands;
        this.jobs = jobs;
        this.blockFiles = blockFiles;
        this.options = options;
        this.needs = new PropertyRow.Needs(options, paints, onGradient);
        this.registering = registering;
        setId("details");
        getStyleClass().add("details");
        box.getStyleClass().add("details-box");
        setContent(box);
        easing = new Lazy<>(() -> new EasingSection(studio, settings));
        later.setOnFinished(e -> PropertyRow.refresh(rows, studio));
        studio.listen(this::changed);
        build();
    }

    private void changed(Set<Aspect> what) {
        Element e = studio.selected();
        String now = key(e);
        if (!now.equals(shown) || what.contains(Aspect.DESK)) {
            build();
        } else {
            refreshRows();
            strokeRows();
            refreshed.forEach(Runnable::run);
            if (e == null && ofDrawings && box.getChildren().getFirst() instanceof HBox h && h.getChildren().getFirst() instanceof LightLabel l) {
                l.setText(drawingName());
            }
            refreshEasing();
        }
    }

    /** Brings a field into view, with the keyboard in it, as soon as it is there. */
    public void type(String field) {
        Platform.runLater(() -> {
            if (lookup("#" + field) instanceof Node n) {
                reveal(n);
                n.requestFocus();
            }
        });
    }

    /** Opens the choice of easings for what is selected. */
    public void pickEasing() {
        easing.get().open();
    }

    /** What decides which rows there are. */
    private String key(Element e) {
        String drawing = studio.book().is() ? studio.book().id() : "";
        if (studio.time().sound() != null) {
            return studio.desk() + " sound " + studio.time().sound().id();
        }
        return studio.desk() + " " + drawing + (e == null ? several(studio.selection()) + studio.place().id() : e.id() + e.name() + e.content()
                .word() + (e.content() instanceof Content.Group g && g.scatter() != null));
    }

    private void refreshRows() {
        if (studio.selection().size() <= MANY) {
            PropertyRow.refresh(rows, studio);
        } else if (later.getStatus() != Animation.Status.RUNNING) {
            later.playFromStart();
        }
    }

    private void add(Node section, Runnable refresh) {
        refreshed.add(refresh);
        box.getChildren().add(section);
    }

    /** A number for each choice of elements that differs from the one before. */
    private int several(Set<String> now) {
        choice += now.equals(chosen) ? 0 : 1;
        chosen = now;
        return choice;
    }

    /** What belongs to a stroke is shown once there is one. The rows stay, since a popover may hang on one of them. */
    private void strokeRows() {
        Element e = studio.selected();
        for (PropertyRow<?> r : rows) {
            if (e != null && PropertyGroups.STROKE.contains(r.property()) && r.property() != Properties.STROKE) {
                r.setVisible(strokeSeen(e));
                r.setManaged(r.isVisible());
            }
        }
    }

    private boolean strokeSeen(Element e) {
        return e.rest().get(Properties.STROKE).visible() || studio.board().timelines().stream()
                .anyMatch(t -> t.track(e.id(), Properties.STROKE) != null);
    }

    private void build() {
        Element e = studio.selected();
        shown = key(e);
        rows.clear();
        refreshed.clear();
        ofDrawings = false;
        box.getChildren().clear();
        if (studio.time().sound() != null) {
            box.getChildren().add(named(studio.project().assets().get(studio.time().sound().asset()).title(), SoundSection.kind(studio)));
            var sound = new SoundSection(studio, commands);
            add(sound, sound::refresh);
        } else if (e != null) {
            element(e);
        } else if (!studio.selection().isEmpty()) {
            several();
        } else if (studio.book().is() && studio.desk() == Desk.DRAW) {
            box.getChildren().add(heading(drawingName(), "of " + studio.book().element().name()));
        } else {
            box.getChildren().add(named(studio.place().name(), studio.place() instanceof Motif ? "motif" : "scene"));
            // first what does no harm where an element's numbers stood a moment ago
            if (studio.place() instanceof Scene) {
                section("Look", List.of(Properties.BACKGROUND), List.of(Board.CANVAS));
                if (studio.desk() == Desk.ADAPT) {
                    section("In its window", Properties.ROOM, List.of(Board.CANVAS));
                }
            }
            if (studio.place() instanceof Scene) {
                var opening = new OpeningSection(studio, commands);
                add(opening, opening::refresh);
            }
            box.getChildren().add(Words.wrapped(
                    "Nothing is selected: these are the canvas and the timeline. A click on the canvas or in the outline selects."));
            if (studio.place() instanceof Motif m && m.states() != null) {
                var states = new StatesSection(studio, m.id());
                add(states, states::refresh);
            }
            if (studio.place() instanceof Motif m) {
                pictures(m.id());
            }
            var canvas = new CanvasSection(studio);
            add(canvas, canvas::refresh);
        }
        if (studio.book().is() && studio.desk() == Desk.DRAW) {
            var drawings = new DrawingsSection(studio, commands, registering);
            refreshed.add(drawings::refresh);
            ofDrawings = true;
            box.getChildren().add(drawings);
        }
        PropertyRow.refresh(rows, studio);
        refreshEasing();
    }

    private void refreshEasing() {
        if (easing.isMade()) {
            easing.get().refresh();
        }
    }

    /** What several elements have in common, changed for all of them at once. */
    private void several() {
        List<Element> all = studio.selection().stream().map(studio.board()::find).toList();
        List<String> ids = all.stream().map(Element::id).toList();
        List<Property<?>> common = Properties.common(all);
        box.getChildren().add(heading(all.size() + " elements", "selected"));
        if (studio.desk() == Desk.ADAPT) {
            ties(ids);
        }
        var together = new TogetherSection(studio, options);
        add(together, together::refresh);
        section("Place", PropertyGroups.PLACE.stream().filter(p -> common.contains(p) && PropertyGroups.shownAt(studio.desk(), p)).toList(), ids);
        section("Look", PropertyGroups.look(common), ids);
        section("Stroke", PropertyGroups.STROKE.stream().filter(common::contains).toList(), ids);
        section("Blending", PropertyGroups.BLENDING.stream().filter(common::contains).toList(), ids);
        Content.Block one = Blocks.of(all.getFirst());
        if (one != null && all.stream().allMatch(e -> Blocks.of(e) instanceof Content.Block b && b.kind() == one.kind())) {
            block(ids);
        }
        if (all.stream().allMatch(e -> e.content() instanceof Content.Instance)) {
            var clock = new ClockSection(studio, ids);
            add(clock, clock::refresh);
            pictures(all);
        }
        if (all.stream().allMatch(e -> e.content() instanceof Content.Text)) {
            text(ids);
        }
        if (studio.desk() == Desk.ANIMATE) {
            section("Move along path", PropertyGroups.ALONG, ids);
        } else {
            box.getChildren().add(new ArrangeSection(commands, options, true));
        }
    }

    private void element(Element e) {
        box.getChildren().add(named(e.name(), e.content().word()));
        if (studio.desk() == Desk.ADAPT) {
            ties(List.of(e.id()));
        }
        if (e.content() instanceof Content.Group g && g.scatter() != null) {
            var scatter = new ScatterSection(studio, e.id());
            add(scatter, scatter::refresh);
        }
        var all = Properties.of(e);
        // the size of a group stands with its bounds while drawing
        boolean bounds = e.content() instanceof Content.Parent && !(e.content() instanceof Content.Block) && studio.desk() == Desk.DRAW;
        section("Place", PropertyGroups.PLACE.stream().filter(p -> all.contains(p) && PropertyGroups.shownAt(studio.desk(), p)
                && !(bounds && p == Properties.SIZE)).toList(), List.of(e.id()));
        if (e.content() instanceof Content.Block) {
            block(List.of(e.id()));
        }
        if (e.content() instanceof Content.Instance) {
            var clock = new ClockSection(studio, List.of(e.id()));
            add(clock, clock::refresh);
            pictures(List.of(e));
        }
        if (all.contains(Properties.PARALLAX) && PropertyGroups.shownAt(studio.desk(), Properties.PARALLAX)) {
            var parallax = new ParallaxStrip(studio, e.id());
            add(parallax, parallax::refresh);
        }
        if (studio.desk() == Desk.ANIMATE) {
            effects(e);
        }
        if (studio.desk() == Desk.DRAW) {
            box.getChildren().add(new ArrangeSection(commands, options, false));
        }
        if (bounds) {
            var numbers = new BoundsSection(studio, commands, options, e);
            add(numbers, numbers::refresh);
        }
        if (e.content() instanceof Content.Polygon) {
            var polygon = new PolygonSection(studio, e);
            add(polygon, polygon::refresh);
        }
        if (e.content() instanceof Content.Text) {
            text(List.of(e.id()));
        }
        if (studio.desk() == Desk.ANIMATE) {
            section("Move along path", PropertyGroups.ALONG, List.of(e.id()));
            var path = new PathSection(studio, commands, e.id());
            refreshed.add(path::refresh);
            box.getChildren().addAll(path.bend(), easing.get(), path);
        }
        section("Look", PropertyGroups.look(all), List.of(e.id()));
        section("Stroke", PropertyGroups.STROKE.stream().filter(all::contains).toList(), List.of(e.id()));
        if (studio.desk() != Desk.ANIMATE) {
            effects(e);
        }
        strokeRows();
    }

    private void effects(Element e) {
        var effects = new EffectsSection(studio, commands, e.id(), needs);
        add(effects, effects::refresh);
        section("Blending", PropertyGroups.BLENDING.stream().filter(p -> p.appliesTo(e)).toList(), List.of(e.id()));
    }

    private void block(List<String> ids) {
        var block = new BlockSection(studio, commands, blockFiles, ids);
        add(block, block::refresh);
    }

    private void text(List<String> ids) {
        var text = new TextSection(studio, ids);
        refreshed.add(text::refresh);
        text.getChildren().addAll(rows(PropertyGroups.TYPE, ids));
        box.getChildren().add(text);
    }

    private String drawingName() {
        return studio.book().current() < 0 ? "No drawing here" : studio.book().book().title(studio.book().current());
    }

    private static Node heading(String words, String chip) {
        return heading(new LightLabel(words, "heading"), chip);
    }

    /** With a name that its maker gave, which is not translated. */
    private static Node named(String name, String chip) {
        var n = Translated.own(new LightLabel("", "heading"));
        n.setText(name);
        return heading(n, chip);
    }

    private static Node heading(LightLabel n, String chip) {
        n.setMinWidth(0);
        var h = new HBox(8, n, new LightLabel(chip, "chip", "chip-space"));
        h.setAlignment(Pos.CENTER_LEFT);
        return h;
    }

    /** How they follow their parent. */
    private void ties(List<String> ids) {
        var ties = new TieDiagram(studio, ids);
        refreshed.add(ties::refresh);
        box.getChildren().add(new VBox(6, Words.section("Tied to"), ties));
        section("Following", PropertyGroups.FOLLOWING.stream().filter(p -> ids.stream().allMatch(id -> p.appliesTo(studio.board().find(id))))
                .toList(), ids);
    }

    private void section(String name, List<Property<?>> properties, List<String> elements) {
        if (properties.isEmpty()) {
            return;
        }
        var section = new VBox(6, Words.section(name));
        section.getChildren().addAll(rows(properties, elements));
        box.getChildren().add(section);
    }

    private List<PropertyRow<?>> rows(List<Property<?>> properties, List<String> elements) {
        var out = new ArrayList<PropertyRow<?>>();
        properties.forEach(p -> out.add(new PropertyRow<>(studio, elements, p, needs)));
        rows.addAll(out);
        return out;
    }

    /** How the one motif that all of some instances show is published. */
    private void pictures(List<Element> instances) {
        List<String> shown = instances.stream().map(e -> ((Content.Instance) e.content()).motif()).distinct().toList();
        if (shown.size() == 1) {
            pictures(shown.getFirst());
        }
    }

    private void pictures(String motif) {
        var pictures = new PicturesSection(studio, jobs, motif);
        add(pictures, pictures::refresh);
    }
}
