package tundra.render;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.*;

import java.io.IOException;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.javacpp.PointerPointer;

/** Writes pictures one after the other as a video without sound. One thread at a time. */
public final class VideoWriter implements AutoCloseable {
    /** How pictures are packed, by the encoder's name. */
    public static final String VP9 = "libvpx-vp9", H264 = "libopenh264", AV1 = "libaom-av1";
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVCodecContext codec;
    private final AVStream stream;
    private final AVFrame frame = av_frame_alloc();
    private final AVPacket packet = av_packet_alloc();
    private final int width;
    private final int height;
    private SwsContext scale;
    private long next;

    /**
     * @param file its ending, webm or mp4, says how it is laid out
     * @param encoder such as {@link #VP9}
     * @param width even
     * @param height even
     * @param rate pictures a second
     */
    public VideoWriter(Path file, String encoder, int width, int height, int rate, long bitsPerSecond) throws IOException {
        this.width = width;
        this.height = height;
        av_log_set_level(AV_LOG_QUIET);
        AVCodec found = avcodec_find_encoder_by_name(encoder);
        if (found == null || found.isNull()) {
            throw new IOException("this build has no encoder " + encoder);
        }
        check(avformat_alloc_output_context2(format, null, null, file.toString()));
        stream = avformat_new_stream(format, found);
        codec = avcodec_alloc_context3(found);
        codec.width(width).height(height).pix_fmt(AV_PIX_FMT_YUV420P).bit_rate(bitsPerSecond).gop_size(rate);
        codec.time_base(new AVRational().num(1).den(rate));
        codec.framerate(new AVRational().num(rate).den(1));
        codec.colorspace(AVCOL_SPC_BT709).color_range(AVCOL_RANGE_MPEG).color_primaries(AVCOL_PRI_BT709).color_trc(AVCOL_TRC_BT709);
        if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
            codec.flags(codec.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
        }
        var options = new AVDictionary(null);
        av_dict_set(options, "deadline", "realtime", 0);
        av_dict_set(options, "cpu-used", "8", 0);
        check(avcodec_open2(codec, found, options));
        check(avcodec_parameters_from_context(stream.codecpar(), codec));
        stream.time_base(codec.time_base());
        var out = new AVIOContext(null);
        check(avio_open(out, file.toString(), AVIO_FLAG_WRITE));
        format.pb(out);
        check(avformat_write_header(format, (AVDictionary) null));
        frame.format(AV_PIX_FMT_YUV420P).width(width).height(height);
        check(av_frame_get_buffer(frame, 0));
    }

    /** @param argb pixels, row by row */
    public void add(int[] argb) throws IOException {
        check(av_frame_make_writable(frame));
        scale = sws_getCachedContext(scale, width, height, AV_PIX_FMT_BGRA, width, height, AV_PIX_FMT_YUV420P, SWS_BILINEAR, null, null, (DoublePointer) null);
        IntPointer bt709 = sws_getCoefficients(SWS_CS_ITU709);
        sws_setColorspaceDetails(scale, bt709, 1, bt709, 0, 0, 1 << 16, 1 << 16);
        try (BytePointer from = new BytePointer((long) width * height * 4); PointerPointer<Pointer> planes = new PointerPointer<>(4); IntPointer strides = new IntPointer(4)) {
            from.asByteBuffer().order(java.nio.ByteOrder.LITTLE_ENDIAN).asIntBuffer().put(argb);
            planes.put(0, from);
            strides.put(0, width * 4);
            sws_scale(scale, planes, strides, 0, height, frame.data(), frame.linesize());
        }
        frame.pts(next++);
        check(avcodec_send_frame(codec, frame));
        write();
    }

    private void write() throws IOException {
        while (avcodec_receive_packet(codec, packet) >= 0) {
            av_packet_rescale_ts(packet, codec.time_base(), stream.time_base());
            packet.stream_index(stream.index());
            check(av_interleaved_write_frame(format, packet));
        }
    }

    private static void check(int code) throws IOException {
        if (code < 0) {
            throw new IOException("the video can't be written (" + code + ")");
        }
    }

    @Override
    public void close() throws IOException {
        try {
            avcodec_send_frame(codec, (AVFrame) null);
            write();
            check(av_write_trailer(format));
        } finally {
            sws_freeContext(scale);
            av_frame_free(frame);
            av_packet_free(packet);
            avcodec_free_context(codec);
            avio_closep(format.pb());
            avformat_free_context(format);
        }
    }
}
