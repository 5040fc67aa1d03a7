package tundra.render;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.nio.file.Path;
import java.util.Map;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

/** Writes pictures one after the other as a film, with sound or without, or as a loop. One thread at a time. */
public final class VideoWriter implements AutoCloseable {
    /**
     * @param width as {@link FilmFormat#side} has it
     * @param rate pictures a second
     * @param clear whether what is behind is seen through
     * @param dither whether colours that a GIF has not are mixed
     */
    public record Shape(int width, int height, int rate, boolean clear, boolean dither) {}

    private final FilmFormat kind;
    private final int width;
    private final int height;
    private final FilterChain chain;
    private SoundWriter sound;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVPacket packet = av_packet_alloc();
    private AVCodecContext codec;
    private AVStream stream;
    private long next;

    /**
     * @param file a video's ending, mp4 or webm, says how it is laid out
     * @param palette of a GIF, from {@link Palette}; null for other formats
     * @param sounding whether there is sound, which is given with {@link #addSound}
     */
    public VideoWriter(Path file, FilmFormat kind, Shape shape, FilmFormat.Quality quality, Palette palette, boolean sounding) throws IOException {
        this.kind = kind;
        width = shape.width;
        height = shape.height;
        int rate = shape.rate;
        boolean clear = shape.clear;
        av_log_set_level(AV_LOG_QUIET);
        String of = FilterChain.source(width, height, rate, "in") + (palette == null ? "" : FilterChain.source(Palette.SIDE, Palette.SIDE, rate,
                "palette")) + kind.chain(clear, shape.dither) + ";[out]buffersink";
        chain = new FilterChain(of);
        if (palette != null) {
            chain.push(1, palette.frame());
            chain.push(1, null);
        }
        AVCodec found = avcodec_find_encoder_by_name(kind.encoder);
        if (found == null || found.isNull()) {
            throw new IOException("this build has no encoder " + kind.encoder);
        }
        FilterChain.check(avformat_alloc_output_context2(format, null, kind.muxer.isEmpty() ? null : kind.muxer, file.toString()));
        stream = avformat_new_stream(format, found);
        codec = avcodec_alloc_context3(found);
        codec.width(width).height(height).pix_fmt(av_get_pix_fmt(pixels(clear))).gop_size(kind.halved() ? rate : 0);
        codec.bit_rate(kind.bits(quality, width, height, rate));
        if (kind.steps(quality) > 0) {
            codec.qmin(1).qmax(kind.steps(quality));
        }
        codec.time_base(new AVRational().num(1).den(rate));
        codec.framerate(new AVRational().num(rate).den(1));
        codec.thread_count(Math.max(1, Runtime.getRuntime().availableProcessors()));
        if (kind.halved()) {
            codec.colorspace(AVCOL_SPC_BT709).color_range(AVCOL_RANGE_MPEG).color_primaries(AVCOL_PRI_BT709).color_trc(AVCOL_TRC_BT709);
        }
        if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
            codec.flags(codec.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
        }
        FilterChain.check(avcodec_open2(codec, found, options(kind.options(quality, clear))));
        FilterChain.check(avcodec_parameters_from_context(stream.codecpar(), codec));
        stream.time_base(codec.time_base());
        stream.avg_frame_rate(codec.framerate());
        if (clear && kind == FilmFormat.WEBM) {
            var tags = new AVDictionary(null);
            av_dict_set(tags, "alpha_mode", "1", 0);
            stream.metadata(tags);
        }
        if (sounding) {
            sound = new SoundWriter(format, kind.soundEncoder());
        }
        var out = new AVIOContext(null);
        FilterChain.check(avio_open(out, file.toString(), AVIO_FLAG_WRITE));
        format.pb(out);
        FilterChain.check(avformat_write_header(format, options(kind.file())));
    }

    private String pixels(boolean clear) {
        return switch (kind) {
            case GIF -> "pal8";
            case APNG -> clear ? "rgba" : "rgb24";
            case WEBP -> "bgra";
            default -> clear ? "yuva420p" : "yuv420p";
        };
    }

    private static AVDictionary options(Map<String, String> of) {
        var out = new AVDictionary(null);
        of.forEach((k, v) -> av_dict_set(out, k, v, 0));
        return out;
    }

    /** @param argb pixels, row by row, not premultiplied */
    public void add(int[] argb) throws IOException {
        AVFrame f = picture(argb, width, height, next++);
        try {
            chain.push(0, f);
        } finally {
            av_frame_free(f);
        }
        encode();
    }

    /** @param samples left and right in turn, 48,000 a second, which follow those before */
    public void addSound(float[] samples) throws IOException {
        sound.add(samples);
    }

    /** A frame of its own for each picture; the caller frees it. */
    static AVFrame picture(int[] argb, int width, int height, long number) throws IOException {
        AVFrame f = av_frame_alloc();
        f.format(AV_PIX_FMT_BGRA).width(width).height(height);
        f.colorspace(AVCOL_SPC_RGB).color_range(AVCOL_RANGE_JPEG);
        FilterChain.check(av_frame_get_buffer(f, 0));
        int stride = f.linesize(0);
        IntBuffer to = new BytePointer(f.data(0)).capacity((long) stride * height).asByteBuffer().order(ByteOrder.LITTLE_ENDIAN).asIntBuffer();
        for (int y = 0; y < height; y++) {
            to.position(y * stride / 4).put(argb, y * width, width);
        }
        f.pts(number).duration(1);
        return f;
    }

    private void encode() throws IOException {
        AVFrame f = av_frame_alloc();
        try {
            while (chain.pull(f)) {
                f.pict_type(AV_PICTURE_TYPE_NONE);
                FilterChain.check(avcodec_send_frame(codec, f));
                av_frame_unref(f);
                write();
            }
        } finally {
            av_frame_free(f);
        }
    }

    private void write() throws IOException {
        while (avcodec_receive_packet(codec, packet) >= 0) {
            if (packet.duration() == 0) {
                packet.duration(1);
            }
            av_packet_rescale_ts(packet, codec.time_base(), stream.time_base());
            packet.stream_index(stream.index());
            FilterChain.check(av_interleaved_write_frame(format, packet));
        }
    }

    @Override
    public void close() throws IOException {
        try {
            chain.push(0, null);
            encode();
            avcodec_send_frame(codec, (AVFrame) null);
            write();
            if (sound != null) {
                sound.end();
            }
            FilterChain.check(av_write_trailer(format));
        } finally {
            if (sound != null) {
                sound.close();
            }
            chain.close();
            av_packet_free(packet);
            avcodec_free_context(codec);
            avio_closep(format.pb());
            avformat_free_context(format);
        }
    }
}
