package tundra.render;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swresample.*;

import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avutil.AVChannelLayout;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swresample.SwrContext;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.javacpp.PointerPointer;
import tundra.core.file.FileProblem;
import tundra.core.model.Asset;

/** Brings in sounds and decodes them to one form: 48,000 stereo samples a second as floats, left and right in turn. */
public final class SoundReader {
    public static final int RATE = 48_000;
    /** Half an hour; what is longer is refused, since sounds are decoded in memory. */
    private static final long MOST = 1800L * RATE;
    /** Samples a second of a file; fewer would grow without bound when they are made more. */
    private static final int SLOWEST = 1000, FASTEST = 768_000;

    private SoundReader() {}

    /** The media type of a sound by how its data starts; null for anything else. */
    public static String type(byte[] d) {
        if (starts(d, 0, "RIFF") && starts(d, 8, "WAVE")) {
            return "audio/wav";
        }
        if (starts(d, 0, "OggS")) {
            return "audio/ogg";
        }
        if (starts(d, 0, "fLaC")) {
            return "audio/flac";
        }
        if (starts(d, 4, "ftypM4A")) {
            return "audio/mp4";
        }
        boolean mp3 = starts(d, 0, "ID3") || d.length > 2 && (d[0] & 0xFF) == 0xFF && (d[1] & 0xE6) == 0xE2;
        return mp3 ? "audio/mpeg" : null;
    }

    private static boolean starts(byte[] d, int at, String word) {
        for (int i = 0; i < word.length(); i++) {
            if (d.length <= at + i || d[at + i] != word.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    /** The sound of a file's data, decoded once to be sure that it is whole. Throws a {@link FileProblem} with one sentence. */
    public static Asset read(String name, byte[] data) throws IOException {
        String type = type(data);
        if (type == null) {
            throw problem(name, "Tundra takes WAV, MP3, OGG, FLAC and M4A sounds");
        }
        // counted, not kept
        long duration = samples(name, data, false).frames * 1_000_000L / RATE;
        if (duration == 0) {
            throw problem(name, "it is silent from the start: there is no sound in it");
        }
        return Asset.sound(name, type, duration, data);
    }

    /** The samples of a sound. */
    public static float[] decode(String name, byte[] data) throws IOException {
        return samples(name, data, true).all();
    }

    private static Samples samples(String name, byte[] data, boolean keep) throws IOException {
        Path file = Files.createTempFile("tundra-sound", ".bin");
        try {
            Files.write(file, data);
            return decode(name, file, keep);
        } finally {
            Files.delete(file);
        }
    }

    private static Samples decode(String name, Path file, boolean keep) throws IOException {
        av_log_set_level(AV_LOG_QUIET);
        var format = new AVFormatContext(null);
        AVCodecContext codec = null;
        try (AVPacket packet = av_packet_alloc(); AVFrame frame = av_frame_alloc(); AVChannelLayout layout = new AVChannelLayout();
                SwrContext swr = new SwrContext((Pointer) null)) {
            check(name, avformat_open_input(format, file.toString(), null, (AVDictionary) null));
            check(name, avformat_find_stream_info(format, (PointerPointer<?>) null));
            int stream = check(name, av_find_best_stream(format, AVMEDIA_TYPE_AUDIO, -1, -1, (PointerPointer<?>) null, 0));
            AVCodec decoder = avcodec_find_decoder(format.streams(stream).codecpar().codec_id());
            if (decoder == null || decoder.isNull()) {
                throw problem(name, "its sound is packed in a way that Tundra can't read");
            }
            codec = avcodec_alloc_context3(decoder);
            check(name, avcodec_parameters_to_context(codec, format.streams(stream).codecpar()));
            check(name, avcodec_open2(codec, decoder, (AVDictionary) null));
            if (codec.sample_rate() < SLOWEST || codec.sample_rate() > FASTEST) {
                throw problem(name, "it has " + codec.sample_rate() + " samples a second, and Tundra reads " + SLOWEST + " to " + FASTEST);
            }
            // one channel goes to both sides unchanged; the converter's own mixing would make it quieter
            boolean mono = codec.ch_layout().nb_channels() == 1;
            av_channel_layout_default(layout, mono ? 1 : 2);
            var out = new Samples(mono, keep);
            check(name, swr_alloc_set_opts2(swr, layout, AV_SAMPLE_FMT_FLT, RATE, codec.ch_layout(), codec.sample_fmt(), codec.sample_rate(), 0,
                    null));
            check(name, swr_init(swr));
            while (av_read_frame(format, packet) >= 0) {
                if (packet.stream_index() == stream) {
                    // a broken packet costs its own length of sound, not the file
                    avcodec_send_packet(codec, packet);
                    receive(name, codec, frame, swr, out);
                }
                av_packet_unref(packet);
            }
            avcodec_send_packet(codec, null);
            receive(name, codec, frame, swr, out);
            convert(name, swr, null, 0, out);
            swr_free(swr);
            av_packet_free(packet);
            av_frame_free(frame);
            return out;
        } finally {
            if (codec != null) {
                avcodec_free_context(codec);
            }
            if (!format.isNull()) {
                avformat_close_input(format);
            }
        }
    }

    private static void receive(String name, AVCodecContext codec, AVFrame frame, SwrContext swr, Samples out) throws FileProblem {
        while (avcodec_receive_frame(codec, frame) >= 0) {
            convert(name, swr, frame.extended_data(), frame.nb_samples(), out);
            av_frame_unref(frame);
        }
    }

    private static void convert(String name, SwrContext swr, PointerPointer<?> in, int count, Samples out) throws FileProblem {
        int most = swr_get_out_samples(swr, count);
        if (most <= 0) {
            return;
        }
        try (BytePointer buffer = new BytePointer(most * 8L); PointerPointer<BytePointer> to = new PointerPointer<>(1)) {
            to.put(0, buffer);
            int n = check(name, swr_convert(swr, to, most, in, count));
            out.add(buffer, n);
            if (out.frames > MOST) {
                throw problem(name, "it is longer than half an hour");
            }
        }
    }

    /** Floats that grow, or only their number. */
    private static final class Samples {
        private final boolean mono;
        private final boolean keep;
        private float[] data;
        private long frames;

        Samples(boolean mono, boolean keep) {
            this.mono = mono;
            this.keep = keep;
            this.data = new float[keep ? 1 << 16 : 0];
        }

        private int size() {
            return Math.toIntExact(mono ? frames : 2 * frames);
        }

        void add(BytePointer from, int count) {
            int before = size();
            frames += count;
            if (!keep) {
                return;
            }
            if (size() > data.length) {
                data = Arrays.copyOf(data, Math.max(size(), data.length * 2));
            }
            from.position(0).asByteBuffer().order(ByteOrder.nativeOrder()).asFloatBuffer().get(data, before, size() - before);
        }

        float[] all() {
            if (!mono) {
                return Arrays.copyOf(data, size());
            }
            float[] both = new float[2 * size()];
            for (int i = 0; i < size(); i++) {
                both[2 * i] = data[i];
                both[2 * i + 1] = data[i];
            }
            return both;
        }
    }

    private static int check(String name, int code) throws FileProblem {
        if (code < 0) {
            throw problem(name, "it is not a sound that can be read, or it is damaged or cut short");
        }
        return code;
    }

    private static FileProblem problem(String name, String why) {
        return new FileProblem("“" + name + "” can't be brought in: " + why + ". Nothing was changed.");
    }
}
