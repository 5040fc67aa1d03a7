package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.w3c.dom.Node;
import tundra.core.draw.Combine;
import tundra.core.file.FileProblem;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Rect;
import tundra.core.model.Element;

/** What clips an element of an SVG drawing: clip paths and what they hold, as one outline. */
final class ClipReader {
    /** Above so many segments an outline is not cut up by exact geometry. */
    static final int EXACT = 600;
    private final SvgReader reader;

    ClipReader(SvgReader reader) {
        this.reader = reader;
    }

    Outline clipOutline(org.w3c.dom.Element clip, Affine ctm, Rect box, int depth) throws FileProblem {
        Affine m = ctm.times(SvgText.transform(clip.getAttribute("transform")));
        if (clip.getAttribute("clipPathUnits").equals("objectBoundingBox")) {
            m = new Affine(box.width(), 0, 0, box.height(), box.x(), box.y());
        }
        var parts = new ArrayList<Outline>();
        clipParts(clip, m, reader.style.of(clip, Map.of()), parts, 0);
        reader.budget.time();
        if (parts.isEmpty()) {
            return null;
        }
        Outline all = parts.getFirst();
        if (parts.size() > 1) {
            int segments = parts.stream().mapToInt(o -> o.segments().size()).sum();
            all = segments <= EXACT ? Combine.of(Combine.Operation.UNION, parts)
                    : new Outline(parts.stream().flatMap(o -> o.contours().stream()).toList());
        }
        org.w3c.dom.Element further = reader.reference(clip.getAttribute("clip-path"));
        if (further != null && further != clip && depth < 4 && all.segments().size() <= EXACT) {
            Outline o = clipOutline(further, ctm, box, depth + 1);
            all = o == null ? all : Combine.of(Combine.Operation.INTERSECT, List.of(all, o));
        }
        return all.contours().isEmpty() ? null : all;
    }

    private void clipParts(org.w3c.dom.Element parent, Affine ctm, Map<String, String> parentCss, List<Outline> out, int depth) throws FileProblem {
        for (Node n = parent.getFirstChild(); n != null && depth < 8; n = n.getNextSibling()) {
            if (n instanceof org.w3c.dom.Element e) {
                clipPart(e, ctm, reader.style.of(e, parentCss), out, depth);
            }
        }
    }

    private void clipPart(org.w3c.dom.Element e, Affine outer, Map<String, String> css, List<Outline> out, int depth) throws FileProblem {
        reader.budget.visit();
        if ("none".equals(css.get("display"))) {
            return;
        }
        Affine m = outer.times(SvgText.transform(e.getAttribute("transform")));
        if (Style.name(e).equals("use")) {
            org.w3c.dom.Element of = SvgXml.href(e).startsWith("#") ? reader.ids.get(SvgXml.href(e).substring(1)) : null;
            if (of != null && depth < 8) {
                clipPart(of, m.times(Affine.translate(SvgText.length(e.getAttribute("x"), 0, 1, 16), SvgText.length(e.getAttribute("y"), 0, 1, 16))),
                        reader.style.of(of, css), out, depth + 1);
            }
            return;
        }
        Outline o = SvgShapes.outline(e, reader.viewport, SvgReader.em(css));
        if (o != null && !o.contours().isEmpty()) {
            boolean odd = "evenodd".equals(css.get("clip-rule")) && o.segments().size() <= EXACT;
            out.add((odd ? Combine.fromEvenOdd(o) : o).through(m));
        }
    }
}
