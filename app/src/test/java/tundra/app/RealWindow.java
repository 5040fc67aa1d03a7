package tundra.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.robot.Robot;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import javafx.stage.Popup;
import javafx.stage.Stage;
import javafx.stage.Window;
import tundra.app.builtin.Workshop;
import tundra.app.job.Dialogs;
import tundra.app.job.Work;
import tundra.app.paint.SkiaCanvas;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.widget.Look;
import tundra.app.widget.RestingField;
import tundra.app.widget.TallPane;
import tundra.app.window.MainWindow;
import tundra.core.geometry.Point;
import tundra.core.model.Project;

/** Tundra in a real window, driven with mouse and keyboard. Questions are answered from fields. */
final class RealWindow implements AutoCloseable, Dialogs {
    /** What no one caught, on whatever thread; a test that leaves something here fails. */
    private static final Queue<Throwable> ESCAPED = new ConcurrentLinkedQueue<>();
    private static boolean started;
    Stage stage;
    MainWindow window;
    Workshop w;
    Studio studio;
    private Robot robot;
    /** The answers to the next questions. */
    Path fileToOpen;
    Path fileToSave;
    Path folderToUse;
    String secretToGive;
    int secretsAsked;
    Unsaved unsavedAnswer = Unsaved.CANCEL;
    int unsavedAsked;
    Outside outsideAnswer = Outside.CANCEL;
    int outsideAsked;
    NewPiece newPiece;
    volatile String opened;
    volatile boolean noBrowser;
    List<String> reported = List.of();
    /** Counted down when a window, a menu or a popover hears of a press or a release. */
    private static volatile CountDownLatch heard = new CountDownLatch(0);
    private volatile boolean movesAreLost;
    /** Clicks that lie further than so many px from each other are two. */
    private static final double APART = 20;
    private Point clicked;

