package org.squallnote.core.dates;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/** Days as the rules of {@code dates.rules} find them: "today", "next Tuesday", "end of the week", "30 August". */
final class DayPhrases {

    /** The groups of rules that name days, in the order in which they are asked. */
    private static final List<String> GROUPS = List.of(
            "of a month",
            "near",
            "weekdays",
            "periods",
            "in one word",
            "weeks and months",
            "stretches",
            "calendar",
            "feasts");

    /** Those that can begin with a number. */
    private static final List<String> COUNTED = List.of("near", "stretches", "calendar");

    private final Sentence sentence;
    private final DateContext context;
    private final DayKinds kinds;
    private final DayTimes times;
    private final Reckoning reckoning;

    DayPhrases(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.kinds = new DayKinds(sentence, context, this);
        this.times = new DayTimes(sentence, context, this);
        this.reckoning = new Reckoning(sentence, context, this, times);
    }

    /** The day phrase that begins at a word. */
    Optional<DatePhrase> at(int from) {
        if (from >= sentence.size()) {
            return Optional.empty();
        }
        return firstOf(sentence.at(from).isNumber() ? COUNTED : GROUPS, from);
    }

    /** A day that is named by itself, without a part of it. */
    Optional<DatePhrase> plainDayAt(int from) {
        return firstOf(List.of("near", "weekdays", "calendar"), from);
    }

    private Optional<DatePhrase> firstOf(List<String> groups, int from) {
        for (int i = 0; i < groups.size(); i++) {
            Optional<DatePhrase> found = named(groups.get(i), from);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** The day that the rules of a group name in the words from one on. */
    Optional<DatePhrase> named(String group, int from) {
        return context.language().terms().at(group, sentence, from, kinds, this::phrase);
    }

    /** "morning", "afternoon" of a day that is known. */
    Optional<DatePhrase> partOfDay(int from, LocalDate day) {
        return term("part", from).map(part -> times.part(part, part, day));
    }

    private Optional<DatePhrase> phrase(Term term) {
        return reckoning
                .phrase(term)
                .map(found -> found.by(Optional.of(term.rule().reason())));
    }

    /** What the rules of a group say of the words from one on, where it need not be a day. */
    Optional<Term> term(String group, int from) {
        return context.language().terms().at(group, sentence, from, kinds);
    }

    /** Where the words end that the rules of a group know; negative where they know none. */
    int endOf(String group, int from) {
        return GROUPS.contains(group)
                ? named(group, from).map(DatePhrase::toExclusive).orElse(-1)
                : term(group, from).map(Term::to).orElse(-1);
    }
}
