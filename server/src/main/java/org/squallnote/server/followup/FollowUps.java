package org.squallnote.server.followup;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.squallnote.core.StaleVersionException;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.followup.Snapshot;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.repetition.Occurrence;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.chase.FollowUpChanged;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.live.Topic;
import org.squallnote.server.outbox.Archiving;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.thread.ThreadStore;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Makes, changes and ends follow-ups. */
@Component
public class FollowUps implements Restorer {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final FollowUpStore store;
    private final CategoryStore categories;
    private final Decisions decisions;
    private final ThreadStore threads;
    private final Archiving archiving;
    private final List<EndingFollowUps> endings;
    private final Repeats repeats;
    private final Commands commands;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final JsonMapper json;

    FollowUps(
            FollowUpStore store,
            CategoryStore categories,
            Decisions decisions,
            ThreadStore threads,
            Archiving archiving,
            List<EndingFollowUps> endings,
            Repeats repeats,
            Commands commands,
            ApplicationEventPublisher events,
            Clock clock,
            JsonMapper json) {
        this.store = store;
        this.categories = categories;
        this.decisions = decisions;
        this.threads = threads;
        this.archiving = archiving;
        this.endings = endings;
        this.repeats = repeats;
        this.commands = commands;
        this.events = events;
        this.clock = clock;
        this.json = json;
    }

    /**
     * A follow-up to be made.
     *
     * @param sentence the sentence of the message that it is about, empty for the whole
     * @param repeats how it comes back, in words; empty for once
     */
    record NewFollowUp(UUID id, Content content, String sentence, String repeats) {}

    /** Makes one or several of a message in one go, each with its part of it. */
    Done make(SignedIn me, UUID commandId, UUID messageId, List<NewFollowUp> wanted) {
        return commands.run(me, commandId, "follow-up", changes -> {
            wanted.forEach(each -> checkCategory(me, each.content().categoryId()));
            StoredMessage message = decisions.decide(me, messageId, Decision.FOLLOW_UP, true, changes);
            wanted.forEach(each -> insert(me.accountId(), each, message, changes));
            changes.label(label(wanted));
        });
    }

    /** Makes some that come from no message. */
    Done capture(SignedIn me, UUID commandId, List<NewFollowUp> wanted) {
        return commands.run(me, commandId, "capture", changes -> {
            wanted.forEach(each -> checkCategory(me, each.content().categoryId()));
            wanted.forEach(each -> insert(me.accountId(), each, null, changes));
            changes.label(label(wanted));
        });
    }

    private static String label(List<NewFollowUp> wanted) {
        return wanted.size() == 1
                ? "Follow-up: " + wanted.get(0).content().usableTitle()
                : wanted.size() + " follow-ups: " + wanted.get(0).content().usableTitle() + " …";
    }

    /** Makes one of a message as part of a command; its category was checked before. */
    public FollowUp makeWithin(SignedIn me, UUID followUpId, StoredMessage message, Content content, Changes changes) {
        decisions.decide(me, message, Decision.FOLLOW_UP, true, changes);
        return insert(me.accountId(), new NewFollowUp(followUpId, content, "", ""), message, changes);
    }

    /**
     * Makes one of a mail of mine that was meant for this, as part of a command.
     *
     * @param repeatWords how it comes back; empty for once
     */
    public void mailedIn(
            UUID owner, UUID followUpId, StoredMessage message, Content content, String repeatWords, Changes changes) {
        insert(owner, new NewFollowUp(followUpId, content, "", repeatWords), message, changes);
    }

    /**
     * Makes one that comes from elsewhere, as part of a command.
     *
     * @param repeatWords how it comes back; empty for once
     */
    public void takenIn(UUID owner, UUID followUpId, Content content, String repeatWords, Changes changes) {
        insert(owner, new NewFollowUp(followUpId, content, "", repeatWords), null, changes);
    }

    /** Whether a message has a follow-up. */
    public boolean isLinked(UUID owner, UUID messageId) {
        return !store.ofMessage(owner, messageId).isEmpty();
    }

