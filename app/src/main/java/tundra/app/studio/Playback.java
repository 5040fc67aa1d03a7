package tundra.app.studio;

import javafx.animation.AnimationTimer;
import tundra.core.model.Timeline;

/** Plays the chosen timeline in real time, frame by frame of the project's rate. */
public final class Playback {
    private final Studio studio;
    private boolean loop;
    private long startedAt;
    private long from;
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            tick(now);
        }
    };

    public Playback(Studio studio) {
        this.studio = studio;
        studio.listen(what -> {
            if (what.contains(Aspect.SCENE) || what.contains(Aspect.TIMELINE) || what.contains(Aspect.FILE)) {
                loop = studio.timeline().loop();
            }
        });
    }

    public void toggle() {
        if (studio.playing()) {
            stop();
        } else {
            play();
        }
    }

    public void play() {
        from = studio.playhead() >= studio.timeline().duration() ? 0 : studio.playhead();
        startedAt = 0;
        studio.setPlaying(true);
        timer.start();
    }

    public void stop() {
        timer.stop();
        if (studio.playing()) {
            studio.setPlaying(false);
        }
    }

    public boolean loop() {
        return loop;
    }

    /** Whether playing here starts over at the end. The timeline's own loop is a property of the piece. */
    public void setLoop(boolean on) {
        loop = on;
        studio.changed(Aspect.PLAYING);
    }

    private void tick(long now) {
        if (startedAt == 0) {
            startedAt = now;
        }
        Timeline t = studio.timeline();
        long at = from + (now - startedAt) / 1000;
        if (at >= t.duration()) {
            if (!loop) {
                studio.seek(t.duration());
                stop();
                return;
            }
            at %= t.duration();
        }
        // the frame that is showing, not the nearest one
        long frame = (long) Math.floor(at * (double) studio.project().frameRate() / 1e6 + 1e-6);
        studio.seek(studio.project().frameTime(frame));
    }
}
