package tundra.core.file;

import java.util.ArrayList;
import tools.jackson.databind.JsonNode;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Limits;

/** Reads outlines: contours, each a list of nodes of seven numbers. */
final class OutlineReader {
    private OutlineReader() {}

    static Outline read(JsonNode list, Fields f, String field) throws FileProblem {
        if (list == null || !list.isArray()) {
            throw f.problem(field, "should be a list of contours");
        }
        var contours = new ArrayList<Contour>();
        int count = 0;
        for (JsonNode n : list) {
            var c = new Fields(n, "a contour of " + f.where());
            var nodes = new ArrayList<Node>();
            for (JsonNode node : c.list("nodes")) {
                double[] v = c.numbers(node, "nodes", 7, -Limits.LENGTH, Limits.LENGTH);
                nodes.add(new Node(new Point(v[0], v[1]), new Point(v[2], v[3]), new Point(v[4], v[5]), v[6] != 0));
                if (++count > Limits.NODES) {
                    throw new FileProblem("it holds more than " + Limits.NODES + " path nodes");
                }
            }
            contours.add(new Contour(nodes, c.flag("closed")));
        }
        return new Outline(contours);
    }
}
