package org.squallnote.core.turn;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.squallnote.core.message.Party;

/**
 * Something I owe.
 *
 * @param reason why I owe it
 * @param to whom
 * @param messageId the message that made me owe it
 * @param since when that was sent
 * @param by the deadline, or the day that I promised
 * @param what the ask or the promise in the writer's words
 * @param others addresses of others who were asked by name with me
 * @param openToAll whether an answer from anybody settles it
 * @param answeredBy who answered in my place
 * @param answeredIn the message in which they did
 * @param promise my word that I will, where I gave it
 */
@RecordBuilder
public record Debt(
        Reason reason,
        Party to,
        UUID messageId,
        Instant since,
        Optional<LocalDateTime> by,
        String what,
        Set<String> others,
        boolean openToAll,
        Optional<Party> answeredBy,
        Optional<UUID> answeredIn,
        Optional<Promised> promise) {

    /** Why I owe something. */
    public enum Reason {
        ASKED,
        INVITED,
        PROMISED,
        BOUNCED
    }

    /** Copies the addresses. */
    public Debt {
        others = Set.copyOf(others);
    }

    /** Whether it is over, at a local moment. */
    public boolean isLate(LocalDateTime now) {
        return by.filter(now::isAfter).isPresent();
    }

    /**
     * What I owe since I have promised it.
     *
     * @param words with which I did
     */
    static Debt ofPromise(TurnEvent event, Party to, String words, Optional<LocalDateTime> by) {
        return DebtBuilder.builder()
                .reason(Reason.PROMISED)
                .to(to)
                .messageId(event.messageId())
                .since(event.sentAt())
                .by(by)
                .what(words)
                .others(Set.of())
                .promise(Optional.of(new Promised(event.messageId(), event.sentAt(), words)))
                .build();
    }

    Debt promised(TurnEvent word) {
        return DebtBuilder.builder(this)
                .by(word.facts().promisedBy().or(() -> by))
                .promise(Optional.of(new Promised(
                        word.messageId(), word.sentAt(), word.facts().promised())))
                .build();
    }

    Debt answeredInMyPlace(TurnEvent answer) {
        return DebtBuilder.builder(this)
                .answeredBy(Optional.of(answer.from()))
                .answeredIn(Optional.of(answer.messageId()))
                .build();
    }
}