    private FollowUp insert(UUID owner, NewFollowUp wanted, @Nullable StoredMessage message, Changes changes) {
        UUID id = wanted.id();
        FollowUp made = FollowUp.made(id, owner, wanted.content(), Optional.ofNullable(message), clock.instant());
        FollowUp followUp = wanted.repeats().isBlank()
                ? made
                : onItsDay(made, repeats.begin(owner, made, wanted.repeats(), changes));
        store.insert(followUp);
        List<FollowUpLink> links = message == null ? List.of() : List.of(link(owner, id, message, wanted.sentence()));
        changes.record(SubjectType.FOLLOW_UP, id, null, new FollowUpRecord(followUp, links))
                .touch(Topic.FOLLOW_UPS);
        events.publishEvent(new FollowUpChanged(owner, id));
        return followUp;
    }

    /** One that comes back has a day. */
    private static FollowUp onItsDay(FollowUp followUp, Occurrence at) {
        return followUp.replyBy().isPresent() ? followUp : followUp.replyBy(at.day(), null);
    }

    /** Lets one come back from now on, or in another rhythm. */
    Done repeat(SignedIn me, UUID commandId, UUID id, int version, String words) {
        return commands.run(me, commandId, "follow-up-repeats", changes -> {
            UUID owner = me.accountId();
            FollowUp followUp = get(owner, id);
            if (followUp.state() != FollowUpState.OPEN) {
                throw Refusal.conflict("This follow-up has ended. Open it again to let it come back.");
            }
            Occurrence at = repeats.begin(owner, followUp, words, changes);
            if (followUp.replyBy().isEmpty()) {
                update(me, id, version, changes, old -> onItsDay(old, at));
            }
            changes.label("Comes back " + repeats.words(owner, id).orElse(words) + ": " + followUp.title());
        });
    }

    /** Lets one come back no more. */
    Done endSeries(SignedIn me, UUID commandId, UUID id) {
        return commands.run(me, commandId, "series-ended", changes -> {
            FollowUp followUp = get(me.accountId(), id);
            repeats.end(me.accountId(), id, changes);
            changes.label("Comes back no more: " + followUp.title());
        });
    }

    /** Links another message to a follow-up, which decides the message. */
    Done addMessage(SignedIn me, UUID commandId, UUID id, UUID messageId) {
        return commands.run(me, commandId, "follow-up-message", changes -> {
            FollowUp followUp = get(me.accountId(), id);
            FollowUpRecord before = record(me.accountId(), followUp);
            if (followUp.state() != FollowUpState.OPEN) {
                throw Refusal.conflict("This follow-up has ended. Open it again to add a message to it.");
            }
            if (before.links().stream().anyMatch(link -> link.messageId().equals(messageId))) {
                throw Refusal.conflict("This message belongs to that follow-up already. Nothing was changed.");
            }
            StoredMessage message = decisions.decide(me, messageId, Decision.FOLLOW_UP, true, changes);
            link(me.accountId(), id, message, "");
            note(me.accountId(), id, before, changes);
            changes.label("Added to: " + followUp.title());
        });
    }

    private FollowUpLink link(UUID owner, UUID followUpId, StoredMessage message, String sentence) {
        String snapshot = json.writeValueAsString(Snapshot.of(message));
        FollowUpLink link = new FollowUpLink(followUpId, message.id(), clock.instant(), sentence, snapshot);
        store.insertLink(owner, link);
        return link;
    }

    /** @param following whether those that come after it are to be like it too */
    Done change(SignedIn me, UUID commandId, UUID id, int version, Content content, boolean following) {
        checkCategory(me, content.categoryId());
        return commands.run(me, commandId, "follow-up-changed", changes -> {
            update(me, id, version, changes, old -> old.changed(content));
            if (following) {
                repeats.goOnLike(me.accountId(), get(me.accountId(), id), changes);
            }
            changes.label("Changed: " + content.usableTitle());
        });
    }

    Done weigh(SignedIn me, UUID commandId, UUID id, int version, Priority priority) {
        String words = priority.name().toLowerCase(Locale.ROOT);
        return change(
                me,
                commandId,
                id,
                version,
                "Priority " + words + ": " + get(me.accountId(), id).title(),
                old -> old.weighing(priority));
    }

