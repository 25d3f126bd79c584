package org.squallnote.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;

/** Words by number give the same answers as words by letter, also for sentences cut before a rule was loaded. */
class WordSetTest {

    private static Sentence sentence(String text) {
        return SentenceSplitter.split(text).get(0);
    }

    @Test
    void findsWordsThatWereUnknownWhenTheSentenceWasCut() {
        Sentence before = sentence("The quokka Sleeps");
        WordSet animals = WordSet.of("quokka", "numbat");
        WordValues legs = new WordValues(Map.of("quokka", 2));

        for (Sentence sentence : new Sentence[] {before, sentence("The quokka Sleeps")}) {
            assertThat(animals.has(sentence, 1)).isTrue();
            assertThat(animals.has(sentence, 2)).isFalse();
            assertThat(animals.has(sentence, -1)).isFalse();
            assertThat(animals.has(sentence, 3)).isFalse();
            assertThat(animals.hasAnyOf(sentence)).isTrue();
            assertThat(legs.at(sentence, 1)).isEqualTo(2);
            assertThat(legs.at(sentence, 0)).isEqualTo(WordValues.NONE);
            assertThat(sentence.norm(2)).isEqualTo("sleeps");
        }
    }

    @Test
    void takesWordsInAnyCaseAndPutsSpellingsRight() {
        Sentence sentence = sentence("PLS don’t wait, ÉMILE");

        assertThat(sentence.norm(0)).isEqualTo("please");
        assertThat(WordSet.of("please").has(sentence, 0)).isTrue();
        assertThat(WordSet.of("don't").has(sentence, 1)).isTrue();
        assertThat(sentence.norm(3)).isEqualTo("émile");
    }

    @Test
    void refusesASpellingThatNoRuleCanEverSee() {
        assertThatThrownBy(() -> WordSet.of("pls"))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("please");
    }

    @Test
    void findsFixedWordingsInLowerCaseText() {
        Wordings away = Wordings.listed(org.squallnote.core.message.Nature.class, "away-text.txt");

        assertThat(away.isAnyIn("i am out of the office until monday")).isTrue();
        assertThat(away.isAnyIn("the office is open on monday")).isFalse();
        assertThat(away.countIn("we are closed, i am away, i am away")).isEqualTo(2);
    }
}
