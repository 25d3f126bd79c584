package org.squallnote.core.dates;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.squallnote.core.dates.DatePhrase.Form;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordSet;

/** Days: "today", "next Tuesday", "end of the week", "within ten working days"; calendar dates are in another class. */
final class DayPhrases {

    private static final int MIDDLE_OF_A_MONTH = 15;

    private static final int OTHER_RULES = 7;

    private static final WordSet LIMIT_NOUNS = WordSet.of("deadline", "cut-off", "cutoff");

    private static final WordSet OVER = WordSet.of("out", "over", "up", "through", "done");

    private final Sentence sentence;
    private final DateContext context;
    private final CalendarDates calendar;
    private final Stretches stretches;

    DayPhrases(Sentence sentence, DateContext context) {
        this.sentence = sentence;
        this.context = context;
        this.calendar = new CalendarDates(sentence, context);
        this.stretches = new Stretches(sentence, context);
    }

    /** The day phrase that begins at a word. */
    Optional<DatePhrase> at(int from) {
        if (from < sentence.size()
                && sentence.at(from).isNumber()
                && !sentence.norm(from + 1).equals("thing")) {
            Optional<DatePhrase> stretch = stretches.at(from);
            return stretch.isPresent() ? stretch : calendar.at(from);
        }
        Optional<DatePhrase> found = nearDay(from);
        for (int rule = 0; rule < OTHER_RULES && found.isEmpty(); rule++) {
            found = switch (rule) {
                case 0 -> dayOfSomething(from);
                case 1 -> weekday(from);
                case 2 -> endOf(from);
                case 3 -> weekOrMonth(from);
                case 4 -> stretches.at(from);
                case 5 -> calendar.at(from);
                default -> feast(from);
            };
        }
        return found;
    }

    private Optional<DatePhrase> nearDay(int from) {
        LocalDate today = context.today();
        switch (sentence.norm(from)) {
            case "today", "tonight" -> {
                return day(from, from + 1, today);
            }
            case "tomorrow" -> {
                return day(from, from + 1, today.plusDays(1));
            }
            case "today's" -> {
                // "today's the last day", not "today's meeting".
                return sentence.norm(from + 1).equals("the") ? day(from, from + 1, today) : Optional.empty();
            }
            case "tomorrow's" -> {
                return sentence.norm(from + 1).equals("the")
                        ? day(from, from + 1, today.plusDays(1))
                        : Optional.empty();
            }
            case "yesterday" -> {
                return past(from, from + 1);
            }
            case "the" -> {
                return dayAfterTomorrow(from + 1).map(found -> found.from(from));
            }
            case "day" -> {
                return dayAfterTomorrow(from);
            }
            case "first", "1st" -> {
                return firstThing(from);
            }
            case "this" -> {
                // "this day", "this time next week" with its last two words.
                return sentence.norm(from + 1).equals("time") ? thisTime(from) : Optional.empty();
            }
            default -> {
                return Optional.empty();
            }
        }
    }

    /** "before Wednesday's meeting"; "Wednesday's meeting" alone may as well be the last one. */
    private Optional<DatePhrase> dayOfSomething(int from) {
        String word = sentence.norm(from);
        boolean limit = DateWords.isLimit(sentence.norm(from - 1)) || LIMIT_NOUNS.has(sentence, from + 1);
        if (!limit || !word.endsWith("'s")) {
            return Optional.empty();
        }
        String day = word.substring(0, word.length() - 2);
        LocalDate today = context.today();
        int index = DateWords.weekdayIndex(day);
        if (index != DateWords.NONE) {
            DayOfWeek weekday = DayOfWeek.of(index);
            return day(from, from + 1, today.with(TemporalAdjusters.next(weekday)));
        }
        return day.equals("tomorrow") ? day(from, from + 1, today.plusDays(1)) : Optional.empty();
    }

    private Optional<DatePhrase> dayAfterTomorrow(int from) {
        return sentence.norm(from).equals("day")
                        && sentence.norm(from + 1).equals("after")
                        && sentence.norm(from + 2).equals("tomorrow")
                ? day(from, from + 3, context.today().plusDays(2))
                : Optional.empty();
    }