    /** Puts one out of sight until something comes; null for no longer. */
    Done waitFor(SignedIn me, UUID commandId, UUID id, int version, @Nullable Waiting what) {
        FollowUp old = get(me.accountId(), id);
        if (old.state() != FollowUpState.OPEN) {
            throw Refusal.conflict("This follow-up has ended. Open it again to let it wait for something.");
        }
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        if (what != null && what.isOver(today)) {
            throw Refusal.field("until", "Let it wait until a day after today. Nothing was changed.");
        }
        if (what != null
                && what.threadId() != null
                && threads.byId(me.accountId(), what.threadId()).isEmpty()) {
            throw Refusal.notFound("thread");
        }
        return change(
                me,
                commandId,
                id,
                version,
                what == null
                        ? "Waits no longer: " + old.title()
                        : "Waits " + WaitingFollowUps.words(what) + ": " + old.title(),
                each -> each.waitingFor(what == null ? null : what.heldBackAs(each.waiting())));
    }

    /** Puts one out of sight until a day; past its own firm date only when that is said. */
    Done putOff(SignedIn me, UUID commandId, UUID id, int version, LocalDate until, boolean pastReplyBy) {
        FollowUp old = get(me.accountId(), id);
        if (!old.startingOn(until).isLater(LocalDate.ofInstant(clock.instant(), me.zoneId()))) {
            throw Refusal.field("until", "Put it off to a day after today. Nothing was changed.");
        }
        if (old.isPastFirmDate(until) && !pastReplyBy) {
            throw Refusal.conflict("It is firm for "
                    + DAY.format(old.replyBy().map(ReplyBy::day).orElse(until))
                    + ", and would come back only after that. Nothing was changed; choose an earlier day, or put it off"
                    + " all the same.");
        }
        return change(
                me,
                commandId,
                id,
                version,
                "Put off until " + DAY.format(until) + ": " + old.title(),
                each -> each.startingOn(until));
    }

    Done end(SignedIn me, UUID commandId, UUID id, int version, FollowUpState state) {
        FollowUp before = get(me.accountId(), id);
        String verb =
                state == FollowUpState.DONE ? "Done: " : state == FollowUpState.DROPPED ? "Dropped: " : "Open again: ";
        return commands.run(me, commandId, "follow-up-" + state.name().toLowerCase(Locale.ROOT), changes -> {
            update(
                    me,
                    id,
                    version,
                    changes,
                    old -> old.ended(state, state == FollowUpState.OPEN ? null : clock.instant()));
            String beside = state == FollowUpState.OPEN ? "" : hasEnded(me.accountId(), id, changes);
            if (state == FollowUpState.OPEN) {
                endings.forEach(each -> each.changed(me.accountId(), id, changes));
            }
            changes.label(verb + before.title() + beside);
        });
    }

    /**
     * Changes a follow-up as a consequence of something else, within its command. It is read here: what the command did
     * before may have changed it too, as the end of one follow-up does to another that needed it first.
     *
     * @return what is said of it behind its title
     */
    public String changeWithin(UUID owner, UUID id, UnaryOperator<FollowUp> change, Changes changes) {
        FollowUp old = get(owner, id);
        FollowUp changed = change.apply(old);
        FollowUpRecord before = record(owner, old);
        if (store.update(changed) == 0) {
            throw new StaleVersionException(id);
        }
        boolean ends = old.state() == FollowUpState.OPEN && changed.state() != FollowUpState.OPEN;
        String beside = ends ? hasEnded(owner, id, changes) : "";
        note(owner, id, before, changes);
        return beside;
    }

    /**
     * One that came from a message is somebody else's from now on, as part of a command.
     *
     * @throws Refusal where it did not come from that message
     */
    public void givenAway(UUID owner, UUID id, UUID messageId, Changes changes) {
        FollowUp old = get(owner, id);
        if (store.links(owner, id).stream().noneMatch(link -> link.messageId().equals(messageId))) {
            throw Refusal.invalid("This follow-up did not come from that message. Nothing was handed over.");
        }
        if (old.state() == FollowUpState.OPEN) {
            changeWithin(owner, id, each -> each.ended(FollowUpState.DROPPED, clock.instant()), changes);
        }
    }

