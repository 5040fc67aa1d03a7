package tundra.app.ways;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Palette;
import tundra.app.widget.Words;
import tundra.core.edit.Reactions;
import tundra.core.edit.Ways;
import tundra.core.edit.WaysLayout;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;

/**
 * The ways through the piece: all its scenes, alive, and the sentences that lead from one to another as arrows. A click on an arrow goes to its
 * sentence, a drag from scene to scene begins one.
 */
public final class WaysPanel extends StackPane {
    private static final double NEAR = 9, HEAD = 9;
    /** Elements that are offered for a new sentence. */
    private static final int OFFERED = 14;
    private final Studio studio;
    private final Consumer<String> reveal;
    private final Runnable leave;
    private final Pane cards = new Pane();
    private final Canvas arrows = new Canvas();
    private final LightLabel says = new LightLabel("", "quiet", "small");
    private final Map<String, SceneCard> shown = new HashMap<>();
    private Project of;
    private Ways ways;
    private WaysLayout layout;
    private WaysLayout.Arrow over;
    /** The scene that a new way is drawn from, and where its end is; null for none. */
    private String from;
    private Point end;
    private final Consumer<Set<Aspect>> changed = what -> refresh();
    private final AnimationTimer living = new AnimationTimer() {
        private long last;

        @Override
        public void handle(long now) {
            if (now - last > 66_000_000) {
                last = now;
                shown.values().forEach(SceneCard::live);
            }
        }
    };

