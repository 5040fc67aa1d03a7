package tundra.app.page;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.file.Path;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.concurrent.Worker;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Scene;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.web.WebView;
import javafx.stage.Stage;
import tundra.app.page.Message.Answer;
import tundra.app.page.Message.Ask;
import tundra.app.page.Message.Focus;
import tundra.app.page.Message.Key;
import tundra.app.page.Message.Left;
import tundra.app.page.Message.Load;
import tundra.app.page.Message.Loaded;
import tundra.app.page.Message.Looks;
import tundra.app.page.Message.Pointer;
import tundra.app.page.Message.Ready;
import tundra.app.page.Message.Rest;
import tundra.app.page.Message.Size;
import tundra.app.page.Message.Wheel;

/**
 * The process in which a page runs, without a window of its own: it takes messages from its input, answers on its output and puts
 * pictures into shared memory. It ends with the process that started it. Arguments: the file of the shared memory and its room.
 */
final class PageMain {
    /** So many pictures alike, and fewer are made until one differs or something is done. */
    private static final int ALIKE = 20, SELDOM = 6;
    /** Of the window, in px. */
    private static final int SMALL = 64;
    private final SharedPicture picture;
    private final Pipe pipe;
    private WebView web;
    private Pictures pictures;
    /** Whether the page has the keyboard, as the window says. */
    private boolean keyboard;
    private boolean seen;
    private int alike, pulse;

    private PageMain(SharedPicture picture, Pipe pipe) {
        this.picture = picture;
        this.pipe = pipe;
    }

    public static void main(String[] args) throws IOException {
        OutputStream out = System.out;
        // whatever else is said goes to the console of the window's process
        System.setOut(new PrintStream(System.err, true));
        var page = new PageMain(SharedPicture.open(Path.of(args[0]), Integer.parseInt(args[1])), new Pipe(out));
        Platform.startup(page::start);
        try {
            Pipe.read(System.in, m -> Platform.runLater(() -> page.take(m)));
        } finally {
            // also while a script holds the interface thread
            Runtime.getRuntime().halt(0);
        }
    }

    private void start() {
        web = new WebView();
        web.setContextMenuEnabled(false);
        web.setPageFill(Color.TRANSPARENT);
        web.setFocusTraversable(true);
        Region before = end(false), after = end(true);
        var box = new HBox(before, web, after);
        var stage = new Stage();
        // nobody sees the window, only pictures of the page, which may be larger: the screen that a program without a display has measures 1000 px
        stage.setScene(new Scene(box, SMALL, SMALL));
        stage.show();
        web.getEngine().getLoadWorker().stateProperty().addListener((o, was, is) -> {
            if (is == Worker.State.SUCCEEDED) {
                tell(new Loaded(web.getEngine().getLocation()));
            }
        });
        web.cursorProperty().addListener((o, was, is) -> tell(new Looks(is == null ? "DEFAULT" : is.toString())));
        pictures = new Pictures(web, picture);
        new AnimationTimer() {
            @Override
            public void handle(long now) {
                picture.beat();
                picture();
            }
        }.start();
        tell(new Ready());
    }

    /** What has the keyboard when it leaves the page at one of its ends. */
    private Region end(boolean forwards) {
        var out = new Region();
        out.setFocusTraversable(true);
        out.focusedProperty().addListener((o, was, is) -> {
            if (is && keyboard) {
                keyboard = false;
                tell(new Left(forwards));
            }
        });
        return out;
    }

    private void picture() {
        if (seen && (alike < ALIKE || pulse++ % SELDOM == 0)) {
            alike = pictures.make() ? 0 : alike + 1;
        }
    }

    private void tell(Message m) {
        try {
            pipe.send(m);
        } catch (IOException e) {
            Runtime.getRuntime().halt(0);
        }
    }

    private void take(Message message) {
        if (!(message instanceof Ask)) {
            alike = 0;
        }
        switch (message) {
            case Load m -> {
                seen = true;
                web.getEngine().load(m.url());
            }
            case Size m -> {
                web.setMinSize(m.wide(), m.high());
                web.setMaxSize(m.wide(), m.high());
                pictures.scale(m.scale());
            }
            case Rest m -> {
                seen = false;
                web.getEngine().load("about:blank");
            }
            case Pointer m -> mouse(m);
            case Wheel m -> Event.fireEvent(web, new ScrollEvent(ScrollEvent.SCROLL, m.x(), m.y(), m.x(), m.y(), false, false, false, false, false,
                    false, m.dx(), m.dy(), m.dx(), m.dy(),
                    ScrollEvent.HorizontalTextScrollUnits.NONE, 0, ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null));
            case Key m -> Event.fireEvent(web, new KeyEvent(type(KeyEvent.ANY, m.type()), m.character(), m.text(), m.code(), m.shift(), false, false,
                    false));
            case Focus m -> focus(m.on());
            case Ask m -> tell(new Answer(m.number(), answer(() -> web.getEngine().executeScript(m.script()))));
            default -> throw new IllegalStateException("not for the page: " + message);
        }
    }

    private static String answer(Supplier<Object> script) {
        try {
            return String.valueOf(script.get());
        } catch (RuntimeException e) {
            return e.toString();
        }
    }

    private void focus(boolean on) {
        keyboard = on;
        if (on) {
            web.getScene().getWindow().requestFocus();
            web.requestFocus();
        } else {
            web.getScene().getRoot().requestFocus();
        }
    }

    private void mouse(Pointer m) {
        Message.Held h = m.buttons();
        Event.fireEvent(web, new MouseEvent(type(MouseEvent.ANY, m.type()), m.x(), m.y(), m.x(), m.y(), m.button(), m.clicks(), false, false, false,
                false, h.primary(), h.middle(), h.secondary(),
                true, false, m.clicks() < 2, null));
    }

    @SuppressWarnings("unchecked")
    private static <E extends Event> EventType<E> type(EventType<E> family, String name) {
        return (EventType<E>) (family == (EventType<?>) KeyEvent.ANY
                ? Stream.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_RELEASED, KeyEvent.KEY_TYPED)
                : Stream.of(MouseEvent.MOUSE_PRESSED, MouseEvent.MOUSE_RELEASED, MouseEvent.MOUSE_MOVED, MouseEvent.MOUSE_DRAGGED,
                MouseEvent.MOUSE_ENTERED, MouseEvent.MOUSE_EXITED))
                .filter(t -> t.getName().equals(name)).findFirst().orElseThrow();
    }
}
