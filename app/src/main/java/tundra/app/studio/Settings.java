package tundra.app.studio;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import tundra.core.file.SafeReplace;

/** What Tundra remembers between runs: the theme, recent files, the last output folder. Losing it loses no work. */
public final class Settings {
    /** Of everything in the window, in %. */
    public static final List<Integer> TEXT_SIZES = List.of(100, 125, 150, 175, 200);
    private static final int RECENT = 8, RECENT_EASINGS = 4;
    private final Path file;
    private final Properties values = new Properties();
    /** What was changed here since the file was read; other windows change other things in it. */
    private final Set<String> changed = new HashSet<>();
    private Consumer<String> onProblem = words -> { };

    /** From the folder of the system property {@code tundra.config}, else the user's configuration folder. */
    public static Settings load() {
        String own = System.getProperty("tundra.config");
        String xdg = System.getenv("XDG_CONFIG_HOME");
        Path folder = own != null ? Path.of(own)
                : xdg != null && !xdg.isBlank() ? Path.of(xdg, "tundra") : Path.of(System.getProperty("user.home"), ".config", "tundra");
        return new Settings(folder.resolve("settings.properties"));
    }

    Settings(Path file) {
        this.file = file;
        try (var in = Files.newBufferedReader(file)) {
            values.load(in);
        } catch (IOException | IllegalArgumentException e) {
            // nothing remembered yet, or unreadable: start afresh
            values.clear();
        }
    }

    /** Where they lie, with what else Tundra keeps for itself. */
    public Path folder() {
        return file.getParent();
    }

    /** Hears the one sentence of what could not be kept. */
    public void onProblem(Consumer<String> told) {
        onProblem = told;
    }

    public boolean dark() {
        return Boolean.parseBoolean(values.getProperty("dark"));
    }

    public void setDark(boolean dark) {
        put("dark", String.valueOf(dark));
    }

    /** How large everything is, in %; taken at the start. */
    public int textSize() {
        try {
            int percent = Integer.parseInt(values.getProperty("text.size", "100"));
            return TEXT_SIZES.contains(percent) ? percent : 100;
        } catch (NumberFormatException e) {
            return 100;
        }
    }

    public void setTextSize(int percent) {
        put("text.size", String.valueOf(percent));
    }

    /** The code of the language of the window; taken at the start. */
    public String language() {
        return values.getProperty("language", "en");
    }

    public void setLanguage(String code) {
        put("language", code);
    }

    /** The most recent files that are still there, newest first. */
    public List<Path> recent() {
        var out = new ArrayList<Path>();
        for (int i = 0; i < RECENT; i++) {
            String s = values.getProperty("recent." + i);
            if (s != null && Files.exists(Path.of(s))) {
                out.add(Path.of(s));
            }
        }
        return out;
    }

    public void addRecent(Path opened) {
        var list = new ArrayList<>(recent());
        list.remove(opened.toAbsolutePath());
        list.addFirst(opened.toAbsolutePath());
        for (int i = 0; i < RECENT; i++) {
            if (i < list.size()) {
                set("recent." + i, list.get(i).toString());
            } else {
                set("recent." + i, null);
            }
        }
        store();
    }

    /** The folder that a project's outputs are written to; null where none was chosen. */
    public Path outputsFolder(String projectId) {
        String s = values.getProperty("outputs." + projectId);
        return s == null ? null : Path.of(s);
    }

    public void setOutputsFolder(String projectId, Path folder) {
        put("outputs." + projectId, folder.toAbsolutePath().toString());
    }

    /** What is remembered on this machine of an output: where else it goes, when it was made …; null for nothing. */
    public String ofOutput(String what, String projectId, String outputId) {
        return values.getProperty("output." + what + "." + projectId + "." + outputId);
    }

    /** @param value null forgets it */
    public void setOfOutput(String what, String projectId, String outputId, String value) {
        remember("output." + what + "." + projectId + "." + outputId, value);
    }

    /** The key by which an SFTP host was known; null for one that was never met. */
    public String knownHost(String host) {
        return values.getProperty("host." + host);
    }

