package org.squallnote.server.reading;

import java.time.Duration;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.core.time.WorkingTime;

/**
 * Reads messages for one account.
 *
 * @param me whom for
 * @param monthFirst whether 3/4 means March 4
 * @param workingTime when its user works
 * @param replyDays how many working days an answer usually may take
 * @param rules what its user has said about senders and lists, by address
 * @param unheard names of ways to ask that say nothing to its user
 * @param version changes whenever a reading could come out differently
 */
public record AccountReader(
        Me me,
        boolean monthFirst,
        WorkingTime workingTime,
        int replyDays,
        Map<String, PartyRule> rules,
        Set<String> unheard,
        String version) {

    /** A text of up to so many characters takes milliseconds, whatever it says. */
    private static final int QUICKLY_READ = 20_000;

    private static final Logger LOG = LoggerFactory.getLogger(AccountReader.class);

    private static final TimeLimit LIMIT = new TimeLimit(Duration.ofSeconds(20));

    /** Copies the rules. */
    public AccountReader {
        rules = Map.copyOf(rules);
        unheard = Set.copyOf(unheard);
    }

    /** The same, to whom every way to ask says something. */
    public AccountReader hearingAll() {
        return new AccountReader(me, monthFirst, workingTime, replyDays, rules, Set.of(), version);
    }

    /**
     * Reads a message. One from a sent folder is mine, from whatever address it went out; what I ask, I ask in any way. One on
     * which the rules stumble is read by its head alone, so that it is taken in and does not keep those behind it away.
     */
    public Reading read(MessageToRead message, Direction direction) {
        return readIfPossible(message, direction)
                .orElseGet(() -> reader(message, direction).readHead(message));
    }

    /** The same, and nothing where the rules stumble. */
    Optional<Reading> readIfPossible(MessageToRead message, Direction direction) {
        return unlessItFails(() -> {
            Reader reader = reader(message, direction);
            return message.text().length() <= QUICKLY_READ
                    ? reader.read(message)
                    : LIMIT.within(() -> reader.read(message), () -> reader.readBeginning(message));
        });
    }

    private Reader reader(MessageToRead message, Direction direction) {
        return new Reader(
                meIn(message.from(), direction),
                monthFirst,
                workingTime,
                direction == Direction.OUTGOING ? Set.of() : unheard);
    }

    static Optional<Reading> unlessItFails(Supplier<Reading> reading) {
        try {
            return Optional.of(reading.get());
        } catch (RuntimeException e) {
            LOG.error("The text of a message could not be read for what it asks", e);
            return Optional.empty();
        }
    }

    private Me meIn(Party from, Direction direction) {
        if (direction == Direction.INCOMING || me.is(from)) {
            return me;
        }
        Set<String> addresses = new HashSet<>(me.addresses());
        addresses.add(from.address());
        return new Me(me.name(), addresses, me.nicknames());
    }
}
