package tundra.render;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import tundra.core.file.FileData;
import tundra.core.file.FileProblem;
import tundra.core.model.Asset;
import tundra.core.model.Limits;

/** Brings in videos, MP4 (H.264, AV1) and WebM (VP8, VP9, AV1), which are streamed and never held whole. */
public final class VideoReader {
    private VideoReader() {}

    /** The media type of a video by how its file starts; null for anything else. */
    public static String type(byte[] d) {
        boolean webm = d.length > 4 && (d[0] & 255) == 0x1A && (d[1] & 255) == 0x45 && (d[2] & 255) == 0xDF && (d[3] & 255) == 0xA3;
        boolean mp4 = d.length > 11 && d[4] == 'f' && d[5] == 't' && d[6] == 'y' && d[7] == 'p' && !(d[8] == 'M' && d[9] == '4' && d[10] == 'A');
        return webm ? "video/webm" : mp4 ? "video/mp4" : null;
    }

    /**
     * A video by its file, of which a copy is kept beside until the piece is saved.
     *
     * @throws FileProblem with one sentence that says what is wrong
     */
    public static Asset read(Path file) throws IOException {
        String name = file.getFileName().toString();
        byte[] head;
        try (var in = Files.newInputStream(file)) {
            head = in.readNBytes(64);
        }
        String type = type(head);
        if (type == null) {
            throw problem(name, "Tundra takes MP4 and WebM videos");
        }
        if (Files.size(file) > Limits.ENTRY_BYTES) {
            throw problem(name, "it has " + (Files.size(file) >> 20) + " MB, and " + (Limits.ENTRY_BYTES >> 20)
                    + " MB is the most that a video can have");
        }
        Path copy;
        try (var in = Files.newInputStream(file)) {
            copy = VideoFile.copy(in, type.substring(type.indexOf('/') + 1));
        }
        try (var frames = new VideoFrames(copy)) {
            if (!frames.codec().matches("h264|vp8|vp9|av1")) {
                throw problem(name, "browsers don't play its pictures (" + frames.codec() + "); save it as H.264, VP9 or AV1");
            }
            if (frames.width() < 1 || frames.height() < 1 || frames.width() > Limits.SIDE || frames.height() > Limits.SIDE) {
                throw problem(name, "its pictures are " + frames.width() + " × " + frames.height() + " px, and " + Limits.SIDE + " is the most");
            }
            if (frames.duration() < 1 || frames.duration() > Limits.TIME) {
                throw problem(name, "it doesn't say how long it is");
            }
            try (var first = frames.at(0)) {
                if (first == null) {
                    throw problem(name, "it has no picture that can be read");
                }
            }
            return Asset.video(name, type, frames.width(), frames.height(), frames.duration(), FileData.of(copy));
        } catch (FileProblem e) {
            Files.deleteIfExists(copy);
            throw e.getMessage().startsWith("“") ? e : problem(name, e.getMessage());
        }
    }

    private static FileProblem problem(String name, String why) {
        return new FileProblem("“" + name + "” can't be brought in: " + why + ". Nothing was changed.");
    }
}
