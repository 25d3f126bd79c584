package org.squallnote.server.proof;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.squallnote.core.record.Exchange;
import org.squallnote.core.turn.CloseReason;

/** How a proof says what it says. */
final class ProofWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.UK);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("EEE d MMM uuuu, HH:mm", Locale.UK);
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss xxx", Locale.UK);
    private static final int HOUR = 60;

    private ProofWords() {}

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    static String moment(Instant moment, ZoneId zone) {
        return MOMENT.format(moment.atZone(zone));
    }

    /** To the second and with its offset. */
    static String stamp(Instant moment, ZoneId zone) {
        return STAMP.format(moment.atZone(zone));
    }

    /** A stretch of working time. */
    static String span(long minutes) {
        if (minutes < HOUR) {
            return minutes + " min";
        }
        return minutes % HOUR == 0 ? minutes / HOUR + " h" : minutes / HOUR + " h " + minutes % HOUR + " min";
    }

    static String kind(Exchange.Kind kind, String other) {
        return switch (kind) {
            case ASKED_ME -> other + " asked me";
            case ASKED_BY_ME -> "I asked " + other;
            case PROMISED_BY_ME -> "I promised " + other;
            case PROMISED_TO_ME -> other + " promised me";
        };
    }

    static String outcome(Exchange.Outcome outcome) {
        return switch (outcome) {
            case ANSWERED -> "Answered";
            case ANSWERED_BY_ANOTHER -> "Answered by somebody else";
            case WITHDRAWN -> "Taken back by whoever asked";
            case SETTLED -> "Settled for whoever asked";
            case UNDELIVERED -> "Could not be delivered";
            case OPEN -> "Not answered yet";
        };
    }

    static String closed(CloseReason reason) {
        return switch (reason) {
            case ANSWERED -> "answered";
            case DONE_ELSEWHERE -> "done elsewhere";
            case NOT_NEEDED -> "not needed";
            case GIVEN_UP -> "given up";
        };
    }
}
