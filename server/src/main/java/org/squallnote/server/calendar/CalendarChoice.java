package org.squallnote.server.calendar;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
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

/** The calendar of a server that an account has chosen for something. */
public abstract class CalendarChoice extends KeptState<CalendarChoice.Chosen> {

    private final String name;
    private final String what;
    private final Predicate<Calendar> fits;
    private final PreferenceStore preferences;
    private final CalendarStore calendars;
    private final Commands commands;

    /**
     * A choice.
     *
     * @param name of its setting
     * @param what goes into the calendar, as it is said
     * @param fits which calendars may be chosen
     */
    protected CalendarChoice(
            SubjectType type, String name, String what, Predicate<Calendar> fits, Tools tools, JsonMapper json) {
        super(type, Chosen.class, json);
        this.name = name;
        this.what = what;
        this.fits = fits;
        this.preferences = tools.preferences();
        this.calendars = tools.calendars();
        this.commands = tools.commands();
    }

    /** What every choice needs. */
    @Component
    public record Tools(PreferenceStore preferences, CalendarStore calendars, Commands commands) {}

    /** @param calendarId null for none */
    public record Chosen(@Nullable UUID calendarId) {}

    /** The calendar; absent when none was chosen, or it is gone. */
    public Optional<Calendar> of(UUID owner) {
        return preferences
                .of(owner, name)
                .filter(id -> !id.isEmpty())
                .flatMap(id -> calendars.byId(owner, UUID.fromString(id)))
                .filter(fits);
    }

    /** What is chosen now. */
    public Chosen chosen(UUID owner) {
        return new Chosen(of(owner).map(Calendar::id).orElse(null));
    }

    /** Chooses one, or none. */
    public Done choose(SignedIn me, UUID commandId, @Nullable UUID calendarId) {
        return commands.run(me, commandId, name, changes -> {
            Optional<Calendar> calendar = Optional.ofNullable(calendarId)
                    .map(id -> calendars
                            .byId(me.accountId(), id)
                            .filter(fits)
                            .orElseThrow(() -> Refusal.notFound("calendar")));
            change(me.accountId(), me.accountId(), new Chosen(calendarId), changes);
            changes.label(calendar.map(it -> what + " go into " + it.name()).orElse(what + " go into no calendar"));
        });
    }

    @Override
    protected Chosen state(UUID owner, UUID id) {
        return chosen(owner);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable Chosen state) {
        UUID chosen = state == null ? null : state.calendarId();
        preferences.save(owner, name, chosen == null ? "" : chosen.toString());
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.CALENDARS};
    }
}
