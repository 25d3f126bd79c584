package org.squallnote.server.spent;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Digits;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.spent.Rounding;
import org.squallnote.core.spent.SpentTime;
import org.squallnote.core.spent.TimeWishes;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.api.Download;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.plan.Stints;

/** The time that was spent. */
@RestController
class SpentController {

    private static final int MOST_RATES = 200;

    private final SpentTimes times;
    private final Stints stints;
    private final KeptTimeWishes wishes;
    private final Clock clock;

    SpentController(SpentTimes times, Stints stints, KeptTimeWishes wishes, Clock clock) {
        this.times = times;
        this.stints = stints;
        this.wishes = wishes;
        this.clock = clock;
    }

    /**
     * The time of some days.
     *
     * @param from the first day, in the account's zone
     * @param to the last one
     * @param by what stands together
     * @param category only what was spent on it
     * @param person only what was spent for somebody; one of their addresses
     */
    @GetMapping("/api/time")
    SpentTimes.SpentView view(
            @CurrentAccount SignedIn me,
            @RequestParam LocalDate from,
            @RequestParam LocalDate to,
            @RequestParam(defaultValue = "DAY") SpentTime.By by,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person) {
        return times.view(me, wish(from, to, by, category, person));
    }

    /** The same as PDF. */
    @GetMapping(path = "/api/time.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(
            @CurrentAccount SignedIn me,
            @RequestParam LocalDate from,
            @RequestParam LocalDate to,
            @RequestParam(defaultValue = "DAY") SpentTime.By by,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            SpentPaper.write(me, times.view(me, wish(from, to, by, category, person)), clock.instant(), bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Download.of("time.pdf", MediaType.APPLICATION_PDF, bytes.toByteArray());
    }

    /** The same as a table for other programs (RFC 4180). */
    @GetMapping(path = "/api/time.csv", produces = "text/csv")
    ResponseEntity<byte[]> table(
            @CurrentAccount SignedIn me,
            @RequestParam LocalDate from,
            @RequestParam LocalDate to,
            @RequestParam(defaultValue = "DAY") SpentTime.By by,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person) {
        return Download.ofText("time.csv", "csv", SpentPaper.csv(times.view(me, wish(from, to, by, category, person))));
    }

    /** @param clock null where nothing is worked at */
    record RunningView(SpentTimes.@Nullable RunningClock clock) {}

    /** What is worked at now, and whether its clock was forgotten. */
    @GetMapping("/api/time/running")
    RunningView running(@CurrentAccount SignedIn me) {
        return new RunningView(times.running(me).orElse(null));
    }

    /** When something was worked at. */
    record TimeForm(
            @NotNull LocalDate day,
            @NotNull LocalTime from,
            @Min(1) @Max(1440) int minutes) {}

    /** Puts right when something was worked at; one under way ends by it. */
    @PutMapping("/api/time/entries/{id}")
    Done correct(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody TimeForm body) {
        return stints.correct(me, commandId, id, body.day().atTime(body.from()), body.minutes());
    }

    /** Takes a time away that was none. */
    @DeleteMapping("/api/time/entries/{id}")
    Done remove(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return stints.remove(me, commandId, id);
    }

    /** What an hour costs. */
    record RateForm(
            @Nullable UUID category,

            @NotNull @DecimalMin("0") @DecimalMax("1000000") @Digits(integer = 7, fraction = 2)
            BigDecimal perHour) {}

    /**
     * How time is rounded and billed.
     *
     * @param minutes to a multiple of so many; 1 leaves it as it was measured
     * @param byDay what was spent on one follow-up in a day is taken together before it is rounded
     */
    record TimeWishesForm(
            @Min(1) @Max(Rounding.LARGEST) int minutes,
            boolean up,
            boolean byDay,
            @NotNull @Size(max = 8) String currency,
            @NotNull @Size(max = MOST_RATES) List<@NotNull @Valid RateForm> rates) {}

    @GetMapping("/api/settings/time")
    TimeWishesForm wishes(@CurrentAccount SignedIn me) {
        TimeWishes chosen = wishes.of(me.accountId());
        return new TimeWishesForm(
                chosen.rounding().minutes(),
                chosen.rounding().up(),
                chosen.rounding().byDay(),
                chosen.currency(),
                chosen.rates().stream()
                        .map(rate -> new RateForm(rate.category(), rate.perHour()))
                        .toList());
    }

    @PutMapping("/api/settings/time")
    Done saveWishes(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody TimeWishesForm body) {
        return wishes.save(
                me,
                commandId,
                new TimeWishes(
                        new Rounding(body.minutes(), body.up(), body.byDay()),
                        body.currency(),
                        body.rates().stream()
                                .map(rate -> new TimeWishes.Rate(rate.category(), rate.perHour()))
                                .toList()));
    }

    private static SpentTimes.Wish wish(
            LocalDate from, LocalDate to, SpentTime.By by, @Nullable UUID category, @Nullable String person) {
        return new SpentTimes.Wish(from, to, by, category, person == null || person.isBlank() ? null : person.strip());
    }
}
