package tundra.core.model;

/**
 * What can be said of a kind of block.
 *
 * @param label its name in the interface
 * @param unit what a number counts, such as px, %, ° or s; empty for none
 * @param group under which heading it stands
 */
public record BlockSetting(Slot slot, String label, String unit, String group) {}
