package tundra.core.edit;

import java.util.List;

/**
 * What scripts can ask of the page. Completion, checks, the docs and the declarations that go with a page read it; the player has it in its {@code
 * PageApi}.
 */
public final class ScriptApi {
    /**
     * One member.
     *
     * @param of {@code page}, {@code element} or {@code timeline}
     * @param signature as in TypeScript
     */
    public record Member(String of, String name, String signature, String about) {}

    public static final List<Member> ALL = List.of(
            new Member("page", "find", "find(name: string): TundraElement", "The element of the scene that is called so."),
            new Member("page", "timeline", "timeline(name: string): TundraTimeline", "The timeline of the scene that is called so."),
            new Member("page", "value", "value(name: string): string | number | boolean", "What a value of the piece is now."),
            new Member("page", "set", "set(name: string, to: string | number | boolean): void", "Sets a value of the piece; reactions to it follow."),
            new Member("page", "open", "open(scene: string): void", "Opens a scene."),
            new Member("page", "say", "say(text: string): void", "Tells something to screen readers."),
            new Member("page", "wait", "wait(ms: number): Promise<void>", "Comes back after so many milliseconds."),
            new Member("page", "scene", "readonly scene: string", "The name of the scene that is open."),
            new Member("element", "show", "show(): void", "Shows it."),
            new Member("element", "hide", "hide(): void", "Hides it."),
            new Member("element", "shown", "readonly shown: boolean", "Whether it is shown."),
            new Member("element", "text", "text: string", "The words of a text."),
            new Member("element", "set",
            "set(look: { opacity?: number; x?: number; y?: number; rotation?: number; scale?: number; fill?: string }, ms?: number): void",
                    "Sets how it looks, at once or over so many milliseconds: x and y in px from where it stands, rotation in degrees."),
            new Member("element", "on", "on(event: string, run: (event: Event) => void): void", "Listens to an event of the browser on it."),
            new Member("timeline", "play", "play(): void", "Goes on."), new Member("timeline", "pause", "pause(): void", "Stands still."),
            new Member("timeline", "playFrom", "playFrom(ms: number | string): void", "Plays from a time in milliseconds, or from a marker."),
            new Member("timeline", "playTo", "playTo(ms: number | string): void", "Plays to a time or a marker and stops there."),
            new Member("timeline", "playBack", "playBack(): void", "Plays backwards."),
            new Member("timeline", "goTo", "goTo(ms: number | string): void", "Shows a time or a marker."),
            new Member("timeline", "setSpeed", "setSpeed(percent: number): void", "Plays faster or slower; 100 is as it was made."),
            new Member("timeline", "time", "readonly time: number", "Where it stands, in milliseconds."),
            new Member("timeline", "playing", "readonly playing: boolean", "Whether it plays."));

    private ScriptApi() {}

    /** The names of the members of something. */
    public static List<String> members(String of) {
        return ALL.stream().filter(m -> m.of.equals(of)).map(Member::name).toList();
    }

    /** Declarations for editing scripts with another program. */
    public static String declarations() {
        var s = new StringBuilder("// What scripts of a Tundra piece can ask of the page.\n");
        for (String of : List.of("page", "element", "timeline")) {
            s.append("interface Tundra").append(Character.toUpperCase(of.charAt(0))).append(of.substring(1)).append(" {\n");
            ALL.stream().filter(m -> m.of.equals(of)).forEach(m -> s.append("  /** ").append(m.about).append(" */\n  ").append(m.signature)
                    .append(";\n"));
            s.append("}\n");
        }
        return s.toString();
    }

    /** The same as tables of Markdown. */
    public static String tables() {
        var s = new StringBuilder();
        for (String of : List.of("page", "element", "timeline")) {
            s.append("\n| ").append(of.equals("page") ? "`page`" : "of `page." + (of.equals("element") ? "find" : "timeline") + "(name)`")
                    .append(" | |\n|---|---|\n");
            ALL.stream().filter(m -> m.of.equals(of)).forEach(m -> s.append("| `").append(m.signature.replace("|", "\\|")).append("` | ")
                    .append(m.about).append(" |\n"));
        }
        return s.append('\n').toString();
    }
}