    private Optional<DatePhrase> thisTime(int from) {
        if (sentence.norm(from + 2).equals("next") && sentence.norm(from + 3).equals("week")) {
            return day(from, from + 4, context.today().plusWeeks(1));
        }
        return sentence.norm(from + 2).equals("tomorrow")
                ? day(from, from + 3, context.today().plusDays(1))
                : Optional.empty();
    }

    /** "first thing tomorrow", "first thing on Monday (morning)": that day at the start of work. */
    private Optional<DatePhrase> firstThing(int from) {
        if (!sentence.norm(from + 1).equals("thing")) {
            return Optional.empty();
        }
        int at = from + 2;
        if (sentence.norm(at).equals("on") || sentence.norm(at).equals("in")) {
            at++;
        }
        Optional<DatePhrase> day = at(at);
        if (day.isEmpty() || day.get().form() != Form.DAY) {
            return Optional.empty();
        }
        int to = day.get().toExclusive();
        if (sentence.norm(to).equals("morning")) {
            to++;
        }
        LocalDate date = day.get().day();
        return Optional.of(day.get().from(from).at(context.startOf(date), to));
    }

    private Optional<DatePhrase> weekday(int from) {
        int at = from;
        String lead = sentence.norm(from);
        if (lead.equals("past") && sentence.norm(from - 1).equals("wait")) {
            return Optional.empty(); // "It can't wait past Friday."
        }
        boolean led = lead.equals("this")
                || lead.equals("next")
                || lead.equals("coming")
                || lead.equals("last")
                || lead.equals("past");
        if (led) {
            at++;
            if (sentence.norm(at).equals("coming") || sentence.norm(at).equals("next")) {
                at++;
            }
        } else if (lead.equals("the")
                && (sentence.norm(from + 1).equals("coming")
                        || sentence.norm(from + 1).equals("following"))) {
            at += 2;
        } else if (lead.equals("the") || lead.equals("a")) {
            // "on the Wednesday"; "a week on Friday" is a stretch.
            at++;
        }
        int index = DateWords.weekdayIndex(sentence, at);
        if (index == DateWords.NONE || isOnlyTheWord(at)) {
            return Optional.empty();
        }
        DayOfWeek weekday = DayOfWeek.of(index);
        if (lead.equals("last") || lead.equals("past")) {
            return past(from, at + 1);
        }
        LocalDate next = context.today().with(TemporalAdjusters.next(weekday));
        int to = at + 1;
        Optional<DatePhrase> dated = calendarAfterWeekday(from, to, weekday);
        if (dated.isPresent()) {
            return dated;
        }
        LocalDate date = next;
        if (lead.equals("next") || isNextWeek(to)) {
            date = DateScanner.mondayAfter(context.today()).with(TemporalAdjusters.nextOrSame(weekday));
            if (isNextWeek(to)) {
                to += sentence.norm(to).equals("of") || sentence.norm(to).equals("in") ? 3 : 2;
            } else if (sentence.norm(to).equals("week")) {
                to++;
            }
        } else if (sentence.norm(to).equals("week")) {
            // "Friday week": the one after the next.
            date = next.plusWeeks(1);
            to++;
        } else if (sentence.norm(to).equals("next") && !sentence.norm(to + 1).equals("week")) {
            date = DateScanner.mondayAfter(context.today()).with(TemporalAdjusters.nextOrSame(weekday));
            to++;
        } else if (sentence.norm(to).equals("end")
                && sentence.norm(to + 1).equals("of")
                && (sentence.norm(to + 2).equals("day") || sentence.norm(to + 2).equals("business"))) {
            to += 3;
        } else if (sentence.at(Math.min(to, sentence.size() - 1)).is("eod", "cob", "eob", "cop")
                && to < sentence.size()) {
            to++;
        } else if (sentence.norm(to).equals("this") && sentence.norm(to + 1).equals("week")) {
            to += 2;
        } else if (isWeekAfterNext(to)) {
            date = DateScanner.mondayAfter(context.today()).plusWeeks(1).with(TemporalAdjusters.nextOrSame(weekday));
            to += sentence.norm(to).equals("the") ? 4 : 5;
        }
        return day(from, to, date);
    }

