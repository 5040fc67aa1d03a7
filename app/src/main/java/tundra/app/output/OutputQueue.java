package tundra.app.output;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.function.BiConsumer;
import tundra.app.job.Jobs;
import tundra.app.job.Troubles;
import tundra.core.file.Fingerprint;
import tundra.core.model.Output;
import tundra.core.model.Project;

/** Makes outputs one after the other, off the interface thread; everything here is called on it. */
public final class OutputQueue {
    /** How far an output is. */
    public enum Stage {
        NONE, WAITS, WORKS, MADE, FAILED, GIVEN_UP
    }

    /**
     * Of one output.
     *
     * @param share how much is done, 0 to 1
     * @param left about how many seconds it takes yet; −1 where that can't be told
     * @param words what was made, or why it could not be
     */
    public record State(Stage stage, double share, long left, String words) {
        static final State NONE = new State(Stage.NONE, 0, -1, "");
    }

    /** What is made, and when it was: the piece is the one of the moment it was asked for. */
    public record Finished(Project project, Output output, Made made, String fingerprint) {}

    private record Task(Project project, Output output, Path to) {}

    /** Before so much is done nothing is said of the time left. */
    private static final double TOLD = 0.04;
    private final Jobs jobs;
    private final BiConsumer<Finished, Integer> finished;
    private final Deque<Task> waiting = new ArrayDeque<>();
    private final Map<String, State> states = new HashMap<>();
    private final List<Runnable> listeners = new ArrayList<>();
    private Task running;
    private Runnable giveUp = () -> { };
    private int together;

    /** @param finished gets each that was made, and how many were made since the queue was last empty when it is empty again, 0 before */
    public OutputQueue(Jobs jobs, BiConsumer<Finished, Integer> finished) {
        this.jobs = jobs;
        this.finished = finished;
    }

    public void listen(Runnable listener) {
        listeners.add(listener);
    }

    public State state(String outputId) {
        return states.getOrDefault(outputId, State.NONE);
    }

    public boolean busy() {
        return running != null;
    }

    /** Makes one when those before it are done; one that waits or works already is not made twice. */
    public void add(Project p, Output o, Path to) {
        Stage s = state(o.id()).stage;
        if (s == Stage.WAITS || s == Stage.WORKS) {
            return;
        }
        waiting.add(new Task(p, o, to));
        put(o, new State(Stage.WAITS, 0, -1, ""));
        next();
    }

    /** Gives one up, whether it works or waits; nothing of it is written. */
    public void cancel(String outputId) {
        if (running != null && running.output.id().equals(outputId)) {
            giveUp.run();
        } else if (waiting.removeIf(t -> t.output.id().equals(outputId))) {
            states.put(outputId, new State(Stage.GIVEN_UP, 0, -1, ""));
            tell();
        }
    }

    /** Gives all of them up. */
    public void cancelAll() {
        List.copyOf(waiting).forEach(t -> cancel(t.output.id()));
        if (running != null) {
            giveUp.run();
        }
    }

    /** What is known of outputs of another piece is forgotten. */
    public void clear() {
        cancelAll();
        states.clear();
        tell();
    }

    private void put(Output o, State s) {
        states.put(o.id(), s);
        tell();
    }

    private void tell() {
        List.copyOf(listeners).forEach(Runnable::run);
    }

    private record Ended(Made made, String fingerprint, String problem) {}

    private void next() {
        if (running != null || waiting.isEmpty()) {
            return;
        }
        Task t = waiting.remove();
        running = t;
        long began = System.nanoTime();
        put(t.output, new State(Stage.WORKS, 0, -1, ""));
        giveUp = jobs.start(progress -> {
            try {
                Made made = Makers.make(t.project, t.output, t.to, false, progress);
                return new Ended(made, Fingerprint.of(Fingerprint.of(t.project), t.output), null);
            } catch (CancellationException e) {
                throw e;
            } catch (Exception e) {
                return new Ended(null, null, Troubles.sentence(e));
            }
        }, share -> {
            double seconds = (System.nanoTime() - began) / 1e9;
            put(t.output, new State(Stage.WORKS, share, share < TOLD ? -1 : Math.round(seconds * (1 - share) / share), ""));
        }, ended -> {
            running = null;
            together++;
            boolean last = waiting.isEmpty();
            if (ended.problem != null) {
                together--;
                put(t.output, new State(Stage.FAILED, 0, -1, ended.problem));
            } else {
                put(t.output, new State(Stage.MADE, 1, 0, ended.made.words()));
                finished.accept(new Finished(t.project, t.output, ended.made, ended.fingerprint), last ? together : 0);
            }
            together = last ? 0 : together;
            next();
        }, () -> {
            running = null;
            put(t.output, new State(Stage.GIVEN_UP, 0, -1, ""));
            next();
        });
    }
}
