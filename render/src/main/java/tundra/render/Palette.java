package tundra.render;

import static org.bytedeco.ffmpeg.global.avutil.*;

import java.io.IOException;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** The 256 colours that are best for all pictures of a loop: they are shown to it one after the other before the loop is written. */
public final class Palette implements AutoCloseable {
    static final int SIDE = 16;
    private final int width;
    private final int height;
    private final FilterChain chain;
    private AVFrame frame;
    private long next;

    public Palette(int width, int height, int rate, boolean clear) throws IOException {
        this.width = width;
        this.height = height;
        av_log_set_level(AV_LOG_QUIET);
        chain = new FilterChain(FilterChain.source(width, height, rate, "in") + "[in]palettegen=stats_mode=full:reserve_transparent="
                + (clear ? 1 : 0) + ",format=bgra[out];[out]buffersink");
    }

    public void add(int[] argb) throws IOException {
        AVFrame f = VideoWriter.picture(argb, width, height, next++);
        try {
            chain.push(0, f);
        } finally {
            av_frame_free(f);
        }
    }

    /** Ends what is added. */
    AVFrame frame() throws IOException {
        if (frame == null) {
            chain.push(0, null);
            frame = av_frame_alloc();
            if (!chain.pull(frame)) {
                throw new IOException("the pictures have no colours");
            }
            frame.pts(0);
        }
        return frame;
    }

    @Override
    public void close() {
        if (frame != null) {
            av_frame_free(frame);
        }
        chain.close();
    }
}
