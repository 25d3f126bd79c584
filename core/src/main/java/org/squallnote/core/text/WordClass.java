package org.squallnote.core.text;

import java.util.Locale;

/**
 * Classes of words that code asks about, beside the rules. Which words they hold, the {@link PhraseBook} of each language
 * says; one that it does not name is empty in that language.
 */
public enum WordClass {
    ALWAYS_A_JOINT,
    AND_OR,
    AND_OR_THEN,
    ANSWERING,
    ANSWERS_ALONE,
    AROUND_A_TIME,
    ASKED_TOO,
    ASKING_ALONG,
    AUDIENCE,
    AUXILIARY,
    BECAUSE,
    BEFORE_A_DOER,
    BEFORE_A_FINITE_VERB,
    BEFORE_A_THING_ASKED,
    BEFORE_A_THIRD_PERSON,
    BEFORE_TAKING_BACK,
    BEGINS_A_REASON,
    BEHIND_A_CALL,
    BEHIND_A_NAME,
    BEHIND_A_QUESTION,
    BETWEEN,
    BETWEEN_WILL_AND_VERB,
    BY_WHEN,
    COMPARING,
    CONJUNCTION,
    COPY,
    CRIES,
    DENYING,
    DOER,
    DOES_OR_IS,
    DUTY,
    EVERYBODY,
    EXCLAIMED,
    EXPECTING,
    FINITE,
    FORETELLING,
    GIVING_FORMS,
    GO,
    GOES,
    GONE_BY,
    GREETING,
    HAVING,
    HOPING,
    IMPERATIVE,
    IMPERATIVE_NOUN,
    INTENDING,
    IS_ARE,
    IS_OR_WAS,
    IT,
    JOINT,
    LABEL,
    LAUGHTER,
    LEAD_IN,
    LET_ME,
    MODAL,
    MORE_OR_LEFT,
    NAME_OR_VERB,
    NO_OBJECT,
    NO_THING,
    OBJECT,
    OFTEN_OF_OTHERS,
    OF_A_THING,
    OPENS_AN_ASK,
    OPENS_A_CLAUSE,
    OPENS_A_CONDITION,
    OPENS_A_POINT,
    OPENS_A_QUESTION,
    OTHERWISE_BEFORE,
    PLACED,
    PREDICATE,
    QUESTION_IS,
    QUESTION_WORD,
    REASONING,
    RELATIVE,
    ROUGHLY,
    SAID_BY_IT,
    SAME_DAY,
    SAME_IN_THE_PAST,
    SETTLED,
    SMALL,
    SOMEBODY,
    SOMEBODY_WILL,
    SPEAKERS,
    STARTS,
    STATES,
    SUBJECT,
    SUBORDINATE,
    TAKES_BACK,
    TELLING,
    THANKS,
    THEY_WILL,
    THING_ASKED,
    THIRD_PERSON,
    THIRD_PERSONS,
    TO,
    TOLD_BEFORE,
    TOLD_OF,
    TO_YOU,
    URGED,
    US,
    WAITING,
    WHAT_OR_HOW,
    WHEN_OR_WHERE,
    WHO_OR_WHICH,
    WISHING,
    WRITER;

    private final String label = name().toLowerCase(Locale.ROOT).replace('_', '-');

    /** As books of phrases write it: {@code before-a-doer}. */
    public String label() {
        return label;
    }

    /** Whether the word at that place of a sentence is one of them; there is none beyond either end. */
    public boolean has(Sentence sentence, int index) {
        return sentence.book().set(this).has(sentence, index);
    }

    /** Whether any word of the sentence is one of them. */
    public boolean hasAnyOf(Sentence sentence) {
        return sentence.book().set(this).hasAnyOf(sentence);
    }
}
