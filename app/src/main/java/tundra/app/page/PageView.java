package tundra.app.page;

import java.nio.IntBuffer;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;
import javafx.scene.Cursor;
import javafx.scene.TraversalDirection;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import tundra.app.page.Message.Answer;
import tundra.app.page.Message.Left;
import tundra.app.page.Message.Loaded;
import tundra.app.page.Message.Looks;

/**
 * A web page that runs in a process of its own: its picture stands here, mouse and keys go there. Keys with Ctrl, Alt or the
 * system's key stay with the window.
 */
public final class PageView extends Region {
    /** How long the page may stand still before it is said, and how long its process may take to begin, in ns. */
    private static final long STILL = 2_000_000_000L, BEGIN = 30_000_000_000L;
    /** Of the pictures together, in pixels: four times a large screen's. */
    private static final int ROOM = 4096 * 2560;
    private final ImageView shown = new ImageView();
    private final Consumer<Trouble> troubled;
    private final Map<Integer, CompletableFuture<String>> asked = new HashMap<>();
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            look(now);
        }
    };
    private PageProcess process;
    private Message.Size size = new Message.Size(1, 1, 1);
    private double zoom = 1;
    private boolean begun, hands = true;
    private Trouble trouble = Trouble.NONE;
    private String url, loaded;
    private int number, beats, questions;
    private long lastBeat;
    private WritableImage[] images = {};
    private PixelBuffer<?>[] buffers = {};

    /** What became of the page. */
    public enum Trouble {
        NONE, STANDS_STILL, DIED
    }

    /** @param troubled told on the interface thread when the page stops answering, dies, or goes on again */
    public PageView(Consumer<Trouble> troubled) {
        this.troubled = troubled;
        setFocusTraversable(true);
        setAccessibleText("The page that is tried");
        getChildren().add(shown);
        shown.setSmooth(true);
        addEventHandler(MouseEvent.ANY, this::mouse);
        addEventHandler(ScrollEvent.SCROLL, e -> {
            send(new Message.Wheel(e.getX() / zoom, e.getY() / zoom, e.getDeltaX(), e.getDeltaY()));
            e.consume();
        });
        addEventHandler(KeyEvent.ANY, this::key);
        focusedProperty().addListener((o, was, is) -> send(new Message.Focus(is)));
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                timer.stop();
            } else if (process != null) {
                timer.start();
            }
        });
    }

    /** Loads an address; in a new process where there is none, or where the one there was stands still. */
    public void load(String address) {
        url = address;
        loaded = null;
        if (process == null || trouble != Trouble.NONE) {
            restart();
        }
        send(new Message.Load(address));
    }

    /** Starts the process where there is none, so that it is there when a page is loaded. */
    public void warm() {
        if (process == null) {
            restart();
        }
    }

    private void restart() {
        end();
        var mine = new PageProcess();
        process = mine;
        begun = false;
        number = 0;
        images = new WritableImage[0];
        lastBeat = System.nanoTime();
        say(Trouble.NONE);
        mine.start(ROOM, m -> {
            if (process == mine) {
                take(m);
            }
        }, code -> {
            if (process == mine) {
                process = null;
                timer.stop();
                say(Trouble.DIED);
            }
        });
        mine.send(size);
        mine.send(new Message.Focus(isFocused()));
        if (getScene() != null) {
            timer.start();
        }
    }

    private void say(Trouble t) {
        if (t != trouble) {
            trouble = t;
            troubled.accept(t);
        }
    }

    /** The page is no longer looked at. One that stands still is ended. */
    public void rest() {
        url = null;
        loaded = null;
        if (trouble != Trouble.NONE) {
            end();
        } else {
            send(new Message.Rest());
        }
    }

    /** Ends the page's process. */
    public void end() {
        if (process != null) {
            process.end();
            process = null;
        }
        timer.stop();
        asked.values().forEach(a -> a.cancel(false));
        asked.clear();
    }

    /**
     * The size of the page's window.
     *
     * @param wide in CSS px
     * @param high in CSS px
     * @param zoom px of this window to a CSS px
     * @param pixels of the screen to a px of this window
     */
    public void fit(double wide, double high, double zoom, double pixels) {
        this.zoom = zoom;
        double w = Math.round(wide * zoom), h = Math.round(high * zoom);
        setMinSize(w, h);
        setMaxSize(w, h);
        shown.setFitWidth(w);
        shown.setFitHeight(h);
        double most = Math.sqrt(ROOM / Math.max(1, wide * high));
        var now = new Message.Size(wide, high, Math.min(most, zoom * pixels));
        if (!now.equals(size)) {
            size = now;
            send(size);
        }
    }

    /** Whether the mouse does anything in the page. */
    public void setHands(boolean on) {
        hands = on;
    }

    public boolean hands() {
        return hands;
    }

    /** Evaluates a line of JavaScript in the page, sooner or later; the result as text. */
    public CompletableFuture<String> ask(String script) {
        var out = new CompletableFuture<String>();
        asked.put(++questions, out);
        send(new Message.Ask(questions, script));
        return out;
    }

    /** The address that was loaded to its end; null while one is being loaded. */
    public String loaded() {
        return loaded;
    }

    private void send(Message m) {
        if (process != null) {
            process.send(m);
        }
    }

    private void take(Message message) {
        switch (message) {
            case Message.Ready m -> {
                begun = true;
                lastBeat = System.nanoTime();
            }
            case Loaded m -> loaded = url != null && m.url().equals(url) ? m.url() : loaded;
            case Looks m -> setCursor(cursor(m.cursor()));
            case Left m -> {
                if (isFocused()) {
                    requestFocusTraversal(m.forwards() ? TraversalDirection.NEXT : TraversalDirection.PREVIOUS);
                }
            }
            case Answer m -> asked.remove(m.number()).complete(m.value());
            default -> throw new IllegalStateException("not for the window: " + message);
        }
    }

    private static Cursor cursor(String name) {
        try {
            return Cursor.cursor(name);
        } catch (IllegalArgumentException e) {
            return Cursor.DEFAULT;
        }
    }

    /** Shows the newest picture, and sees whether the page still goes on. */
    private void look(long now) {
        SharedPicture p = process == null ? null : process.picture();
        if (p == null) {
            return;
        }
        int b = p.beats();
        long time = System.nanoTime();
        if (b != beats) {
            beats = b;
            lastBeat = time;
            say(Trouble.NONE);
        } else if (time - lastBeat > (begun ? STILL : BEGIN)) {
            say(Trouble.STANDS_STILL);
        }
        SharedPicture.Made made = p.last();
        if (made.number() != number) {
            number = made.number();
            show(p, made);
        }
    }

    private void show(SharedPicture p, SharedPicture.Made made) {
        if (images.length == 0 || images[0].getWidth() != made.width() || images[0].getHeight() != made.height()) {
            images = new WritableImage[3];
            buffers = new PixelBuffer<?>[3];
            for (int i = 0; i < images.length; i++) {
                IntBuffer pixels = p.pixels(i).limit(made.width() * made.height());
                var buffer = new PixelBuffer<>(made.width(), made.height(), pixels, PixelFormat.getIntArgbPreInstance());
                buffers[i] = buffer;
                images[i] = new WritableImage(buffer);
            }
        }
        buffers[made.place()].updateBuffer(x -> null);
        shown.setImage(images[made.place()]);
    }

    private void mouse(MouseEvent e) {
        if (e.getEventType() == MouseEvent.MOUSE_PRESSED && hands) {
            requestFocus();
        }
        if (hands && e.getEventType() != MouseEvent.MOUSE_CLICKED && e.getEventType() != MouseEvent.DRAG_DETECTED
                && e.getEventType() != MouseEvent.MOUSE_ENTERED_TARGET
                && e.getEventType() != MouseEvent.MOUSE_EXITED_TARGET) {
            send(new Message.Pointer(e.getEventType().getName(), e.getX() / zoom, e.getY() / zoom, e.getButton(), e.getClickCount(),
                    new Message.Held(e.isPrimaryButtonDown(), e.isMiddleButtonDown(), e.isSecondaryButtonDown())));
        }
        e.consume();
    }

    private void key(KeyEvent e) {
        if (!e.isShortcutDown() && !e.isAltDown() && !e.isMetaDown() && !e.isControlDown()) {
            send(new Message.Key(e.getEventType().getName(), e.getCharacter(), e.getText(), e.getCode(), e.isShiftDown()));
            e.consume();
        }
    }
}
