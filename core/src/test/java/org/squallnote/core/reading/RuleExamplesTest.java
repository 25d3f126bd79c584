package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.rule.RuleBook;

/** Each rule decides about its examples, and what it is there for stands in its file. */
class RuleExamplesTest {

    private static final RuleBook PURPOSES = ReadingLanguage.ENGLISH.purposes();
    private static final RuleBook BESIDES = ReadingLanguage.ENGLISH.besides();

    static Stream<String> ids() {
        return ReadingRules.ofDates().stream().map(Rule::id);
    }

    /** All but the one that takes whatever is left. */
    static Stream<String> notLast() {
        return ids().filter(id -> !id.equals("event.else"));
    }

    @ParameterizedTest
    @MethodSource("ids")
    void decidesAboutItsExamples(String id) {
        Rule rule = rule(id);
        assertThat(rule.yes())
                .allSatisfy(example -> assertThat(decided(example, PURPOSES, BESIDES))
                        .as(example)
                        .contains(id));
        assertThat(rule.no())
                .allSatisfy(example -> assertThat(decided(example, PURPOSES, BESIDES))
                        .as(example)
                        .isNotEmpty()
                        .doesNotContain(id));
    }

    /** Without it another rule would say something else of its first example, and that one is named. */
    @ParameterizedTest
    @MethodSource("notLast")
    void isNeededAndNamesTheRuleThatItGoesBefore(String id) {
        Rule rule = rule(id);
        SeenDate with = seen(rule.yes().get(0), PURPOSES, BESIDES).stream()
                .filter(date -> decided(date).contains(id))
                .findFirst()
                .orElseThrow();
        SeenDate without = seen(rule.yes().get(0), PURPOSES.without(id), BESIDES.without(id)).stream()
                .filter(date -> date.words().toExclusive() == with.words().toExclusive())
                .findFirst()
                .orElseThrow();
        boolean beside = with.beside().filter(rule::equals).isPresent();
        String instead = beside
                ? without.beside().map(Rule::id).orElse("")
                : without.purpose().id();
        assertThat(instead).as("over").isEqualTo(rule.over());
        assertThat(gives(without, beside)).as("what it says without").isNotEqualTo(gives(with, beside));
    }

    @Test
    void aDayThatWasNamedBeforeIsSetByThen() {
        Reason then = ReadingRules.ofDatesNamedBefore();
        assertThat(OtherVoicesTest.READER
                        .read(OtherVoicesTest.message("m", then.example()))
                        .replyBy()
                        .map(Deadline::because))
                .contains(then);
    }

    private static String gives(SeenDate date, boolean beside) {
        return beside
                ? date.beside().map(Rule::gives).orElse("")
                : date.purpose().gives();
    }

    private static Rule rule(String id) {
        return ReadingRules.ofDates().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> decided(String example, RuleBook purposes, RuleBook besides) {
        return seen(example, purposes, besides).stream()
                .flatMap(date -> decided(date).stream())
                .toList();
    }

    private static List<String> decided(SeenDate date) {
        return Stream.of(date.passed().stream(), Stream.of(date.purpose()), date.beside().stream())
                .flatMap(rules -> rules)
                .map(Rule::id)
                .toList();
    }

    private static List<SeenDate> seen(String example, RuleBook purposes, RuleBook besides) {
        return OtherVoicesTest.READER.dates(OtherVoicesTest.message("m", example), purposes, besides);
    }
}
