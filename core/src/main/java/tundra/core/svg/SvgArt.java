package tundra.core.svg;

import java.util.List;
import java.util.Map;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Element;

/**
 * What was read of a drawing.
 *
 * @param size in px
 * @param elements from back to front, in the drawing's own coordinates
 * @param assets the pictures that lay in it, by hash
 * @param report one sentence for each kind of thing that could not be kept; empty when all was
 */
public record SvgArt(String name, Point size, List<Element> elements, Map<String, Asset> assets, List<String> report) {}
