package tundra.core.svg;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.util.HashMap;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.SAXParseException;
import org.xml.sax.helpers.DefaultHandler;
import tundra.core.file.FileProblem;

/** The XML of a drawing, bounded and without a way to other files or the network. */
final class SvgXml {
    private static final int BYTES = 64 << 20;
    private static final int DEPTH = 250;

    private SvgXml() {}

    static Document read(byte[] data) throws FileProblem {
        byte[] plain = data.length > 2 && data[0] == 0x1f && (data[1] & 255) == 0x8b ? unpacked(data) : data;
        if (plain.length > BYTES) {
            throw new FileProblem("it is larger than 64 MB");
        }
        try {
            DocumentBuilder b = builder();
            Document d = b.parse(new ByteArrayInputStream(plain));
            if (!Style.name(d.getDocumentElement()).equals("svg")) {
                throw new FileProblem("it isn't an SVG drawing: it starts with <" + d.getDocumentElement().getTagName() + ">");
            }
            return d;
        } catch (SAXException e) {
            throw new FileProblem(why(e), e);
        } catch (IOException | ParserConfigurationException e) {
            throw new FileProblem("it can't be read: " + e.getMessage(), e);
        }
    }

    private static String why(SAXException e) {
        if (String.valueOf(e.getMessage()).contains("JAXP")) {
            return "it is nested deeper, or holds more, than Tundra reads";
        }
        int line = e instanceof SAXParseException p ? p.getLineNumber() : 0;
        return "its XML is damaged" + (line > 0 ? " near line " + line : "");
    }

    private static DocumentBuilder builder() throws ParserConfigurationException {
        var f = DocumentBuilderFactory.newInstance();
        f.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
        f.setFeature("http://xml.org/sax/features/external-general-entities", false);
        f.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
        f.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
        f.setAttribute("jdk.xml.maxElementDepth", String.valueOf(DEPTH));
        f.setAttribute("jdk.xml.maxGeneralEntitySizeLimit", "1000000");
        f.setAttribute("jdk.xml.elementAttributeLimit", "2000");
        DocumentBuilder b = f.newDocumentBuilder();
        b.setEntityResolver((p, s) -> new InputSource(new StringReader("")));
        b.setErrorHandler(new DefaultHandler());
        return b;
    }

    private static byte[] unpacked(byte[] data) throws FileProblem {
        try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(data))) {
            return in.readNBytes(BYTES + 1);
        } catch (IOException e) {
            throw new FileProblem("its packing is damaged", e);
        }
    }

    /** All elements that have an id; the first of those with the same. */
    static Map<String, Element> ids(Document d) {
        var out = new HashMap<String, Element>();
        collect(d.getDocumentElement(), out);
        return out;
    }

    private static void collect(Element e, Map<String, Element> out) {
        if (e.hasAttribute("id")) {
            out.putIfAbsent(e.getAttribute("id"), e);
        }
        for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof Element c) {
                collect(c, out);
            }
        }
    }

    /** The address that an element refers to; empty when there is none. */
    static String href(Element e) {
        return e.hasAttribute("href") ? e.getAttribute("href").strip() : e.getAttribute("xlink:href").strip();
    }
}
