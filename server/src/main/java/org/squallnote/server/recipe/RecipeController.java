package org.squallnote.server.recipe;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.core.recipe.RecipeCandidate;
import org.squallnote.core.recipe.RecipeRun;
import org.squallnote.core.recipe.Step;
import org.squallnote.core.recipe.Steps;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Settings › Recipes, and running them in Intake. */
@RestController
class RecipeController {

    private static final int SHOWN = 50;

    private final Recipes recipes;
    private final KeptRecipes kept;

    RecipeController(Recipes recipes, KeptRecipes kept) {
        this.recipes = recipes;
        this.kept = kept;
    }

    record ConditionsForm(
            @NotNull @Size(max = 200) String sender,
            @NotNull @Size(max = 200) String domain,
            @NotNull @Size(max = 320) String list,
            @NotNull @Size(max = 300) String room,
            @NotNull @Size(max = 30) List<@Size(max = 100) String> words,
            @Nullable Nature nature,
            Conditions.@Nullable Addressed addressed,
            @Nullable Boolean files,
            @Nullable Boolean asksMe) {

        Conditions conditions() {
            return new Conditions(sender, domain, list, room, words, nature, addressed, files, asksMe);
        }

        static ConditionsForm of(Conditions c) {
            return new ConditionsForm(
                    c.sender(),
                    c.domain(),
                    c.list(),
                    c.room(),
                    c.words(),
                    c.nature(),
                    c.addressed(),
                    c.files(),
                    c.asksMe());
        }
    }

    record StepForm(
            Step.@NotNull Kind kind,
            @NotNull @Size(max = 300) String title,
            @Nullable @Min(0) @Max(250) Integer workingDays,
            @Nullable UUID categoryId,
            @Nullable @Min(1) @Max(6000) Integer effortMinutes,
            @NotNull @Size(max = 60) String place,
            @Nullable UUID phraseId,
            @NotNull @Size(max = 300) String folder,
            @NotNull @Size(max = 320) String address,
            @NotNull @Size(max = 2000) String note) {

        Step step() {
            return new Step(
                    kind, title, workingDays, categoryId, effortMinutes, place, phraseId, folder, address, note);
        }

        static StepForm of(Step s) {
            return new StepForm(
                    s.kind(),
                    s.title(),
                    s.workingDays(),
                    s.categoryId(),
                    s.effortMinutes(),
                    s.place(),
                    s.phraseId(),
                    s.folder(),
                    s.address(),
                    s.note());
        }
    }

    record RecipeForm(
            @NotBlank @Size(max = 60) String name,
            @Nullable @Pattern(regexp = "[a-z0-9]") String letter,
            @Min(0) @Max(1000) int place,
            boolean automatic,
            @NotNull @Valid ConditionsForm conditions,
            @NotNull @Size(max = 20) List<@Valid StepForm> steps) {}

    record RecipeView(UUID id, int version, RecipeForm form) {

        static RecipeView of(Recipe r) {
            return new RecipeView(
                    r.id(),
                    r.version(),
                    new RecipeForm(
                            r.name(),
                            r.letter(),
                            r.place(),
                            r.automatic(),
                            ConditionsForm.of(r.conditions()),
                            r.steps().list().stream().map(StepForm::of).toList()));
        }
    }

    record Plan(UUID recipeId, String name, @Nullable String letter, List<String> steps) {}

    record RunView(
            UUID commandId,
            String recipe,
            UUID messageId,
            boolean automatic,
            String about,
            Instant at,
            boolean undone) {

        static RunView of(RecipeRun run) {
            return new RunView(
                    run.commandId(),
                    run.recipeName(),
                    run.messageId(),
                    run.automatic(),
                    run.about(),
                    run.at(),
                    run.undoneBy() != null);
        }
    }

    record DryRunLine(UUID messageId, String from, String subject, Instant sentAt) {

        static DryRunLine of(RecipeCandidate message) {
            return new DryRunLine(
                    message.id(),
                    new Party(message.fromName(), message.fromAddress()).displayName(),
                    message.subject(),
                    message.sentAt());
        }
    }

    /** How many messages of the last thirty days would have been taken, and the newest of them. */
    record DryRun(int found, List<DryRunLine> newest) {}

    @GetMapping("/api/recipes")
    List<RecipeView> all(@CurrentAccount SignedIn me) {
        return recipes.of(me.accountId()).stream().map(RecipeView::of).toList();
    }

    @PutMapping("/api/recipes/{id}")
    Done save(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody RecipeForm body) {
        return kept.save(
                me,
                commandId,
                id,
                version,
                new KeptRecipes.State(
                        body.name().strip(),
                        body.letter(),
                        body.place(),
                        body.automatic(),
                        body.conditions().conditions(),
                        new Steps(body.steps().stream().map(StepForm::step).toList())));
    }

    /** Puts them into an order. */
    @PutMapping("/api/recipes/order")
    Done order(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Size(max = 100) @RequestBody List<UUID> ids) {
        return kept.order(me, commandId, ids);
    }

    @DeleteMapping("/api/recipes/{id}")
    Done delete(@CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id) {
        return kept.delete(me, commandId, id);
    }

    @GetMapping("/api/recipes/runs")
    List<RunView> runs(@CurrentAccount SignedIn me) {
        return recipes.runs(me.accountId()).stream().map(RunView::of).toList();
    }

    @PostMapping("/api/recipes/dry-run")
    DryRun dryRun(@CurrentAccount SignedIn me, @Valid @RequestBody ConditionsForm body) {
        List<RecipeCandidate> found = recipes.dryRun(me.accountId(), body.conditions());
        return new DryRun(
                found.size(), found.stream().limit(SHOWN).map(DryRunLine::of).toList());
    }

    /** What each recipe would do to a message. */
    @GetMapping("/api/messages/{id}/recipes")
    List<Plan> plans(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return recipes.plans(me, id);
    }

    @PostMapping("/api/messages/{messageId}/recipes/{id}")
    Done run(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID messageId,
            @PathVariable UUID id) {
        return recipes.run(me, commandId, id, messageId);
    }
}
