package tundra.web;

import tundra.core.geometry.Point;

/**
 * How an element is marked up: an outer HTML box that moves, for some an inner one that its pivot shifts, and the shape in it.
 *
 * @param outer the id that place, rotation, scale and opacity go to
 * @param inner the id of the inner box; null when the outer one is the box itself
 * @param shape the id of what is painted; null for a group
 * @param shift what to take off the position, in px; zero when an inner box does it
 * @param size at rest, in px
 */
record Boxed(String outer, String inner, String shape, Point shift, Point size) {}
