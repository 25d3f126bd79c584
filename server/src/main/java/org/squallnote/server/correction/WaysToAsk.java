package org.squallnote.server.correction;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Asks;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.ReadingRules;
import org.squallnote.core.rule.Reason;
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
     * @param example a sentence that asks in this way
     * @param overruled of how many messages it was said that they ask nothing
     * @param unheard whether it says nothing to this user any more
     */
    record Way(String way, String example, int overruled, boolean unheard) {}

    /** Those that misled, and those that are unheard; the most misleading first. */
    List<Way> of(UUID owner) {
        AccountReader reader = readers.of(owner);
        Map<String, Integer> overruled = new HashMap<>();
        messages.corrected(owner, Asks.NEVER, MOST).stream()
                .flatMap(message -> readings.read(reader.hearingAll(), message).askOfMe().stream())
                .map(Ask::because)
                .forEach(reason -> overruled.merge(reason.rule(), 1, Integer::sum));
        Map<String, String> examples = new HashMap<>();
        ReadingRules.ofAsks().forEach(phrase -> examples.put(phrase.name(), phrase.example()));
        ReadingRules.ofShapes().stream().forEach(shape -> examples.put(shape.rule(), exampleOf(shape)));
        return Stream.of(overruled.keySet(), reader.unheard())
                .flatMap(Collection::stream)
                .distinct()
                .filter(examples::containsKey)
                .map(way -> new Way(
                        way,
                        examples.getOrDefault(way, ""),
                        overruled.getOrDefault(way, 0),
                        reader.unheard().contains(way)))
                .sorted(Comparator.comparingInt(Way::overruled).reversed().thenComparing(Way::way))
                .toList();
    }

    private static String exampleOf(Reason shape) {
        return shape.example().replace('\n', ' ');
    }
}
