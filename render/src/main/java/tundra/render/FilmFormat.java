package tundra.render;

import java.util.Map;

/** How pictures one after the other are kept in a file. */
public enum FilmFormat {
    MP4("mp4", "", "libopenh264"), WEBM("webm", "", "libvpx-vp9"), WEBM_AV1("webm", "", "libsvtav1"), GIF("gif", "gif", "gif"),
            APNG("png", "apng", "apng"), WEBP("webp", "webp", "libwebp_anim"), AVIF("avif", "avif", "libsvtav1");

    /** How closely what is shown is kept. */
    public enum Quality {
        SMALL, GOOD, BEST
    }

    public final String ending;
    /** Empty where the ending says it. */
    final String muxer;
    final String encoder;

    FilmFormat(String ending, String muxer, String encoder) {
        this.ending = ending;
        this.muxer = muxer;
        this.encoder = encoder;
    }

    /** Whether it is a video rather than a picture that moves. */
    public boolean video() {
        return this == MP4 || this == WEBM || this == WEBM_AV1;
    }

    /** Whether colour is kept at half the size, as the encoders of videos do. */
    boolean halved() {
        return video() || this == AVIF;
    }

    /** Whether each picture costs as much as any other. */
    boolean picturesAlone() {
        return this == APNG || this == WEBP || this == GIF;
    }

    /** What packs the sound of a video; null for what has none. */
    String soundEncoder() {
        return this == MP4 ? "aac" : video() ? "libopus" : null;
    }

    /** Whether its pictures can be seen through. */
    public boolean clear() {
        return this != MP4 && this != WEBM_AV1 && this != AVIF;
    }

    /** Sides are even where colour is kept at half the size. */
    public int side(double px) {
        return halved() ? Math.max(16, 2 * (int) Math.round(px / 2)) : Math.max(1, (int) Math.round(px));
    }

    /** What makes a picture of straight BGRA one for the encoder, as a chain of FFmpeg's filters from {@code [in]} to {@code [out]}. */
    String chain(boolean clear, boolean dither) {
        return switch (this) {
            case MP4, WEBM, WEBM_AV1, AVIF -> "[in]scale=flags=bicubic+accurate_rnd+full_chroma_int:out_color_matrix=bt709:out_range=tv,format="
                    + (clear ? "yuva420p" : "yuv420p") + "[out]";
            case GIF -> "[in][palette]paletteuse=dither=" + (dither ? "sierra2_4a" : "none") + ":diff_mode=rectangle"
                    + (clear ? ":alpha_threshold=128" : "") + "[out]";
            case APNG -> "[in]format=" + (clear ? "rgba" : "rgb24") + "[out]";
            case WEBP -> "[in]format=bgra[out]";
        };
    }

    /** What is asked of the encoder. */
    Map<String, String> options(Quality q, boolean clear) {
        return switch (this) {
            case MP4 -> Map.of("profile", "high", "rc_mode", "bitrate", "allow_skip_frames", "0");
            case WEBM -> clear ? Map.of("crf", crf(q, 40, 28, 14), "b", "0", "deadline", "realtime", "cpu-used", "7", "row-mt", "1", "auto-alt-ref",
                    "0")
                    : Map.of("crf", crf(q, 40, 28, 14), "b", "0", "deadline", "realtime", "cpu-used", "7", "row-mt", "1");
            case WEBM_AV1 -> Map.of("crf", crf(q, 48, 34, 20), "preset", "8");
            case AVIF -> Map.of("crf", "16", "preset", "6");
            case WEBP -> Map.of("lossless", "1", "compression_level", "4");
            default -> Map.of();
        };
    }

    private static String crf(Quality q, int small, int good, int best) {
        return String.valueOf(q == Quality.SMALL ? small : q == Quality.GOOD ? good : best);
    }

    /** Bits a second, where the encoder is told them; 0 where it isn't. */
    long bits(Quality q, int width, int height, int rate) {
        return this == MP4 ? Math.max(400_000, Math.round(width * (double) height * rate * (q == Quality.SMALL ? 0.08 : q == Quality.GOOD ? 0.2
                : 0.5))) : 0;
    }

    /** The coarsest steps that an encoder may take, of 51; 0 where it has other words for that. */
    int steps(Quality q) {
        return this == MP4 ? q == Quality.SMALL ? 34 : q == Quality.GOOD ? 24 : 14 : 0;
    }

    /** What is asked of the file: that loops go on for ever. */
    Map<String, String> file() {
        return switch (this) {
            case APNG -> Map.of("plays", "0");
            case GIF, WEBP, AVIF -> Map.of("loop", "0");
            case MP4 -> Map.of("movflags", "+faststart");
            default -> Map.of();
        };
    }
}
