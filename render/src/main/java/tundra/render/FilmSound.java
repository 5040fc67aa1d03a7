package tundra.render;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import tundra.core.frame.AudibleSounds;
import tundra.core.model.Asset;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Timeline;

/** What is heard of the scenes of a film: the sounds of the timelines that start by themselves and of the motifs that run, mixed together. */
final class FilmSound implements Sounding {
    private final List<Shot> shots;
    private final List<List<SoundMix.Voice>> voices = new ArrayList<>();

    private FilmSound(List<Shot> shots) {
        this.shots = shots;
    }

    /** Null where nothing is heard. */
    static FilmSound of(Project p, List<Shot> shots) {
        var out = new FilmSound(shots);
        Map<String, float[]> decoded = new HashMap<>();
        for (Shot s : shots) {
            var here = new ArrayList<SoundMix.Voice>();
            var ofMotifs = new HashSet<PlacedSound>();
            for (Timeline t : s.board().timelines()) {
                if (t.starts() && t.scroll() == null) {
                    for (PlacedSound x : AudibleSounds.on(p, s.board(), t)) {
                        if (!t.sounds().contains(x) && !ofMotifs.add(x)) {
                            // a motif with a clock of its own is heard with whatever plays, once
                            continue;
                        }
                        float[] samples = decoded.computeIfAbsent(x.asset(), h -> decode(p.assets().get(h)));
                        here.addAll(SoundMix.rounds(SoundMix.Voice.of(samples, x, t.duration()), t, s.from() + s.length()));
                    }
                }
            }
            out.voices.add(here);
        }
        return out.voices.stream().allMatch(List::isEmpty) ? null : out;
    }

    static float[] decode(Asset a) {
        try {
            return a == null ? new float[0] : SoundReader.decode(a.name(), a.data());
        } catch (IOException | UncheckedIOException e) {
            // it was checked when it was brought in; what is damaged since is silence
            return new float[0];
        }
    }

    @Override
    public float[] of(int picture, int rate) {
        long first = Sounding.first(picture, rate);
        int count = (int) (Sounding.first(picture + 1, rate) - first);
        float[] sum = new float[2 * count];
        long time = first * 1_000_000 / SoundReader.RATE;
        int at = 0;
        long begin = 0;
        while (at + 1 < shots.size() && time >= begin + shots.get(at).length()) {
            begin += shots.get(at++).length();
        }
        long into = first - Math.round(begin * (double) SoundReader.RATE / 1e6) + Math.round(shots.get(at).from() * (double) SoundReader.RATE / 1e6);
        for (SoundMix.Voice v : voices.get(at)) {
            SoundMix.add(v, into, count, sum);
        }
        for (int i = 0; i < sum.length; i++) {
            sum[i] = Math.max(-1, Math.min(1, sum[i]));
        }
        return sum;
    }
}
