/**
 * Drawings as SVG, in and out. What is read becomes ordinary elements with their place, turn and scale worked into their outlines; what
 * can't be kept is told in a report.
 */
package tundra.core.svg;
