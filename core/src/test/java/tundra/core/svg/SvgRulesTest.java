package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.file.FileProblem;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Rules of SVG 2 and CSS, one by one: units, transforms, fitting, styles, copies, gradients. */
class SvgRulesTest {
    private static SvgArt text(String svg) throws FileProblem {
        return SvgReader.read("a.svg", svg.getBytes(StandardCharsets.UTF_8), new FakeMeasurer(), (n, d) -> {
            throw new IOException("no picture");
        });
    }

    private static SvgArt read(String body) throws FileProblem {
        return text("<svg xmlns='http://www.w3.org/2000/svg' width='200' height='100'>" + body + "</svg>");
    }

    private static Element first(String body) throws FileProblem {
        return read(body).elements().getFirst();
    }

    private static void box(Element e, double x, double y, double w, double h) {
        Point c = e.rest().get(Properties.POSITION), s = e.rest().get(Properties.SIZE);
        assertThat(new double[] {c.x() - s.x() / 2, c.y() - s.y() / 2, s.x(), s.y()}).containsExactly(new double[] {x, y, w, h}, within(1e-6));
    }

    private static Paint fill(String body) throws FileProblem {
        return first(body).rest().get(Properties.FILL);
    }

    @ParameterizedTest(name = "{0} is {1} px")
    @CsvSource({"10, 10", "10px, 10", "1in, 96", "1cm, 37.795275590551185", "10mm, 37.795275590551185", "40Q, 37.795275590551185", "3pt, 4",
            "2pc, 32",
        "2em, 40", "2ex, 20", "25%, 50", "1e1, 10", "+7.5, 7.5"})
    void lengths(String length, double px) throws Exception {
        box(first("<g font-size='20'><rect width='" + length + "' height='4'/></g>"), 0, 0, px, 4);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "translate(5) | 5 | 0 | 10 | 20", "translate(5, -3) | 5 | -3 | 10 | 20", "scale(2) | 0 | 0 | 20 | 40", "scale(2,0.5) | 0 | 0 | 20 | 10",
        "rotate(90) | -20 | 0 | 20 | 10", "rotate(180 5 10) | 0 | 0 | 10 | 20", "matrix(1 0 0 1 7 8) | 7 | 8 | 10 | 20",
        "skewX(45) | 0 | 0 | 30 | 20",
        "skewY(45) | 0 | 0 | 10 | 30", "translate(100,0) scale(2) | 100 | 0 | 20 | 40", "scale(2) translate(100,0) | 200 | 0 | 20 | 40",
        "scale(-1,1) | -10 | 0 | 10 | 20",
        "'' | 0 | 0 | 10 | 20",
    })
    void transforms(String transform, double x, double y, double w, double h) throws Exception {
        box(first("<path d='M0 0H10V20H0Z' transform='" + transform + "'/>"), x, y, w, h);
    }

    @ParameterizedTest(name = "a square in 200 x 100 with “{0}”")
    @CsvSource({"'', 50, 0, 100, 100", "xMinYMin, 0, 0, 100, 100", "xMaxYMid meet, 100, 0, 100, 100", "none, 0, 0, 200, 100",
            "xMidYMid slice, 0, -50, 200, 200",
        "xMidYMin slice, 0, 0, 200, 200", "xMidYMax slice, 0, -100, 200, 200"})
    void viewBoxesAreFitted(String aspect, double x, double y, double w, double h) throws Exception {
        box(text("<svg xmlns='http://www.w3.org/2000/svg' width='200' height='100' viewBox='-5 -5 10 10' preserveAspectRatio='" + aspect
                + "'><path d='M-5 -5h10v10h-10z'/></svg>").elements().getFirst(), x, y, w, h);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {"#abc | #AABBCC", "#12345678 | #12345678", "rgb(255, 128, 0) | #FF8000", "rgb(0 128 255 / 50%) | #0080FF80",
            "rgb(100%, 50%, 0%) | #FF8000", "rgb(0 0 0 / 1%) | #00000003", "rgba(1,2,3,.5) | #01020380",
        "hsl(120, 100%, 25%) | #008000", "rebeccapurple | #663399", "DarkSlateGray | #2F4F4F", "transparent | #00000000", "none | #00000000",
        "currentColor | #0A141E"})
    void colours(String css, String hex) throws Exception {
        assertThat(fill("<g color='rgb(10,20,30)'><rect width='9' height='9' stroke='red' fill='" + css + "'/></g>")).isEqualTo(Color.parse(hex));
    }

    @Test
    void theStrongerSelectorWinsAndTheStyleAttributeOverAll() throws Exception {
        String sheet = "<style>/* night */ @import 'x.css'; rect, circle { fill: red } g rect.a { fill: green } .a { fill: blue } #one { fill: #112233 } svg > g > .c { fill: #445566 } * { stroke: none }</style>";
        assertThat(fill(sheet + "<rect width='1' height='1'/>")).isEqualTo(Color.parse("#FF0000"));
        assertThat(fill(sheet + "<rect class='b a' width='1' height='1'/>")).isEqualTo(Color.parse("#0000FF"));
        assertThat(fill(sheet + "<g><rect class='a' width='1' height='1'/></g>")).isEqualTo(Color.parse("#008000"));
        assertThat(fill(sheet + "<g><rect id='one' class='a' width='1' height='1'/></g>")).isEqualTo(Color.parse("#112233"));
        assertThat(fill(sheet + "<g><rect class='c' width='1' height='1'/></g>")).isEqualTo(Color.parse("#445566"));
        assertThat(fill(sheet + "<rect id='one' width='1' height='1' style='fill:white'/>")).isEqualTo(Color.WHITE);
        assertThat(fill("<g fill='lime'><rect fill='inherit' width='1' height='1'/></g>")).isEqualTo(Color.parse("#00FF00"));
    }

    @Test
    void whatIsNotShownIsNotBroughtIn() throws Exception {
        var art = read("<g display='none'><rect width='9' height='9'/></g><rect width='9' height='9' visibility='hidden'/><rect width='0' height='9'/>"
                + "<symbol id='s'><rect width='9' height='9'/></symbol><defs><rect width='9' height='9'/></defs><path d=''/><circle r='0'/><rect x='3' width='9' height='9'/>");
        assertThat(art.elements()).hasSize(1);
        box(art.elements().getFirst(), 3, 0, 9, 9);
    }

    @Test
    void aSymbolIsFittedIntoItsUseAndCopiesOfThemselvesEnd() throws Exception {
        var art = read("<symbol id='s' viewBox='0 0 10 10' width='40' height='40'><path d='M0 0H10V10H0Z'/></symbol><use href='#s' x='20' y='30'/>");
        Point c = art.elements().getFirst().rest().get(Properties.POSITION);
        assertThat(c.distance(new Point(40, 50))).isLessThan(1e-6);
        assertThat(read("<g id='a'><use href='#b'/></g><g id='b'><use href='#a'/></g><use href='#nobody'/><use href='other.svg#x'/>").report())
                .anyMatch(l -> l.contains("isn't there")).anyMatch(l -> l.contains("another file"));
    }

    @Test
    void ofASwitchTheFirstThatCanBeShownIs() throws Exception {
        var art = read("<switch><foreignObject/><g systemLanguage='xx'><rect width='1' height='1'/></g><rect x='7' width='5' height='5'/><rect width='2' height='2'/></switch>");
        assertThat(art.elements()).hasSize(1);
        box(art.elements().getFirst(), 7, 0, 5, 5);
    }

    @Test
    void aNestedDrawingHasItsOwnCoordinatesAndCutsWhatReachesOut() throws Exception {
        box(first("<svg x='10' y='20' width='50' height='50' viewBox='0 0 5 5'><path d='M1 1H2V3H1Z'/></svg>"), 20, 30, 10, 20);
        Element cut = first("<svg x='10' y='20' width='50' height='50'><rect x='-10' width='100' height='20'/><rect width='5' height='5'/></svg>");
        assertThat(((Content.Group) cut.content()).clip().bounds().width()).isCloseTo(50, within(1e-9));
        Element open = first("<svg overflow='visible' width='50' height='50'><rect x='-10' width='100' height='20'/><rect width='5' height='5'/></svg>");
        assertThat(((Content.Group) open.content()).clip()).isNull();
    }

    @Test
    void gradientsWithOneStopNoneOrNoSize() throws Exception {
        assertThat(fill("<linearGradient id='g'><stop stop-color='teal'/></linearGradient><rect width='9' height='9' fill='url(#g)'/>"))
                .isEqualTo(Color.parse("#008080"));
        assertThat(fill("<linearGradient id='g'/><rect width='9' height='9' stroke='red' fill='url(#g)'/>")).isEqualTo(Color.NONE);
        assertThat(fill("<radialGradient id='g' r='0'><stop stop-color='red'/><stop offset='1' stop-color='teal'/></radialGradient><rect width='9' height='9' fill='url(#g)'/>"))
                .isEqualTo(Color.parse("#008080"));
    }

    @Test
    void gradientsGoByTheirTransformTheirSpreadAndRisingStops() throws Exception {
        var g = (Gradient) fill("<linearGradient id='g' spreadMethod='reflect' gradientTransform='rotate(90)'><stop stop-color='red'/><stop offset='.7' stop-color='lime'/>"
                + "<stop offset='.2' stop-color='blue' stop-opacity='25%'/></linearGradient><rect x='10' y='10' width='40' height='20' fill='url(#g)' fill-opacity='.5'/>");
        // from (0, 0) to (1, 0), turned about the origin of the box: downwards along its left side
        assertThat(g.start().distance(Point.ZERO)).isLessThan(1e-9);
        assertThat(g.end().distance(new Point(0, 1))).isLessThan(1e-9);
        assertThat(g.spread()).isEqualTo(Gradient.Spread.REFLECT);
        assertThat(g.stops()).extracting(Gradient.Stop::at).as("never back").containsExactly(0.0, 0.7, 0.7);
        assertThat(g.stops()).extracting(s -> s.color().alpha()).containsExactly(128, 128, 32);
    }

    @ParameterizedTest(name = "{0} is “{1}”")
    @CsvSource({"id='Snow_ridge', Snow ridge", "id='path1234-5', Rectangle", "id='hut', hut", "'', Rectangle"})
    void namesComeFromIdsThatAPersonGave(String attribute, String name) throws Exception {
        assertThat(first("<rect width='9' height='9' " + attribute + "/>").name()).isEqualTo(name);
        assertThat(first("<rect width='9' height='9' " + attribute + "><title> The  hut </title></rect>").name()).isEqualTo("The hut");
    }

    @Test
    void aDrawingLargerThanTheCanvasIsMadeSmallerAndNamesStayFree() throws Exception {
        Board board = new Board(new Point(100, 100), Values.NONE, List.of(new Element("Hut", new Content.Rectangle(), Values.NONE)), List.of(),
                List.of());
        var placed = ArtPlacing.add(board, read("<rect id='Hut' width='200' height='100'/><rect id='Hut' width='1' height='1'/>"), "Hut");
        Element added = placed.board().find(placed.id());
        assertThat(added.rest().get(Properties.SCALE)).isEqualTo(new Point(0.5, 0.5));
        assertThat(added.rest().get(Properties.POSITION)).isEqualTo(new Point(50, 50));
        assertThat(added.name()).isNotEqualTo("Hut");
        assertThat(added.children()).extracting(Element::name).doesNotHaveDuplicates().doesNotContain("Hut", added.name());
        Project p = ArtPlacing.project(
                text("<svg xmlns='http://www.w3.org/2000/svg' width='16384' height='4096'><rect width='9' height='9'/></svg>"), "Huge", 24);
        assertThat(p.scenes().getFirst().board().size()).isEqualTo(new Point(8192, 2048));
        Rect all = new FrameBuilder(p.scenes().getFirst().board(), new FakeMeasurer()).at(0).nodes().getFirst().inked();
        assertThat(all.width()).isCloseTo(9, within(1e-9));
    }
}
