package org.squallnote.formats.mail;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a calendar part says where a message has no words of its own: a cancellation, an answer to an invitation (RFC 5546). */
final class CalendarWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM uuuu", Locale.UK);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern(", HH:mm", Locale.UK);
    private static final Pattern PARTSTAT = Pattern.compile("(?im)^ATTENDEE[^:\\n]{0,500}PARTSTAT=([A-Z-]{1,20})");

    private CalendarWords() {}

    /** One line for what it is, one for its comment. */
    static String of(String calendar, String method) {
        String lines = calendar.replaceAll("\\r?\\n[ \\t]", "").replace("\r", "");
        String what = switch (method) {
            case "CANCEL" -> "Cancelled";
            case "REPLY" -> answer(lines);
            case "COUNTER" -> "Another time proposed";
            case "REQUEST" -> "Invitation";
            default -> "Calendar";
        };
        String about = value(lines, "SUMMARY").orElse("an event");
        String when = value(lines, "DTSTART").map(CalendarWords::when).orElse("");
        String comment = value(lines, "COMMENT").map(text -> "\n" + text).orElse("");
        return what + ": " + about + (when.isEmpty() ? "" : ", " + when) + comment;
    }

    private static String answer(String lines) {
        Matcher state = PARTSTAT.matcher(lines);
        return switch (state.find() ? state.group(1).toUpperCase(Locale.ROOT) : "") {
            case "ACCEPTED" -> "Accepted";
            case "DECLINED" -> "Declined";
            case "TENTATIVE" -> "Perhaps";
            case "DELEGATED" -> "Handed on";
            default -> "Answered";
        };
    }

    private static Optional<String> value(String lines, String property) {
        Matcher line = Pattern.compile("(?im)^" + property + "(?:;[^:\\n]{0,500})?:(.{1,500})")
                .matcher(lines);
        return line.find()
                ? Optional.of(line.group(1)
                        .replaceAll("\\\\[nN]", "\n")
                        .replaceAll("\\\\([,;\\\\])", "$1")
                        .strip())
                : Optional.empty();
    }

    private static String when(String value) {
        try {
            LocalDate day =
                    LocalDate.parse(value.substring(0, Math.min(8, value.length())), DateTimeFormatter.BASIC_ISO_DATE);
            if (value.length() < 15) {
                return DAY.format(day);
            }
            LocalDateTime at =
                    day.atTime(Integer.parseInt(value.substring(9, 11)), Integer.parseInt(value.substring(11, 13)));
            return DAY.format(at) + TIME.format(at) + (value.endsWith("Z") ? " UTC" : "");
        } catch (DateTimeException | NumberFormatException e) {
            return "";
        }
    }
}
