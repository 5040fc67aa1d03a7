package tundra.web;

import java.util.Base64;

/** Files as addresses that hold them. */
final class DataUri {
    private DataUri() {}

    static String of(String path, byte[] data) {
        return "data:" + MediaTypes.of(path) + ";base64," + Base64.getEncoder().encodeToString(data);
    }
}
