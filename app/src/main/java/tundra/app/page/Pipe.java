package tundra.app.page;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.ObjectInputFilter;
import java.io.ObjectInputStream;
import java.io.ObjectOutputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.function.Consumer;

/** Messages over a pipe, one after the other. Nothing but messages is read from it. */
final class Pipe {
    private static final ObjectInputFilter ONLY_MESSAGES = ObjectInputFilter.Config.createFilter(
            "tundra.app.page.*;javafx.scene.input.KeyCode;javafx.scene.input.MouseButton;java.lang.Enum;java.lang.Record;maxdepth=4;maxbytes=1000000000;!*");
    private final OutputStream out;
    private ObjectOutputStream objects;

    Pipe(OutputStream out) {
        this.out = new BufferedOutputStream(out);
    }

    /** @throws IOException when nobody is at the other end any more */
    synchronized void send(Message m) throws IOException {
        if (objects == null) {
            objects = new ObjectOutputStream(out);
        }
        objects.writeObject(m);
        objects.reset();
        objects.flush();
    }

    /** Hands on what comes until the other end is closed. */
    static void read(InputStream in, Consumer<Message> to) {
        try (var objects = new ObjectInputStream(new BufferedInputStream(in))) {
            objects.setObjectInputFilter(ONLY_MESSAGES);
            while (true) {
                to.accept((Message) objects.readObject());
            }
        } catch (EOFException e) {
            // closed
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException(e);
        }
    }
}
