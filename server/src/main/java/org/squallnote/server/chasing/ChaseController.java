package org.squallnote.server.chasing;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.chase.ChaseDate;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.chase.ChasePolicy;
import org.squallnote.core.chase.ChaseWishes;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Language;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Awaited;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.chase.KeptChaseWishes;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** The chase round. */
@RestController
class ChaseController {

    private static final int LONGEST = 50_000;
    private static final int LONGEST_WORDS = 5_000;

    private final ChaseRound round;
    private final ChaseDrafts drafts;
    private final Chases chases;
    private final KeptChaseWishes wishes;

    ChaseController(ChaseRound round, ChaseDrafts drafts, Chases chases, KeptChaseWishes wishes) {
        this.round = round;
        this.drafts = drafts;
        this.chases = chases;
        this.wishes = wishes;
    }

    /**
     * Something that somebody owes.
     *
     * @param what the ask, or their promise
     * @param since when I asked
     * @param promisedBy the day that they promised, null where they did not
     * @param silentMinutes since they last heard of me, in working time
     */
    record OpenView(
            UUID threadId,
            String subject,
            UUID messageId,
            String what,
            Instant since,
            @Nullable LocalDate promisedBy,
            LocalDate chaseOn,
            ChaseDate.Why why,
            int chases,
            boolean laterThanUsual,
            long silentMinutes) {}

    /**
     * Somebody who is to be reminded.
     *
     * @param chases how often they were
     * @param usualMinutes how long they usually take, in working time; null until that is known
     * @param others people of the same organisation seen in these threads
     * @param room a room with them alone, by which they can be reached too
     * @param exhausted whether another reminder is likely to be no use
     * @param draft the letter about all
     */
    record DueView(
            Party party,
            String name,
            Channel channel,
            int chases,
            @Nullable Long usualMinutes,
            List<Party> others,
            @Nullable String room,
            boolean exhausted,
            List<OpenView> open,
            String draft) {}

    record RoundView(List<DueView> due, Instant now) {}

    /** Everybody who is to be reminded today, with drafts. */
    @GetMapping("/api/chases/due")
    RoundView due(@CurrentAccount SignedIn me) {
        WorkingTime workingTime = round.workingTime(me);
        ChaseWishes words = drafts.wishes(me);
        List<DueView> due = round.due(me).stream()
                .map(each -> view(each, workingTime, draft(me, words, each)))
                .toList();
        return new RoundView(due, round.now());
    }

    private String draft(SignedIn me, ChaseWishes words, ChaseRound.Due due) {
        return drafts.draft(
                me,
                words,
                due.party(),
                due.channel(),
                due.open().stream().map(open -> open.thread().id()).toList(),
                due.open().stream().map(ChaseRound.Open::awaited).toList());
    }

    private DueView view(ChaseRound.Due due, WorkingTime workingTime, String draft) {
        return new DueView(
                due.party(),
                due.party().displayName(),
                due.channel(),
                due.chases(),
                due.usual().map(usual -> usual.median().toMinutes()).orElse(null),
                due.others(),
                due.room().orElse(null),
                due.chases() >= ChaseDate.LAST_CHASE,
                due.open().stream().map(open -> view(due, open, workingTime)).toList(),
                draft);
    }

    private OpenView view(ChaseRound.Due due, ChaseRound.Open open, WorkingTime workingTime) {
        Awaited one = open.awaited();
        return new OpenView(
                open.thread().id(),
                open.thread().subject(),
                one.messageId(),
                one.what(),
                one.since(),
                one.promised() ? one.by().map(by -> by.toLocalDate()).orElse(null) : null,
                open.date().day(),
                open.date().why(),
                one.chases(),
                round.isLaterThanUsual(open, due, workingTime),
                workingTime.between(one.lastHeard(), round.now()).toMinutes());
    }

    record LetterView(String text) {}

    /** The draft of a letter to somebody about what they owe in some threads. */
    @GetMapping("/api/chases/draft")
    LetterView draft(
            @CurrentAccount SignedIn me,
            @RequestParam @Size(max = 320) String party,
            @RequestParam @Size(min = 1, max = 50) List<UUID> threads) {
        return new LetterView(drafts.draft(me, party, threads));
    }

    /**
     * Other numbers of days for somebody or a category.
     *
     * @param whom an address, everybody of a house as {@code @house.example}, or the id of a category
     */
    record ChaseException(
            @NotNull ChaseWishes.Kind kind,
            @NotBlank @Size(max = 320) String whom,
            @Min(1) @Max(60) int first,
            @Min(1) @Max(60) int then,
            @Min(0) @Max(60) int afterPromise) {

        static ChaseException of(ChaseWishes.OtherDays one) {
            return new ChaseException(
                    one.kind(),
                    one.whom(),
                    one.policy().first(),
                    one.policy().then(),
                    one.policy().afterPromise());
        }

        ChaseWishes.OtherDays exception() {
            return new ChaseWishes.OtherDays(kind, whom, new ChasePolicy(first, then, afterPromise));
        }
    }

