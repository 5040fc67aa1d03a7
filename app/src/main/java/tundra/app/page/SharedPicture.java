package tundra.app.page;

import java.io.IOException;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * Pictures that one process makes and another one shows, in memory that both have. There are three places, so that one is never
 * written to while it is being shown. Pixels are ARGB, premultiplied, a row after the other.
 */
final class SharedPicture {
    private static final VarHandle INTS = MethodHandles.byteBufferViewVarHandle(int[].class, ByteOrder.nativeOrder());
    private static final int PLACES = 3, HEADER = 64, BEAT = 0, MADE = 4, SIZES = 8;
    private final ByteBuffer memory;
    /** How many pixels a picture may have. */
    private final int room;

    /** A picture's size in pixels, and its number, from 1. */
    record Made(int number, int width, int height) {
        int place() {
            return number % PLACES;
        }
    }

    private SharedPicture(ByteBuffer memory, int room) {
        this.memory = memory;
        this.room = room;
    }

    /** Makes the file; it takes up only what is written to. */
    static SharedPicture make(Path file, int room) throws IOException {
        return map(file, room);
    }

    /** Opens what the other process made, by the same room. */
    static SharedPicture open(Path file, int room) throws IOException {
        if (Files.size(file) < size(room)) {
            throw new IOException("the memory for the page's picture is too small");
        }
        return map(file, room);
    }

    private static SharedPicture map(Path file, int room) throws IOException {
        try (var channel = FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE, StandardOpenOption.CREATE)) {
            return new SharedPicture(channel.map(FileChannel.MapMode.READ_WRITE, 0, size(room)).order(ByteOrder.nativeOrder()), room);
        }
    }

    private static long size(int room) {
        return HEADER + 4L * PLACES * room;
    }

    int room() {
        return room;
    }

    /** The pixels of a place. */
    IntBuffer pixels(int place) {
        return memory.slice(HEADER + 4 * place * room, 4 * room).order(ByteOrder.nativeOrder()).asIntBuffer();
    }

    /** Tells the other process that this one still goes on. */
    void beat() {
        INTS.getAndAdd(memory, BEAT, 1);
    }

    int beats() {
        return (int) INTS.getAcquire(memory, BEAT);
    }

    /** The picture that was made last; its number is 0 before the first. */
    Made last() {
        int number = (int) INTS.getAcquire(memory, MADE), at = SIZES + 8 * (number % PLACES);
        return new Made(number, (int) INTS.getAcquire(memory, at), (int) INTS.getAcquire(memory, at + 4));
    }

    /** Tells that the place of the next picture is written. */
    void done(Made made) {
        int at = SIZES + 8 * made.place();
        INTS.setRelease(memory, at, made.width());
        INTS.setRelease(memory, at + 4, made.height());
        INTS.setRelease(memory, MADE, made.number());
    }
}
