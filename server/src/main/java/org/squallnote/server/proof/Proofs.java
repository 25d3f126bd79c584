package org.squallnote.server.proof;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.category.Category;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.people.Identities;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.record.Exchange;
import org.squallnote.core.record.Exchanges;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Promised;
import org.squallnote.core.turn.Turn;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.proof.Proved.ProvedExchange;
import org.squallnote.server.proof.Proved.ProvedMessage;
import org.squallnote.server.proof.Proved.ProvedThread;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.record.ProofStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers what was asked and answered. */
@Component
class Proofs {

    private static final int MOST_THREADS = 100;
    private static final int MOST_MESSAGES = 500;
    private static final int LONGEST_WORDS = 1_500;

    private final ProofStore store;
    private final ThreadStore threads;
    private final MessageStore messages;
    private final RawMails rawMails;
    private final PeopleStore people;
    private final CategoryStore categories;
    private final ThreadTurns turns;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    Proofs(
            ProofStore store,
            ThreadStore threads,
            MessageStore messages,
            RawMails rawMails,
            PeopleStore people,
            CategoryStore categories,
            ThreadTurns turns,
            WorkingTimes workingTimes,
            Clock clock) {
        this.store = store;
        this.threads = threads;
        this.messages = messages;
        this.rawMails = rawMails;
        this.people = people;
        this.categories = categories;
        this.turns = turns;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * Which threads and what of them; null where it does not matter, but not all of them.
     *
     * @param person one of their addresses
     * @param from the first day on which something was asked
     * @param to the last one
     */
    record Wish(
            @Nullable String person,
            @Nullable UUID category,
            @Nullable LocalDate from,
            @Nullable LocalDate to) {

        boolean isOfEverything() {
            return person == null && category == null && from == null && to == null;
        }
    }

    /** Of one thread, whole. */
    Proved ofThread(SignedIn me, UUID threadId) {
        StoredThread thread = threads.byId(me.accountId(), threadId).orElseThrow(() -> Refusal.notFound("thread"));
        Gathering gathering = new Gathering(me, Set.of(), Instant.MIN, Instant.MAX);
        return gathering.proof("The thread \u201c" + subject(thread) + "\u201d", List.of(thread), 0);
    }

    /** Of all threads with somebody, of a category or of some days. */
    Proved of(SignedIn me, Wish wish) {
        UUID owner = me.accountId();
        if (wish.isOfEverything()) {
            throw Refusal.invalid("Say of whom, of which category or of which days it shall be. Nothing was made.");
        }
        Set<String> addresses = wish.person() == null ? Set.of() : addresses(owner, wish.person());
        Instant from = wish.from() == null
                ? Instant.MIN
                : wish.from().atStartOfDay(me.zoneId()).toInstant();
        Instant to = wish.to() == null
                ? Instant.MAX
                : wish.to().plusDays(1).atStartOfDay(me.zoneId()).toInstant();
        List<UUID> ids = store.threads(
                owner,
                addresses,
                wish.category(),
                wish.from() == null ? null : from,
                wish.to() == null ? null : to,
                MOST_THREADS * 10);
        List<UUID> shown = ids.subList(0, Math.min(ids.size(), MOST_THREADS));
        List<StoredThread> all = shown.isEmpty() ? List.of() : threads.byIds(owner, shown);
        Gathering gathering = new Gathering(me, addresses, from, to);
        return gathering.proof(
                about(owner, wish),
                all.stream()
                        .sorted(Comparator.comparing(StoredThread::lastMessageAt)
                                .reversed())
                        .toList(),
                ids.size() - shown.size());
    }

    private Set<String> addresses(UUID owner, String person) {
        Identities identities = Identities.of(people.addresses(owner));
        return Set.copyOf(identities.addresses(identities.person(person)));
    }

    private String about(UUID owner, Wish wish) {
        List<String> words = new ArrayList<>();
        if (wish.person() != null) {
            words.add("with " + wish.person());
        }
        if (wish.category() != null) {
            words.add("in the category "
                    + categories
                            .byId(owner, wish.category())
                            .map(Category::name)
                            .orElseThrow(() -> Refusal.notFound("category")));
        }
        if (wish.from() != null) {
            words.add("from " + ProofWords.day(wish.from()));
        }
        if (wish.to() != null) {
            words.add("to " + ProofWords.day(wish.to()));
        }
        return "What was asked and answered " + String.join(", ", words);
    }

    /** The message as it came, where that is kept. */
    Optional<RawMail> raw(UUID owner, UUID id) {
        return rawMails.of(owner, id);
    }

    private static String subject(StoredThread thread) {
        return thread.subject().isBlank() ? "without a subject" : thread.subject();
    }

    /** One proof while it is put together. */
    private final class Gathering {

        private final SignedIn me;
        private final Set<String> addresses;
        private final Instant from;
        private final Instant to;
        private final WorkingTime workingTime;
        private final Instant now = clock.instant();
        private int number;

        Gathering(SignedIn me, Set<String> addresses, Instant from, Instant to) {
            this.me = me;
            this.addresses = addresses;
            this.from = from;
            this.to = to;
            this.workingTime = workingTimes.of(me.accountId());
        }

        Proved proof(String about, List<StoredThread> all, int more) {
            List<ProvedThread> proved = new ArrayList<>();
            int leftOut = more;
            for (StoredThread each : all) {
                if (number >= MOST_MESSAGES) {
                    leftOut++;
                } else {
                    Optional.of(thread(each))
                            .filter(one -> !one.messages().isEmpty())
                            .ifPresent(proved::add);
                }
            }
            return new Proved(about, me.name(), now, me.zone(), proved, leftOut);
        }

        private ProvedThread thread(StoredThread thread) {
            List<StoredMessage> all = messages.inThread(me.accountId(), thread.id());
            List<Exchange> exchanges = Exchanges.in(turns.course(me.accountId(), thread.id())).stream()
                    .filter(each -> addresses.isEmpty()
                            || addresses.contains(each.other().address()))
                    .filter(each -> isWithin(each.askedAt()))
                    .toList();
            Set<UUID> named = new HashSet<>();
            for (Exchange each : exchanges) {
                named.add(each.messageId());
                each.endedIn().ifPresent(named::add);
                each.promise().map(Promised::in).ifPresent(named::add);
            }
            List<StoredMessage> wanted = all.stream()
                    .filter(each -> named.contains(each.id()) || (isWithin(each.sentAt()) && isTheirsOrMine(each)))
                    .toList();
            List<ProvedMessage> shown = new ArrayList<>();
            Map<UUID, Integer> numbers = new HashMap<>();
            for (StoredMessage each : wanted) {
                if (number < MOST_MESSAGES) {
                    number++;
                    numbers.put(each.id(), number);
                    shown.add(message(each));
                }
            }
            boolean closed = thread.handTurn() == Turn.CLOSED && thread.turn() == Turn.CLOSED;
            return new ProvedThread(
                    thread.id(),
                    subject(thread),
                    closed ? thread.handAt() : null,
                    closed ? thread.handReason() : null,
                    exchanges.stream().map(each -> exchange(each, numbers)).toList(),
                    shown,
                    wanted.size() - shown.size());
        }

        private boolean isWithin(Instant moment) {
            return !moment.isBefore(from) && moment.isBefore(to);
        }

        private boolean isTheirsOrMine(StoredMessage message) {
            return addresses.isEmpty()
                    || message.direction() == Direction.OUTGOING
                    || addresses.contains(message.fromAddress());
        }

        private ProvedExchange exchange(Exchange one, Map<UUID, Integer> numbers) {
            Instant over = one.endedAt().orElse(now);
            return new ProvedExchange(
                    one.kind(),
                    one.other().shown(),
                    one.words(),
                    numbers.get(one.messageId()),
                    one.askedAt(),
                    one.promise().map(Promised::in).map(numbers::get).orElse(null),
                    one.promise().map(Promised::at).orElse(null),
                    one.promise().map(Promised::words).orElse(""),
                    one.outcome(),
                    one.endedIn().map(numbers::get).orElse(null),
                    one.endedAt().orElse(null),
                    over.isAfter(one.askedAt())
                            ? workingTime.between(one.askedAt(), over).toMinutes()
                            : 0);
        }

        private ProvedMessage message(StoredMessage message) {
            Optional<RawMail> raw = raw(message.owner(), message.id());
            String words =
                    OwnWords.of(message.body(), message.fromName()).ownOrAll().strip();
            return new ProvedMessage(
                    number,
                    message.id(),
                    message.channel(),
                    message.direction(),
                    message.from().shown(),
                    message.recipients().to(),
                    message.recipients().cc(),
                    message.subject(),
                    message.sentAt(),
                    message.receivedAt(),
                    message.messageId(),
                    raw.isEmpty()
                            ? ""
                            : "%04d.%s".formatted(number, message.channel() == Channel.MAIL ? "eml" : "json"),
                    raw.map(RawMail::sha256).orElse(""),
                    Beginning.of(words, LONGEST_WORDS),
                    words.length() > LONGEST_WORDS,
                    message.removed());
        }
    }
}
