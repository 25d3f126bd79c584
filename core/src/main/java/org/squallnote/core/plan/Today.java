package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.followup.FollowUp;

/**
 * The day: what is planned for it in its order, what else could be done, and what to move where it is too much.
 *
 * @param entries in the order in which they are to be done
 * @param candidates what could be done today and is not planned, what comes first first
 * @param moves what would make the day fit
 * @param stuckMinutes how much would be too much even then
 */
public record Today(
        Glass glass, List<Entry> entries, List<Candidate> candidates, List<Fitting.Move> moves, int stuckMinutes) {

    /**
     * Something that is planned for the day.
     *
     * @param minutesLeft how much of it is left to do
     * @param fits whether it is below the rim
     */
    public record Entry(FollowUp followUp, Planned planned, int minutesLeft, boolean fits) {}

    /** Copies the lists. */
    public Today {
        entries = List.copyOf(entries);
        candidates = List.copyOf(candidates);
        moves = List.copyOf(moves);
    }

    /** Works the day out. */
    public static Today of(Horizon horizon) {
        LocalDate today = horizon.today();
        DayOrder order = new DayOrder(horizon.freeTime(), horizon.now());
        Map<UUID, Integer> minutesLeft = horizon.minutesLeft();
        List<FollowUp> planned = order.ofDay(
                horizon.open().stream()
                        .filter(each -> horizon.plan(each)
                                .filter(plan -> plan.day().equals(today))
                                .isPresent())
                        .toList(),
                horizon.plans(),
                minutesLeft);
        Glass glass = Glass.of(
                horizon.freeTime().roomMinutes(today, horizon.now()),
                planned.stream()
                        .map(each -> minutesLeft.getOrDefault(each.id(), 0))
                        .toList());
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < planned.size(); i++) {
            FollowUp each = planned.get(i);
            Planned plan = horizon.plan(each).orElseGet(() -> Planned.on(each.id(), today));
            entries.add(new Entry(
                    each,
                    plan,
                    minutesLeft.getOrDefault(each.id(), 0),
                    glass.fits().get(i)));
        }
        Fitting fitting = Fitting.of(horizon.rooms(), worksBesides(horizon, today));
        return new Today(
                glass,
                entries,
                candidates(horizon, order, minutesLeft),
                fitting.moves().stream()
                        .filter(move -> move.from().equals(today))
                        .toList(),
                fitting.over().getOrDefault(today, 0));
    }

    /** What is due today and not planned is no load of today: it is asked about. */
    private static List<Work> worksBesides(Horizon horizon, LocalDate today) {
        return horizon.open().stream()
                .map(horizon::work)
                .filter(work -> work.planned().isPresent()
                        || work.due().filter(due -> !due.equals(today)).isPresent())
                .toList();
    }

    private static List<Candidate> candidates(Horizon horizon, DayOrder order, Map<UUID, Integer> minutesLeft) {
        List<Candidate> all = order.byRule(horizon.open(), minutesLeft).stream()
                .map(each -> Candidate.of(each, horizon.plan(each), horizon.local(), horizon.workingTime()))
                .flatMap(Optional::stream)
                .map(each -> Optional.ofNullable(
                                horizon.prepared().get(each.followUp().id()))
                        .map(meeting -> each.because(
                                Candidate.Why.PREPARES_MEETING,
                                LocalDate.ofInstant(
                                        meeting.fromInclusive(),
                                        horizon.workingTime().zone())))
                        .orElse(each))
                .map(each -> Optional.ofNullable(
                                horizon.fromThreads().get(each.followUp().id()))
                        .map(reason -> each.because(reason.why(), reason.day()))
                        .orElse(each))
                .toList();
        List<Candidate> pressingFirst = new ArrayList<>(
                all.stream().filter(each -> each.why().presses()).toList());
        all.stream().filter(each -> !each.why().presses()).forEach(pressingFirst::add);
        return pressingFirst;
    }

    /** How many would be missed if today said nothing of them. */
    public int pressing() {
        return (int) candidates.stream().filter(each -> each.why().presses()).count();
    }
}
