package tundra.render;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.util.Arrays;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

/** The sound of a film that {@link VideoWriter} writes: stereo, 48,000 samples a second. */
final class SoundWriter implements AutoCloseable {
    private static final int BITS = 160_000, BLOCK = 960;
    private final AVFormatContext format;
    private final AVStream stream;
    private final AVCodecContext codec;
    private final AVPacket packet = av_packet_alloc();
    private final boolean planes;
    private final int block;
    /** What does not fill a block yet. */
    private float[] left = new float[0];
    private long next;

    /** To be made before the header of the file is written. */
    SoundWriter(AVFormatContext format, String encoder) throws IOException {
        this.format = format;
        AVCodec found = avcodec_find_encoder_by_name(encoder);
        if (found == null || found.isNull()) {
            throw new IOException("this build has no encoder " + encoder);
        }
        stream = avformat_new_stream(format, found);
        codec = avcodec_alloc_context3(found);
        // the one that the encoders of AAC and Opus take, each in its own order
        planes = encoder.equals("aac");
        codec.sample_fmt(planes ? AV_SAMPLE_FMT_FLTP : AV_SAMPLE_FMT_FLT).sample_rate(SoundReader.RATE).bit_rate(BITS);
        av_channel_layout_default(codec.ch_layout(), 2);
        codec.time_base(new AVRational().num(1).den(SoundReader.RATE));
        if ((format.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
            codec.flags(codec.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
        }
        FilterChain.check(avcodec_open2(codec, found, (AVDictionary) null));
        FilterChain.check(avcodec_parameters_from_context(stream.codecpar(), codec));
        stream.time_base(codec.time_base());
        block = codec.frame_size() > 0 ? codec.frame_size() : BLOCK;
    }

    void add(float[] samples) throws IOException {
        float[] all = Arrays.copyOf(left, left.length + samples.length);
        System.arraycopy(samples, 0, all, left.length, samples.length);
        int at = 0;
        for (; all.length - at >= 2 * block; at += 2 * block) {
            encode(all, at, block);
        }
        left = Arrays.copyOfRange(all, at, all.length);
    }

    /** No more comes. */
    void end() throws IOException {
        if (left.length > 0) {
            encode(left, 0, left.length / 2);
        }
        avcodec_send_frame(codec, (AVFrame) null);
        write();
    }

    private void encode(float[] samples, int at, int count) throws IOException {
        AVFrame f = av_frame_alloc();
        try {
            f.format(codec.sample_fmt()).nb_samples(count).sample_rate(SoundReader.RATE);
            av_channel_layout_default(f.ch_layout(), 2);
            FilterChain.check(av_frame_get_buffer(f, 0));
            for (int side = 0; side < (planes ? 2 : 1); side++) {
                FloatBuffer to = new BytePointer(f.data(side)).capacity((planes ? 4L : 8L) * count).asByteBuffer().order(ByteOrder.nativeOrder())
                        .asFloatBuffer();
                if (planes) {
                    for (int i = 0; i < count; i++) {
                        to.put(i, samples[at + 2 * i + side]);
                    }
                } else {
                    to.put(samples, at, 2 * count);
                }
            }
            f.pts(next);
            next += count;
            FilterChain.check(avcodec_send_frame(codec, f));
        } finally {
            av_frame_free(f);
        }
        write();
    }

    private void write() throws IOException {
        while (avcodec_receive_packet(codec, packet) >= 0) {
            av_packet_rescale_ts(packet, codec.time_base(), stream.time_base());
            packet.stream_index(stream.index());
            FilterChain.check(av_interleaved_write_frame(format, packet));
        }
    }

    @Override
    public void close() {
        av_packet_free(packet);
        avcodec_free_context(codec);
    }
}
