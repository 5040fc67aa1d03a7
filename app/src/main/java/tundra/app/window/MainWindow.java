package tundra.app.window;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
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
import tundra.app.canvas.ScrollRail;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
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
import tundra.app.flip.FlipStrip;
import tundra.app.flip.StripCanvas;
import tundra.app.interact.ReactionsPanel;
import tundra.app.interact.ScriptsPanel;
import tundra.app.interact.TouchBar;
import tundra.app.language.Language;
import tundra.app.outline.OutlinePanel;
import tundra.app.outline.ShelfPanel;
import tundra.app.publish.LogPanel;
import tundra.app.publish.PublishPanel;
import tundra.app.help.HelpPage;
import tundra.app.lesson.HintBar;
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
import tundra.app.widget.NameField;
import tundra.app.widget.LightButton;
import tundra.app.widget.RestingField;
import tundra.app.widget.WholeDrags;
import tundra.app.widget.WholeWords;
import tundra.core.edit.Names;
import tundra.core.fit.Layouts;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.helper.Helper;
import tundra.core.helper.Helpers;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;

/** The window: what stays, and the desk in the middle. */
public final class MainWindow {
    /** Held down they show the drawing before and the next one. */
    private static final KeyCode LOOK_BACK = KeyCode.Q;
    private static final KeyCode LOOK_AHEAD = KeyCode.W;
    /** Of a name that is typed on the canvas, in px. */
    private static final double NAME_WIDTH = 170, NAME_HEIGHT = 28;
    /** The width of the shelf beside the canvas, and the largest of any panel, in px. */
    private static final double SHELF = 96, LARGEST = 560;
    private final Workshop w;
    private final Studio studio;
    /** Null until the window is opened. */
    private Stage stage;
    private final BorderPane root = new BorderPane();
    private final StackPane layers = new StackPane();
    private final Lazy<FindAnything> find;
    private final Lazy<OutlinePanel> outline;
    private final Lazy<Region> left;
    private final Lazy<Region> shelf;
    private final Lazy<TimelinePanel> timeline;
    private final Lazy<FlipStrip> drawings;
    private final Lazy<EditStrip> strip;
    private TopBar topBar;
    private final Lazy<ReactionsPanel> reactions;
    private final Lazy<PublishPanel> publish;
    private final Lazy<PublishSide> publishSide;
    private final Lazy<LogPanel> log;
    private final Lazy<ScriptsPanel> scripts;
    private final Lazy<TouchBar> touchBar;
    private final Lazy<TryView> tryView;
    private final ScrollRail rail;
    private final Lazy<ToolCard> tools;
    private final Lazy<WayBar> way;
    private final Lazy<ToolOptionsBar> toolOptions;
    private final Lazy<LayoutBar> layouts;
    private final Lazy<Region> differs;
    private final Lazy<WidthRuler> widths;
    private final Lazy<SideBySide> beside;
    private final Lazy<LayoutSection> layout;
    private final Lazy<BreaksList> breaks;
    private final VBox adapting = new VBox();
    private final DeferredPanels furnishing = new DeferredPanels();
    private boolean trying;
    private final Overlays overlays;
    private BorderPane drawDesk;
    private final DeskRail deskRail;
    /** Whether only the canvas is shown. */
    private boolean alone;
    private HintBar hints;
    private BorderPane animateUpper;

