package org.squallnote.server.plan;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/** The calendar of a server that an account's blocks are written into. */
@Component
class BlockCalendar extends KeptState<BlockCalendar.Chosen> {

    private static final String NAME = "block-calendar";

    private final PreferenceStore preferences;
    private final CalendarStore calendars;
    private final Commands commands;

    BlockCalendar(PreferenceStore preferences, CalendarStore calendars, Commands commands, JsonMapper json) {
        super(SubjectType.BLOCK_CALENDAR, Chosen.class, json);
        this.preferences = preferences;
        this.calendars = calendars;
        this.commands = commands;
    }

    /** @param calendarId null for none */
    record Chosen(@Nullable UUID calendarId) {}

    /** The calendar; absent when none was chosen, or it is gone. */
    Optional<Calendar> of(UUID owner) {
        return preferences
                .of(owner, NAME)
                .filter(id -> !id.isEmpty())
                .flatMap(id -> calendars.byId(owner, UUID.fromString(id)))
                .filter(Calendar::isOfAccount);
    }

    Done choose(SignedIn me, UUID commandId, @Nullable UUID calendarId) {
        return commands.run(me, commandId, "block-calendar", changes -> {
            Optional<Calendar> calendar = Optional.ofNullable(calendarId)
                    .map(id -> calendars
                            .byId(me.accountId(), id)
                            .filter(Calendar::isOfAccount)
                            .orElseThrow(() -> Refusal.notFound("calendar")));
            change(me.accountId(), me.accountId(), new Chosen(calendarId), changes);
            changes.label(calendar.map(it -> "Blocks go into " + it.name()).orElse("Blocks go into no calendar"));
        });
    }

    @Override
    protected Chosen state(UUID owner, UUID id) {
        return new Chosen(of(owner).map(Calendar::id).orElse(null));
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Chosen state) {
        UUID chosen = state == null ? null : state.calendarId();
        preferences.save(owner, NAME, chosen == null ? "" : chosen.toString());
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.CALENDARS};
    }
}
