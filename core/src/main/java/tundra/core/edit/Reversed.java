package tundra.core.edit;

import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;
import tundra.core.motion.FamilyEasing;
import tundra.core.motion.PartEasing;
import tundra.core.motion.StepsEasing;

/** Easings played backwards: 1 − f(1 − p). A spring has no backwards form among the easings and stays as it is. */
final class Reversed {
    private Reversed() {}

    static Easing of(Easing easing) {
        return switch (easing) {
            case CubicEasing c -> new CubicEasing(1 - c.x2(), 1 - c.y2(), 1 - c.x1(), 1 - c.y1());
            case FamilyEasing f -> new FamilyEasing(f.family(), switch (f.direction()) {
                case IN -> FamilyEasing.Direction.OUT;
                case OUT -> FamilyEasing.Direction.IN;
                case BOTH -> FamilyEasing.Direction.BOTH;
            });
            case StepsEasing s -> new StepsEasing(s.count(), switch (s.jump()) {
                case START -> StepsEasing.Jump.END;
                case END -> StepsEasing.Jump.START;
                case NONE -> StepsEasing.Jump.NONE;
                case BOTH -> StepsEasing.Jump.BOTH;
            });
            case PartEasing p -> of(p.of()).equals(p.of()) ? p : new PartEasing(of(p.of()), 1 - p.to(), 1 - p.from());
            case Easing.Hold h -> new StepsEasing(1, StepsEasing.Jump.START);
            default -> easing;
        };
    }
}
