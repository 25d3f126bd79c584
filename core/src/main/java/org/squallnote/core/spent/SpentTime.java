package org.squallnote.core.spent;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;

/**
 * The time that was spent in some days, in groups.
 *
 * @param amount what all of it costs; null where nothing has a rate
 */
public record SpentTime(
        List<Group> groups,
        int minutes,
        int rounded,
        @Nullable BigDecimal amount) {

    private static final BigDecimal MINUTES_OF_AN_HOUR = BigDecimal.valueOf(60);

    /** What stands together. */
    public enum By {
        DAY,
        CATEGORY,
        PERSON,
        FOLLOW_UP
    }

    /**
     * Lines that stand together.
     *
     * @param key the day, the id of the category or follow-up, or the address of the person; empty for none
     * @param amount null where none of it has a rate
     */
    public record Group(
            String key,
            List<Line> lines,
            int minutes,
            int rounded,
            @Nullable BigDecimal amount) {}

    /**
     * What is told and billed as one: a time on one day, or all of a day on one follow-up.
     *
     * @param stints what it is made of
     * @param from when the first of them began on that day
     * @param to when the last of them ended on that day
     * @param minutes whole minutes as they were measured
     * @param rounded the same, rounded
     * @param amount what they cost, to the hundredth; null without a rate
     * @param running whether it is worked at still
     * @param corrected whether a part of it was put right by hand
     */
    public record Line(
            LocalDate day,
            List<UUID> stints,
            UUID followUpId,
            String title,
            @Nullable UUID categoryId,
            @Nullable Party person,
            Instant from,
            Instant to,
            int minutes,
            int rounded,
            @Nullable BigDecimal amount,
            boolean running,
            boolean corrected) {}

    /** A part of a time that lies on one day. */
    private record Piece(LocalDate day, Worked worked, Instant from, Instant to) {

        Duration length() {
            return Duration.between(from, to);
        }
    }

    /**
     * What was spent from a day to another one. A time over midnight is cut there; one under way counts until now.
     *
     * @param from the first day
     * @param to the last day
     */
    public static SpentTime of(
            Collection<Worked> worked,
            LocalDate from,
            LocalDate to,
            By by,
            TimeWishes wishes,
            ZoneId zone,
            Instant now) {
        List<Line> lines = lines(pieces(worked, from, to, zone, now), wishes);
        Map<String, List<Line>> groups = new LinkedHashMap<>();
        lines.forEach(line ->
                groups.computeIfAbsent(key(line, by), key -> new ArrayList<>()).add(line));
        Comparator<Group> order = by == By.DAY
                ? Comparator.comparing(Group::key)
                : Comparator.comparing(Group::minutes).reversed().thenComparing(Group::key);
        return new SpentTime(
                groups.entrySet().stream()
                        .map(each -> new Group(
                                each.getKey(),
                                each.getValue(),
                                minutes(each.getValue()),
                                rounded(each.getValue()),
                                amount(each.getValue())))
                        .sorted(order)
                        .toList(),
                minutes(lines),
                rounded(lines),
                amount(lines));
    }

    private static List<Piece> pieces(
            Collection<Worked> worked, LocalDate from, LocalDate to, ZoneId zone, Instant now) {
        Instant first = from.atStartOfDay(zone).toInstant();
        Instant last = to.plusDays(1).atStartOfDay(zone).toInstant();
        return worked.stream()
                .flatMap(each -> {
                    Instant end = Optional.ofNullable(each.endedAt()).orElse(now);
                    return days(
                            each,
                            each.startedAt().isBefore(first) ? first : each.startedAt(),
                            end.isAfter(last) ? last : end,
                            zone);
                })
                .sorted(Comparator.comparing(Piece::from)
                        .thenComparing(piece -> piece.worked().id()))
                .toList();
    }

    private static Stream<Piece> days(Worked worked, Instant from, Instant to, ZoneId zone) {
        List<Piece> pieces = new ArrayList<>();
        Instant at = from;
        while (at.isBefore(to)) {
            LocalDate day = at.atZone(zone).toLocalDate();
            Instant midnight = day.plusDays(1).atStartOfDay(zone).toInstant();
            Instant end = midnight.isBefore(to) ? midnight : to;
            pieces.add(new Piece(day, worked, at, end));
            at = end;
        }
        return pieces.stream();
    }

    private static List<Line> lines(List<Piece> pieces, TimeWishes wishes) {
        if (!wishes.rounding().byDay()) {
            return pieces.stream().map(piece -> line(List.of(piece), wishes)).toList();
        }
        Map<String, List<Piece>> together = new LinkedHashMap<>();
        pieces.forEach(piece -> together.computeIfAbsent(
                        piece.day() + " " + piece.worked().followUpId(), key -> new ArrayList<>())
                .add(piece));
        return together.values().stream().map(some -> line(some, wishes)).toList();
    }

    private static Line line(List<Piece> pieces, TimeWishes wishes) {
        Piece first = pieces.get(0);
        Worked worked = first.worked();
        Duration length = pieces.stream().map(Piece::length).reduce(Duration.ZERO, Duration::plus);
        int minutes = (int) length.toMinutes();
        int rounded = wishes.rounding().of(minutes);
        Set<UUID> stints = new HashSet<>();
        return new Line(
                first.day(),
                pieces.stream()
                        .map(piece -> piece.worked().id())
                        .filter(stints::add)
                        .toList(),
                worked.followUpId(),
                worked.title(),
                worked.categoryId(),
                worked.person().orElse(null),
                first.from(),
                pieces.get(pieces.size() - 1).to(),
                minutes,
                rounded,
                wishes.rateOf(worked.categoryId())
                        .map(rate -> rate.multiply(BigDecimal.valueOf(rounded))
                                .divide(MINUTES_OF_AN_HOUR, 2, RoundingMode.HALF_UP))
                        .orElse(null),
                pieces.stream().anyMatch(piece -> piece.worked().endedAt() == null),
                pieces.stream().anyMatch(piece -> piece.worked().correctedAt() != null));
    }

    private static String key(Line line, By by) {
        return switch (by) {
            case DAY -> line.day().toString();
            case CATEGORY -> line.categoryId() == null ? "" : line.categoryId().toString();
            case PERSON -> line.person() == null ? "" : line.person().address();
            case FOLLOW_UP -> line.followUpId().toString();
        };
    }

    private static int minutes(List<Line> lines) {
        return lines.stream().mapToInt(Line::minutes).sum();
    }

    private static int rounded(List<Line> lines) {
        return lines.stream().mapToInt(Line::rounded).sum();
    }

    private static @Nullable BigDecimal amount(List<Line> lines) {
        return lines.stream()
                .map(Line::amount)
                .filter(Objects::nonNull)
                .reduce(BigDecimal::add)
                .orElse(null);
    }
}
