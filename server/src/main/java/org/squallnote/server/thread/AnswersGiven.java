package org.squallnote.server.thread;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.AnswerPattern;
import org.squallnote.core.turn.AnswerRule;
import org.squallnote.core.turn.AnswerWord;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.Given;
import org.squallnote.core.turn.StoredFacts;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.ThreadTurns;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.reading.ReadingStore;
import org.squallnote.store.turn.AnswerWordStore;
import tools.jackson.databind.json.JsonMapper;

/** What counts as an answer in a thread, and what is said of that by hand. */
@Component
class AnswersGiven implements Restorer {

    /** Longer answers are shown with their beginning. */
    private static final int LONGEST_SHOWN = 200;

    private final AnswerWordStore store;
    private final MessageStore messages;
    private final ReadingStore readings;
    private final ThreadTurns turns;
    private final Commands commands;
    private final JsonMapper json;

    AnswersGiven(
            AnswerWordStore store,
            MessageStore messages,
            ReadingStore readings,
            ThreadTurns turns,
            Commands commands,
            JsonMapper json) {
        this.store = store;
        this.messages = messages;
        this.readings = readings;
        this.turns = turns;
        this.commands = commands;
        this.json = json;
    }

    /**
     * A message that counts as an answer, or did until somebody said otherwise.
     *
     * @param messageId the message
     * @param name who wrote it
     * @param what was asked, empty where that is not known
     * @param words the beginning of the answer
     * @param verdict how it counts now
     * @param missing what is still missing, of one that is a part
     */
    record AnswerView(
            UUID messageId,
            String name,
            Instant at,
            String what,
            String words,
            AnswerWord.Kind verdict,
            String missing) {}

    /** The answers of a thread, the newest first. */
    List<AnswerView> of(StoredThread thread, List<StoredMessage> all) {
        UUID owner = thread.owner();
        Map<UUID, Given> given = new HashMap<>();
        turns.state(owner, thread.id()).given().forEach(one -> given.put(one.answer(), one));
        Map<UUID, AnswerWord> words = new HashMap<>();
        store.inThread(owner, thread.id()).forEach(word -> words.put(word.messageId(), word));
        List<AnswerView> views = new ArrayList<>();
        for (StoredMessage message : all) {
            Optional<Given> answers = Optional.ofNullable(given.get(message.id()));
            Optional<AnswerWord> word = Optional.ofNullable(words.get(message.id()));
            if (answers.isPresent() || word.isPresent()) {
                views.add(new AnswerView(
                        message.id(),
                        message.from().displayName(),
                        message.sentAt(),
                        answers.map(Given::what).orElse(""),
                        Beginning.onOneLine(
                                OwnWords.of(message.body(), message.from().name())
                                        .ownOrAll(),
                                LONGEST_SHOWN),
                        word.map(AnswerWord::kind).orElse(AnswerWord.Kind.ANSWER),
                        word.map(AnswerWord::missing).orElse("")));
            }
        }
        views.sort(Comparator.comparing(AnswerView::at).reversed());
        return views;
    }

    /**
     * What stands of a message in the history.
     *
     * @param kind null where nothing was said
     * @param party whose messages of a kind are no answers from then on; null where nothing was said of others
     */
    record SaidOfAnswer(
            AnswerWord.@Nullable Kind kind,
            String missing,
            @Nullable String party,
            @Nullable String pattern,
            @Nullable Instant since) {

        static final SaidOfAnswer NOTHING = new SaidOfAnswer(null, "", null, null, null);
    }

