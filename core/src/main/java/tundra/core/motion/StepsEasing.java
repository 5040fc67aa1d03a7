package tundra.core.motion;

/** CSS {@code steps(n, jump)} (CSS Easing Functions 2, section 2.4). */
public record StepsEasing(int count, Jump jump) implements Easing {
    /** Where the jumps fall. */
    public enum Jump {
        START("jump-start"), END("jump-end"), NONE("jump-none"), BOTH("jump-both");

        public final String css;

        Jump(String css) {
            this.css = css;
        }
    }

    public StepsEasing {
        if (count < (jump == Jump.NONE ? 2 : 1) || count > 10_000) {
            throw new IllegalArgumentException("steps needs 1 to 10000 steps, and at least 2 with jump-none");
        }
    }

    @Override
    public double at(double p) {
        int jumps = switch (jump) {
            case START, END -> count;
            case NONE -> count - 1;
            case BOTH -> count + 1;
        };
        double step = Math.floor(p * count + 1e-9);
        if (jump == Jump.START || jump == Jump.BOTH) {
            step += 1;
        }
        return Math.max(0, Math.min(jumps, step)) / jumps;
    }

    @Override
    public String text() {
        return "steps(" + count + ", " + jump.css + ")";
    }
}
