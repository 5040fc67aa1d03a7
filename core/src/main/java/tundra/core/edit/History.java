package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import tundra.core.model.Project;

/** All versions of the project in this run, without limit; they share their structure. Not for several threads. */
public final class History {
    private record Step(String name, Project after, Object merge) {}

    private final List<Step> steps = new ArrayList<>();
    private int now;

    public History(Project start) {
        steps.add(new Step("", start, null));
    }

    public Project project() {
        return steps.get(now).after();
    }

    /**
     * Takes a new version. A step with the same {@code merge} object as the newest one replaces it, so that a whole drag is one
     * step; null never merges. A version equal in identity to the present one is no step.
     */
    public void add(String name, Project after, Object merge) {
        if (after == project()) {
            return;
        }
        steps.subList(now + 1, steps.size()).clear();
        if (merge != null && now > 0 && merge.equals(steps.get(now).merge())) {
            steps.remove(now);
            now--;
        }
        steps.get(now).after.release(after);
        steps.add(new Step(name, after, merge));
        now++;
    }

    /** The name of what undo takes back; null when there is nothing. */
    public String undoName() {
        return now > 0 ? steps.get(now).name() : null;
    }

    public String redoName() {
        return now + 1 < steps.size() ? steps.get(now + 1).name() : null;
    }

    public boolean undo() {
        if (now == 0) {
            return false;
        }
        now--;
        return true;
    }

    public boolean redo() {
        if (now + 1 >= steps.size()) {
            return false;
        }
        now++;
        return true;
    }

    /** A version in the list of all. @param name of the change that made it; empty for the first */
    public record Entry(String name, Project project) {}

    /** How many versions there are, with those that can be gone forward to. */
    public int size() {
        return steps.size();
    }

    /** A version by its place in the order of time, from 0. */
    public Entry entry(int index) {
        Step s = steps.get(index);
        return new Entry(s.name, s.after);
    }

    /** Which of them is the present one. */
    public int at() {
        return now;
    }

    /** Goes to a version; says whether it is another one. */
    public boolean goTo(int index) {
        if (index < 0 || index >= steps.size() || index == now) {
            return false;
        }
        now = index;
        return true;
    }

    /** Makes every version another one, such as one of another id; which step is the present one stays. */
    public void replaceAll(UnaryOperator<Project> change) {
        steps.replaceAll(s -> new Step(s.name, change.apply(s.after), s.merge));
    }

    /** Takes the newest step away for good when it has this merge object: a drag that was given up. */
    public void cancel(Object merge) {
        if (now > 0 && merge.equals(steps.get(now).merge())) {
            steps.subList(now, steps.size()).clear();
            now--;
        }
    }
}
