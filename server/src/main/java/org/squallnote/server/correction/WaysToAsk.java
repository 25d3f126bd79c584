package org.squallnote.server.correction;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.ReadingRules;
import org.squallnote.core.rule.Reason;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.Readings;
import org.squallnote.store.message.MessageStore;

/** Ways to ask by which messages were taken to ask that ask nothing, as their reader said. */
@Component
class WaysToAsk {

    /** So many of the messages that were corrected are looked at. */
    private static final int MOST = 200;

    private final MessageStore messages;
    private final AccountReaders readers;
    private final Readings readings;

    WaysToAsk(MessageStore messages, AccountReaders readers, Readings readings) {
        this.messages = messages;
        this.readers = readers;
        this.readings = readings;
    }

    /**
     * A way to ask.
     *
     * @param way its name
     * @param example a sentence that asks in this way, alike to what misled
     * @param forms how many forms it has, among them that one
     * @param overruled of how many messages it was said that they ask nothing
     * @param unheard whether it says nothing to this user any more
     */
    record Way(String way, String example, int forms, int overruled, boolean unheard) {}

    /** Those that misled, and those that are unheard; the most misleading first. */
    List<Way> of(UUID owner) {
        AccountReader reader = readers.of(owner);
        Map<String, List<Reason>> overruled = messages.corrected(owner, Asks.NEVER, MOST).stream()
                .flatMap(message -> askedBy(reader, message).stream())
                .collect(Collectors.groupingBy(Reason::rule));
        List<Way> ways = new ArrayList<>();
        ReadingRules.waysToAsk().forEach((way, forms) -> {
            List<Reason> misled = overruled.getOrDefault(way.rule(), List.of());
            boolean unheard = reader.unheard().contains(way.rule());
            if (unheard || !misled.isEmpty()) {
                String example =
                        misled.isEmpty() ? way.example() : misled.get(0).example();
                ways.add(new Way(way.rule(), example, forms, misled.size(), unheard));
            }
        });
        ways.sort(Comparator.comparingInt(Way::overruled).reversed().thenComparing(Way::way));
        return ways;
    }

    /** The way in which a message was taken to ask its reader; absent where it was not. */
    Optional<Reason> askedBy(StoredMessage message) {
        return askedBy(readers.of(message.owner()), message);
    }

    private Optional<Reason> askedBy(AccountReader reader, StoredMessage message) {
        return readings.readForProposal(reader.hearingAll(), message).askOfMe().map(Ask::because);
    }

    /** The way of that name. */
    static Reason named(String way) {
        return ReadingRules.waysToAsk().keySet().stream()
                .filter(each -> each.rule().equals(way))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("way to ask"));
    }
}
