package org.squallnote.server.arrival;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.turn.AnswerPattern;
import org.squallnote.core.turn.AnswerRule;
import org.squallnote.core.turn.AnswerWord;
import org.squallnote.core.turn.Facts;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.turn.AnswerWordStore;

/** What was said by hand of the answers in a thread, and what follows for it from what was said of such answers. */
@Component
class WordsOnAnswers {

    private final AnswerWordStore store;
    private final MessageStore messages;

    WordsOnAnswers(AnswerWordStore store, MessageStore messages) {
        this.store = store;
        this.messages = messages;
    }

    List<AnswerWord> in(UUID owner, UUID threadId, List<ThreadingRow> rows, Map<UUID, Facts> facts) {
        List<AnswerWord> said = store.inThread(owner, threadId);
        List<AnswerRule> rules = store.rules(owner);
        if (rules.isEmpty()) {
            return said;
        }
        Set<UUID> spoken = said.stream().map(AnswerWord::messageId).collect(Collectors.toSet());
        List<UUID> concerned = rows.stream()
                .filter(row -> row.direction() == Direction.INCOMING && !spoken.contains(row.id()))
                .filter(row -> rules.stream().anyMatch(rule -> concerns(rule, row)))
                .map(ThreadingRow::id)
                .toList();
        if (concerned.isEmpty()) {
            return said;
        }
        List<AnswerWord> all = new ArrayList<>(said);
        for (StoredMessage message : messages.byIds(owner, concerned)) {
            String own = OwnWords.of(message.body(), message.from().name()).ownOrAll();
            Facts its = facts.getOrDefault(message.id(), Facts.SILENT);
            boolean ruled = rules.stream()
                    .filter(rule -> rule.party().equals(message.from().address())
                            && message.sentAt().isAfter(rule.since()))
                    .anyMatch(rule -> new AnswerPattern(rule.pattern()).fits(its, own));
            if (ruled) {
                all.add(new AnswerWord(message.id(), AnswerWord.Kind.NO_ANSWER, ""));
            }
        }
        return all;
    }

    private static boolean concerns(AnswerRule rule, ThreadingRow row) {
        return rule.party().equals(row.fromAddress()) && row.sentAt().isAfter(rule.since());
    }
}