    private boolean isWeekAfterNext(int at) {
        int i = sentence.norm(at).equals("of") || sentence.norm(at).equals("in") ? at + 1 : at;
        return sentence.norm(i).equals("the")
                && sentence.norm(i + 1).equals("week")
                && sentence.norm(i + 2).equals("after")
                && sentence.norm(i + 3).equals("next");
    }

    private boolean isNextWeek(int at) {
        int i = sentence.norm(at).equals("of") || sentence.norm(at).equals("in") ? at + 1 : at;
        return sentence.norm(i).equals("next") && sentence.norm(i + 1).equals("week");
    }

    /** "Friday 30 August", "Friday, the 30th", "Monday 23": the date decides which Friday. */
    private Optional<DatePhrase> calendarAfterWeekday(int from, int at, DayOfWeek weekday) {
        if (at >= sentence.size() || sentence.at(at).before() == '-') {
            return Optional.empty();
        }
        int start = sentence.norm(at).equals("the") && !calendar.at(at).isPresent() ? at + 1 : at;
        Optional<DatePhrase> dated = calendar.at(start);
        if (dated.isPresent() && dated.get().time().isEmpty()) {
            return dated.map(found -> found.from(from));
        }
        int ordinal = DateWords.ordinal(sentence, start);
        int number = ordinal == DateWords.NONE
                ? DateWords.digits(sentence.norm(start)).orElse(DateWords.NONE)
                : ordinal;
        if (number >= 1 && number <= 31) {
            LocalDate date = calendar.nextDayOfMonth(number);
            if (date.getDayOfWeek() == weekday) {
                return day(from, start + 1, date);
            }
        }
        return Optional.empty();
    }

    /** "sat" and "sun" are words too, unless something makes them a day. */
    private boolean isOnlyTheWord(int at) {
        String word = sentence.norm(at);
        if (!word.equals("sat") && !word.equals("sun")) {
            return false;
        }
        String before = sentence.norm(at - 1);
        return !(before.equals("on")
                || before.equals("by")
                || before.equals("this")
                || before.equals("next")
                || before.equals("before")
                || before.equals("until")
                || DateWords.digits(sentence.norm(at + 1)).isPresent());
    }

