package org.squallnote.server.followup;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.Choice;
import org.squallnote.core.followup.DueSpan;
import org.squallnote.core.followup.Facet;
import org.squallnote.core.followup.FacetFilter;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.message.Party;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.api.Download;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;

/** Follow-ups by one facet at a time, several decided at once, what fits here and now, and the way out. */
@RestController
class GroupController {

    private static final int MOST_AT_ONCE = 2_000;

    private final FollowUpList list;
    private final FollowUpNames names;
    private final Choices choices;
    private final HereAndNowFinder here;
    private final Clock clock;
    private final Grouping grouping;
    private final HandPlaces places;

    GroupController(
            FollowUpList list,
            FollowUpNames names,
            Choices choices,
            HereAndNowFinder here,
            Clock clock,
            Grouping grouping,
            HandPlaces places) {
        this.list = list;
        this.names = names;
        this.choices = choices;
        this.here = here;
        this.clock = clock;
        this.grouping = grouping;
        this.places = places;
    }

    /**
     * Some follow-ups that have the same of a facet.
     *
     * @param key what they have; empty for nothing
     * @param name by which it is shown, where the key is none
     * @param minutes how long all of them will take
     * @param day by which something is to be answered that is put here, where the groups are dates
     */
    record GroupView(
            String key,
            String name,
            List<UUID> followUps,
            int minutes,
            @Nullable LocalDate day) {}

    /**
     * The groups in their order, within each what is wanted first is first.
     *
     * @param byHand whether my own order goes before the dates
     * @param only facets with a value each, such as {@code PLACE:yard}; of each facet one of its values is wanted
     */
    @GetMapping("/api/follow-ups/groups")
    List<GroupView> groups(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "REPLY_BY") Facet by,
            @RequestParam(defaultValue = "false") boolean byHand,
            @RequestParam(defaultValue = "") @Size(max = FacetFilter.MOST) List<String> only,
            HttpServletRequest request) {
        // As it came: Spring would make two values of a single one with a comma in it.
        String[] wanted = request.getParameterValues("only");
        return grouping.of(me, by, byHand, filter(wanted == null ? List.of() : List.of(wanted))).stream()
                .map(group -> new GroupView(
                        group.key(),
                        group.name(),
                        group.followUps().stream().map(FollowUp::id).toList(),
                        group.minutes(),
                        by == Facet.REPLY_BY ? grouping.day(me, DueSpan.valueOf(group.key())) : null))
                .toList();
    }

    private static FacetFilter filter(List<String> only) {
        return new FacetFilter(only.stream()
                .filter(each -> !each.isBlank())
                .map(each -> {
                    int colon = each.indexOf(':');
                    try {
                        return new FacetFilter.ChosenValue(
                                Facet.valueOf(each.substring(0, Math.max(colon, 0))), each.substring(colon + 1), "");
                    } catch (IllegalArgumentException e) {
                        throw Refusal.field(
                                "only", "Say a facet and its value, such as PLACE:yard. Nothing was changed.");
                    }
                })
                .toList());
    }

    /** @param count how many open ones have it */
    record ValueView(Facet facet, String key, String name, int count) {}

    /** What the open follow-ups have of each facet. */
    @GetMapping("/api/follow-ups/facets")
    List<ValueView> facets(@CurrentAccount SignedIn me) {
        return grouping.all(me).entrySet().stream()
                .flatMap(facet -> facet.getValue().stream()
                        .map(group -> new ValueView(
                                facet.getKey(),
                                group.key(),
                                group.name(),
                                group.followUps().size())))
                .toList();
    }

    /**
     * Puts some elsewhere in my own order.
     *
     * @param group all of their group, as they stand after that
     */
    record OrderRequest(
            @NotEmpty @Size(max = MOST_AT_ONCE) List<UUID> group,
            @NotEmpty @Size(max = MOST_AT_ONCE) List<UUID> moved) {}

    @PostMapping("/api/follow-ups/order")
    Done order(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody OrderRequest body) {
        return places.move(me, commandId, body.group(), body.moved());
    }

    /** @param past whether what is firm may be put off past its date */
    record ChoiceRequest(
            @NotEmpty @Size(max = MOST_AT_ONCE) List<UUID> ids,
            @NotNull Choice.Kind kind,
            @Nullable LocalDate day,
            @Nullable UUID categoryId,
            @Nullable Priority priority,
            @Nullable @Size(max = 60) String place,
            @Nullable @Size(max = 200) String personName,
            @Nullable @Size(max = 320) String personAddress,
            @Nullable @Min(1) @Max(6000) Integer minutes,
            @Nullable Boolean past) {

        Choice choice() {
            return new Choice(
                    kind,
                    day,
                    categoryId,
                    priority,
                    place,
                    personName == null && personAddress == null
                            ? null
                            : new Party(
                                    personName == null ? "" : personName.strip(),
                                    personAddress == null ? "" : personAddress.strip()),
                    minutes);
        }
    }

    @PostMapping("/api/follow-ups/decisions")
    Done decide(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody ChoiceRequest body) {
        return choices.decide(me, commandId, body.ids(), body.choice(), Boolean.TRUE.equals(body.past()));
    }

    /**
     * What can be done where I am, in the time that there is.
     *
     * @param minutes how long there is; without it, until the next meeting or the end of work
     */
    @GetMapping("/api/follow-ups/here")
    HereAndNowFinder.Here here(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "") @Size(max = 60) String place,
            @RequestParam(required = false) @Nullable @Min(1) @Max(600) Integer minutes) {
        return here.find(me, place, minutes);
    }

    @GetMapping(path = "/api/follow-ups.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@CurrentAccount SignedIn me) {
        FollowUpList.Open open = list.open(me);
        return Download.ofText(
                "follow-ups.csv", "csv", FollowUpTable.csv(open.all(), names.of(me.accountId(), open.origins())));
    }

    @GetMapping(path = "/api/follow-ups.ics", produces = "text/calendar")
    ResponseEntity<byte[]> calendar(@CurrentAccount SignedIn me) {
        FollowUpList.Open open = list.open(me);
        return Download.ofText(
                "follow-ups.ics",
                "calendar",
                FollowUpTable.calendar(me, open.all(), names.of(me.accountId(), open.origins()), clock.instant()));
    }
}
