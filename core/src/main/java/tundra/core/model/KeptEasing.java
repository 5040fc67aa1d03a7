package tundra.core.model;

import tundra.core.motion.Easing;

/** An easing of the piece that is known by a name. */
public record KeptEasing(String name, Easing easing) {}
