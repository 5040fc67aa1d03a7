package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.model.Actions;
import tundra.core.model.Conditions;
import tundra.core.model.Events;
import tundra.core.model.SentenceKind;

/** What people type who don't know Tundra's words finds the sentences that they mean. */
class SentenceWordsTest {
    private static String words(SentenceKind k) {
        return k.sentence().replaceAll("\\{\\w+}", "x");
    }

    private static List<String> found(List<? extends SentenceKind> all, String typed) {
        return all.stream().filter(k -> SentenceWords.finds(typed, words(k), SentenceWords.of(k))).map(SentenceKind::key).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "tapped|click clicked touch button", "tappedTwice|double twice", "over|hover enter", "out|leave exit", "held|long hold",
                "swiped|flick gesture slide", "pinched|zoom fingers", "landed|drop placed fits", "missed|wrong miss",
        "allLanded|solved complete done", "dragStarted|drag grab", "keyPressed|keyboard key letter shortcut", "opened|load start begin",
        "closed|leave exit", "passed|cue time frame passes", "ended|finish finished end complete",
        "scrolledTo|scroll percent", "entered|visible appear view", "became|variable value score becomes", "changed|variable score changes",
        "narrower|resize phone mobile", "wider|desktop large", "after|delay timer seconds", "every|interval repeat"})
    void eventsAreFound(String key, String typed) {
        Arrays.stream(typed.split(" ")).forEach(t -> assertThat(found(Events.ALL, t)).as(t).contains(key));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "play|start resume continue", "pause|pause stop halt freeze", "playFromStart|restart replay", "playBack|reverse backwards rewind",
                "goTo|jump seek frame", "setSpeed|speed fast slow", "show|show appear reveal", "hide|hide disappear invisible",
        "toggleShown|toggle switch", "set|opacity fade colour color rotation scale size move", "changeBy|relative grow turn",
        "toFront|front top above layer", "toBack|back bottom below", "sendHome|home reset parts every", "openScene|scene page screen go",
        "nextScene|next forward", "previousScene|before backward", "back|return history", "openLink|link url web address website tab",
        "call|phone telephone dial", "writeMail|mail email e-mail contact", "playSound|sound music audio noise",
        "pauseSound|sound silence", "stopSound|sound music silence", "setVolume|volume loud quiet mute",
        "setValue|value variable score points assign", "addValue|count increase plus points", "toggleValue|flag yes",
        "randomValue|random dice chance",
        "putText|text write display", "run|script code function javascript", "say|reader accessibility announce", "copyText|copy clipboard",
        "wait|wait delay later timer", "stop|cancel break end"})
    void actionsAreFound(String key, String typed) {
        Arrays.stream(typed.split(" ")).forEach(t -> assertThat(found(Actions.ALL, t)).as(t).contains(key));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"value|variable score number", "shown|visible hidden seen", "plays|playing running", "key|keyboard held",
            "width|phone mobile wide", "motion|reduced accessibility"})
    void conditionsAreFound(String key, String typed) {
        Arrays.stream(typed.split(" ")).forEach(t -> assertThat(found(Conditions.ALL, t)).as(t).contains(key));
    }

    @Test
    void everyKindHasOtherWordsAndSeveralWordsNarrowThemDown() {
        Stream.of(Events.ALL, Conditions.ALL, Actions.ALL).flatMap(List::stream).forEach(k -> assertThat(SentenceWords.of(k)).as(k.key())
                .isNotBlank());
        assertThat(found(Actions.ALL, "pause sound")).containsExactly("pauseSound", "toggleSound", "pauseMedia", "toggleMedia");
        assertThat(found(Actions.ALL, "pause timeline")).containsExactly("pause", "toggle");
        assertThat(found(Actions.ALL, "xylophone")).isEmpty();
    }

    @Test
    void whatBeginsWithTheTypedWordsComesFirst() {
        assertThat(SentenceWords.begins("change", "change Sled by x 10 px")).isTrue();
        assertThat(SentenceWords.begins("change", "set Sled to opacity 50 %")).as("it is called so as well").isFalse();
        assertThat(SentenceWords.begins(" The p", "When the pointer leaves Sled")).isTrue();
    }
}
