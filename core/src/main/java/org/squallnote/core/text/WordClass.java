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
    /** Those who are asked as well, or may be. */
    ASKED_TOO,
    ASKING_ALONG,
    AUDIENCE,
    AUXILIARY,
    BECAUSE,
    /** Whoever stands behind these is who does something. */
    BEFORE_A_DOER,
    BEFORE_A_FINITE_VERB,
    BEFORE_A_THING_ASKED,
    BEFORE_A_THIRD_PERSON,
    BEFORE_TAKING_BACK,
    /** How a sentence begins that says why the question before it is asked, not what was done. */
    BEGINS_A_REASON,
    /** Behind a name without a comma: "Tom you're first off", "Tom I need the keys". */
    BEHIND_A_CALL,
    BEHIND_A_NAME,
    /** What may follow a short question: "how many bags though". */
    BEHIND_A_QUESTION,
    /** What stands between "by" and its date. */
    /** What stands between a thing to do and its day: "call Bo no later than Friday". */
    BEFORE_A_DEADLINE,
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
    /** Verbs whose object does what follows: "I expect the office to". */
    EXPECTING,
    FINITE,
    /** "My insurer promises it for Thursday." */
    FORETELLING,
    GIVING_FORMS,
    GO,
    GOES,
    GONE_BY,
    GREETING,
    /** What is handed over, or only thought, while it is said: "I'm attaching it". */
    HANDING_OVER,
    /** What the writer wants to have. */
    HAVING,
    HOPING,
    IMPERATIVE,
    IMPERATIVE_NOUN,
    /** Verbs before "to" whose subject does what follows. */
    INTENDING,
    /** What is so and is not being done: "two pages are missing". */
    STATE_IN_ING,
    /** Joins what comes of it: "send it and I'll print it". */
    AND_SO,
    /** Says yes and no more: "yes, send it". */
    PLAIN_YES,
    /** What follows stands against what was said before. */
    BUT,
    /** What somebody is doing with what was asked for: "printing". */
    IN_THE_WORKS,
    IS_ARE,
    IS_OR_WAS,
    IT,
    JOINT,
    /** "For Ines:", "question for Ines:", "one for Ines:". */
    LABEL,
    LAUGHTER,
    LEAD_IN,
    /** What is asked for with "let me". */
    LET_ME,
    LIMITING,
    /** What is thanked for before anything is said. */
    MESSAGE,
    MODAL,
    MORE_OR_LEFT,
    /** "Have you got it?", and not "have you got a bigger one?" */
    NAMES_WHAT_WAS_SENT,
    NAME_OR_VERB,
    /** Before it, what is told is not so, or only may be. */
    NOT_SO,
    NO_OBJECT,
    /** What follows where somebody needs to do something, or nothing: "need to leave by 5", "need more space". */
    NO_THING,
    OBJECT,
    /** Needs that begin so need nothing of the reader where the writer promises something besides. */
    OFTEN_OF_OTHERS,
    OF_A_THING,
    OPENS_AN_ASK,
    /** What a clause behind a conjunction begins with. */
    OPENS_A_CLAUSE,
    OPENS_A_CONDITION,
    OPENS_A_POINT,
    OPENS_A_QUESTION,
    /** "as before", "an hour before": not just before what was named. */
    OTHERWISE_BEFORE,
    PLACED,
    PREDICATE,
    /** A sentence that begins so goes on about what was named before. */
    PRONOUN_SUBJECT,
    QUESTION_IS,
    QUESTION_WORD,
    REASONING,
    RELATIVE,
    ROUGHLY,
    /** "I confirm Friday" does it by saying so, "as far as I know" does nothing. */
    SAID_BY_IT,
    /** What is said behind "the" or "this" of a date named before. */
    SAME_DAY,
    SAME_IN_THE_PAST,
    SETTLED,
    SMALL,
    SOMEBODY,
    SOMEBODY_WILL,
    SPEAKERS,
    STARTS,
    STATES,
    /** Behind the day of a thing to do: "Friday sharp". */
    STRICTLY,
    SUBJECT,
    SUBORDINATE,
    TELLING,
    THANKS,
    THEY_WILL,
    THING_ASKED,
    /** "sends", "carries". */
    THIRD_PERSON,
    THIRD_PERSONS,
    TO,
    /** Words that tell of something said or sent to me before. */
    TOLD_BEFORE,
    /** Before it, what is told is what the writer has done. */
    TOLD_OF_ONESELF,
    TOLD_OF_YOU,
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
