package org.squallnote.core.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.ReplyBy;

/**
 * In which order things are done: what is firm and overdue, then by priority, then by least leeway. What was put in a
 * place by hand stands there.
 */
public final class DayOrder {

    private static final int MOST_YEARS = 5;

    private final FreeTime freeTime;
    private final Instant now;
    private final LocalDateTime local;

    /**
     * The order at a moment.
     *
     * @param freeTime whose free minutes are the leeway
     */
    public DayOrder(FreeTime freeTime, Instant now) {
        this.freeTime = freeTime;
        this.now = now;
        this.local = LocalDateTime.ofInstant(now, freeTime.workingTime().zone());
    }

    /**
     * How many free working minutes are left until the reply-by date beyond the work itself; negative where it is too
     * late to begin, absent without a date.
     *
     * @param minutesLeft how much work it is
     */
    public Optional<Integer> leewayMinutes(Optional<ReplyBy> replyBy, int minutesLeft) {
        return replyBy.map(by -> freeMinutesUntil(by) - minutesLeft);
    }

    private int freeMinutesUntil(ReplyBy by) {
        // Later days make no difference, and some cannot be counted.
        LocalDate farthest = local.toLocalDate().plusYears(MOST_YEARS);
        LocalDate day = by.day().isAfter(farthest) ? farthest : by.day();
        Instant end = by.time()
                .map(day::atTime)
                .orElse(day.plusDays(1).atStartOfDay())
                .atZone(freeTime.workingTime().zone())
                .toInstant();
        return end.isAfter(now) ? (int) freeTime.between(now, end).toMinutes() : 0;
    }

    /** The follow-ups by the rule. */
    public List<FollowUp> byRule(List<FollowUp> followUps, Map<UUID, Integer> minutesLeft) {
        Map<UUID, Optional<Integer>> leeways = followUps.stream()
                .collect(Collectors.toMap(
                        FollowUp::id,
                        each -> leewayMinutes(
                                each.replyBy(), minutesLeft.getOrDefault(each.id(), each.expectedMinutes()))));
        Comparator<FollowUp> alarm = Comparator.comparing(each -> !isFirmAndLate(each));
        return followUps.stream()
                .sorted(alarm.thenComparing(FollowUp::priority)
                        .thenComparing(each -> leeways.getOrDefault(each.id(), Optional.empty())
                                .orElse(Integer.MAX_VALUE))
                        .thenComparing(FollowUp::createdAt)
                        .thenComparing(FollowUp::id))
                .toList();
    }

    private boolean isFirmAndLate(FollowUp followUp) {
        return followUp.replyBy().filter(by -> by.firm() && by.isLate(local)).isPresent();
    }

    /**
     * What is planned for one day, band by band: each in its place where it was put there by hand, the others by the
     * rule around them.
     *
     * @param followUps whose plans are all of that day
     */
    public List<FollowUp> ofDay(List<FollowUp> followUps, Map<UUID, Planned> plans, Map<UUID, Integer> minutesLeft) {
        List<FollowUp> byRule = byRule(followUps, minutesLeft);
        List<FollowUp> day = new ArrayList<>(followUps.size());
        for (Band band : Band.values()) {
            List<FollowUp> placed = new ArrayList<>();
            SortedMap<Integer, List<FollowUp>> byHand = new TreeMap<>();
            for (FollowUp each : byRule) {
                if (band(plans, each) == band) {
                    rank(plans, each)
                            .ifPresentOrElse(
                                    rank -> byHand.computeIfAbsent(rank, r -> new ArrayList<>())
                                            .add(each),
                                    () -> placed.add(each));
                }
            }
            byHand.forEach((rank, some) -> placed.addAll(Math.min(rank, placed.size()), some));
            day.addAll(placed);
        }
        return List.copyOf(day);
    }

    private static Band band(Map<UUID, Planned> plans, FollowUp followUp) {
        return Optional.ofNullable(plans.get(followUp.id())).map(Planned::band).orElse(Band.LATER);
    }

    private static Optional<Integer> rank(Map<UUID, Planned> plans, FollowUp followUp) {
        return Optional.ofNullable(plans.get(followUp.id())).map(Planned::rank);
    }
}
