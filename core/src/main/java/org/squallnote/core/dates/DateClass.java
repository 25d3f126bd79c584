package org.squallnote.core.dates;

/** Words that the finding of dates asks about, each a class of {@code dates.rules}. */
enum DateClass {
    /** What may stand behind a bare number or ordinal that is a time or a day. */
    AFTER_A_DATE("after-a-date"),
    /** A short weekday that is another word too. */
    SHORT_DAY("short-day"),
    /** Behind these it is a day. */
    BEFORE_A_SHORT_DAY("before-a-short-day"),
    /** A month that is a verb too, when it has no capital. */
    MONTH_OR_VERB("month-or-verb"),
    /** Behind these a number and such a word are a date. */
    BEFORE_A_DATE("before-a-date"),
    /** Behind these a pair of numbers is a date: "due 3/4". */
    BEFORE_NUMBERS("before-numbers"),
    /** Words that are a number too. */
    ARTICLE("article"),
    /** Behind these a number is an hour: "at five". */
    BEFORE_AN_HOUR("before-an-hour"),
    /** Behind these as well, where one that opens it stands before the first hour: "from two to five". */
    JOINS_HOURS("joins-hours"),
    /** What opens two hours that are joined. */
    OPENS_HOURS("opens-hours"),
    /** What joins two days or times to a stretch: "Monday to Wednesday". */
    JOINS_DATES("joins-dates"),
    /** What joins them where "between" stands before the first. */
    JOINS_BETWEEN("joins-between"),
    /** "between". */
    BETWEEN_OPENS("between-opens"),
    /** What may stand before the second of them. */
    BEFORE_THE_SECOND("before-the-second"),
    /** Between a day and its time: "Friday at three". */
    BEFORE_ITS_TIME("before-its-time"),
    /** Between a time and its day: "three on Friday". */
    BEFORE_ITS_DAY("before-its-day"),
    /** What may stand behind a day that is told by another: "the day before at noon". */
    CLOSES_A_TELLING("closes-a-telling"),
    /** How an ordinal in digits ends. */
    ENDS_AN_ORDINAL("ends-an-ordinal"),
    /** Words that a date can begin with, besides weekdays, months and numbers. */
    DATE_START("date-start"),
    /** Those of them that begin a date only where a core or another start follows. */
    WEAK_DATE_START("weak-date-start"),
    /** Words inside a date that tell that it is one. */
    DATE_CORE("date-core");

    private final String listed;

    DateClass(String listed) {
        this.listed = listed;
    }

    /** Its name in the file. */
    String listed() {
        return listed;
    }
}
