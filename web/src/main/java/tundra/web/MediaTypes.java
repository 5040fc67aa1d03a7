package tundra.web;

import java.util.Locale;

/** The media types of published files. */
final class MediaTypes {
    private MediaTypes() {}

    /** The media type by a file's ending. */
    static String of(String path) {
        String ending = path.substring(path.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        return switch (ending) {
            case "png" -> "image/png";
            case "jpg", "jpeg" -> "image/jpeg";
            case "gif" -> "image/gif";
            case "webp" -> "image/webp";
            case "bmp" -> "image/bmp";
            case "svg" -> "image/svg+xml";
            case "ttf" -> "font/ttf";
            case "otf" -> "font/otf";
            case "woff2" -> "font/woff2";
            case "mp3" -> "audio/mpeg";
            case "wav" -> "audio/wav";
            case "ogg" -> "audio/ogg";
            case "flac" -> "audio/flac";
            case "mp4" -> "video/mp4";
            case "webm" -> "video/webm";
            case "vtt" -> "text/vtt";
            case "css" -> "text/css;charset=utf-8";
            case "js" -> "text/javascript;charset=utf-8";
            case "json" -> "application/json";
            case "html" -> "text/html;charset=utf-8";
            case "txt" -> "text/plain;charset=utf-8";
            default -> "application/octet-stream";
        };
    }
}
