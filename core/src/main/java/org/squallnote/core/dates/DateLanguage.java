package org.squallnote.core.dates;

import java.util.List;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.rule.TermBook;

/** How a language names days and times: its rules with their words. */
public final class DateLanguage {

    /** English. */
    public static final DateLanguage ENGLISH = beside(DateLanguage.class, "dates.rules");

    private final TermBook terms;
    private final DateWords words;
    private final DateStarts starts;

    private DateLanguage(TermBook terms) {
        this.terms = terms;
        this.words = new DateWords(terms);
        this.starts = new DateStarts(terms, words);
    }

    /**
     * Reads the file of a language that lies beside a class.
     *
     * @throws IllegalStateException when it is not written as it should be
     */
    public static DateLanguage beside(Class<?> beside, String file) {
        return new DateLanguage(TermBook.of(beside, file));
    }

    /** All rules, in their order. */
    public List<Rule> rules() {
        return terms.rules();
    }

    /** The same without one of its rules. */
    public DateLanguage without(String id) {
        return new DateLanguage(terms.without(id));
    }

    TermBook terms() {
        return terms;
    }

    DateWords words() {
        return words;
    }

    DateStarts starts() {
        return starts;
    }
}
