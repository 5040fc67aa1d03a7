package tundra.app.window;

import java.io.File;
import java.util.Locale;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import tundra.app.adapt.BreaksList;
import tundra.app.adapt.DiffersTable;
import tundra.app.adapt.LayoutBar;
import tundra.app.adapt.LayoutSection;
import tundra.app.adapt.SideBySide;
import tundra.app.adapt.WidthRuler;
import tundra.app.builtin.BlockCommands;
import tundra.app.builtin.DrawCommands;
import tundra.app.builtin.EditCommands;
import tundra.app.builtin.EffectCommands;
import tundra.app.builtin.FileCommands;
import tundra.app.builtin.FlipCommands;
import tundra.app.builtin.KeyCommands;
import tundra.app.builtin.KeyboardCommands;
import tundra.app.builtin.LayoutCommands;
import tundra.app.builtin.MotifCommands;
import tundra.app.builtin.SceneCommands;
import tundra.app.builtin.ScriptCommands;
import tundra.app.builtin.SheetCommands;
import tundra.app.builtin.TimeCommands;
import tundra.app.builtin.ViewCommands;
import tundra.app.builtin.Workshop;
import tundra.app.canvas.ScrollRail;
import tundra.app.command.CommandIds;
import tundra.app.flip.FlipStrip;
import tundra.app.flip.StripCanvas;
import tundra.app.help.HelpPage;
import tundra.app.interact.ReactionsPanel;
import tundra.app.interact.ScriptsPanel;
import tundra.app.interact.TouchBar;
import tundra.app.language.Language;
import tundra.app.lesson.HintBar;
import tundra.app.outline.OutlinePanel;
import tundra.app.outline.ShelfPanel;
import tundra.app.publish.LogPanel;
import tundra.app.publish.PublishPanel;
import tundra.app.publish.PublishSide;
import tundra.app.publish.RunFilm;
import tundra.app.publish.TryView;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.timeline.EditStrip;
import tundra.app.timeline.TimelinePanel;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Lazy;
import tundra.app.widget.Look;
import tundra.app.widget.RestingField;
import tundra.app.widget.WholeDrags;
import tundra.app.widget.WholeWords;
import tundra.core.helper.Helper;
import tundra.core.helper.Helpers;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;

/** The window: what stays, and the desk in the middle. */
public final class MainWindow {
    final Workshop w;
    final Studio studio;
    /** Null until the window is opened. */
    Stage stage;
    final BorderPane root = new BorderPane();
    final StackPane layers = new StackPane();
    final Lazy<FindAnything> find;
    final Lazy<OutlinePanel> outline;
    final Lazy<Region> left;
    final Lazy<Region> shelf;
    final Lazy<TimelinePanel> timeline;
    final Lazy<FlipStrip> drawings;
    final Lazy<EditStrip> strip;
    TopBar topBar;
    final Lazy<ReactionsPanel> reactions;
    final Lazy<PublishPanel> publish;
    final Lazy<PublishSide> publishSide;
    final Lazy<LogPanel> log;
    final Lazy<ScriptsPanel> scripts;
    final Lazy<TouchBar> touchBar;
    final Lazy<TryView> tryView;
    final ScrollRail rail;
    final Lazy<ToolCard> tools;
    final Lazy<WayBar> way;
    final Lazy<ToolOptionsBar> toolOptions;
    final Lazy<LayoutBar> layouts;
    final Lazy<Region> differs;
    final Lazy<WidthRuler> widths;
    final Lazy<SideBySide> beside;
    final Lazy<LayoutSection> layout;
    final Lazy<BreaksList> breaks;
    final Overlays overlays;
    final WindowKeys keys = new WindowKeys(this);
    final DeskArrangement desks = new DeskArrangement(this);
    private final Naming naming = new Naming(this);
    final DeskRail deskRail;
    HintBar hints;
    final Trying tries = new Trying(this);

