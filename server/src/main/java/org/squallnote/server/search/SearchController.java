package org.squallnote.server.search;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.Kind;
import org.squallnote.core.search.Standing;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Finding things, and searches that are kept. */
@RestController
class SearchController {

    private final Searching searching;
    private final KeptSearches kept;

    SearchController(Searching searching, KeptSearches kept) {
        this.searching = searching;
        this.kept = kept;
    }

    /** @param count how many it finds now */
    record KeptView(UUID id, String name, String words, Filter filter, int count) {}

    /** @param words may be empty where the filter says enough */
    record KeptForm(
            @NotBlank @Size(max = 100) String name,
            @NotNull @Size(max = 500) String words,
            @NotNull @Valid Filter filter) {}

    /**
     * Looks for messages, threads, follow-ups, people and files.
     *
     * @param q words, of which each has to be found; "in quotes" is exact; empty for the newest of what the rest says
     * @param newest whether the newest come first; else the best, of which newer ones weigh more
     */
    @GetMapping("/api/search")
    Searching.FoundView search(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "") @Size(max = 500) String q,
            @RequestParam(required = false) @Nullable Kind kind,
            @RequestParam(required = false) @Nullable @Size(max = 320) String person,
            @RequestParam(required = false) @Nullable UUID category,
            @RequestParam(required = false) @Nullable UUID source,
            @RequestParam(required = false) @Nullable @Size(max = 300) String room,
            @RequestParam(required = false) @Nullable Standing standing,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to,
            @RequestParam(required = false) @Nullable Boolean file,
            @RequestParam(required = false) @Nullable Boolean linked,
            @RequestParam(defaultValue = "false") boolean newest,
            @RequestParam(defaultValue = "30") @Min(1) @Max(150) int most) {
        return searching.search(
                me,
                q,
                new Filter(kind, person, category, source, room, standing, from, to, file, linked),
                newest,
                most);
    }

    @GetMapping("/api/searches")
    List<KeptView> kept(@CurrentAccount SignedIn me) {
        return kept.of(me.accountId()).stream()
                .map(each ->
                        new KeptView(each.id(), each.name(), each.words(), each.filter(), searching.count(me, each)))
                .toList();
    }

    /** Keeps one, or changes it. */
    @PutMapping("/api/searches/{id}")
    Done save(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody KeptForm body) {
        return kept.save(me, commandId, id, new KeptSearches.State(body.name().strip(), body.words(), body.filter()));
    }

    @DeleteMapping("/api/searches/{id}")
    Done delete(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return kept.delete(me, commandId, id);
    }
}
