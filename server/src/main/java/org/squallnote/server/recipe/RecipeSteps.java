package org.squallnote.server.recipe;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Content;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.phrase.SavedPhrase;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.recipe.Fields;
import org.squallnote.core.recipe.Step;
import org.squallnote.core.text.Beginning;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.answer.Answers;
import org.squallnote.server.command.Changes;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.handover.HandOvers;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.message.Proposals;
import org.squallnote.server.outbox.Archiving;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.Readings;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.phrase.PhraseStore;

/** What each step of a recipe would do to a message, and does. */
@Component
class RecipeSteps {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final Proposals proposals;
    private final AccountReaders readers;
    private final Readings readings;
    private final Decisions decisions;
    private final FollowUps followUps;
    private final Answers answers;
    private final HandOvers handOvers;
    private final Archiving archiving;
    private final PhraseStore phrases;
    private final UuidV7 ids;
    private final Clock clock;

    RecipeSteps(
            Proposals proposals,
            AccountReaders readers,
            Readings readings,
            Decisions decisions,
            FollowUps followUps,
            Answers answers,
            HandOvers handOvers,
            Archiving archiving,
            PhraseStore phrases,
            UuidV7 ids,
            Clock clock) {
        this.proposals = proposals;
        this.readers = readers;
        this.readings = readings;
        this.decisions = decisions;
        this.followUps = followUps;
        this.answers = answers;
        this.handOvers = handOvers;
        this.archiving = archiving;
        this.phrases = phrases;
        this.ids = ids;
        this.clock = clock;
    }

    /** A message with everything that steps look at. */
    record Prepared(
            SignedIn me,
            StoredMessage message,
            Proposals.Proposal proposal,
            AccountReader reader,
            Map<String, String> fields) {}

    Prepared prepare(SignedIn me, StoredMessage message) {
        AccountReader reader = readers.of(me.accountId());
        Reading reading = readings.readForProposal(reader, message);
        Proposals.Proposal proposal = proposals.of(me, reader).of(message, reading);
        Map<String, String> fields = new HashMap<>();
        fields.put("title", proposal.title());
        fields.put("name", message.from().shortName());
        fields.put("subject", message.subject());
        fields.put("date", DAY.format(proposal.replyBy()));
        fields.put("today", DAY.format(today(me)));
        fields.put("me", me.name());
        fields.put(
                "ask",
                reading.askOfMe()
                        .map(ask -> ask.sentence().foldedIn(reading.words().text()))
                        .orElse(message.subject()));
        return new Prepared(me, message, proposal, reader, fields);
    }

    private LocalDate today(SignedIn me) {
        return LocalDate.ofInstant(clock.instant(), me.zoneId());
    }

    /** What a step would do, one clause. */
    String planned(Prepared on, Step step) {
        return switch (step.kind()) {
            case FOLLOW_UP -> {
                Content content = content(on, step);
                yield "follow-up “" + content.title() + "”"
                        + Optional.ofNullable(content.replyDay())
                                .map(day -> " by " + DAY.format(day))
                                .orElse("");
            }
            case ANSWER ->
                Optional.ofNullable(step.phraseId())
                        .flatMap(id -> phrases.byId(on.me().accountId(), id))
                        .map(phrase -> "answer “" + beginning(Fields.fill(phrase.text(), on.fields())) + "”")
                        .orElse("answer (its phrase was deleted)");
            case HAND_OVER -> "hand over to " + step.address();
            case PUT_OFF -> "put off until " + DAY.format(putOffDay(on, step));
            case NOTHING -> "nothing to do";
            case ARCHIVE -> mailOnly(on, "archive the mail");
            case MARK_READ -> mailOnly(on, "mark the mail as read");
            case MOVE -> mailOnly(on, "move the mail to " + step.folder());
        };
    }

    private static String mailOnly(Prepared on, String what) {
        return on.message().messageId().isEmpty() || on.message().roomId() != null ? "(no mail) " + what : what;
    }

    private static String beginning(String text) {
        return Beginning.onOneLine(text, 60);
    }

    /** Does a step as part of a command. */
    void run(Prepared on, Step step, boolean automatic, Changes changes) {
        SignedIn me = on.me();
        StoredMessage message = on.message();
        UUID owner = me.accountId();
        switch (step.kind()) {
            case FOLLOW_UP -> {
                followUps.checkCategory(me, step.categoryId());
                followUps.makeWithin(me, ids.next(), message, content(on, step), changes);
            }
            case ANSWER ->
                answers.answerWithin(me, message.id(), Answers.Written.toWriter(phrase(on, step)), automatic, changes);
            case HAND_OVER ->
                handOvers.handOverWithin(
                        me, message.id(), new Party("", step.address()), note(on, step), null, changes);
            case PUT_OFF -> decisions.putOff(me, message, putOffDay(on, step), changes);
            case NOTHING -> decisions.decide(me, message, Decision.NOTHING, false, changes);
            case ARCHIVE -> archiving.moveTo(owner, changes.commandId(), message.id(), Optional.empty());
            case MARK_READ -> archiving.markRead(owner, changes.commandId(), message.id());
            case MOVE ->
                archiving.moveTo(
                        owner,
                        changes.commandId(),
                        message.id(),
                        Optional.of(step.folder().strip()));
        }
    }

    private Content content(Prepared on, Step step) {
        Proposals.Proposal proposal = on.proposal();
        Integer days = step.workingDays();
        boolean own = days == null;
        LocalDate day =
                days == null ? proposal.replyBy() : on.reader().workingTime().addWorkingDays(today(on.me()), days);
        @Nullable LocalTime time = own ? proposal.replyTime() : null;
        String title = step.title().isBlank() ? proposal.title() : Fields.fill(step.title(), on.fields());
        return new Content(
                Beginning.of(title, 300),
                day,
                time,
                own && proposal.firm(),
                step.categoryId() == null ? proposal.categoryId() : step.categoryId(),
                step.effortMinutes() == null ? (Integer) proposal.effortMinutes() : step.effortMinutes(),
                proposal.priority(),
                null,
                new Content.Details(null, step.place(), proposal.people(), List.of(), ""));
    }

    private String phrase(Prepared on, Step step) {
        SavedPhrase phrase = Optional.ofNullable(step.phraseId())
                .flatMap(id -> phrases.byId(on.me().accountId(), id))
                .orElseThrow(
                        () -> Refusal.invalid(
                                "The phrase of this recipe was deleted. Choose another one in Settings › Recipes; nothing was done."));
        return Fields.fill(phrase.text(), on.fields());
    }

    private static String note(Prepared on, Step step) {
        String note = step.note().isBlank() ? "Could you take this over, please?" : step.note();
        return Fields.fill(note, on.fields());
    }

    private LocalDate putOffDay(Prepared on, Step step) {
        int days = Optional.ofNullable(step.workingDays()).orElse(1);
        return on.reader().workingTime().addWorkingDays(today(on.me()), days);
    }

    /** What all steps would do. */
    List<String> planned(Prepared on, List<Step> steps) {
        List<String> planned = new ArrayList<>();
        steps.forEach(step -> planned.add(planned(on, step)));
        return planned;
    }
}
