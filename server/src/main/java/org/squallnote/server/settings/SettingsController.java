package org.squallnote.server.settings;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.time.Holidays;
import org.squallnote.core.time.PublicHolidays;
import org.squallnote.core.time.WorkingTime.Hours;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.BackgroundReading;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.reading.WorkingTimes;

/** Settings › Working time. */
@RestController
class SettingsController {

    /** The holidays that the page shows lie within this many days. */
    private static final int DAYS_SHOWN = 365;

    private final KeptWorkingTime kept;
    private final WorkingTimes workingTimes;
    private final BackgroundReading reading;
    private final Clock clock;

    SettingsController(KeptWorkingTime kept, WorkingTimes workingTimes, BackgroundReading reading, Clock clock) {
        this.kept = kept;
        this.workingTimes = workingTimes;
        this.reading = reading;
        this.clock = clock;
    }

    /** The hours of one working day. */
    record DayHours(DayOfWeek day, LocalTime from, LocalTime to) {}

    record WorkingTimeForm(
            @Size(max = 20) List<@Size(max = 60) String> nicknames,
            boolean monthFirst,
            @NotEmpty @Size(max = 7) List<@Valid DayHours> week,
            @Size(max = 20) String region,
            @Size(max = 400) List<LocalDate> daysOff,
            @Min(0) @Max(90) int replyDays,
            @Nullable @Min(0) @Max(90) Integer marginPercent,
            @Nullable @Min(0) @Max(240) Integer minutesAround) {}

    record RegionView(String code, String name) {}

    record HolidayView(LocalDate day, String name) {}

    record WorkingTimeView(WorkingTimeForm form, List<RegionView> regions, List<HolidayView> holidays) {}

    /** How far reading again has come; both zero when there is nothing to read again. */
    record ReadingProgress(int done, int total) {}

    @GetMapping("/api/settings/working-time")
    WorkingTimeView workingTime(@CurrentAccount SignedIn me) {
        AccountSettings settings = workingTimes.settings(me.accountId());
        LocalDate today = LocalDate.ofInstant(clock.instant(), me.zoneId());
        Holidays ofRegion = PublicHolidays.of(settings.region());
        List<HolidayView> holidays = Stream.iterate(today, day -> day.plusDays(1))
                .limit(DAYS_SHOWN)
                .flatMap(day -> ofRegion.on(day).stream().map(name -> new HolidayView(day, name)))
                .toList();
        return new WorkingTimeView(
                new WorkingTimeForm(
                        settings.nicknames(),
                        settings.monthFirst(),
                        settings.week().entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .map(day -> new DayHours(
                                        day.getKey(),
                                        day.getValue().fromInclusive(),
                                        day.getValue().toExclusive()))
                                .toList(),
                        settings.region(),
                        settings.daysOff(),
                        settings.replyDays(),
                        settings.margin(),
                        settings.around()),
                PublicHolidays.regions().stream()
                        .map(region -> new RegionView(region.code(), region.name()))
                        .toList(),
                holidays);
    }

    @PutMapping("/api/settings/working-time")
    Done save(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody WorkingTimeForm body) {
        return kept.save(me, commandId, checked(body));
    }

    private static AccountSettings checked(WorkingTimeForm body) {
        Map<DayOfWeek, Hours> week = new EnumMap<>(DayOfWeek.class);
        for (DayHours day : body.week()) {
            try {
                week.put(day.day(), new Hours(day.from(), day.to()));
            } catch (IllegalArgumentException e) {
                throw Refusal.invalid(
                        "A working day ends after it begins; look at " + nameOf(day.day()) + ". Nothing was changed.");
            }
        }
        try {
            PublicHolidays.of(body.region());
        } catch (IllegalArgumentException e) {
            throw Refusal.invalid("There are no holidays known for " + body.region() + ". Nothing was changed.");
        }
        return new AccountSettings(
                body.nicknames().stream()
                        .map(String::strip)
                        .filter(name -> !name.isEmpty())
                        .distinct()
                        .toList(),
                body.monthFirst(),
                week,
                body.region().strip(),
                body.daysOff().stream().distinct().sorted().toList(),
                body.replyDays(),
                body.marginPercent(),
                body.minutesAround());
    }

    private static String nameOf(DayOfWeek day) {
        return day.getDisplayName(TextStyle.FULL, Locale.UK);
    }

    @GetMapping("/api/reading/progress")
    ReadingProgress progress(@CurrentAccount SignedIn me) {
        BackgroundReading.Progress progress = reading.progress(me.accountId());
        return new ReadingProgress(progress.done(), progress.total());
    }
}
