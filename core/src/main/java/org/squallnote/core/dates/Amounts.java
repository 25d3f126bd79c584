package org.squallnote.core.dates;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.rule.TermBook.Term;
import org.squallnote.core.text.Sentence;

/** How far from now "two working days", "a fortnight" or "the hour" are. */
final class Amounts {

    private final Sentence sentence;
    private final DateContext context;
    private final DayPhrases phrases;

    Amounts(Sentence sentence, DateContext context, DayPhrases phrases) {
        this.sentence = sentence;
        this.context = context;
        this.phrases = phrases;
    }

    /** The phrase that ends so long from now; what is counted in minutes ends at a time. */
    Optional<DatePhrase> fromNow(Term term, Form form) {
        return amountIn(term).map(amount -> after(amount, term, form));
    }

    private Optional<Term> amountIn(Term term) {
        for (String kind : term.kinds().keySet()) {
            int place = term.kinds().getOrDefault(kind, -1);
            Optional<Term> amount = switch (kind) {
                case "amount", "long-unit" -> phrases.term(kind, place);
                case "unit" -> phrases.term("long-unit", place).or(() -> phrases.term(kind, place));
                default -> Optional.empty();
            };
            if (amount.isPresent()) {
                return amount;
            }
        }
        return Optional.empty();
    }

    private DatePhrase after(Term amount, Term term, Form form) {
        String gives = amount.rule().gives();
        boolean told = Character.isDigit(gives.charAt(0));
        int space = gives.indexOf(' ');
        int number = told ? Integer.parseInt(gives.substring(0, space)) : count(amount);
        String unit = told ? gives.substring(space + 1) : gives;
        LocalDate today = context.today();
        return switch (unit) {
            case "working days" -> day(context.workingTime().addWorkingDays(today, number), term, form);
            case "months" -> day(today.plusMonths(number), term, form);
            case "minutes" -> moment(context.sentAt().plusMinutes((long) number * size(unit, amount)), term, form);
            default -> day(today.plusDays((long) number * size(unit, amount)), term, form);
        };
    }

    private int size(String unit, Term amount) {
        Integer place = amount.kinds().get(unit);
        return place == null ? 1 : context.words().unit(unit, sentence, place);
    }

    /** How many there are: told by the rule of the number, or the number itself, of two the second. */
    private int count(Term amount) {
        Integer place = amount.kinds().get("count");
        if (place == null) {
            return 1;
        }
        Term count = phrases.term("count", place).orElseThrow();
        String gives = count.rule().gives();
        return Character.isDigit(gives.charAt(0))
                ? Integer.parseInt(gives)
                : context.words().number(sentence, count.kinds().getOrDefault(gives, place));
    }

    private static DatePhrase day(LocalDate day, Term term, Form form) {
        return new DatePhrase(term.from(), term.to(), day, Optional.empty(), form);
    }

    private static DatePhrase moment(LocalDateTime at, Term term, Form form) {
        LocalDateTime minute = at.truncatedTo(ChronoUnit.MINUTES);
        return new DatePhrase(term.from(), term.to(), minute.toLocalDate(), Optional.of(minute.toLocalTime()), form);
    }
}
