package org.squallnote.core.thread;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.Debt;

/**
 * What is open between somebody and me in a thread.
 *
 * @param party their address
 * @param mine whether I owe it
 * @param day by when I owe it, or when they are to be chased; null where no day is known
 * @param since since when the oldest of it is open
 */
public record OpenBetween(
        UUID threadId,
        String party,
        String name,
        boolean mine,
        @Nullable LocalDate day,
        Instant since) {

    private static final int LONGEST_ADDRESS = 320;
    private static final int LONGEST_NAME = 200;
    private static final Comparator<OpenBetween> FIRST = Comparator.comparing(
                    OpenBetween::day, Comparator.nullsLast(Comparator.naturalOrder()))
            .thenComparing(OpenBetween::since);

    /**
     * Everything that is open in a thread, one for each person and direction.
     *
     * @param chaseOn when somebody is to be chased
     * @param names how people sign, by address
     */
    public static List<OpenBetween> in(
            UUID threadId,
            List<Debt> debts,
            List<Awaited> awaited,
            Function<Awaited, LocalDate> chaseOn,
            Map<String, String> names) {
        Map<String, OpenBetween> first = new HashMap<>();
        debts.forEach(debt -> keep(
                first, of(threadId, debt.to(), true, debt.by().map(LocalDateTime::toLocalDate), debt.since(), names)));
        awaited.forEach(one ->
                keep(first, of(threadId, one.party(), false, Optional.of(chaseOn.apply(one)), one.since(), names)));
        List<OpenBetween> all = new ArrayList<>(first.values());
        all.sort(Comparator.comparing(OpenBetween::party).thenComparing(OpenBetween::mine));
        return all;
    }

    /** The same under another name. */
    public OpenBetween named(String other) {
        return new OpenBetween(threadId, party, other, mine, day, since);
    }

    private static void keep(Map<String, OpenBetween> first, OpenBetween one) {
        first.merge(one.party() + " " + one.mine(), one, (a, b) -> FIRST.compare(a, b) <= 0 ? a : b);
    }

    private static OpenBetween of(
            UUID threadId,
            Party party,
            boolean mine,
            Optional<LocalDate> day,
            Instant since,
            Map<String, String> names) {
        String name = party.name().isEmpty() ? names.getOrDefault(party.address(), party.displayName()) : party.name();
        return new OpenBetween(
                threadId,
                cut(party.address(), LONGEST_ADDRESS),
                cut(name, LONGEST_NAME),
                mine,
                day.orElse(null),
                since);
    }

    private static String cut(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest);
    }
}
