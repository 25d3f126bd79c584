package org.squallnote.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.PhraseOrigin;
import org.squallnote.core.text.WordList;
import org.squallnote.core.turn.Stories;

/**
 * Counts how many rules stand in no more than one sentence of all messages and conversations of the tests, their own
 * examples aside: such a rule remembers a sentence rather than knowing how people write.
 */
class RuleUseTest {

    private static final Pattern TEXT = Pattern.compile("\"text\": ?\"((?:[^\"\\\\]|\\\\.)*)\"");

    /** Of a hundred rules so many may. How days are named is not counted: each part of each period is a rule. */
    private static final int MOST_OF_A_HUNDRED = 10;

    private static Stream<String> texts() {
        Stream<String> messages = Stream.of(
                        "labelled-messages.jsonl", "own-messages.jsonl", "other-voices.tsv", "plain-forms.tsv")
                .flatMap(file -> WordList.lines(RuleUseTest.class, file).stream())
                .flatMap(RuleUseTest::textsIn);
        Stream<String> conversations = Stream.of("labelled-threads.jsonl", "stories.txt", "voices.txt", "meetings.txt")
                .flatMap(file -> WordList.lines(Stories.class, file).stream())
                .flatMap(RuleUseTest::textsIn);
        return Stream.concat(messages, conversations);
    }

    /** The texts in a line: values of JSON, the last column, or what stands behind who writes to whom. */
    private static Stream<String> textsIn(String line) {
        if (line.startsWith("{")) {
            Matcher text = TEXT.matcher(line);
            return text.results()
                    .map(found -> found.group(1).replace("\\n", "\n").replace("\\\"", "\""));
        }
        int last = Math.max(line.lastIndexOf('\t'), line.contains(" > ") ? line.indexOf(": ") + 1 : -1);
        return Stream.of(line.substring(last + 1).strip().replace("\\n", "\n"));
    }

    @Test
    void fewRulesServeASingleSentence() {
        Map<String, Set<String>> sentences = new HashMap<>();
        texts().distinct().forEach(text -> {
            MessageToRead message = OtherVoicesTest.message("mm", text);
            for (SeenSentence seen : OtherVoicesTest.READER.sentences(message)) {
                seen.phrases()
                        .forEach(phrase -> note(
                                sentences, phrase.origin().name(), seen.words().foldedIn(text)));
            }
            for (SeenDate date : OtherVoicesTest.READER.dates(message)) {
                note(sentences, date.purpose().id(), text);
                date.beside().ifPresent(rule -> note(sentences, rule.id(), text));
            }
        });
        List<String> all = Stream.concat(
                        ReadingRules.ofWords().stream().map(PhraseOrigin::name),
                        ReadingRules.ofDates().stream().map(Rule::id))
                .distinct()
                .toList();
        List<String> ofOne = all.stream()
                .filter(rule -> sentences.getOrDefault(rule, Set.of()).size() <= 1)
                .toList();
        System.out.println(
                ofOne.size() + " of " + all.size() + " rules stand in at most one sentence of the tests: " + ofOne);
        assertThat(ofOne).hasSizeLessThanOrEqualTo(all.size() * MOST_OF_A_HUNDRED / 100);
    }

    private static void note(Map<String, Set<String>> sentences, String rule, String sentence) {
        sentences.computeIfAbsent(rule, any -> new HashSet<>()).add(sentence);
    }
}