    /**
     * @param reveal shows a sentence by its id once its place is open
     * @param leave takes this off again
     */
    public WaysPanel(Studio studio, Consumer<String> reveal, Runnable leave) {
        this.studio = studio;
        this.reveal = reveal;
        this.leave = leave;
        setId("ways");
        getStyleClass().add("ways");
        var title = Words.section("Ways through the piece");
        var hint = new LightLabel("An arrow leads to its sentence; a drag from one scene to another begins one.", "quiet", "small");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var close = new LightButton("Done");
        close.setId("ways-done");
        close.getStyleClass().add("small-press");
        close.setOnAction(leave);
        var head = new HBox(14, title, hint, gap, says, close);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("ways-head");
        var stage = new Pane(arrows, cards);
        arrows.setMouseTransparent(true);
        arrows.widthProperty().bind(stage.widthProperty());
        arrows.heightProperty().bind(stage.heightProperty());
        cards.prefWidthProperty().bind(stage.widthProperty());
        cards.prefHeightProperty().bind(stage.heightProperty());
        cards.setPickOnBounds(true);
        stage.widthProperty().addListener((o, was, is) -> arrange());
        stage.heightProperty().addListener((o, was, is) -> arrange());
        cards.setOnMouseMoved(e -> point(new Point(e.getX(), e.getY())));
        cards.setOnMouseClicked(this::click);
        var box = new BorderPane(stage, head, null, null, null);
        getChildren().add(box);
        setFocusTraversable(true);
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                leave.run();
                e.consume();
            }
        });
        studio.listen(changed);
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                living.stop();
                studio.unlisten(changed);
            } else {
                living.start();
                Platform.runLater(this::requestFocus);
            }
        });
        refresh();
    }

    private void refresh() {
        Project p = studio.project();
        if (p == of) {
            return;
        }
        of = p;
        ways = Ways.of(p);
        List<Scene> scenes = p.screens();
        shown.keySet().retainAll(scenes.stream().map(Scene::id).toList());
        cards.getChildren().clear();
        for (Scene s : scenes) {
            SceneCard c = shown.computeIfAbsent(s.id(), id -> new SceneCard(studio, this::drag));
            c.setId("way-" + (scenes.indexOf(s) + 1));
            c.show(p, s, scenes.indexOf(s) == 0, ways.unreachable().contains(s.id()), ways.deadEnds().contains(s.id()));
            cards.getChildren().add(c);
        }
        int dead = ways.deadEnds().size(), lost = ways.unreachable().size();
        says.setText(dead + lost == 0 ? scenes.size() + " scenes, all of them reached and left"
                : (lost == 0 ? "" : lost + (lost == 1 ? " scene" : " scenes") + " without a way to it") + (dead * lost == 0 ? "" : ", ")
                + (dead == 0 ? "" : dead + (dead == 1 ? " dead end" : " dead ends")));
        arrange();
    }

    private void arrange() {
        if (arrows.getWidth() < 1 || arrows.getHeight() < 1) {
            return;
        }
        List<Scene> scenes = of.screens();
        Point size = scenes.getFirst().board().size();
        layout = WaysLayout.of(scenes.stream().map(Scene::id).toList(), ways, arrows.getWidth(), arrows.getHeight(), size.x() / size.y());
        layout.cards().forEach((id, r) -> {
            SceneCard c = shown.get(id);
            c.setPrefSize(Math.round(r.width()), Math.round(r.height()));
            c.relocate(Math.round(r.x()), Math.round(r.y()));
        });
        paint();
    }

    private void paint() {
        GraphicsContext g = arrows.getGraphicsContext2D();
        g.clearRect(0, 0, arrows.getWidth(), arrows.getHeight());
        var ink = Palette.of(studio.dark());
        for (WaysLayout.Arrow a : layout.arrows()) {
            arrow(g, a.line(), a == over ? ink.space() : ink.interaction(), a == over ? 3 : 1.8);
            if (a.ways().size() > 1) {
                Point m = a.line().at(0.5);
                g.setFill(ink.interaction());
                g.fillOval(m.x() - 9, m.y() - 9, 18, 18);
                g.setFill(Color.WHITE);
                g.setTextAlign(TextAlignment.CENTER);
                g.setTextBaseline(VPos.CENTER);
                g.fillText(String.valueOf(a.ways().size()), m.x(), m.y());
            }
        }
        if (from != null && end != null) {
            Rect r = layout.cards().get(from);
            Point begin = r.centre();
            arrow(g, new Cubic(begin, begin.lerp(end, 0.33), begin.lerp(end, 0.67), end), ink.space(), 2);
        }
    }

    private static void arrow(GraphicsContext g, Cubic c, Color ink, double width) {
        g.setStroke(ink);
        g.setFill(ink);
        g.setLineWidth(width);
        g.beginPath();
        g.moveTo(c.p0().x(), c.p0().y());
        g.bezierCurveTo(c.p1().x(), c.p1().y(), c.p2().x(), c.p2().y(), c.p3().x(), c.p3().y());
        g.stroke();
        Point back = c.at(0.94).minus(c.p3());
        double l = Math.max(1e-6, back.length());
        Point b = back.times(HEAD / l), n = new Point(-b.y(), b.x()).times(0.5), p = c.p3();
        g.fillPolygon(new double[] {p.x(), p.x() + b.x() + n.x(), p.x() + b.x() - n.x()}, new double[] {p.y(), p.y() + b.y() + n.y(),
                p.y() + b.y() - n.y()}, 3);
    }

    private void point(Point p) {
        WaysLayout.Arrow now = layout == null ? null : layout.at(p, NEAR);
        if (now != over) {
            over = now;
            if (over != null) {
                says.setText(over.ways().getFirst().words() + (over.ways().size() > 1 ? ", and " + (over.ways().size() - 1) + " more" : ""));
            }
            cards.setCursor(over == null ? Cursor.DEFAULT : Cursor.HAND);
            paint();
        }
    }

    private void click(MouseEvent e) {
        point(new Point(e.getX(), e.getY()));
        if (over == null || !e.isStillSincePress()) {
            return;
        }
        if (over.ways().size() == 1) {
            go(over.ways().getFirst());
            return;
        }
        var menu = new ContextMenu();
        menu.setId("ways-choice");
        over.ways().forEach(w -> menu.getItems().add(item("ways-choice-" + (menu.getItems().size() + 1), w.words(), () -> go(w))));
        menu.show(cards, e.getScreenX(), e.getScreenY());
    }

    /** Opens the place of a sentence, and shows it there. */
    private void go(Ways.Way w) {
        leave.run();
        studio.setDesk(Desk.INTERACT);
        studio.navigation().showPlace(w.place() == null ? w.from() : w.place());
        reveal.accept(w.reaction());
    }

    /** A new way is drawn from a card, and ends where the pointer is let go. */
    private void drag(SceneCard card, MouseEvent e) {
        var at = cards.sceneToLocal(e.getSceneX(), e.getSceneY());
        end = new Point(at.getX(), at.getY());
        from = card.scene().id();
        String to = layout.cards().entrySet().stream().filter(x -> x.getValue().contains(end) && !x.getKey().equals(from)).map(Map.Entry::getKey)
                .findFirst().orElse(null);
        shown.forEach((id, c) -> c.setAimed(id.equals(to)));
        if (e.getEventType() == MouseEvent.MOUSE_RELEASED) {
            shown.values().forEach(c -> c.setAimed(false));
            String begin = from;
            from = null;
            end = null;
            paint();
            if (to != null) {
                offer(begin, to, e);
            }
            return;
        }
        paint();
    }

    /** What could open the other scene: a tap on something, or time. */
    private void offer(String begin, String to, MouseEvent e) {
        var menu = new ContextMenu();
        menu.setId("ways-new");
        Scene s = of.scene(begin);
        var out = new ArrayList<Element>(s.board().elements());
        out.removeIf(x -> x.locked() || x.hidden() || x.guide() || Blocks.of(x) != null);
        for (Element x : out.reversed().subList(0, Math.min(OFFERED, out.size()))) {
            menu.getItems().add(item("ways-new-" + (menu.getItems().size() + 1), "When " + x.called() + " is tapped",
                    () -> begin(begin, to, x.id())));
        }
        menu.getItems().add(item("ways-new-time", "3 s after it opens", () -> begin(begin, to, null)));
        menu.show(cards, e.getScreenX(), e.getScreenY());
    }

    private void begin(String begin, String to, String element) {
        Reaction r = Ways.begun(of, begin, to, element);
        studio.editProject("Lead from " + of.scene(begin).name() + " to " + of.scene(to).name(), null,
                p -> p.mapBoard(begin, b -> Reactions.with(b, r)));
    }

    private static MenuItem item(String id, String words, Runnable run) {
        var i = new MenuItem(words);
        i.setId(id);
        i.setMnemonicParsing(false);
        i.setOnAction(e -> run.run());
        return i;
    }

    /** For tests and shots: the cards in the order of the scenes. */
    List<Node> scenes() {
        return List.copyOf(cards.getChildren());
    }
}
