package tundra.core.model;

/**
 * Something that the checks find and that is meant to be so.
 *
 * @param check the key of what was found
 * @param place the id of the scene or motif
 * @param element the id of what is meant; empty for none
 * @param reason why it is meant to be so, in words of the author
 */
public record Muted(String check, String place, String element, String reason) {}