    /** Makes all that needs no stage yet; may be called on any thread. */
    public MainWindow(Workshop w) {
        this.w = w;
        this.studio = w.studio;
        find = new Lazy<>(() -> new FindAnything(w.commands, this::foundSomething));
        FileCommands.add(w, () -> w.files.whenSafe(this::close));
        overlays = new Overlays(w, layers);
        WindowCommands.add(w, this, overlays);
        EditCommands.add(w);
        DrawCommands.add(w);
        TimeCommands.add(w);
        FlipCommands.add(w);
        SheetCommands.add(w, overlays::over);
        MotifCommands.add(w, naming::nameOnCanvas);
        BlockCommands.add(w);
        SceneCommands.add(w, s -> {
            if (desks.isAlone()) {
                desks.toggleAlone();
            }
            topBar.rename(s);
        });
        LayoutCommands.add(w, naming::renameLayout, this::lookForBreaks);
        EffectCommands.add(w);
        KeyboardCommands.add(w);
        w.commands.add("ways", "Ways through the piece", "Shortcut+Shift+W", () -> true, this::ways);
        w.commands.add(CommandIds.CHECKS, () -> overlays.checking() ? "Hide the checks" : "Show the checks", "Shortcut+J", () -> true,
                overlays::checks);
        KeyCommands.add(w, this::timeline);
        for (Helper h : Helpers.ALL) {
            w.commands.add(CommandIds.HELPER + h.name(), "Move: " + h.name() + "…", null, () -> !studio.selection().isEmpty(),
                    () -> overlays.help(h));
        }
        for (OutputKind k : Outputs.ALL) {
            w.commands.add("make-" + k.key(), "Make " + (k == Outputs.FRAMES ? "still frames" : (k.label().matches("[AEIOU].*") ? "an " : "a ")
                    + k.label().substring(0, 1).toLowerCase(Locale.ROOT) + k.label().substring(1)), null, () -> true, () -> make(k));
        }
        w.commands.add("make-all", "Make all outputs", "Shortcut+Shift+E", () -> !studio.project().outputs().isEmpty(), this::makeAll);
        ScriptCommands.add(w, this::scripts);
        ViewCommands.add(w, this::find, tries::tryIt, naming::rename, this::fitTime, overlays::trace);
        outline = new Lazy<>(() -> new OutlinePanel(studio, w.commands));
        left = new Lazy<>(() -> {
            var shelf = new ShelfPanel(studio, w.commands, w.notices, false, w.files.importing::keep);
            shelf.setPrefHeight(210);
            shelf.setMinHeight(120);
            VBox.setVgrow(outline.get(), Priority.ALWAYS);
            return new VBox(outline.get(), shelf);
        });
        shelf = new Lazy<>(() -> new ShelfPanel(studio, w.commands, w.notices, true, w.files.importing::keep));
        timeline = new Lazy<>(() -> {
            var panel = new TimelinePanel(studio, w.playback, w.commands);
            panel.lanes().onMenu(e -> TimelineMenu.show(w, panel.lanes(), e));
            return panel;
        });
        drawings = new Lazy<>(() -> {
            var strip = new FlipStrip(studio, w.commands);
            strip.strip().onDrop((files, at) -> w.files.importing.bringOntoStrip(files.stream().map(File::toPath).toList(), at));
            return strip;
        });
        strip = new Lazy<>(() -> new EditStrip(studio, w.settings, w.playback));
        reactions = new Lazy<>(() -> new ReactionsPanel(studio, w.commands, w.tryIt));
        publish = new Lazy<>(() -> new PublishPanel(studio, w.settings, w.dialogs, w.jobs, w.notices, address -> ViewCommands.open(w, address)));
        publishSide = new Lazy<>(() -> {
            var side = new PublishSide(studio, w.settings, w.dialogs, w.jobs, w.notices, w.tryIt, address -> ViewCommands.open(w, address));
            w.tryIt.onClose(side::close);
            return side;
        });
        log = new Lazy<>(() -> new LogPanel(w.tryIt, tries::goThere));
        touchBar = new Lazy<>(() -> new TouchBar(studio, w.commands, w.touches));
        scripts = new Lazy<>(() -> new ScriptsPanel(studio));
        rail = new ScrollRail(studio);
        tryView = new Lazy<>(() -> new TryView(studio, w.tryIt, w.jobs, () -> ViewCommands.openInBrowser(w), tries::leaveTry,
                new RunFilm(studio, w.dialogs, w.jobs, w.notices, address -> ViewCommands.open(w, address))::offer));
        tools = new Lazy<>(() -> new ToolCard(w));
        way = new Lazy<>(() -> new WayBar(studio));
        toolOptions = new Lazy<>(() -> new ToolOptionsBar(w));
        layouts = new Lazy<>(() -> new LayoutBar(studio));
        widths = new Lazy<>(() -> new WidthRuler(studio));
        beside = new Lazy<>(() -> new SideBySide(studio));
        layout = new Lazy<>(() -> new LayoutSection(studio, w.commands));
        breaks = new Lazy<>(() -> new BreaksList(studio, w.commands, w.jobs));
        differs = new Lazy<>(() -> {
            var table = new DiffersTable(studio, w.commands);
            table.setPrefHeight(250);
            table.setMinHeight(120);
            return table;
        });
        hints = new HintBar(studio, w.commands, w.settings);
        topBar = new TopBar(w);
        root.setTop(topBar);
        deskRail = new DeskRail(w);
        root.setLeft(deskRail);
        layers.getChildren().addAll(root, w.notices);
        StackPane.setMargin(w.notices, new Insets(0, 0, 18, 0));
        w.notices.setPickOnBounds(false);
        layers.getStyleClass().addAll("root-colors", "window");
        if (Language.translates()) {
            layers.getStyleClass().add("other-language");
        }
        studio.listen(this::changed);
        w.canvas.onView(this::showZoom);
        w.canvas.setBarAbove(WayBar.HEIGHT);
        w.canvas.onMenu(e -> CanvasMenu.show(w, e));
        WholeDrags.in(layers);
        WholeWords.in(layers);
        layers.addEventHandler(RestingField.DONE, e -> giveKeyboardBack());
        // after a click on a button the keyboard belongs to the canvas again
        layers.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> Platform.runLater(() -> {
            if (layers.getScene() != null && layers.getScene().getFocusOwner() instanceof Node n
                    && WindowKeys.button(n) && !(n instanceof MenuButton)) {
                w.canvas.requestFocus();
            }
        }));
        desks.arrange();
    }

    private void ways() {
        overlays.ways(id -> Platform.runLater(() -> reactions.get().find(id)));
    }

    /** Takes its place in a stage that is not shown yet, at a size in px. */
    public void open(Stage stage, double width, double height) {
        this.stage = stage;
        stage.setOnCloseRequest(e -> {
            e.consume();
            w.files.whenSafe(this::close);
        });
        stage.setOnShown(e -> desks.furnishing.begin(layers.getScene()));
        var scene = Look.scene(layers, width, height);
        keys.listenToKeys(scene);
        stage.setScene(scene);
        title();
    }

    /** After something was typed in a field. */
    private void giveKeyboardBack() {
        if (!overlays.asking() && w.canvas.getScene() != null) {
            w.canvas.requestFocus();
        } else {
            layers.requestFocus();
        }
    }

    private void close() {
        stage.close();
    }

    public Workshop workshop() {
        return w;
    }

    /** The strip of drawings. */
    public StripCanvas drawings() {
        return drawings.get().strip();
    }

    public TimelinePanel timeline() {
        return timeline.get();
    }

    private ScriptsPanel scripts() {
        return scripts.get();
    }

    /** Offers the pieces that an earlier run left behind. */
    public void offerWhatWasLeft() {
        overlays.offerWhatWasLeft();
    }

    /** What an empty start shows. Where the window is not shown yet, all that stands behind it waits until it is seen or left. */
    public void offerStart() {
        if (stage == null) {
            layers.getChildren().remove(root);
            desks.furnishing.behind(() -> layers.getChildren().addFirst(root));
        }
        overlays.start(tries::tryIt, desks.furnishing::finish);
    }

    boolean isTrying() {
        return tries.trying;
    }

    /** Whether all that is to be seen of the window is there. */
    public boolean complete() {
        return desks.furnishing.done() || overlays.asking();
    }

    HintBar hints() {
        return hints;
    }

    /** The page about where the keyboard is, else about the desk. */
    HelpPage helpHere() {
        HelpPage page = layers.getScene() == null ? null : HelpPage.of(layers.getScene().getFocusOwner());
        return page != null && !page.key().equals("canvas") ? page : HelpPage.byKey(tries.trying ? "try" : switch (studio.desk()) {
            case DRAW -> "canvas";
            case ANIMATE -> "timeline";
            case INTERACT -> "reactions";
            case ADAPT -> "layouts";
            case PUBLISH -> "publish";
        });
    }

    public TryView tryView() {
        return tryView.get();
    }

    private void changed(Set<Aspect> what) {
        if (what.contains(Aspect.DESK)) {
            tries.trying = false;
            w.tools.take(ToolKind.SELECT);
            desks.arrange();
        }
        if (what.contains(Aspect.THEME)) {
            Look.theme(studio.dark());
        }
        desks.showStrip();
        desks.showShelf();
        title();
    }

    private void showZoom() {
        if (toolOptions.isMade()) {
            toolOptions.get().zoomed();
        }
    }

    /** A change may be told of before the window has its stage, since it is made beside the interface thread. */
    void title() {
        if (stage == null) {
            return;
        }
        stage.setTitle((studio.unsaved() ? "• " : "") + studio.project().name() + " — Tundra");
    }

    private void make(OutputKind kind) {
        studio.setDesk(Desk.PUBLISH);
        publish.get().make(kind);
    }

    private void makeAll() {
        studio.setDesk(Desk.PUBLISH);
        publish.get().makeAll();
    }

    void find() {
        if (!layers.getChildren().contains(find.get())) {
            layers.getChildren().add(find.get());
        }
        find.get().show();
    }

    private void foundSomething() {
        layers.getChildren().remove(find.get());
        w.canvas.requestFocus();
    }

    private void lookForBreaks() {
        breaks.get().look();
    }

    private void fitTime() {
        timeline.get().lanes().fit();
    }

}
