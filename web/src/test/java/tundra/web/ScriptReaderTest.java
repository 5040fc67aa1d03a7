package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ScriptReaderTest {
    @ParameterizedTest
    @ValueSource(strings = {"export function f(page) { return 1; }",
            "async function f() { for await (const x of y) { x?.a ?? 5n; } } class A { #p = 1; static {} }",
            "const r = /[/]\\/\"/g, t = `a${1 + `b`}`;",
            "", "// nothing\n"})
    void whatBrowsersReadIsRead(String source) {
        assertThat(ScriptReader.problem(source)).isNull();
    }

    @Test
    void whatCantBeReadIsToldWithItsLine() {
        assertThat(ScriptReader.problem("export function f(page) {\n  let b = = 3;\n}").line()).isEqualTo(2);
        assertThat(ScriptReader.problem("function f( {").line()).isEqualTo(1);
        assertThat(ScriptReader.problem("function f() {\n").text()).isEqualTo("'}' expected");
    }

    @Test
    void longStringsAndDeepNestingEndNothing() {
        assertThat(ScriptReader.problem("let a = \"" + "x".repeat(200_000) + "\";")).isNull();
        assertThat(ScriptReader.problem("(".repeat(20_000) + "1" + ")".repeat(20_000))).isNotNull();
        assertThat(ScriptReader.guarded("[".repeat(20_000), "deep")).hasSize(20_000);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "while (a) {b()}            | while (a) {tundraLoop(\"s\",1);b()}",
        "while (a) b();             | while (a) {tundraLoop(\"s\",1);b();}",
        "while (1);                 | while (1){tundraLoop(\"s\",1);;}",
        "do { x++ } while (a)       | do {tundraLoop(\"s\",1); x++ } while (a)",
        "for (;;) for (x of y) z()  | for (;;) {tundraLoop(\"s\",1);for (x of y) {tundraLoop(\"s\",1);z()}}",
        "for (x in y) {}            | for (x in y) {tundraLoop(\"s\",1);}",
        "if (a) for (;;) b(); else c() | if (a) for (;;) {tundraLoop(\"s\",1);b();} else c()",
        "a = '{ while (1) {} }'     | a = '{ while (1) {} }'"})
    void loopsAreCounted(String source, String guarded) {
        assertThat(ScriptReader.guarded(source, "s")).isEqualTo(guarded);
        assertThat(ScriptReader.problem(ScriptReader.guarded(source, "s"))).isNull();
    }
}
