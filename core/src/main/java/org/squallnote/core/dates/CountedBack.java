package org.squallnote.core.dates;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.IntFunction;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;

/** Days counted back from one that is named behind them: "ten days before your arrival on 12 April". */
final class CountedBack {

    private static final int MOST_DAYS = 90;

    /** "your arrival at the harbour on 12 April". */
    private static final int FARTHEST = 6;

    private final Sentence sentence;
    private final DateWords words;
    private final DateContext context;

    CountedBack(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.words = context.words();
        this.context = context;
    }

    /**
     * The day that is told from a word on.
     *
     * @param days finds the day that is named at a word
     */
    Optional<DatePhrase> at(int from, IntFunction<Optional<DatePhrase>> days) {
        boolean one = sentence.norm(from).equals("a") || sentence.norm(from).equals("one");
        int number = one ? 1 : words.number(sentence, from);
        boolean working = sentence.norm(from + 1).equals("working")
                || sentence.norm(from + 1).equals("business");
        int unitAt = working ? from + 2 : from + 1;
        int length = lengthOf(sentence.norm(unitAt));
        int before = unitAt + 1;
        boolean prior = sentence.norm(before).equals("prior")
                && sentence.norm(before + 1).equals("to");
        if (number < 1 || length == 0 || number * length > MOST_DAYS) {
            return Optional.empty();
        }
        if (!prior && !sentence.norm(before).equals("before")) {
            return Optional.empty();
        }
        int first = prior ? before + 2 : before + 1;
        for (int i = first; i <= first + FARTHEST && i < sentence.size() && !isCutOff(i, first); i++) {
            Optional<DatePhrase> named = days.apply(i);
            if (named.isPresent()) {
                Form form = named.get().form();
                return form == Form.DAY || form == Form.RANGE
                        ? Optional.of(new DatePhrase(
                                from,
                                named.get().toExclusive(),
                                back(named.get().day(), number * length, working),
                                Optional.empty(),
                                Form.DAY,
                                named.get().named()))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private boolean isCutOff(int at, int first) {
        return at > first && sentence.at(at).followsMark() && sentence.at(at).before() != '(';
    }

    private static int lengthOf(String unit) {
        return switch (unit) {
            case "day", "days" -> 1;
            case "week", "weeks" -> 7;
            case "fortnight" -> 14;
            default -> 0;
        };
    }

    private LocalDate back(LocalDate day, int number, boolean working) {
        if (!working) {
            return day.minusDays(number);
        }
        LocalDate found = day;
        for (int i = 0; i < number; i++) {
            found = context.workingTime().onOrBefore(found.minusDays(1));
        }
        return found;
    }
}
