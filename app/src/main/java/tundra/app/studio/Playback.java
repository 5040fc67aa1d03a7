package tundra.app.studio;

import javafx.animation.AnimationTimer;
import tundra.core.frame.AudibleSounds;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.render.SoundOut;

/** Plays the chosen timeline in real time, frame by frame of the project's rate, with its sounds. */
public final class Playback {
    private final Studio studio;
    private final SoundOut sound = new SoundOut();
    private boolean loop;
    private long startedAt;
    private long from;
    private long lastFrame;
    private long due;
    private long shown;
    private long began;
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
        if (studio.time().playing()) {
            stop();
        } else {
            play();
        }
    }

    /** The stretch that is played: the marked part, else all. */
    private Span part() {
        Timeline t = studio.timeline();
        Span r = t.range();
        return r == null ? new Span(0, Math.max(1, t.duration())) : new Span(r.from(), Math.min(r.to(), Math.max(r.from() + 1, t.duration())));
    }

    public void play() {
        Span p = part();
        from = studio.time().playhead() >= p.to() || studio.time().playhead() < p.from() ? p.from() : studio.time().playhead();
        startedAt = 0;
        due = 0;
        shown = 0;
        lastFrame = -1;
        began = System.nanoTime();
        studio.time().setPlaying(true);
        sound(from);
        timer.start();
    }

    private void sound(long at) {
        sound.play(studio.project(), studio.timeline().withSounds(AudibleSounds.on(studio.project(), studio.board(), studio.timeline())), at);
    }

    public void stop() {
        timer.stop();
        sound.stop();
        if (studio.time().playing()) {
            studio.time().setPlaying(false);
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

    /** Frames that were due since play began, and those of them that were left out because the machine was late. */
    public long framesDue() {
        return due;
    }

    public long framesDropped() {
        return Math.max(0, due - shown);
    }

    /** Frames that are shown each second, measured since play began here. */
    public double framesPerSecond() {
        double seconds = (System.nanoTime() - began) / 1e9;
        return seconds <= 0 ? 0 : shown / seconds;
    }

    /** Why no sound is heard, as one sentence; null when it is, or when there is nothing to hear. */
    public String silent() {
        return sound.silent();
    }

    private void tick(long now) {
        if (startedAt == 0) {
            startedAt = now;
        }
        Span p = part();
        long at = from + (now - startedAt) / 1000;
        if (at >= p.to()) {
            if (!loop && studio.timeline().range() == null) {
                studio.time().seek(p.to());
                stop();
                return;
            }
            long length = p.to() - p.from();
            at = p.from() + (at - p.from()) % length;
            from = at;
            startedAt = now;
            lastFrame = -1;
            sound(at);
        }
        // the frame that is showing, not the nearest one
        long frame = (long) Math.floor(at * (double) studio.project().frameRate() / 1e6 + 1e-6);
        if (frame != lastFrame) {
            due += lastFrame < 0 ? 1 : frame - lastFrame;
            shown++;
            lastFrame = frame;
            studio.time().seek(studio.project().frameTime(frame));
        }
    }
}
