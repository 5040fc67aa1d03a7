package tundra.core.check;

import java.util.Locale;

/** What is looked for. */
public enum Check {
    BLANK("Blank frame", "A short gap between drawings, which is seen as a flash."),
    REPEATED("Left over", "The same art twice in one place, or a drawing that repeats the one before."),
    SIZE("Size jump", "The area of a drawing differs much from that of the one before."),
    LOOP("Loop ends", "The end of a loop differs more from its start than any two neighbours do."),
    UNSEEN("Never shown", "A drawing that no frame shows."),
    FONT("Font missing", "A text in a font that the piece doesn't have, or a font that can't be read."),
    UNPAINTED("Not painted", "A gradient so small, large or skewed that it can't be painted; its last colour stands in for it."),
    UNSEEN_MOTIF("Motif cut short", "A motif in step with a timeline that ends before it does."),
    HEAVY("Heavy for visitors", "A motif that takes much memory on a visitor's machine and could be a series of pictures."),
    BUSY("Never rests", "A loop that never ends and keeps a visitor's processor busy."),
    SEAM("Halts in its loop", "Something that goes on in one direction for ever, but slows down where its loop begins anew."),
    DEAD("Never happens", "A reaction that nothing can set off, or something to drag that nobody can."),
    ALREADY("Plays already", "An action that plays what plays without it."),
    COVERED("Covered", "Something that can be tapped or dragged, beneath something else that catches the pointer."),
    SMALL("Hard to hit", "A place to tap that is less than 24 px wide or high."),
    MOUSE_ONLY("Not by keyboard", "A reaction that nobody can set off from the keyboard."),
    UNREACHABLE("No way to it", "A scene that nothing opens."),
    DEAD_END("No way on", "A scene that nothing leads out of."),
    EMPTY("Shows nothing", "A block that was not filled."),
    HELD_BACK("Held back by browsers", "A video or sound that starts by itself."),
    OTHER_HOST("Asks another host", "A part of the page that makes visitors known to another host."),
    NAMELESS("Without words", "A place to tap that screen readers would call by the name that it was drawn with."),
    FLASHES("Flashes", "A large part of the picture becomes light and dark, or red, more than three times in a second.", Severity.WRONG),
    CONTRAST("Faint words", "A text that differs too little from what is behind it.", Severity.WRONG),
    LETTERS("Letters missing", "A text with letters that its font doesn't have."),
    CUT_TEXT("Cut words", "A text that goes over the edge of the canvas, in one of the layouts."),
    OPEN_LOOP("Doesn't close", "A loop whose end looks otherwise than its start."),
    NEVER_STILL("Can't be paused", "Something that moves by itself for more than five seconds, with no way to pause it.", Severity.HINT),
    UNASKED_SOUND("Sound unasked", "A sound of more than three seconds that starts by itself, with no way to stop it.", Severity.WRONG),
    NOT_SEEN("Never seen", "An element that nothing ever brings onto the canvas.", Severity.HINT),
    LARGE_PICTURE("Larger than shown", "A picture with many more pixels than any screen shows of it.", Severity.HINT),
    UNDESCRIBED("Without description", "A picture that screen readers would call by the name of its file."),
    ORDER("Order of reading", "Places to tap that the keyboard comes to in an order that nobody expects.", Severity.HINT),
    TOO_HEAVY("Too heavy for a phone", "A scene with more pictures or parts than small machines show without waiting.");

    /** How much it matters. */
    public enum Severity {
        WRONG("wrong"), LOOK("to look at"), HINT("could be better");

        public final String words;

        Severity(String words) {
            this.words = words;
        }
    }

    public final String title;
    public final String about;
    public final Severity severity;

    Check(String title, String about) {
        this(title, about, Severity.LOOK);
    }

    Check(String title, String about, Severity severity) {
        this.title = title;
        this.about = about;
        this.severity = severity;
    }

    /** Its name in files and on the command line. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