    public void setKnownHost(String host, String key) {
        put("host." + host, key);
    }

    /** What is remembered of sending a piece: to which place, and when it was sent there last; null for nothing. */
    public String ofSending(String what, String projectId) {
        return values.getProperty("send." + what + "." + projectId);
    }

    public void setOfSending(String what, String projectId, String value) {
        put("send." + what + "." + projectId, value);
    }

    /** Easings that were kept, by their names. */
    public Map<String, String> easings() {
        return all("easing.");
    }

    /** Keeps an easing; null forgets it. */
    public void setEasing(String name, String text) {
        remember("easing." + name, text);
    }

    /** The texts of the easings that were chosen last, the newest first. */
    public List<String> recentEasings() {
        String all = values.getProperty("easings.recent", "");
        return all.isEmpty() ? List.of() : List.of(all.split(";"));
    }

    public void addRecentEasing(String text) {
        var list = new ArrayList<>(recentEasings());
        list.remove(text);
        list.addFirst(text);
        put("easings.recent", String.join(";", list.subList(0, Math.min(RECENT_EASINGS, list.size()))));
    }

    /** What is remembered under names that begin with some letters, by the rest of the names. */
    public Map<String, String> all(String begin) {
        var out = new TreeMap<String, String>();
        values.stringPropertyNames().stream().filter(k -> k.startsWith(begin))
                .forEach(k -> out.put(k.substring(begin.length()), values.getProperty(k)));
        return out;
    }

    /** Remembers something under a name; null forgets it. */
    public void remember(String name, String value) {
        put(name, value);
    }

    /** Whether a property's first key, set later than the start, leaves the time before it as it is. */
    public boolean staysUntilFirstKey() {
        return Boolean.parseBoolean(values.getProperty("first.stays"));
    }

    public void setStaysUntilFirstKey(boolean on) {
        put("first.stays", String.valueOf(on));
    }

    /** A size of the window's parts that was set by hand: of a panel in px, of a divider as a fraction. */
    public double size(String part, double standard) {
        try {
            return Double.parseDouble(values.getProperty("size." + part, String.valueOf(standard)));
        } catch (NumberFormatException e) {
            return standard;
        }
    }

    public void setSize(String part, double size) {
        put("size." + part, String.valueOf(size));
    }

    /** The change of a drawing's area that the checks tell, in %. */
    public int areaJump() {
        try {
            return Math.max(1, Math.min(1000, Integer.parseInt(values.getProperty("check.jump", "25"))));
        } catch (NumberFormatException e) {
            return 25;
        }
    }

    public void setAreaJump(int percent) {
        put("check.jump", String.valueOf(percent));
    }

    /** Null takes it away. */
    private void put(String key, String value) {
        set(key, value);
        store();
    }

    /** Null takes it away. */
    private void set(String key, String value) {
        changed.add(key);
        if (value == null) {
            values.remove(key);
        } else {
            values.setProperty(key, value);
        }
    }

    /** What other windows wrote meanwhile stays. */
    private void takeOthers() {
        var now = new Properties();
        try (var in = Files.newBufferedReader(file)) {
            now.load(in);
        } catch (IOException | IllegalArgumentException e) {
            // nothing that could be taken
            return;
        }
        for (String key : values.stringPropertyNames()) {
            if (!changed.contains(key) && !now.containsKey(key)) {
                values.remove(key);
            }
        }
        now.stringPropertyNames().stream().filter(k -> !changed.contains(k)).forEach(k -> values.setProperty(k, now.getProperty(k)));
    }

    private void store() {
        try {
            Files.createDirectories(file.getParent());
            takeOthers();
            var out = new StringWriter();
            values.store(out, "Tundra");
            SafeReplace.put(file, out.toString());
            changed.clear();
        } catch (IOException e) {
            // not remembered this time; the work itself is not here
            onProblem.accept("What Tundra remembers between runs can't be kept in “" + file.getFileName() + "”: " + e.getMessage()
                    + ". Your work is not touched by this.");
        }
    }
}
