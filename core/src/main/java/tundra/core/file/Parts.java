package tundra.core.file;

import java.util.ArrayList;
import java.util.List;

/** How damaged parts of a file are met: either the whole file is refused, or the part is left out and named. */
final class Parts {
    /** Of what was left out so much is told in words; the rest is counted. */
    private static final int TOLD = 200;
    private final boolean strict;
    private final List<String> leftOut = new ArrayList<>();
    private int more;

    private Parts(boolean strict) {
        this.strict = strict;
    }

    /** The first damaged part refuses the file. */
    static Parts strict() {
        return new Parts(true);
    }

    static Parts lenient() {
        return new Parts(false);
    }

    interface Reading {
        void read() throws FileProblem;
    }

    /** Reads a part that may be left out. What is beyond the limits is never left out: the file is refused. */
    void part(Reading reading) throws FileProblem {
        try {
            reading.read();
        } catch (TooMuch e) {
            throw e;
        } catch (FileProblem e) {
            if (strict) {
                throw e;
            }
            if (leftOut.size() < TOLD) {
                leftOut.add(e.getMessage());
            } else {
                more++;
            }
        }
    }

    /** A sentence for each part that was left out. */
    List<String> leftOut() {
        var out = new ArrayList<>(leftOut);
        if (more > 0) {
            out.add("and " + more + " more");
        }
        return out;
    }

    /** Something is larger than Tundra reads. */
    static final class TooMuch extends FileProblem {
        TooMuch(String words) {
            super(words);
        }
    }
}
