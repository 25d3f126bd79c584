package org.squallnote.server.reading;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.settings.SettingsRow;
import org.squallnote.core.time.PublicHolidays;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.time.WorkingTime.Hours;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.settings.SettingsStore;

/** The working time of accounts. */
@Component
public class WorkingTimes {

    private static final AccountSettings USUAL =
            new AccountSettings(List.of(), false, fiveDays(), "", List.of(), 2, null, null);

    private final SettingsStore settings;
    private final AccountStore accounts;

    WorkingTimes(SettingsStore settings, AccountStore accounts) {
        this.settings = settings;
        this.accounts = accounts;
    }

    private static Map<DayOfWeek, Hours> fiveDays() {
        Map<DayOfWeek, Hours> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day.compareTo(DayOfWeek.FRIDAY) <= 0) {
                week.put(day, new Hours(LocalTime.of(9, 0), LocalTime.of(17, 0)));
            }
        }
        return week;
    }

    /** The settings of an account; the usual ones until it makes its own. */
    public AccountSettings settings(UUID owner) {
        return settings.of(owner).map(SettingsRow::settings).orElse(USUAL);
    }

    /** When its user works. */
    public WorkingTime of(UUID owner) {
        ZoneId zone = accounts.byId(owner).map(Account::zone).map(ZoneId::of).orElse(ZoneId.of("UTC"));
        return of(settings(owner), zone);
    }

    /** What dates that its user types are resolved against. */
    public DateContext typing(UUID owner, Instant now) {
        WorkingTime workingTime = of(owner);
        return new DateContext(
                LocalDateTime.ofInstant(now, workingTime.zone()),
                workingTime,
                settings(owner).monthFirst());
    }

    static WorkingTime of(AccountSettings settings, ZoneId zone) {
        return WorkingTime.of(settings.week(), zone)
                .withHolidays(PublicHolidays.of(settings.region()))
                .withDaysOff(Set.copyOf(settings.daysOff()));
    }
}
