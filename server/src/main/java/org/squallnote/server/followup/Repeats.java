package org.squallnote.server.followup;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.repetition.Occurrence;
import org.squallnote.core.repetition.RepetitionWords;
import org.squallnote.core.repetition.Series;
import org.squallnote.core.repetition.TypedRepetition;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.repetition.SeriesStore;
import tools.jackson.databind.json.JsonMapper;

/** What comes back: when a follow-up that stands for a series ends, the next one is made in the same change. */
@Component
class Repeats extends KeptState<Series> implements EndingFollowUps {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final SeriesStore store;
    private final FollowUpStore followUps;
    private final CategoryStore categories;
    private final WorkingTimes workingTimes;
    private final UuidV7 ids;
    private final Clock clock;

    Repeats(
            SeriesStore store,
            FollowUpStore followUps,
            CategoryStore categories,
            WorkingTimes workingTimes,
            UuidV7 ids,
            Clock clock,
            JsonMapper json) {
        super(SubjectType.SERIES, Series.class, json);
        this.store = store;
        this.followUps = followUps;
        this.categories = categories;
        this.workingTimes = workingTimes;
        this.ids = ids;
        this.clock = clock;
    }

    /** What words say of a rhythm; absent when they say none. */
    Optional<TypedRepetition> read(UUID owner, String words) {
        return TypedRepetition.read(words, workingTimes.typing(owner, clock.instant()));
    }

    /** The series for which a follow-up stands. */
    Optional<Series> of(UUID owner, UUID followUpId) {
        return store.standingFor(owner, followUpId);
    }

    /**
     * Lets a follow-up come back from now on, or in another rhythm.
     *
     * @param words how, as they were typed
     * @return which time it is itself
     */
    Occurrence begin(UUID owner, FollowUp followUp, String words, Changes changes) {
        TypedRepetition typed = read(owner, words)
                .orElseThrow(() -> Refusal.field(
                        "repeats",
                        "“" + words + "” says no rhythm. Try “every Monday”, “every 2 weeks on Friday” or “last working"
                                + " day of the month”. Nothing was changed."));
        WorkingTime workingTime = workingTimes.of(owner);
        LocalDate from = typed.from().orElse(today(workingTime));
        Optional<Series> before = of(owner, followUp.id());
        Series series = before.map(it -> it.inRhythm(typed.repetition()))
                .or(() -> Series.beginning(ids.next(), typed.repetition(), followUp, from, workingTime))
                .orElseThrow(() ->
                        Refusal.field("repeats", "No day is ever like that: “" + words + "”. Nothing was changed."));
        change(owner, series.id(), series, changes);
        return series.at();
    }

    /** Ends the series of a follow-up, which stays itself. */
    void end(UUID owner, UUID followUpId, Changes changes) {
        of(owner, followUpId).ifPresent(series -> change(owner, series.id(), null, changes));
    }

    /** Others will be like this one. */
    void goOnLike(UUID owner, FollowUp followUp, Changes changes) {
        of(owner, followUp.id()).ifPresent(series -> change(owner, series.id(), series.like(followUp), changes));
    }

    @Override
    public Optional<String> ended(UUID owner, UUID followUpId, Changes changes) {
        return of(owner, followUpId).map(series -> {
            WorkingTime workingTime = workingTimes.of(owner);
            LocalDate today = today(workingTime);
            Optional<Occurrence> next = series.next(today, workingTime);
            if (next.isEmpty()) {
                change(owner, series.id(), null, changes);
                return "That was the last one";
            }
            UUID nextId = ids.next();
            make(owner, nextId, series, next.get(), today, changes);
            change(owner, series.id(), series.goingOn(nextId, next.get()), changes);
            return "The next one is for " + DAY.format(next.get().day());
        });
    }

    private void make(UUID owner, UUID id, Series series, Occurrence next, LocalDate today, Changes changes) {
        Content content = series.contentOf(next, today);
        if (content.categoryId() != null
                && categories.byId(owner, content.categoryId()).isEmpty()) {
            content = content.inCategory(null);
        }
        Instant now = clock.instant();
        FollowUp followUp = FollowUp.again(id, owner, content, now);
        followUps.insert(followUp);
        List<FollowUpLink> links = followUps.links(owner, series.current()).stream()
                .map(link -> new FollowUpLink(id, link.messageId(), now, link.sentence(), link.snapshot()))
                .toList();
        links.forEach(link -> followUps.insertLink(owner, link));
        changes.record(SubjectType.FOLLOW_UP, id, null, new FollowUpRecord(followUp, links));
    }

    /** How one comes back, in words; absent when it does not. */
    Optional<String> words(UUID owner, UUID followUpId) {
        return of(owner, followUpId).map(series -> RepetitionWords.of(series.repetition()));
    }

    private LocalDate today(WorkingTime workingTime) {
        return LocalDate.ofInstant(clock.instant(), workingTime.zone());
    }

    @Override
    protected @Nullable Series state(UUID owner, UUID id) {
        return store.byId(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Series state) {
        store.delete(owner, id);
        if (state != null) {
            store.insert(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
