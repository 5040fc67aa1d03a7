package tundra.render;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.*;

import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import java.io.IOException;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.javacpp.PointerPointer;
import tundra.core.file.FileProblem;

/** The pictures of one video file, decoded as they are asked for. One thread at a time. */
final class VideoFrames implements AutoCloseable {
    /** Beyond this it is quicker to jump than to decode what lies between, in µs. */
    private static final long NEAR = 1_500_000;
    /** From this height on a picture is high definition. */
    private static final int HD = 720;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame frame = av_frame_alloc(), seen = av_frame_alloc();
    private final AVCodecContext codec;
    private final AVStream stream;
    private final int index;
    private final long begin;
    private SwsContext scale;
    /** When the picture in {@code seen} begins, and the one after it, in µs; -1 for none. */
    private long from = -1;
    private long next = -1;
    private boolean ended;

    /** @throws FileProblem with a clause that says what is wrong */
    VideoFrames(Path file) throws IOException {
        av_log_set_level(AV_LOG_QUIET);
        try {
            check(avformat_open_input(format, file.toString(), null, (AVDictionary) null));
            check(avformat_find_stream_info(format, (PointerPointer<?>) null));
            index = check(av_find_best_stream(format, AVMEDIA_TYPE_VIDEO, -1, -1, (PointerPointer<?>) null, 0));
            stream = format.streams(index);
            // its own decoder of AV1 needs a graphics card
            AVCodec decoder = stream.codecpar().codec_id() == AV_CODEC_ID_AV1 ? avcodec_find_decoder_by_name("libdav1d")
                    : avcodec_find_decoder(stream.codecpar().codec_id());
            if (decoder == null || decoder.isNull()) {
                decoder = avcodec_find_decoder(stream.codecpar().codec_id());
            }
            if (decoder == null || decoder.isNull()) {
                throw new FileProblem("it is packed in a way that Tundra can't read");
            }
            codec = avcodec_alloc_context3(decoder);
            check(avcodec_parameters_to_context(codec, stream.codecpar()));
            codec.thread_count(2);
            check(avcodec_open2(codec, decoder, (AVDictionary) null));
            begin = stream.start_time() == AV_NOPTS_VALUE ? 0 : micros(stream.start_time());
        } catch (IOException | RuntimeException e) {
            if (!format.isNull()) {
                avformat_close_input(format);
            }
            throw e;
        }
    }

    int width() {
        return stream.codecpar().width();
    }

    int height() {
        return stream.codecpar().height();
    }

    /** In µs; 0 where it isn't known. */
    long duration() {
        return stream.duration() > 0 ? micros(stream.duration()) : format.duration() > 0 ? format.duration() : 0;
    }

    String codec() {
        return avcodec_get_name(stream.codecpar().codec_id()).getString();
    }

    private long micros(long ticks) {
        return Math.round(ticks * 1e6 * stream.time_base().num() / stream.time_base().den());
    }

    /** The picture that is seen at a time, in µs; the last one at and beyond the end. Null when there is none. */
    Image at(long time) {
        long t = Math.max(0, time);
        if (from < 0 || t < from || !ended && t > Math.max(from, next) + NEAR) {
            jump(t);
        }
        while (!ended && (from < 0 || next < 0 || next <= t)) {
            step();
        }
        return from < 0 ? null : image();
    }

    private void jump(long time) {
        long ticks = Math.round((time + begin) / 1e6 * stream.time_base().den() / stream.time_base().num());
        avformat_seek_file(format, index, Long.MIN_VALUE, ticks, ticks, 0);
        avcodec_flush_buffers(codec);
        ended = false;
        from = -1;
        next = -1;
        av_frame_unref(frame);
        av_frame_unref(seen);
    }

    /** The picture that was next is the one that is seen, and another one is next. */
    private void step() {
        if (next >= 0) {
            av_frame_unref(seen);
            av_frame_move_ref(seen, frame);
            from = next;
        }
        while (true) {
            int got = avcodec_receive_frame(codec, frame);
            if (got >= 0) {
                long at = Math.max(0, micros(frame.best_effort_timestamp() == AV_NOPTS_VALUE ? 0 : frame.best_effort_timestamp()) - begin);
                boolean first = next < 0;
                next = at;
                if (first) {
                    av_frame_unref(seen);
                    av_frame_ref(seen, frame);
                    from = at;
                }
                return;
            }
            if (got == AVERROR_EOF()) {
                ended = true;
                return;
            }
            int read = av_read_frame(format, packet);
            if (read < 0) {
                avcodec_send_packet(codec, null);
            } else {
                if (packet.stream_index() == index) {
                    avcodec_send_packet(codec, packet);
                }
                av_packet_unref(packet);
            }
        }
    }

    private Image image() {
        int w = seen.width(), h = seen.height();
        scale = sws_getCachedContext(scale, w, h, seen.format(), w, h, AV_PIX_FMT_BGRA, SWS_BILINEAR, null, null, (DoublePointer) null);
        colors(h);
        byte[] pixels = new byte[w * h * 4];
        try (BytePointer to = new BytePointer((long) w * h * 4 + 64); PointerPointer<Pointer> planes = new PointerPointer<>(4); var strides =
                new IntPointer(4)) {
            planes.put(0, to);
            strides.put(0, w * 4);
            sws_scale(scale, seen.data(), seen.linesize(), 0, h, planes, strides);
            to.position(0).get(pixels);
        }
        return Image.makeRasterFromBytes(ImageInfo.makeN32(w, h, ColorAlphaType.UNPREMUL), pixels, w * 4L);
    }

    /** Colours as the file says that they are meant; where it doesn't, as browsers take them by the size of the picture. */
    private void colors(int height) {
        int space = seen.colorspace();
        boolean hd = space == AVCOL_SPC_BT709 || (space == AVCOL_SPC_UNSPECIFIED || space == AVCOL_SPC_RGB) && height >= HD;
        IntPointer of = sws_getCoefficients(hd ? SWS_CS_ITU709 : space == AVCOL_SPC_BT2020_NCL ? SWS_CS_BT2020 : SWS_CS_ITU601);
        sws_setColorspaceDetails(scale, of, seen.color_range() == AVCOL_RANGE_JPEG ? 1 : 0, of, 1, 0, 1 << 16, 1 << 16);
    }

    private static int check(int code) throws FileProblem {
        if (code < 0) {
            throw new FileProblem("it is no video that can be read, or it is damaged or cut short");
        }
        return code;
    }

    @Override
    public void close() {
        sws_freeContext(scale);
        av_frame_free(frame);
        av_frame_free(seen);
        av_packet_free(packet);
        avcodec_free_context(codec);
        avformat_close_input(format);
    }
}