    private Optional<DatePhrase> endOf(int from) {
        String word = sentence.norm(from);
        switch (word) {
            case "eod", "cob", "eob", "cop" -> {
                return endOfDay(from, from + 1);
            }
            case "eow" -> {
                return end(from, from + 1, endOfWeek(0));
            }
            case "eom", "month-end" -> {
                return end(from, from + 1, endOfMonth(context.today()));
            }
            case "midweek", "mid-week" -> {
                return day(from, from + 1, context.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.WEDNESDAY)));
            }
            case "month" -> {
                return sentence.norm(from + 1).equals("end")
                        ? end(from, from + 2, endOfMonth(context.today()))
                        : Optional.empty();
            }
            case "year" -> {
                return sentence.norm(from + 1).equals("end") ? end(from, from + 2, endOfYear()) : Optional.empty();
            }
            case "year-end" -> {
                return end(from, from + 1, endOfYear());
            }
            case "close" -> {
                return sentence.norm(from + 1).equals("of")
                                && (sentence.norm(from + 2).equals("business")
                                        || sentence.norm(from + 2).equals("play")
                                        || sentence.norm(from + 2).equals("day"))
                        ? endOfDay(from, from + 3)
                        : Optional.empty();
            }
            case "the" -> {
                boolean end = isEndWord(sentence.norm(from + 1))
                        || sentence.norm(from + 1).equals("close");
                boolean weekend = sentence.norm(from + 1).equals("weekend")
                        || sentence.norm(from + 1).equals("week-end");
                if (weekend) {
                    boolean during = sentence.norm(from - 1).equals("over")
                            || sentence.norm(from - 1).equals("during");
                    LocalDate day = during
                            ? context.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY))
                            : endOfWeek(0);
                    return end(from, from + 2, day).map(found -> found.as(Form.PERIOD));
                }
                return end ? endOf(from + 1).map(found -> found.from(from)) : untilItIsOut(from);
            }
            case "weekend", "week-end" -> {
                return end(from, from + 1, endOfWeek(0)).map(found -> found.as(Form.PERIOD));
            }
            case "midnight" -> {
                return endOfDay(from, from + 1);
            }
            default -> {
                return isEndWord(word) ? partOf(from) : midMonth(from);
            }
        }
    }

    /** "the week is out", "the month's over", of which the end is meant. */
    private Optional<DatePhrase> untilItIsOut(int from) {
        String unit = sentence.norm(from + 1);
        boolean short_ = unit.endsWith("'s");
        int over = short_ ? from + 2 : from + 3;
        boolean is = short_ || sentence.norm(from + 2).equals("is");
        if (!is || !OVER.has(sentence, over)) {
            return Optional.empty();
        }
        return switch (short_ ? unit.substring(0, unit.length() - 2) : unit) {
            case "day" -> end(from, over + 1, context.today());
            case "week" -> end(from, over + 1, endOfWeek(0));
            case "month" -> end(from, over + 1, endOfMonth(context.today()));
            case "year" -> end(from, over + 1, endOfYear());
            default -> Optional.empty();
        };
    }

    /** "mid-April": its fifteenth. */
    private Optional<DatePhrase> midMonth(int from) {
        String word = sentence.norm(from);
        int month = word.startsWith("mid-") ? DateWords.month(word.substring("mid-".length())) : DateWords.NONE;
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        LocalDate middle = context.today().withDayOfMonth(1).withMonth(month).withDayOfMonth(MIDDLE_OF_A_MONTH);
        return end(from, from + 1, middle.isBefore(context.today()) ? middle.plusYears(1) : middle);
    }

    private static boolean isEndWord(String word) {
        return word.equals("end")
                || word.equals("beginning")
                || word.equals("start")
                || word.equals("middle")
                || word.equals("early")
                || word.equals("mid")
                || word.equals("late")
                || word.equals("later");
    }

    /** "end of", "beginning of", "early", "middle of" with a day, a week, a month or a year. */
    private Optional<DatePhrase> partOf(int from) {
        String part = sentence.norm(from);
        int at = from + 1;
        if (sentence.norm(at).equals("of")) {
            at++;
        } else if (part.equals("end") || part.equals("beginning") || part.equals("middle") || part.equals("start")) {
            if (!part.equals("end")
                    || !(sentence.norm(at).equals("next") || sentence.norm(at).equals("this"))) {
                return Optional.empty();
            }
        } else if (sentence.norm(at).equals("in")) {
            at++;
        }
        boolean the = sentence.norm(at).equals("the")
                || sentence.norm(at).equals("this")
                || sentence.norm(at).equals("my");
        boolean next = sentence.norm(at).equals("next")
                || (sentence.norm(at).equals("the")
                        && (sentence.norm(at + 1).equals("coming")
                                || sentence.norm(at + 1).equals("following")));
        if (the || next) {
            at += next && sentence.norm(at).equals("the") ? 2 : 1;
        }
        String unit = sentence.norm(at);
        boolean working = unit.equals("working") || unit.equals("business");
        if (working
                && (sentence.norm(at + 1).equals("day") || sentence.norm(at + 1).equals("week"))) {
            at++;
            unit = sentence.norm(at);
        }
        switch (unit) {
            case "business", "play" -> {
                return part.equals("end") ? endOfDay(from, at + 1) : Optional.empty();
            }
            case "day" -> {
                return part.equals("end") ? endOfDay(from, at + 1) : Optional.empty();
            }
            case "today", "tomorrow" -> {
                int days = unit.equals("today") ? 0 : 1;
                return end(from, at + 1, context.today().plusDays(days));
            }
            case "week" -> {
                return partOfWeek(from, at + 1, part, next ? 1 : 0, the || next);
            }
            case "month" -> {
                LocalDate inMonth = next ? context.today().plusMonths(1) : context.today();
                return partOfMonth(from, at + 1, part, inMonth, next);
            }
            case "year" -> {
                return part.equals("end") ? end(from, at + 1, endOfYear()) : Optional.empty();
            }
            case "quarter" -> {
                int lastMonth = (context.today().getMonthValue() + 2) / 3 * 3;
                LocalDate inMonth = context.today().withDayOfMonth(1).withMonth(lastMonth);
                return part.equals("end") ? end(from, at + 1, endOfMonth(inMonth)) : Optional.empty();
            }
            default -> {
                return partOfNamed(from, at, part);
            }
        }
    }

    private Optional<DatePhrase> partOfNamed(int from, int at, String part) {
        int weekday = DateWords.weekdayIndex(sentence, at);
        if (weekday != DateWords.NONE && (part.equals("end") || part.equals("late") || part.equals("early"))) {
            return weekday(at).map(day -> day.from(from).as(part.equals("end") ? Form.END : Form.DAY));
        }
        int month = DateWords.month(sentence, at);
        if (month == DateWords.NONE) {
            return Optional.empty();
        }
        LocalDate inMonth = context.today().withDayOfMonth(1).withMonth(month);
        if (inMonth.with(TemporalAdjusters.lastDayOfMonth()).isBefore(context.today())) {
            inMonth = inMonth.plusYears(1);
        }
        return partOfMonth(from, at + 1, part, inMonth, true);
    }

    private Optional<DatePhrase> partOfWeek(int from, int to, String part, int weeksOn, boolean determined) {
        int end = to;
        int weeks = weeksOn;
        if (sentence.norm(to).equals("after") && sentence.norm(to + 1).equals("next")) {
            end += 2;
            weeks = 2;
        }
        LocalDate monday = context.today()
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                .plusWeeks(weeks);
        switch (part) {
            case "end" -> {
                return end(from, end, weeks == 0 ? endOfWeek(0) : lastWorkingDayOfWeek(monday));
            }
            case "late", "later" -> {
                return determined || part.equals("late")
                        ? end(from, end, weeks == 0 ? endOfWeek(0) : lastWorkingDayOfWeek(monday))
                                .map(d -> d.as(Form.DAY))
                        : Optional.empty();
            }
            case "beginning", "start" -> {
                return day(from, end, monday.isBefore(context.today()) ? context.today() : monday);
            }
            case "early" -> {
                return day(from, end, monday.plusDays(1));
            }
            default -> {
                return day(from, end, monday.plusDays(2));
            }
        }
    }

    private Optional<DatePhrase> partOfMonth(int from, int to, String part, LocalDate inMonth, boolean ahead) {
        LocalDate first = inMonth.withDayOfMonth(1);
        return switch (part) {
            case "end" -> end(from, to, endOfMonth(inMonth));
            case "late", "later" -> day(from, to, endOfMonth(inMonth));
            case "beginning", "start" ->
                day(from, to, context.workingTime().onOrAfter(ahead ? first : first.plusMonths(1)));
            case "early" -> day(from, to, context.workingTime().onOrAfter(first.plusDays(4)));
            default -> day(from, to, first.withDayOfMonth(15));
        };
    }

    /** "this week", "next week", "next month", "the week after next". */
    private Optional<DatePhrase> weekOrMonth(int from) {
        String lead = sentence.norm(from);
        String unit = sentence.norm(from + 1);
        if (lead.equals("the")
                && unit.equals("week")
                && sentence.norm(from + 2).equals("after")
                && sentence.norm(from + 3).equals("next")) {
            LocalDate monday = DateScanner.mondayAfter(context.today()).plusWeeks(1);
            return day(from, from + 4, lastWorkingDayOfWeek(monday)).map(d -> d.as(Form.PERIOD));
        }
        if (lead.equals("last") || lead.equals("past")) {
            boolean unitOfTime = unit.equals("week")
                    || unit.equals("month")
                    || unit.equals("year")
                    || unit.equals("night")
                    || unit.equals("time")
                    || DateWords.month(sentence, from + 1) != DateWords.NONE;
            if ((lead.equals("last") && unit.equals("thing")) || !unitOfTime) {
                return Optional.empty();
            }
            return past(from, from + 2);
        }
        boolean this_ = lead.equals("this");
        boolean next = lead.equals("next") || lead.equals("coming");
        int to = from + 2;
        if (this_ && unit.equals("coming")) {
            unit = sentence.norm(from + 2);
            to++;
        }
        if (!this_ && !next) {
            return Optional.empty();
        }
        boolean weekly = unit.equals("week") || unit.equals("weekend");
        if (weekly) {
            return day(from, to, endOfWeek(next ? 1 : 0)).map(d -> d.as(Form.PERIOD));
        }
        if (unit.equals("month")) {
            LocalDate inMonth = next ? context.today().plusMonths(1) : context.today();
            return day(from, to, endOfMonth(inMonth)).map(d -> d.as(Form.PERIOD));
        }
        if (unit.equals("year") && this_) {
            return day(from, to, endOfYear()).map(d -> d.as(Form.PERIOD));
        }
        return Optional.empty();
    }

    private Optional<DatePhrase> feast(int from) {
        int year = context.today().getYear();
        LocalDate date;
        int to = from + 1;
        switch (sentence.norm(from)) {
            case "christmas", "xmas" -> date = LocalDate.of(year, 12, 25);
            case "easter" -> date = Easter.sundayOf(year);
            case "new" -> {
                if (!sentence.norm(from + 1).startsWith("year")) {
                    return Optional.empty();
                }
                date = LocalDate.of(year, 1, 1);
                to++;
            }
            default -> {
                return Optional.empty();
            }
        }
        if (date.isBefore(context.today())) {
            date = sentence.norm(from).equals("easter") ? Easter.sundayOf(year + 1) : date.plusYears(1);
        }
        return day(from, to, date);
    }

    private Optional<DatePhrase> endOfDay(int from, int to) {
        int at = sentence.norm(to).equals("on") ? to + 1 : to;
        Optional<DatePhrase> day =
                at < sentence.size() ? nearDay(at).or(() -> weekday(at)).or(() -> calendar.at(at)) : Optional.empty();
        if (day.isPresent() && day.get().time().isEmpty() && !startsNewPart(to)) {
            return end(from, day.get().toExclusive(), day.get().day());
        }
        return end(from, to, context.today());
    }

    private boolean startsNewPart(int at) {
        return at < sentence.size()
                && sentence.at(at).followsMark()
                && sentence.at(at).before() != '(';
    }

    /** The last working day of an ISO week from now on; on a day off at the end of this week, of the next one. */
    private LocalDate endOfWeek(int weeksOn) {
        LocalDate monday = context.today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        LocalDate last = lastWorkingDayOfWeek(monday.plusWeeks(weeksOn));
        return weeksOn == 0 && last.isBefore(context.today()) ? lastWorkingDayOfWeek(monday.plusWeeks(1)) : last;
    }

    private LocalDate lastWorkingDayOfWeek(LocalDate monday) {
        return context.workingTime().onOrBefore(monday.plusDays(6));
    }

    private LocalDate endOfMonth(LocalDate inMonth) {
        LocalDate last = context.workingTime().onOrBefore(inMonth.with(TemporalAdjusters.lastDayOfMonth()));
        return last.isBefore(context.today())
                ? context.workingTime().onOrBefore(inMonth.plusMonths(1).with(TemporalAdjusters.lastDayOfMonth()))
                : last;
    }

    private LocalDate endOfYear() {
        return context.workingTime().onOrBefore(context.today().with(TemporalAdjusters.lastDayOfYear()));
    }

    private static Optional<DatePhrase> day(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.<LocalTime>empty(), Form.DAY));
    }

    private static Optional<DatePhrase> end(int from, int to, LocalDate day) {
        return Optional.of(new DatePhrase(from, to, day, Optional.empty(), Form.END));
    }

    private Optional<DatePhrase> past(int from, int to) {
        return Optional.of(new DatePhrase(from, to, context.today().minusDays(1), Optional.empty(), Form.PAST));
    }
}
