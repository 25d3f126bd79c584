package org.squallnote.core.reading;

import org.squallnote.core.dates.DateLanguage;
import org.squallnote.core.rule.RuleBook;
import org.squallnote.core.text.PhraseBook;

/**
 * A language as its rules are written: a folder of files beside a class.
 *
 * @param phrases how asks begin, what looks like one and is none, and what a writer does besides asking, each by its
 *     label; and the words by their classes
 * @param purposes what a date is for
 * @param besides whether a sentence that asks nothing itself sets the day of an ask beside it
 * @param days how days are named by words
 */
record ReadingLanguage(PhraseBook phrases, RuleBook purposes, RuleBook besides, DateLanguage days) {

    static final ReadingLanguage ENGLISH = beside(ReadingLanguage.class, "", DateLanguage.ENGLISH);

    /**
     * Reads the files of a language.
     *
     * @param folder where they lie below the folder of the class, with a stroke at its end; empty for that folder itself
     */
    static ReadingLanguage beside(Class<?> beside, String folder) {
        return beside(beside, folder, DateLanguage.beside(beside, folder + "dates.rules"));
    }

    private static ReadingLanguage beside(Class<?> beside, String folder, DateLanguage days) {
        PhraseBook phrases = PhraseBook.of(
                beside, folder + "words.txt", folder + "asks.rules", folder + "no-asks.rules", folder + "acts.rules");
        return new ReadingLanguage(
                phrases,
                RuleBook.of(beside, folder + "date-purposes.rules", phrases.classes()),
                RuleBook.of(beside, folder + "dated-sentences.rules", phrases.classes()),
                days);
    }
}
