package tundra.render;

import static org.bytedeco.ffmpeg.global.avfilter.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.ffmpeg.avfilter.AVFilterContext;
import org.bytedeco.ffmpeg.avfilter.AVFilterGraph;
import org.bytedeco.ffmpeg.avfilter.AVFilterInOut;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Pictures through FFmpeg's filters. One thread at a time. */
final class FilterChain implements AutoCloseable {
    private final AVFilterGraph graph = avfilter_graph_alloc();
    private final List<AVFilterContext> in = new ArrayList<>();
    private AVFilterContext out;

    /**
     * @param chain with its sources and its sink, which are found by what they are
     */
    FilterChain(String chain) throws IOException {
        AVFilterInOut open = new AVFilterInOut(null), left = new AVFilterInOut(null);
        check(avfilter_graph_parse2(graph, chain, open, left));
        avfilter_inout_free(open);
        avfilter_inout_free(left);
        check(avfilter_graph_config(graph, null));
        for (int i = 0; i < graph.nb_filters(); i++) {
            AVFilterContext f = graph.filters(i);
            switch (f.filter().name().getString()) {
                case "buffer" -> in.add(f);
                case "buffersink" -> out = f;
                default -> { }
            }
        }
    }

    /** A source of straight BGRA pictures. */
    static String source(int width, int height, int rate, String name) {
        return "buffer=video_size=" + width + "x" + height + ":pix_fmt=bgra:time_base=1/" + rate + ":frame_rate=" + rate
                + ":pixel_aspect=1/1:colorspace=gbr:range=pc[" + name + "];";
    }

    /** @param frame stays the caller's; null where no more come */
    void push(int source, AVFrame frame) throws IOException {
        check(av_buffersrc_add_frame_flags(in.get(source), frame, AV_BUFFERSRC_FLAG_KEEP_REF));
    }

    /** Whether there was one more picture, which the caller unrefs. */
    boolean pull(AVFrame into) throws IOException {
        int code = av_buffersink_get_frame(out, into);
        if (code == AVERROR_EOF || code == AVERROR_EAGAIN()) {
            return false;
        }
        check(code);
        return true;
    }

    static void check(int code) throws IOException {
        if (code < 0) {
            byte[] words = new byte[200];
            av_strerror(code, words, words.length);
            throw new IOException("the pictures can't be packed: " + new String(words, StandardCharsets.UTF_8).split("\0")[0]);
        }
    }

    @Override
    public void close() {
        avfilter_graph_free(graph);
    }
}
