package org.squallnote.server.thread;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.chase.ChaseDate;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.thread.ThreadFollowUps;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.chase.ChaseDates;

/**
 * Writes threads as rows, with what all rows of one answer share.
 *
 * @param mine my addresses
 * @param rooms chat rooms by their id
 * @param workingTime in which silence is counted
 * @param wishes after how many days somebody is to be reminded
 * @param made the follow-ups made from threads, by thread
 * @param usual how long those awaited usually take, by address, where that is known
 * @param now the moment of the answer
 */
record ThreadLines(
        Set<String> mine,
        Map<String, ChatRoom> rooms,
        WorkingTime workingTime,
        ChaseWishes wishes,
        Map<UUID, ThreadFollowUps> made,
        Map<String, UsualTime> usual,
        Instant now) {

    /** A trace shows the newest of many messages. */
    private static final int MOST_TICKS = 60;

    /** Copies the collections. */
    ThreadLines {
        mine = Set.copyOf(mine);
        rooms = Map.copyOf(rooms);
        made = Map.copyOf(made);
        usual = Map.copyOf(usual);
    }

    /** The first name that somebody is called by, whether they wrote or were written to. */
    private static void named(Map<String, String> names, Party party) {
        names.merge(
                party.address(), party.displayName(), (known, other) -> known.equals(party.address()) ? other : known);
    }

    /**
     * One thread.
     *
     * @param rows its messages in sent order
     * @param group what it stands together with
     */
    ThreadLine of(StoredThread thread, List<ThreadingRow> rows, Optional<ThreadLine.Group> group) {
        Map<String, String> names = new HashMap<>();
        Set<String> people = new HashSet<>();
        for (ThreadingRow row : rows) {
            Party from = new Party(row.fromName(), row.fromAddress());
            named(names, from);
            if (!mine.contains(from.address())) {
                people.add(from.address());
            } else if (thread.channel() == Channel.MAIL) {
                for (Party party : row.recipients().to()) {
                    if (!mine.contains(party.address())) {
                        named(names, party);
                        people.add(party.address());
                    }
                }
            }
        }
        List<Tick> trace = rows.stream()
                .skip(Math.max(0, rows.size() - MOST_TICKS))
                .map(row -> new Tick(
                        row.id(),
                        row.sentAt(),
                        row.direction(),
                        !row.nature().isPersonal(),
                        row.direction() == Direction.OUTGOING && ChaseLetter.isReminder(row.messageId())))
                .toList();
        Optional<ThreadFollowUps> followUps = Optional.ofNullable(made.get(thread.id()));
        ChaseDates.Days days = new ChaseDates.Days(
                wishes,
                followUps.flatMap(each -> Optional.ofNullable(each.categoryId())),
                usual,
                Optional.ofNullable(thread.chaseHand()),
                workingTime);
        return new ThreadLine(
                thread.id(),
                thread.channel(),
                thread.subject(),
                Optional.ofNullable(thread.roomId())
                        .map(rooms::get)
                        .filter(room -> !room.direct())
                        .map(ChatRoom::name)
                        .orElse(null),
                people.stream()
                        .map(address -> names.getOrDefault(address, address))
                        .distinct()
                        .sorted()
                        .toList(),
                thread.turn(),
                thread.since(),
                silence(Optional.ofNullable(thread.since()).orElse(thread.lastMessageAt())),
                thread.debts().list().stream()
                        .map(debt -> DebtView.of(debt, localNow()))
                        .toList(),
                thread.awaited().list().stream()
                        .map(one -> awaited(one, names, days))
                        .toList(),
                thread.reopenedBy() != null,
                thread.turn() == Turn.CLOSED ? thread.handReason() : null,
                thread.messageCount(),
                trace,
                followUps.map(ThreadFollowUps::open).orElse(0),
                followUps.map(ThreadFollowUps::categoryId).orElse(null),
                group.orElse(null),
                thread.attention(),
                thread.closingWord(),
                thread.version());
    }

    private LocalDateTime localNow() {
        return LocalDateTime.ofInstant(now, workingTime.zone());
    }

    private long silence(Instant since) {
        return workingTime.between(since, now).toMinutes();
    }

    private AwaitedView awaited(Awaited one, Map<String, String> names, ChaseDates.Days days) {
        Party party = one.party();
        Optional<UsualTime> theirs = Optional.ofNullable(usual.get(party.address()));
        ChaseDate date = days.of(one);
        return new AwaitedView(
                party.name().isEmpty() ? names.getOrDefault(party.address(), party.displayName()) : party.displayName(),
                party.address(),
                one.messageId(),
                one.since(),
                silence(one.since()),
                By.day(one.by()),
                By.time(one.by()),
                one.isLate(localNow()),
                one.promised(),
                one.promised() ? By.day(one.by()) : null,
                date.day(),
                date.why(),
                wishes.ruleFor(party.address(), days.category()).by().orElse(null),
                one.chases(),
                one.awayOn(localNow().toLocalDate()).orElse(null),
                theirs.map(time -> time.median().toMinutes()).orElse(null),
                ChaseDate.isLaterThanUsual(one, theirs, workingTime, now),
                one.answered().map(other -> other.by().displayName()).orElse(null),
                one.what());
    }
}
