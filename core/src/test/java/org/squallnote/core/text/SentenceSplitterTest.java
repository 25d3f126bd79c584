package org.squallnote.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SentenceSplitterTest {

    private static String words(Sentence sentence) {
        return String.join(
                " ",
                IntStream.range(0, sentence.size()).mapToObj(sentence::norm).toList());
    }

    private static String written(Sentence sentence, String text) {
        return String.join(
                "|",
                IntStream.range(0, sentence.size())
                        .mapToObj(i -> sentence.at(i).span().in(text))
                        .toList());
    }

    /** Rules know them as two words; each points at its own letters. */
    @ParameterizedTest
    @CsvSource(delimiter = '=', textBlock = """
                    Lemme know = let me know          = Lem|me|know
                    gonna send it = going to send it  = gon|na|send|it
                    I wanna come = i want to come     = I|wan|na|come
                    dunno yet = don't know yet        = dun|no|yet
                    """)
    void twoWordsInOneAreTwo(String text, String words, String written) {
        Sentence sentence = SentenceSplitter.split(text).get(0);
        assertThat(words(sentence)).isEqualTo(words);
        assertThat(written(sentence, text)).isEqualTo(written);
    }

    /** "500." answers a question, "2." stands before an entry of a list. */
    @ParameterizedTest
    @CsvSource(delimiter = '=', textBlock = """
                    500. When can we have them? = 500/when can we have them
                    2. When can we have them?   = when can we have them
                    - two chairs                = two chairs
                    """)
    void marksOfListsAreNoWords(String text, String sentences) {
        List<Sentence> split = SentenceSplitter.split(text);
        assertThat(String.join(
                        "/", split.stream().map(SentenceSplitterTest::words).toList()))
                .isEqualTo(sentences);
    }
}