    /** The words in another language; a blank one is as usual there. */
    record LanguageWords(
            @NotNull @Pattern(regexp = "de|fr|nl|es|it") String language,
            @NotNull @Size(max = LONGEST_WORDS) String firstText,
            @NotNull @Size(max = LONGEST_WORDS) String secondText,
            @NotNull @Size(max = LONGEST_WORDS) String lastText) {

        static LanguageWords of(String language, ChaseLetter.Words words) {
            return new LanguageWords(language, words.first(), words.second(), words.last());
        }

        ChaseLetter.Words words() {
            ChaseLetter.Words usual =
                    ChaseLetter.Words.usual(Language.tagged(language).orElse(Language.ENGLISH));
            return new ChaseLetter.Words(
                    firstText.isBlank() ? usual.first() : firstText.strip(),
                    secondText.isBlank() ? usual.second() : secondText.strip(),
                    lastText.isBlank() ? usual.last() : lastText.strip());
        }
    }

    /**
     * When and how somebody reminds others.
     *
     * @param first after how many working days of silence
     * @param then after how many after each reminder
     * @param afterPromise after how many after the day that was promised
     * @param firstText the words of the first reminder; blank for the usual ones
     * @param exceptions for some people and categories other numbers of days
     * @param languages the words in other languages
     */
    record ChaseSettings(
            @Min(1) @Max(60) int first,
            @Min(1) @Max(60) int then,
            @Min(0) @Max(60) int afterPromise,
            @NotNull @Size(max = LONGEST_WORDS) String firstText,
            @NotNull @Size(max = LONGEST_WORDS) String secondText,
            @NotNull @Size(max = LONGEST_WORDS) String lastText,

            @NotNull @Size(max = ChaseWishes.MOST_EXCEPTIONS)
            List<@Valid @NotNull ChaseException> exceptions,

            @NotNull @Size(max = 10) List<@Valid @NotNull LanguageWords> languages) {

        static ChaseSettings of(ChaseWishes wishes) {
            return new ChaseSettings(
                    wishes.policy().first(),
                    wishes.policy().then(),
                    wishes.policy().afterPromise(),
                    wishes.words().first(),
                    wishes.words().second(),
                    wishes.words().last(),
                    wishes.exceptions().stream().map(ChaseException::of).toList(),
                    wishes.languages().entrySet().stream()
                            .sorted(Map.Entry.comparingByKey())
                            .map(each -> LanguageWords.of(each.getKey(), each.getValue()))
                            .toList());
        }

        ChaseWishes wishes() {
            ChaseLetter.Words usual = ChaseLetter.Words.USUAL;
            return new ChaseWishes(
                    new ChasePolicy(first, then, afterPromise),
                    new ChaseLetter.Words(
                            firstText.isBlank() ? usual.first() : firstText.strip(),
                            secondText.isBlank() ? usual.second() : secondText.strip(),
                            lastText.isBlank() ? usual.last() : lastText.strip()),
                    exceptions.stream().map(ChaseException::exception).toList(),
                    languages.stream()
                            .collect(Collectors.toMap(LanguageWords::language, LanguageWords::words, (a, b) -> b)));
        }
    }

    @GetMapping("/api/settings/chasing")
    ChaseSettings settings(@CurrentAccount SignedIn me) {
        return ChaseSettings.of(wishes.of(me.accountId()));
    }

    @PutMapping("/api/settings/chasing")
    Done save(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody ChaseSettings body) {
        return wishes.save(me, commandId, body.wishes());
    }

    /**
     * A reminder.
     *
     * @param party whom, by the address by which they are awaited; null where only one is awaited there
     * @param text null for the draft
     * @param others further threads that it speaks of
     * @param to another address that it goes to; null for theirs
     * @param room a room with them alone in which it goes to them; null for none
     */
    record ChaseRequest(
            @Nullable @Size(max = 320) String party,
            @Nullable @Size(max = LONGEST) String text,
            @Nullable @Size(max = 50) List<UUID> others,
            @Nullable @Email @Size(max = 320) String to,
            @Nullable @Size(max = 300) String room) {}

    @PostMapping("/api/threads/{id}/chase")
    Done chase(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody ChaseRequest body) {
        List<UUID> about = new ArrayList<>(List.of(id));
        about.addAll(Optional.ofNullable(body.others()).orElse(List.of()));
        String party = Optional.ofNullable(body.party()).orElseGet(() -> chases.onlyOneAwaited(me, id));
        String text = Optional.ofNullable(body.text()).orElseGet(() -> drafts.draft(me, party, about));
        Optional<Party> to = Optional.ofNullable(body.to())
                .filter(address -> !address.isBlank())
                .map(address -> new Party("", address));
        return chases.chase(me, commandId, about, party, to, Optional.ofNullable(body.room()), text);
    }
}