    RealWindow() throws Exception {
        System.setProperty("tundra.config", Files.createTempDirectory("tundra-test").toString());
        if (!started) {
            var up = new CompletableFuture<Void>();
            Platform.startup(() -> up.complete(null));
            up.get(30, TimeUnit.SECONDS);
            Platform.setImplicitExit(false);
            fx(() -> {
                Window.getWindows().forEach(RealWindow::hear);
                Window.getWindows().addListener((ListChangeListener<Window>) c -> {
                    while (c.next()) {
                        c.getAddedSubList().forEach(RealWindow::hear);
                    }
                });
                return null;
            });
            started = true;
        }
        fx(() -> {
            Look.theme(false);
            stage = new Stage();
            w = new Workshop(Project.empty("Untitled", new Point(640, 400), 24), Settings.load(), this, url -> {
                if (noBrowser) {
                    throw new IOException("no browser was found on this machine");
                }
                opened = url;
            });
            // what a test without a window left is not this one's
            ESCAPED.clear();
            Work.onTrouble(ESCAPED::add);
            window = new MainWindow(w);
            studio = w.studio;
            stage.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> movesAreLost = false);
            stage.addEventFilter(MouseEvent.MOUSE_DRAGGED, e -> {
                if (movesAreLost) {
                    e.consume();
                }
            });
            window.open(stage, 1280, 800);
            stage.setX(20);
            stage.setY(20);
            stage.show();
            stage.toFront();
            robot = new Robot();
            w.canvas.requestFocus();
            return null;
        });
        // keys pressed before would go to the window of the test before, or nowhere
        until(stage::isFocused);
        settle();
        run("actual-size");
    }

    private static void hear(Window window) {
        for (EventType<? extends InputEvent> type : List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_RELEASED, MouseEvent.MOUSE_PRESSED,
                MouseEvent.MOUSE_RELEASED)) {
            window.addEventFilter(type, e -> heard.countDown());
        }
    }

    static <T> T fx(Callable<T> work) throws Exception {
        if (Platform.isFxApplicationThread()) {
            return work.call();
        }
        var done = new CompletableFuture<T>();
        Platform.runLater(() -> {
            try {
                done.complete(work.call());
            } catch (Throwable e) {
                done.completeExceptionally(e);
            }
        });
        return done.get(30, TimeUnit.SECONDS);
    }

    /** Waits until all events are handled and the picture stands. */
    void settle() throws Exception {
        pulses(4);
        until(() -> !w.jobs.busy() && SkiaCanvas.settled());
        if (fx(() -> w.canvas.getScene() != null)) {
            // while it plays the picture never stands
            until(() -> w.canvas.settled() || studio.time().playing());
        }
    }

    /** Waits until JavaFX went through some more pulses; in each it handles what came in, lays out and paints. */
    static void pulses(int n) throws Exception {
        var left = new CountDownLatch(n);
        AnimationTimer timer = fx(() -> {
            var each = new AnimationTimer() {
                @Override
                public void handle(long now) {
                    left.countDown();
                }
            };
            each.start();
            return each;
        });
        boolean came = left.await(20, TimeUnit.SECONDS);
        fx(() -> {
            timer.stop();
            return null;
        });
        if (!came) {
            throw new AssertionError("waited 20 seconds in vain for pulses");
        }
    }

    /** A node of an open popover, which is a window of its own; waits until it is there. */
    @SuppressWarnings("unchecked")
    <N extends Node> N popup(String selector) throws Exception {
        until(() -> inPopup(selector) != null);
        return (N) fx(() -> inPopup(selector));
    }

    private static Node inPopup(String selector) {
        return Window.getWindows().stream().filter(x -> x instanceof Popup).map(x -> x.getScene().getRoot().lookup(selector)).filter(Objects::nonNull)
                .findFirst().orElse(null);
    }

    /** Waits until the keyboard goes to a field. */
    void untilTyping() throws Exception {
        until(() -> stage.getScene().getFocusOwner() instanceof TextInputControl);
    }

    void until(BooleanSupplier condition) throws Exception {
        long end = System.nanoTime() + 20_000_000_000L;
        while (!fx(condition::getAsBoolean)) {
            if (System.nanoTime() > end) {
                throw new AssertionError("waited 20 seconds in vain");
            }
            pulses(1);
        }
    }

    /** Does something with the robot and waits until a window heard of it; what goes beside all windows is waited for in vain, but not long. */
    private void robot(Runnable act) throws Exception {
        heard = new CountDownLatch(1);
        fx(() -> {
            act.run();
            return null;
        });
        heard.await(400, TimeUnit.MILLISECONDS);
        fx(() -> null);
    }

    // --- places ---

    /** The screen place of a point of the canvas. */
    Point canvas(double x, double y) throws Exception {
        return fx(() -> {
            Point v = w.canvas.viewport().toView(new Point(x, y));
            return screen(w.canvas, v.x(), v.y());
        });
    }

    Point screen(Node n, double x, double y) {
        var p = n.localToScreen(x, y);
        // without what computing loses: the robot cuts off what lies behind the point
        return new Point(Math.rint(p.getX() * 1000) / 1000, Math.rint(p.getY() * 1000) / 1000);
    }

    /** A part of the window; waits until it is there. */
    /** Presses a button, wherever in its list it is scrolled to. */
    void fire(String id) throws Exception {
        var button = (ButtonBase) node(id);
        fx(() -> {
            button.fire();
            return null;
        });
    }

    /** What a label says; empty where it isn't there. To be asked on the interface thread. */
    String label(String id) {
        return stage.getScene().lookup("#" + id) instanceof Labeled l ? l.getText() : "";
    }

    Node node(String id) throws Exception {
        try {
            until(() -> stage.getScene().lookup("#" + id) != null);
        } catch (AssertionError e) {
            throw new AssertionError("no node #" + id, e);
        }
        return fx(() -> stage.getScene().lookup("#" + id));
    }

    Point middle(String id) throws Exception {
        Node n = node(id);
        return fx(() -> screen(n, n.getLayoutBounds().getWidth() / 2, n.getLayoutBounds().getHeight() / 2));
    }

    // --- mouse ---

    void moveTo(Point p) throws Exception {
        fx(() -> {
            robot.mouseMove(p.x(), p.y());
            return null;
        });
        pulses(2);
    }

    void down() throws Exception {
        robot(() -> robot.mousePress(MouseButton.PRIMARY));
    }

    void up() throws Exception {
        robot(() -> robot.mouseRelease(MouseButton.PRIMARY));
        settle();
    }

    /** Turns the wheel over a place; up is negative. */
    void scroll(Point p, int steps) throws Exception {
        moveTo(p);
        fx(() -> {
            robot.mouseWheel(steps);
            return null;
        });
        settle();
    }

    void click(Point p) throws Exception {
        apart(p);
        moveTo(p);
        down();
        up();
        clicked = p;
    }

    /** Presses and lets go the right button as quickly as a hand can. */
    void rightClick(Point p) throws Exception {
        moveTo(p);
        robot(() -> {
            robot.mousePress(MouseButton.SECONDARY);
            robot.mouseRelease(MouseButton.SECONDARY);
        });
        settle();
    }

    /** A click where the last one was counts anew: the pointer was elsewhere between. */
    private void apart(Point p) throws Exception {
        if (clicked != null && clicked.distance(p) < APART) {
            moveTo(p.plus(new Point(2 * APART, 0)));
        }
    }

    void doubleClick(Point p) throws Exception {
        apart(p);
        moveTo(p);
        for (int i = 0; i < 2; i++) {
            fx(() -> {
                robot.mousePress(MouseButton.PRIMARY);
                robot.mouseRelease(MouseButton.PRIMARY);
                return null;
            });
        }
        settle();
        clicked = p;
    }

    /** Scrolls the panel that holds a control until the control is in view, as a hand would with the wheel. */
    private void bringIntoView(String id) throws Exception {
        Node n = node(id);
        fx(() -> {
            for (Node up = n.getParent(); up != null; up = up.getParent()) {
                if (up instanceof TallPane pane) {
                    pane.reveal(n);
                }
            }
            return null;
        });
        settle();
    }

    /** Takes an entry of the menu that is open, by its id. */
    void choose(String id) throws Exception {
        until(() -> entry(id) != null);
        fx(() -> {
            entry(id).fire();
            Window.getWindows().stream().filter(w -> w instanceof ContextMenu).toList().forEach(Window::hide);
            return null;
        });
        settle();
    }

    private static MenuItem entry(String id) {
        return Window.getWindows().stream().filter(w -> w instanceof ContextMenu).flatMap(w -> ((ContextMenu) w).getItems().stream())
                .flatMap(m -> m instanceof Menu more ? more.getItems().stream() : Stream.of(m)).filter(m -> id.equals(m.getId())).findFirst()
                .orElse(null);
    }

    void click(String id) throws Exception {
        bringIntoView(id);
        click(middle(id));
    }

    /** Presses, moves in steps and holds. */
    void dragHold(Point from, Point to) throws Exception {
        moveTo(from);
        down();
        for (int i = 1; i <= 6; i++) {
            moveTo(from.lerp(to, i / 6.0));
        }
    }

    /** A quick hand: pressed, one far move that the window never hears of, and let go there. */
    void flick(Point from, Point to) throws Exception {
        moveTo(from);
        down();
        movesAreLost = true;
        robot(() -> {
            robot.mouseMove(to.x(), to.y());
            robot.mouseRelease(MouseButton.PRIMARY);
        });
        until(() -> !movesAreLost);
        settle();
    }

    void drag(Point from, Point to) throws Exception {
        dragHold(from, to);
        up();
    }

    // --- keyboard ---

    void hold(KeyCode k) throws Exception {
        robot(() -> robot.keyPress(k));
    }

    void letGo(KeyCode k) throws Exception {
        robot(() -> robot.keyRelease(k));
    }

    /** Presses keys together, as Ctrl Z. */
    void keys(KeyCode... keys) throws Exception {
        for (KeyCode k : keys) {
            hold(k);
        }
        for (int i = keys.length - 1; i >= 0; i--) {
            letGo(keys[i]);
        }
        settle();
    }

    /** Types letters faster than the window can follow. */
    void burst(String letters) throws Exception {
        robot(() -> {
            for (char c : letters.toCharArray()) {
                KeyCode k = KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(c)));
                robot.keyPress(k);
                robot.keyRelease(k);
            }
        });
        settle();
    }

    void type(String text) throws Exception {
        for (char c : text.toCharArray()) {
            KeyCode k = c == ' ' ? KeyCode.SPACE : c == '.' ? KeyCode.PERIOD : c == '-' ? KeyCode.MINUS
                    : KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(c)));
            if (Character.isUpperCase(c)) {
                keys(KeyCode.SHIFT, k);
            } else {
                keys(k);
            }
        }
    }

    /** All words that are seen in a part of the window, a line each. */
    String words(String id) throws Exception {
        return fx(() -> words(node(id)));
    }

    private static String words(Node n) {
        if (!n.isVisible()) {
            return "";
        }
        if (n instanceof Text t) {
            return t.getText() + "\n";
        }
        return n instanceof Parent p ? p.getChildrenUnmodifiable().stream().map(RealWindow::words).reduce("", String::concat) : "";
    }

    /** What stands in a field of a panel. */
    String shown(String field) throws Exception {
        return fx(() -> ((RestingField) node(field)).text());
    }

    /**
     * Clicks at the end of a field of a panel, once it stands where it stood a pulse before; gives the text field that it is from then on, with
     * all of it selected.
     */
    TextField enter(String field) throws Exception {
        bringIntoView(field);
        node(field);
        var aim = new Point[1];
        until(() -> {
            Node box = within(field, ".resting-field");
            Point was = aim[0];
            aim[0] = box == null ? null : screen(box, box.getLayoutBounds().getWidth() - 8, 12);
            return was != null && was.equals(aim[0]);
        });
        click(aim[0]);
        until(() -> typedIn(field) != null && typedIn(field).isFocused());
        keys(KeyCode.CONTROL, KeyCode.A);
        return fx(() -> typedIn(field));
    }

    private TextField typedIn(String field) {
        return (TextField) within(field, ".text-field");
    }

    /** A part of a part of the window, or that itself; null when one of them isn't there. On the interface thread. */
    private Node within(String id, String selector) {
        Node n = stage.getScene().lookup("#" + id);
        return n == null ? null : n.lookup(selector);
    }

    /** Puts a number or a colour into a field of the details, and goes back to the canvas. */
    void fill(String field, String text) throws Exception {
        TextField box = enter(field);
        type(text);
        until(() -> box.getText().equalsIgnoreCase(text));
        keys(KeyCode.ENTER);
        fx(() -> {
            w.canvas.requestFocus();
            return null;
        });
    }

    void run(String command) throws Exception {
        fx(() -> w.commands.run(command));
        settle();
    }

    /** The canvas's picture as it is shown, in rows of ARGB; an empty one when there is none. */
    int[] picture() throws Exception {
        settle();
        return fx(() -> {
            var view = (ImageView) w.canvas.getChildrenUnmodifiable().getFirst();
            var image = view.getImage();
            if (image == null) {
                return new int[0];
            }
            int width = (int) image.getWidth(), height = (int) image.getHeight();
            int[] out = new int[width * height];
            image.getPixelReader().getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), out, 0, width);
            return out;
        });
    }

    /** The colour of the window's picture at a screen place, once all that was asked for is there. */
    Color pixel(Point p) throws Exception {
        settle();
        pulses(5);
        // a pulse doesn't wait for the thread that brings pictures to the screen: this is painted there behind all that it still has to do
        fx(() -> new Rectangle(1, 1).snapshot(null, null));
        return fx(() -> robot.getPixelColor(p.x(), p.y()));
    }

    @Override
    public void close() throws Exception {
        fx(() -> {
            w.close();
            stage.hide();
            return null;
        });
        Throwable escaped = ESCAPED.poll();
        ESCAPED.clear();
        if (escaped != null) {
            throw new AssertionError("an exception was caught by nobody", escaped);
        }
    }

    // --- answers ---

    @Override
    public Optional<Path> open(String title, String kind, List<String> patterns, Path beside) {
        return Optional.ofNullable(fileToOpen);
    }

    @Override
    public Optional<Path> save(String title, String name, Path beside) {
        return Optional.ofNullable(fileToSave);
    }

    @Override
    public Optional<String> secret(String place) {
        secretsAsked++;
        return Optional.ofNullable(secretToGive);
    }

    @Override
    public Optional<Path> folder(String title, Path start) {
        return Optional.ofNullable(folderToUse);
    }

    @Override
    public Unsaved unsaved(String project) {
        unsavedAsked++;
        return unsavedAnswer;
    }

    @Override
    public void report(String headline, String meaning, List<String> lines) {
        reported = lines;
    }

    @Override
    public Outside changedOutside(String file) {
        outsideAsked++;
        return outsideAnswer;
    }

    @Override
    public Optional<NewPiece> newPiece() {
        return Optional.ofNullable(newPiece);
    }
}
