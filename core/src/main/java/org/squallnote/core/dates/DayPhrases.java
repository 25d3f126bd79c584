package org.squallnote.core.dates;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/** Days and times as the rules of {@code dates.rules} find them: "next Tuesday", "30 August", "3 pm", "this afternoon". */
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

    /** Those that name a day by itself. */
    private static final List<String> PLAIN = List.of("near", "weekdays", "calendar");

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
        return firstOf(PLAIN, from);
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

    /** A time on the day of writing that begins at a word, whether or not it has passed. */
    Optional<DatePhrase> timeAt(int from) {
        return named("times", from).or(() -> bareHourAt(from));
    }

    /** "by five", "at 9": an hour that only the word before makes one, and nothing after it denies. */
    Optional<DatePhrase> bareHourAt(int from) {
        return named("bare hours", from);
    }

    /** "morning", "afternoon" of a day that is known; an evening is the day itself. */
    Optional<DatePhrase> partOfDay(int from, LocalDate day) {
        return term("part", from).map(part -> times.part(part, part, day));
    }

    /** The day that the rules of a group tell in the words from one on, which mean one only beside others. */
    Optional<DatePhrase> meant(String group, int from, Function<Term, Optional<DatePhrase>> meaning) {
        return context.language()
                .terms()
                .at(
                        group,
                        sentence,
                        from,
                        kinds,
                        term -> meaning.apply(term)
                                .map(day -> day.by(Optional.of(term.rule().reason()))));
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