    private void ways() {
        overlays.ways(id -> Platform.runLater(() -> reactions.get().find(id)));
    }

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
        MotifCommands.add(w, this::nameOnCanvas);
        BlockCommands.add(w);
        SceneCommands.add(w, s -> {
            if (alone) {
                alone();
            }
            topBar.rename(s);
        });
        LayoutCommands.add(w, this::renameLayout, this::lookForBreaks);
        EffectCommands.add(w);
        KeyboardCommands.add(w);
        w.commands.add("ways", "Ways through the piece", "Shortcut+Shift+W", () -> true, this::ways);
        w.commands.add(CommandIds.CHECKS, () -> overlays.checking() ? "Hide the checks" : "Show the checks", "Shortcut+J", () -> true, overlays::checks);
        KeyCommands.add(w, this::timeline);
        for (Helper h : Helpers.ALL) {
            w.commands.add(CommandIds.HELPER + h.name(), "Move: " + h.name() + "…", null, () -> !studio.selection().isEmpty(), () -> overlays.help(h));
        }
        for (OutputKind k : Outputs.ALL) {
            w.commands.add("make-" + k.key(), "Make " + (k == Outputs.FRAMES ? "still frames" : (k.label().matches("[AEIOU].*") ? "an " : "a ") + k.label().substring(0, 1).toLowerCase(Locale.ROOT) + k.label().substring(1)), null, () -> true, () -> make(k));
        }
        w.commands.add("make-all", "Make all outputs", "Shortcut+Shift+E", () -> !studio.project().outputs().isEmpty(), this::makeAll);
        ScriptCommands.add(w, this::scripts);
        ViewCommands.add(w, this::find, this::tryIt, this::rename, this::fitTime, overlays::trace);
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
            strip.strip().onDrop((files, at) -> w.files.importing.bringOntoStrip(files.stream().map(java.io.File::toPath).toList(), at));
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
        log = new Lazy<>(() -> new LogPanel(w.tryIt, this::goThere));
        touchBar = new Lazy<>(() -> new TouchBar(studio, w.commands, w.touches));
        scripts = new Lazy<>(() -> new ScriptsPanel(studio));
        rail = new ScrollRail(studio);
        tryView = new Lazy<>(() -> new TryView(studio, w.tryIt, w.jobs, () -> ViewCommands.openInBrowser(w), this::leaveTry,
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
        layers.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> javafx.application.Platform.runLater(() -> {
            if (layers.getScene() != null && layers.getScene().getFocusOwner() instanceof Node n
                    && button(n) && !(n instanceof javafx.scene.control.MenuButton)) {
                w.canvas.requestFocus();
            }
        }));
        arrange();
    }

    /** Takes its place in a stage that is not shown yet, at a size in px. */
    public void open(Stage stage, double width, double height) {
        this.stage = stage;
        stage.setOnCloseRequest(e -> {
            e.consume();
            w.files.whenSafe(this::close);
        });
        stage.setOnShown(e -> furnishing.begin(layers.getScene()));
        var scene = Look.scene(layers, width, height);
        listenToKeys(scene);
        stage.setScene(scene);
        title();
    }