    /**
     * Says how a message counts.
     *
     * @param missing what is still missing, of one that is a part
     * @param always whether later messages of that kind from its writer are no answers either
     */
    Done say(
            SignedIn me,
            UUID commandId,
            UUID threadId,
            UUID messageId,
            AnswerWord.Kind kind,
            String missing,
            boolean always) {
        UUID owner = me.accountId();
        StoredMessage message = messages.byId(owner, messageId)
                .filter(found -> found.threadId().equals(threadId))
                .orElseThrow(() -> Refusal.notFound("message"));
        if (message.direction() != Direction.INCOMING) {
            throw Refusal.invalid(
                    "You wrote this yourself: it answers nothing that you have asked. Nothing was changed.");
        }
        AnswerWord word = new AnswerWord(messageId, kind, kind == AnswerWord.Kind.PARTLY ? missing : "");
        return commands.run(me, commandId, "answer-word", changes -> {
            SaidOfAnswer before = said(owner, messageId);
            SaidOfAnswer after = always && kind == AnswerWord.Kind.NO_ANSWER
                    ? new SaidOfAnswer(
                            kind,
                            "",
                            message.from().address(),
                            AnswerPattern.of(
                                            facts(owner, messageId),
                                            OwnWords.of(
                                                            message.body(),
                                                            message.from().name())
                                                    .ownOrAll())
                                    .text(),
                            message.sentAt())
                    : new SaidOfAnswer(kind, word.missing(), null, null, null);
            write(owner, messageId, after);
            changes.record(SubjectType.ANSWER_WORD, messageId, before, after)
                    .label(label(kind, message.from(), always))
                    .touch(Topic.THREADS);
        });
    }

    private static String label(AnswerWord.Kind kind, Party from, boolean always) {
        String who = from.displayName();
        return switch (kind) {
            case NO_ANSWER ->
                (always ? "No answer, nor are later ones like it: " : "No answer: ") + who + " stays awaited";
            case PARTLY -> "A part of the answer: " + who + " owes the rest";
            case ANSWER -> "An answer: " + who + " has answered";
        };
    }

    private Facts facts(UUID owner, UUID messageId) {
        return readings.of(owner, messageId).map(StoredFacts::facts).orElse(Facts.SILENT);
    }

    private SaidOfAnswer said(UUID owner, UUID messageId) {
        return store.of(owner, messageId)
                .map(word -> new SaidOfAnswer(word.kind(), word.missing(), null, null, null))
                .orElse(SaidOfAnswer.NOTHING);
    }

    private void write(UUID owner, UUID messageId, SaidOfAnswer said) {
        store.delete(owner, messageId);
        if (said.kind() != null) {
            store.insert(owner, new AnswerWord(messageId, said.kind(), said.missing()));
        }
        if (said.party() != null && said.pattern() != null && said.since() != null) {
            store.deleteRule(owner, said.party(), said.pattern());
            store.insertRule(owner, new AnswerRule(said.party(), said.pattern(), said.since()));
        }
        messages.byId(owner, messageId).ifPresent(message -> turns.refresh(owner, message.threadId()));
        if (said.party() != null) {
            refreshAllOf(owner, said.party());
        }
    }

    /** What came from somebody after the moment of a rule counts otherwise. */
    private void refreshAllOf(UUID owner, String party) {
        messages.threadsWith(owner, party).forEach(threadId -> turns.refresh(owner, threadId));
    }

    @Override
    public SubjectType type() {
        return SubjectType.ANSWER_WORD;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        SaidOfAnswer now = said(owner, entry.subjectId());
        SaidOfAnswer after = json.readValue(entry.after(), SaidOfAnswer.class);
        return new SaidOfAnswer(now.kind(), now.missing(), after.party(), after.pattern(), after.since());
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        if (entry.before() == null || entry.after() == null) {
            return;
        }
        SaidOfAnswer after = json.readValue(entry.after(), SaidOfAnswer.class);
        if (after.party() != null && after.pattern() != null) {
            store.deleteRule(owner, after.party(), after.pattern());
        }
        write(owner, entry.subjectId(), json.readValue(entry.before(), SaidOfAnswer.class));
        if (after.party() != null) {
            refreshAllOf(owner, after.party());
        }
        changes.touch(Topic.THREADS);
    }
}
