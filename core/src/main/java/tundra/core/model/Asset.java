package tundra.core.model;

import java.io.IOException;
import java.io.InputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * A brought-in file: its untouched bytes, named by their SHA-256.
 *
 * @param width of a picture or a video in pixels; 0 for anything else
 * @param height of a picture or a video in pixels; 0 for anything else
 * @param duration of a sound or a video in µs; 0 for anything else
 * @param source where its bytes are
 */
public record Asset(String hash, String name, String mediaType, int width, int height, long duration, AssetData source) {
    /** The media types of timed words and of a folder's files, which are kept as a zip. */
    public static final String WORDS = "application/webvtt", FILES = "application/zip";

    /** What a file is for, by the first word of its media type. */
    public enum Kind {
        PICTURE("image"), FONT("font"), SOUND("audio"), VIDEO("video"),
        /** Words for a video, or the files of a page. */
        FILE("application");

        private final String word;

        Kind(String word) {
            this.word = word;
        }
    }

    /** One whose bytes are held in memory. */
    public Asset(String hash, String name, String mediaType, int width, int height, long duration, byte[] data) {
        this(hash, name, mediaType, width, height, duration, AssetData.of(data));
    }

    public static Asset picture(String name, String mediaType, int width, int height, byte[] data) {
        return new Asset(hash(data), name, mediaType, width, height, 0, data);
    }

    public static Asset font(String name, String mediaType, byte[] data) {
        return new Asset(hash(data), name, mediaType, 0, 0, 0, data);
    }

    public static Asset sound(String name, String mediaType, long duration, byte[] data) {
        return new Asset(hash(data), name, mediaType, 0, 0, duration, data);
    }

    /** A video, whose bytes stay where they are. */
    public static Asset video(String name, String mediaType, int width, int height, long duration, AssetData source) {
        return new Asset(source.hash(), name, mediaType, width, height, duration, source);
    }

    /** Words for a video ({@link #WORDS}) or the files of a page ({@link #FILES}). */
    public static Asset file(String name, String mediaType, byte[] data) {
        return new Asset(hash(data), name, mediaType, 0, 0, 0, data);
    }

    /** Its bytes, which nobody changes. */
    public byte[] data() {
        return source.bytes();
    }

    public Kind kind() {
        for (Kind k : Kind.values()) {
            if (mediaType.startsWith(k.word + "/")) {
                return k;
            }
        }
        throw new IllegalStateException(mediaType);
    }

    /** The name without the file's ending. */
    public String title() {
        return name.replaceFirst("\\.[A-Za-z0-9]+$", "");
    }

    public static String hash(byte[] data) {
        return HexFormat.of().formatHex(sha256().digest(data));
    }

    /** The hash of what a stream still holds, which is read and not kept. */
    public static String hash(InputStream in) throws IOException {
        MessageDigest sha = sha256();
        byte[] some = new byte[1 << 16];
        for (int n; (n = in.read(some)) >= 0; ) {
            sha.update(some, 0, n);
        }
        return HexFormat.of().formatHex(sha.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The file name's ending for its type. */
    public String ending() {
        return switch (mediaType) {
            case "image/jpeg" -> "jpg";
            case "audio/mpeg" -> "mp3";
            case WORDS -> "vtt";
            default -> mediaType.substring(mediaType.indexOf('/') + 1);
        };
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Asset a && a.hash.equals(hash) && a.name.equals(name);
    }

    @Override
    public int hashCode() {
        return hash.hashCode();
    }
}