    /** The scene hears of keys also while nothing in it has the keyboard, as between two desks. */
    private void listenToKeys(javafx.scene.Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, e -> {
            if (e.getCode() == LOOK_BACK || e.getCode() == LOOK_AHEAD) {
                studio.book().peek(0);
            }
        });
        scene.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (!typed(scene.getFocusOwner()) && !page(scene.getFocusOwner())) {
                w.typing.typed(e);
                w.canvas.redrawOverlay();
            }
        });
    }

    /** Whether keys are the page's that is tried. */
    private static boolean page(Node focus) {
        return focus instanceof tundra.app.page.PageView;
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

    /** What an empty start shows. */
    public void offerStart() {
        overlays.start(this::tryIt);
    }

    /** Whether only the canvas is shown. */
    boolean isAlone() {
        return alone;
    }

    boolean isTrying() {
        return trying;
    }

    HintBar hints() {
        return hints;
    }

    /** The page about where the keyboard is, else about the desk. */
    HelpPage helpHere() {
        HelpPage page = layers.getScene() == null ? null : HelpPage.of(layers.getScene().getFocusOwner());
        return page != null && !page.key().equals("canvas") ? page : HelpPage.byKey(trying ? "try" : switch (studio.desk()) {
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
            trying = false;
            w.tools.take(ToolKind.SELECT);
            arrange();
        }
        if (what.contains(Aspect.THEME)) {
            Look.theme(studio.dark());
        }
        showStrip();
        showShelf();
        title();
    }

    private void showZoom() {
        if (toolOptions.isMade()) {
            toolOptions.get().zoomed();
        }
    }

    /** A change may be told of before the window has its stage, since it is made beside the interface thread. */
    private void title() {
        if (stage == null) {
            return;
        }
        stage.setTitle((studio.unsaved() ? "• " : "") + studio.project().name() + " — Tundra");
    }

    // --- the desks ---

    private void arrange() {
        // while a desk is made keys go to the window itself: JavaFX would hand them to the first thing that takes any, the menu
        if (layers.getScene() != null) {
            layers.requestFocus();
        }
        root.setCenter(null);
        root.setCenter(switch (studio.desk()) {
            case DRAW -> draw();
            case ANIMATE -> animate();
            case INTERACT -> interact();
            case ADAPT -> adapt();
            case PUBLISH -> publish();
        });
        if (!trying && studio.desk() != Desk.PUBLISH) {
            if (tryView.isMade()) {
                tryView.get().stop();
            }
            focusCanvas();
        }
    }

    /** Gives the keyboard to the canvas as soon as it is in the window: a split pane takes its content in only at its next layout. */
    private void focusCanvas() {
        if (w.canvas.getScene() != null) {
            javafx.application.Platform.runLater(w.canvas::requestFocus);
            return;
        }
        w.canvas.sceneProperty().addListener(new ChangeListener<>() {
            @Override
            public void changed(ObservableValue<? extends javafx.scene.Scene> of, javafx.scene.Scene before, javafx.scene.Scene now) {
                of.removeListener(this);
                javafx.application.Platform.runLater(w.canvas::requestFocus);
            }
        });
    }

    /** The canvas with the tools at its left edge and what the tool in hand can be told along its top. */
    private BorderPane canvas() {
        ToolCard card = tools.get();
        var pane = new StackPane(w.canvas, card, rail, hints);
        StackPane.setAlignment(hints, Pos.BOTTOM_CENTER);
        StackPane.setMargin(hints, new Insets(0, 0, 22, 0));
        StackPane.setAlignment(rail, Pos.CENTER_RIGHT);
        pane.setMinSize(100, 100);
        furnishing.keepAsPicture(card);
        StackPane.setAlignment(card, Pos.TOP_LEFT);
        StackPane.setMargin(card, new Insets(ToolCard.MARGIN));
        pane.heightProperty().addListener((o, was, is) -> {
            card.fitTo(is.doubleValue());
            w.canvas.keepFree(card.taken());
        });
        w.canvas.keepFree(card.taken());
        var with = new BorderPane(pane);
        with.setTop(new VBox(layouts.get(), way.get(), toolOptions.get()));
        return with;
    }

    private Node draw() {
        var upper = new BorderPane(canvas());
        upper.setLeft(side(left, "left", 224));
        var pane = new BorderPane(upper);
        pane.setRight(side(w.details, "right", 284));
        drawDesk = pane;
        showStrip();
        return pane;
    }

    /** The strip of drawings stays when the flipbook is left, with the way back into it. */
    private void showStrip() {
        if (drawDesk != null && studio.desk() == Desk.DRAW) {
            boolean wanted = studio.book().is() || studio.book().last() != null;
            if (wanted != (drawDesk.getBottom() != null)) {
                drawDesk.setBottom(wanted ? drawings.get() : null);
            }
        }
    }

    /**
     * The place of a panel beside the canvas, with an edge that changes its width; each desk remembers it. The first picture of the
     * window doesn't wait for what goes in there.
     */
    private Pane side(Lazy<? extends Region> panel, String name, double width) {
        var place = new StackPane();
        String key = studio.desk().name().toLowerCase(java.util.Locale.ROOT) + "." + name;
        double least = Math.min(width, 200);
        width(place, Math.max(least, Math.min(LARGEST, w.settings.size(key, width))));
        if (!furnishing.done()) {
            place.getStyleClass().add("root-colors");
        }
        var edge = new SideEdge(name.equals("left"), place::getWidth, wanted -> width(place, Math.max(least, Math.min(LARGEST, wanted))),
                () -> w.settings.setSize(key, place.getPrefWidth()));
        edge.setId("edge-" + name);
        StackPane.setAlignment(edge, name.equals("left") ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
        furnishing.add(() -> place.getChildren().addAll(panel.get(), edge));
        boolean folded = folded(name);
        place.setVisible(!folded);
        place.setManaged(!folded);
        return place;
    }

    /** Whether the panels of a side are folded away on this desk. */
    boolean folded(String side) {
        return alone || w.settings.size(studio.desk().name().toLowerCase(java.util.Locale.ROOT) + ".folded." + side, 0) > 0;
    }

    /** Folds the panels of a side away, or out again; each desk remembers it. */
    void fold(String side) {
        w.settings.setSize(studio.desk().name().toLowerCase(java.util.Locale.ROOT) + ".folded." + side, folded(side) ? 0 : 1);
        arrange();
    }

    /** The canvas over the whole screen, and nothing else; or all of the window again. */
    void alone() {
        alone = !alone;
        root.setTop(alone ? null : topBar);
        root.setLeft(alone ? null : deskRail);
        if (stage != null) {
            stage.setFullScreenExitKeyCombination(javafx.scene.input.KeyCombination.NO_MATCH);
            stage.setFullScreenExitHint("");
            stage.setFullScreen(alone);
        }
        arrange();
    }

    /** Whether all of the window is there. */
    public boolean furnished() {
        return furnishing.done();
    }

    private static void width(Region r, double width) {
        r.setMinWidth(width);
        r.setPrefWidth(width);
        r.setMaxWidth(width);
    }

    private Node animate() {
        BorderPane middle = canvas();
        middle.setBottom(strip.get());
        var upper = new BorderPane(middle);
        upper.setRight(side(w.details, "right", 290));
        animateUpper = upper;
        showShelf();
        var split = new javafx.scene.control.SplitPane(upper, timeline.get());
        split.setOrientation(javafx.geometry.Orientation.VERTICAL);
        split.setDividerPositions(w.settings.size("animate.divider", 0.6));
        split.getDividers().getFirst().positionProperty().addListener((o, was, is) -> {
            // only where it was put by hand: the window's own layout moves it too
            if (split.isHover()) {
                w.settings.setSize("animate.divider", is.doubleValue());
            }
        });
        return split;
    }

    /** The shelf stands beside the canvas once there is something on it. */
    private void showShelf() {
        if (animateUpper != null && studio.desk() == Desk.ANIMATE) {
            boolean wanted = !studio.project().assets().isEmpty() || !studio.project().motifs().isEmpty() || !studio.project().swatches().isEmpty();
            if (wanted != (animateUpper.getLeft() != null)) {
                animateUpper.setLeft(wanted ? side(shelf, "left", SHELF) : null);
            }
        }
    }

    private Node interact() {
        var left = new BorderPane(trying ? tryView.get() : canvas());
        log.get().setPrefHeight(190);
        log.get().setMaxWidth(Double.MAX_VALUE);
        var bottom = new HBox(scripts.get(), log.get());
        HBox.setHgrow(scripts.get(), Priority.ALWAYS);
        scripts.get().setMinWidth(0);
        scripts.get().setPrefHeight(230);
        log.get().setPrefWidth(270);
        log.get().setMinWidth(0);
        left.setBottom(new VBox(touchBar.get(), bottom));
        var pane = new BorderPane(left);
        reactions.get().setPrefWidth(480);
        reactions.get().setMinWidth(360);
        pane.setRight(reactions.get());
        return pane;
    }

    private Node adapt() {
        BorderPane middle = canvas();
        var upper = new BorderPane(middle);
        middle.setRight(beside.get());
        upper.setTop(widths.get());
        upper.setBottom(differs.get());
        var pane = new BorderPane(upper);
        pane.setRight(side(new Lazy<>(() -> {
            // the details are those of every desk
            VBox.setVgrow(w.details.get(), Priority.ALWAYS);
            adapting.getChildren().setAll(layout.get(), breaks.get(), w.details.get());
            return adapting;
        }), "right", 284));
        return pane;
    }

    private void make(OutputKind kind) {
        studio.setDesk(Desk.PUBLISH);
        publish.get().make(kind);
    }

    private void makeAll() {
        studio.setDesk(Desk.PUBLISH);
        publish.get().makeAll();
    }

    private Node publish() {
        width(publish.get(), 262);
        log.get().setPrefWidth(260);
        publishSide.get().show(log.get());
        width(publishSide.get(), 276);
        var pane = new BorderPane(tryView.get());
        pane.setLeft(publish.get());
        pane.setRight(publishSide.get());
        tryView.get().showLeave(false);
        tryView.get().run();
        return pane;
    }

    /** Runs the page where its reactions are seen: beside the sentences, or on the Publish desk where it is anyway. */
    private void tryIt() {
        w.playback.stop();
        if (studio.desk() == Desk.PUBLISH) {
            tryView.get().run();
            return;
        }
        if (studio.desk() != Desk.INTERACT) {
            studio.setDesk(Desk.INTERACT);
            javafx.application.Platform.runLater(() -> javafx.application.Platform.runLater(this::startTrying));
        } else {
            startTrying();
        }
    }

    private void startTrying() {
        trying = true;
        tryView.get().showLeave(true);
        arrange();
        tryView.get().run();
    }

    private void leaveTry() {
        if (studio.desk() == Desk.PUBLISH) {
            studio.setDesk(Desk.DRAW);
        } else {
            trying = false;
            arrange();
        }
    }

    private void find() {
        if (!layers.getChildren().contains(find.get())) {
            layers.getChildren().add(find.get());
        }
        find.get().show();
    }

    private void foundSomething() {
        layers.getChildren().remove(find.get());
        w.canvas.requestFocus();
    }

    /** Has a name typed where one is: in the outline, on the ruler for a marker, else where the element stands on the canvas. */
    private void rename() {
        if (studio.marker() != null) {
            w.commands.run(CommandIds.MARKER_RENAME);
            return;
        }
        Element e = studio.selected();
        if (studio.desk() == Desk.DRAW) {
            outline.get().rename(e.id());
            return;
        }
        nameOnCanvas(e, name -> studio.edit("Rename " + e.name(), b -> Names.rename(b, e.id(), name)));
    }

    private void lookForBreaks() {
        breaks.get().look();
    }

    /** Has the name of the layout that is worked on typed above its canvas. */
    private void renameLayout() {
        Layout l = studio.layout();
        Point2D at = layers.sceneToLocal(w.canvas.localToScene(Math.max(0, w.canvas.getWidth() / 2 - NAME_WIDTH / 2), 8));
        NameField.open(layers, at.getX(), at.getY(), NAME_WIDTH, l.name(), name -> studio.editBase("Rename layout " + l.name(), null, b -> Layouts.rename(b, l.id(), name)));
    }

    /** Has a name typed where an element stands on the canvas. */
    private void nameOnCanvas(Element e, Consumer<String> take) {
        Frame.Placed there = studio.placed(e.id());
        Point corner = w.canvas.viewport().toView((there == null ? studio.presence().unseenAt(e) : there).bounds().topLeft());
        Point2D at = layers.sceneToLocal(w.canvas.localToScene(Math.clamp(corner.x(), 0, Math.max(0, w.canvas.getWidth() - NAME_WIDTH)),
                Math.clamp(corner.y() - NAME_HEIGHT, 0, Math.max(0, w.canvas.getHeight() - NAME_HEIGHT))));
        NameField.open(layers, at.getX(), at.getY(), NAME_WIDTH, e.name(), take);
    }

    private void fitTime() {
        timeline.get().lanes().fit();
    }

    // --- the keyboard ---

    private void key(KeyEvent e) {
        if (find.isMade() && find.get().isVisible()) {
            return;
        }
        Node focus = layers.getScene().getFocusOwner();
        boolean typing = typed(focus);
        if (overlays.asking()) {
            if (e.getCode() == KeyCode.ESCAPE && !typing) {
                overlays.leave();
                e.consume();
            }
            return;
        }
        if (page(focus) && !e.isShortcutDown() && !e.isAltDown()) {
            return;
        }
        if (!typing && e.getCode() != KeyCode.ESCAPE && w.typing.pressed(e)) {
            w.canvas.redrawOverlay();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ESCAPE && !typing) {
            escape();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ENTER && !typing && overlays.helping() && !(focus instanceof ButtonBase)) {
            overlays.take();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ENTER && !typing && w.tools.active().finish()) {
            w.canvas.redrawOverlay();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ENTER && !typing && focus == w.canvas && drawHere()) {
            e.consume();
            return;
        }
        if (typing && (!e.isShortcutDown() && !e.isAltDown() || isTextKey(e))) {
            return;
        }
        if (e.getCode() == KeyCode.SPACE && button(focus)) {
            return;
        }
        // letters that are pressed on a sentence or its words are not meant for a tool
        if (e.getCode().isLetterKey() && !e.isShortcutDown() && !e.isAltDown() && among(focus, reactions)) {
            return;
        }
        // a list is gone through by the arrows
        if (focus instanceof javafx.scene.control.ListView<?> && e.getCode().isNavigationKey() && !e.isShortcutDown() && !e.isAltDown()) {
            return;
        }
        if (look(e)) {
            e.consume();
            return;
        }
        Command c = w.commands.of(e);
        if (c != null) {
            c.run().run();
            e.consume();
        }
    }

    /** With the tool in hand, in the middle of what is seen. */
    private boolean drawHere() {
        Point from = w.canvas.viewport().toCanvas(Point.ZERO), to = w.canvas.viewport().toCanvas(new Point(w.canvas.getWidth(), w.canvas.getHeight()));
        Point size = studio.board().size(), middle = new Point(Math.max(0, Math.min(size.x(), (from.x() + to.x()) / 2)), Math.max(0, Math.min(size.y(), (from.y() + to.y()) / 2)));
        return studio.desk() != Desk.PUBLISH && w.tools.active().drawAt(middle, Math.max(4, Math.min(size.x(), size.y()) / 6));
    }

    private static boolean among(Node n, Lazy<? extends Node> panel) {
        for (Node x = n; x != null && panel.isMade(); x = x.getParent()) {
            if (x == panel.get()) {
                return true;
            }
        }
        return false;
    }

    private static boolean button(Node n) {
        return n instanceof ButtonBase || n instanceof LightButton;
    }

    /** The drawing before or after the current one, for as long as the key is held. */
    private boolean look(KeyEvent e) {
        boolean one = (e.getCode() == LOOK_BACK || e.getCode() == LOOK_AHEAD) && !e.isShortcutDown() && !e.isAltDown() && !e.isShiftDown();
        if (!one || studio.desk() != Desk.DRAW || !studio.book().is()) {
            return false;
        }
        studio.book().peek(e.getCode() == LOOK_BACK ? -1 : 1);
        return true;
    }

    /** What a text field does itself. */
    private static boolean isTextKey(KeyEvent e) {
        return e.isShortcutDown() && List.of(KeyCode.Z, KeyCode.C, KeyCode.X, KeyCode.V, KeyCode.A, KeyCode.LEFT, KeyCode.RIGHT, KeyCode.UP,
                KeyCode.DOWN, KeyCode.BACK_SPACE, KeyCode.DELETE).contains(e.getCode());
    }

    /** Gives up what is under way; else drops the tool; else the selection. */
    private void escape() {
        if (overlays.leave()) {
            return;
        }
        if (alone) {
            alone();
            return;
        }
        boolean gaveUp = (outline.isMade() && outline.get().giveUp()) | w.canvas.cancel() | w.tools.active().cancel() | (drawings.isMade() && drawings.get().strip().cancel()) | (timeline.isMade() && timeline.get().lanes().cancel());
        if (!gaveUp && w.tools.kind() != ToolKind.SELECT) {
            w.tools.take(ToolKind.SELECT);
        } else if (!gaveUp && (studio.desk() == Desk.DRAW && studio.groups().leave() || studio.selection().isEmpty() && studio.navigation().goUp())) {
            w.canvas.redrawOverlay();
        } else if (!gaveUp && trying) {
            leaveTry();
        } else if (!gaveUp && !studio.keys().isEmpty()) {
            studio.selectKeys(List.of());
        } else if (!gaveUp) {
            studio.select(List.of());
        }
        w.canvas.redrawOverlay();
    }

    /** Leaves the page that is tried for the canvas at the moment of a line of its log. */
    private void goThere(tundra.web.PreviewServer.LogLine l) {
        if (studio.project().place(l.scene()) != null) {
            if (trying) {
                leaveTry();
            }
            studio.navigation().showPlace(l.scene());
            studio.showTimeline(l.timeline());
            studio.seek(Math.round(l.at() * 1000));
        }
    }

    /** Whether the keyboard's letters go into a text. */
    private static boolean typed(Node focus) {
        return focus instanceof TextInputControl || focus instanceof org.fxmisc.richtext.GenericStyledArea<?, ?, ?>;
    }
}
