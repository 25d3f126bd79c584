package org.squallnote.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.squallnote.core.message.Nature;
import org.squallnote.core.recipe.Conditions.Addressed;

class RecipeRulesTest {

    private static final Conditions.Candidate TILDAS = new Conditions.Candidate(
            "Tilda Brändt",
            "tilda@office.brandt-cranes.example",
            "",
            "",
            "Crane quote\nThe crane's INVOICE no. 7 is attached.",
            Nature.PERSON,
            true,
            false,
            true,
            true);

    private static Conditions sender(String sender) {
        return new Conditions(sender, "", "", "", List.of(), null, null, null, null);
    }

    private static Conditions domain(String domain) {
        return new Conditions("", domain, "", "", List.of(), null, null, null, null);
    }

    private static Conditions words(String... words) {
        return new Conditions("", "", "", "", Arrays.asList(words), null, null, null, null);
    }

    private static Conditions of(Nature nature, Addressed addressed, Boolean files, Boolean asksMe) {
        return new Conditions("", "", "", "", List.of(), nature, addressed, files, asksMe);
    }

    @ParameterizedTest
    @CsvSource({"tilda, true", "BRÄNDT, true", "office.brandt, true", "' tilda ', true", "greta, false"})
    void aSenderIsPartOfTheNameOrTheAddress(String sender, boolean holds) {
        assertThat(sender(sender).hold(TILDAS)).isEqualTo(holds);
    }

    @ParameterizedTest
    @CsvSource({
        "office.brandt-cranes.example, true",
        "brandt-cranes.example, true",
        "@Brandt-Cranes.example, true",
        "cranes.example, false",
        "brandt-cranes.example.evil, false",
    })
    void aDomainIsWholeOrOneAbove(String domain, boolean holds) {
        assertThat(domain(domain).hold(TILDAS)).isEqualTo(holds);
    }

    @ParameterizedTest
    @CsvSource({"invoice, true", "voice, false", "INVOICE NO. 7, true", "crane, true", "cran, false", "'(', false"})
    void oneOfTheWordsStandsWhole(String word, boolean holds) {
        assertThat(words("no such word", word).hold(TILDAS)).isEqualTo(holds);
    }

    @Test
    void whatIsGivenHasToHoldAndWhatIsNotSaysNothing() {
        assertThat(of(Nature.PERSON, Addressed.TO, true, true).hold(TILDAS)).isTrue();
        assertThat(of(Nature.BULK, null, null, null).hold(TILDAS)).isFalse();
        assertThat(of(null, Addressed.CC, null, null).hold(TILDAS)).isFalse();
        assertThat(of(null, null, false, null).hold(TILDAS)).isFalse();
        assertThat(of(null, null, null, false).hold(TILDAS)).isFalse();
        assertThat(new Conditions("tilda", "", "", "!room", List.of(), null, null, null, null).hold(TILDAS))
                .isFalse();
        assertThat(new Conditions("", "", "news@x.example", "", List.of(), null, null, null, null).hold(TILDAS))
                .isFalse();
    }

    @Test
    void emptyWordsAreNoCondition() {
        assertThat(words(" ", "")).isEqualTo(Conditions.NONE);
        assertThat(words(" ").areNone()).isTrue();
        assertThat(words("crane").areNone()).isFalse();
    }

    private static Step step(Step.Kind kind) {
        return new Step(kind, "", 2, null, null, "", UUID.randomUUID(), "Done", "bo@merrowquay.example", "");
    }

    private static Step without(Step.Kind kind) {
        return new Step(kind, "", null, null, null, "", null, " ", "bo", "");
    }

    private static Steps steps(Step.Kind... kinds) {
        return new Steps(Arrays.stream(kinds).map(RecipeRulesTest::step).toList());
    }

    @Test
    void aMessageIsDecidedInOneWay() {
        assertThat(steps(Step.Kind.FOLLOW_UP, Step.Kind.ANSWER, Step.Kind.ARCHIVE)
                        .problem())
                .isEmpty();
        assertThat(steps(Step.Kind.HAND_OVER, Step.Kind.FOLLOW_UP).problem()).isEmpty();
        assertThat(steps(Step.Kind.NOTHING, Step.Kind.MARK_READ, Step.Kind.MOVE).problem())
                .isEmpty();
        assertThat(steps(Step.Kind.NOTHING, Step.Kind.FOLLOW_UP).problem()).isPresent();
        assertThat(steps(Step.Kind.PUT_OFF, Step.Kind.ANSWER).problem()).isPresent();
        assertThat(steps(Step.Kind.PUT_OFF, Step.Kind.NOTHING).problem()).isPresent();
        assertThat(steps(Step.Kind.HAND_OVER, Step.Kind.HAND_OVER).problem()).isPresent();
        assertThat(steps().problem())
                .hasValueSatisfying(text -> assertThat(text).contains("at least one step"));
    }

    @ParameterizedTest
    @CsvSource({
        "ANSWER, saved phrases",
        "HAND_OVER, mail address",
        "PUT_OFF, working days",
        "MOVE, name of a folder",
    })
    void aStepSaysWhatItLacks(Step.Kind kind, String part) {
        assertThat(new Steps(List.of(without(kind))).problem())
                .hasValueSatisfying(text -> assertThat(text).contains(part));
        assertThat(new Steps(List.of(step(kind))).problem()).isEmpty();
    }

    @Test
    void knownFieldsAreFilledAndOthersStay() {
        assertThat(Fields.fill("Dear {name}, by {date}: {unknown} {", Map.of("name", "$1 Tilda\\", "date", "Friday")))
                .isEqualTo("Dear $1 Tilda\\, by Friday: {unknown} {");
    }
}
