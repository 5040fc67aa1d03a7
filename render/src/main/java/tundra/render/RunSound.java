package tundra.render;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.fit.Run;
import tundra.core.fit.VisitorState;
import tundra.core.frame.Moment;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/** What is heard in a recorded visit: the sounds of the timelines of its scenes while they go on as fast as they were made. */
final class RunSound implements Sounding {
    /** How far a recorded time may lie from where its sound is without a jump, in samples; frames come a little sooner or later. */
    private static final long NEAR = SoundReader.RATE * 40L / 1000;
    private final Project project;
    private final Run run;
    private final Map<String, List<SoundMix.Voice>> voices = new HashMap<>();
    private final Map<String, float[]> decoded = new HashMap<>();
    /** The next sample of each timeline that is heard. */
    private final Map<String, Long> next = new HashMap<>();

    private RunSound(Project project, Run run) {
        this.project = project;
        this.run = run;
    }

    /** Null where no timeline of the piece has a sound. */
    static RunSound of(Project p, Run run) {
        return p.scenes().stream().allMatch(s -> s.board().timelines().stream().allMatch(t -> t.sounds().isEmpty())) ? null : new RunSound(p, run);
    }

    @Override
    public float[] of(int picture, int rate) {
        long first = Sounding.first(picture, rate);
        int count = (int) (Sounding.first(picture + 1, rate) - first);
        float[] sum = new float[2 * count];
        long now = first * 1_000_000 / SoundReader.RATE, step = 1_000_000L / rate;
        VisitorState seen = run.at(now), later = run.at(now + step);
        Set<String> heard = new HashSet<>();
        for (VisitorState.SceneState s : seen.scenes()) {
            Scene scene = project.scene(s.scene());
            for (Moment.Standing t : scene == null ? List.<Moment.Standing>of() : s.moment().standings()) {
                Timeline of = scene.board().timeline(t.timeline());
                if (of == null || of.sounds().isEmpty()) {
                    continue;
                }
                String key = s.scene() + " " + t.timeline();
                long by = time(later, s.scene(), t.timeline()) - t.time();
                // slower, faster, backwards and at rest nothing is heard
                if (by * 2 > step && by < step * 2) {
                    long at = t.time() * SoundReader.RATE / 1_000_000, from = Math.abs(next.getOrDefault(key, Long.MIN_VALUE / 2) - at) < NEAR
                            ? next.get(key) : at;
                    voices(key, of).forEach(v -> SoundMix.add(v, from, count, sum));
                    next.put(key, from + count);
                    heard.add(key);
                }
            }
        }
        next.keySet().retainAll(heard);
        for (int i = 0; i < sum.length; i++) {
            sum[i] = Math.max(-1, Math.min(1, sum[i]));
        }
        return sum;
    }

    private static long time(VisitorState v, String scene, String timeline) {
        return v.scenes().stream().filter(s -> s.scene().equals(scene)).mapToLong(s -> s.moment().timeOf(timeline)).findFirst().orElse(0);
    }

    private List<SoundMix.Voice> voices(String key, Timeline t) {
        return voices.computeIfAbsent(key, k -> t.sounds().stream()
                .map((PlacedSound s) -> SoundMix.Voice.of(decoded.computeIfAbsent(s.asset(), h -> FilmSound.decode(project.assets().get(h))), s,
                t.duration())).toList());
    }
}
