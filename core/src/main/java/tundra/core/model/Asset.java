package tundra.core.model;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** A brought-in picture: the untouched bytes of its file, named by their SHA-256. Width and height in pixels. */
public record Asset(String hash, String name, String mediaType, int width, int height, byte[] data) {

    public static Asset of(String name, String mediaType, int width, int height, byte[] data) {
        return new Asset(hash(data), name, mediaType, width, height, data);
    }

    public static String hash(byte[] data) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(data));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The file name's ending for its type. */
    public String ending() {
        return mediaType.equals("image/jpeg") ? "jpg" : mediaType.substring(mediaType.indexOf('/') + 1);
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