    /** @return what is said of it behind the title */
    private String hasEnded(UUID owner, UUID id, Changes changes) {
        for (FollowUpLink link : store.links(owner, id)) {
            boolean othersOpen = store.ofMessage(owner, link.messageId()).stream()
                    .anyMatch(other -> !other.id().equals(id) && other.state() == FollowUpState.OPEN);
            if (!othersOpen) {
                archiving.ended(owner, changes.commandId(), link.messageId());
            }
        }
        // Last, since what comes next belongs to the same message and would keep it from being put away.
        return endings.stream()
                .flatMap(each -> each.ended(owner, id, changes).stream())
                .map(said -> ". " + said)
                .collect(Collectors.joining());
    }

    private Done change(
            SignedIn me, UUID commandId, UUID id, int version, String label, UnaryOperator<FollowUp> changed) {
        return commands.run(me, commandId, "follow-up-changed", changes -> {
            update(me, id, version, changes, changed);
            changes.label(label);
        });
    }

    private void update(SignedIn me, UUID id, int version, Changes changes, UnaryOperator<FollowUp> changed) {
        FollowUp old = get(me.accountId(), id);
        FollowUpRecord before = record(me.accountId(), old);
        if (old.version() != version || store.update(changed.apply(old)) == 0) {
            throw new StaleVersionException(id);
        }
        note(me.accountId(), id, before, changes);
    }

    private void note(UUID owner, UUID id, @Nullable FollowUpRecord before, Changes changes) {
        FollowUpRecord after =
                store.byId(owner, id).map(now -> record(owner, now)).orElse(null);
        changes.record(SubjectType.FOLLOW_UP, id, before, after).touch(Topic.FOLLOW_UPS);
        events.publishEvent(new FollowUpChanged(owner, id));
    }

    private FollowUpRecord record(UUID owner, FollowUp followUp) {
        return new FollowUpRecord(followUp, store.links(owner, followUp.id()));
    }

    /** What one of them is called; refused where there is none. */
    public String title(UUID owner, UUID id) {
        return get(owner, id).title();
    }

    FollowUp get(UUID owner, UUID id) {
        return store.byId(owner, id).orElseThrow(() -> Refusal.notFound("follow-up"));
    }

    /** Several, in the order asked for; refused where one of them is not there. */
    List<FollowUp> get(UUID owner, List<UUID> ids) {
        Map<UUID, FollowUp> byId = new HashMap<>();
        store.byIds(owner, ids).forEach(each -> byId.put(each.id(), each));
        return ids.stream()
                .distinct()
                .map(id -> Optional.ofNullable(byId.get(id)).orElseThrow(() -> Refusal.notFound("follow-up")))
                .toList();
    }

    /** Refuses a category that is not mine. */
    public void checkCategory(SignedIn me, @Nullable UUID categoryId) {
        if (categoryId != null && categories.byId(me.accountId(), categoryId).isEmpty()) {
            throw Refusal.notFound("category");
        }
    }

    @Override
    public SubjectType type() {
        return SubjectType.FOLLOW_UP;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return store.byId(owner, entry.subjectId())
                .map(followUp -> record(owner, followUp))
                .orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        UUID id = entry.subjectId();
        Optional<FollowUp> now = store.byId(owner, id);
        if (entry.before() == null) {
            store.deleteLinks(owner, id);
            store.delete(owner, id);
            endings.forEach(each -> each.changed(owner, id, changes));
        } else {
            FollowUpRecord before = json.readerFor(FollowUpRecord.class)
                    // What counts the changes is not kept, and fields that came later are absent.
                    .without(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                    .readValue(entry.before());
            if (now.isPresent()) {
                store.update(before.toRow(id, owner, now.get().version()));
            } else {
                store.insert(before.toRow(id, owner, 0));
            }
            store.deleteLinks(owner, id);
            List<FollowUpLink> links = before.links();
            links.forEach(link -> store.insertLink(owner, link));
        }
        events.publishEvent(new FollowUpChanged(owner, id));
        changes.touch(Topic.FOLLOW_UPS, Topic.INTAKE);
    }
}
