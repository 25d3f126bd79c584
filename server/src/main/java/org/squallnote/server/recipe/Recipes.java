package org.squallnote.server.recipe;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.squallnote.core.account.Account;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.core.recipe.RecipeCandidate;
import org.squallnote.core.recipe.RecipeRun;
import org.squallnote.core.recipe.Step;
import org.squallnote.core.text.Beginning;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.arrival.FreshMessages;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.intake.Decisions;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.recipe.RecipeController.Plan;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.recipe.RecipeStore;
import org.squallnote.store.source.SourceStore;

/** Keeps recipes, runs them when asked and by themselves. */
@Component
class Recipes implements FreshMessages {

    private static final Logger LOG = LoggerFactory.getLogger(Recipes.class);
    private static final Duration DRY_RUN = Duration.ofDays(30);
    private static final int LONGEST_ABOUT = 1000;

    private final RecipeStore store;
    private final RecipeSteps steps;
    private final Decisions decisions;
    private final AccountStore accounts;
    private final SourceStore sources;
    private final Commands commands;
    private final Clock clock;
    private final TransactionTemplate nested;

    Recipes(
            RecipeStore store,
            RecipeSteps steps,
            Decisions decisions,
            AccountStore accounts,
            SourceStore sources,
            Commands commands,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.store = store;
        this.steps = steps;
        this.decisions = decisions;
        this.accounts = accounts;
        this.sources = sources;
        this.commands = commands;
        this.clock = clock;
        this.nested = new TransactionTemplate(transactions);
        this.nested.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
    }

    List<Recipe> of(UUID owner) {
        return store.of(owner);
    }

    Recipe get(UUID owner, UUID id) {
        return store.byId(owner, id).orElseThrow(() -> Refusal.notFound("recipe"));
    }

    /** What each recipe would do to a message. */
    List<Plan> plans(SignedIn me, UUID messageId) {
        RecipeSteps.Prepared on = steps.prepare(me, decisions.get(me.accountId(), messageId));
        return store.of(me.accountId()).stream()
                .map(recipe -> new Plan(
                        recipe.id(),
                        recipe.name(),
                        recipe.letter(),
                        steps.planned(on, recipe.steps().list())))
                .toList();
    }

    Done run(SignedIn me, UUID commandId, UUID id, UUID messageId) {
        Recipe recipe = get(me.accountId(), id);
        return commands.run(
                me,
                commandId,
                "recipe",
                changes -> runWithin(me, recipe, decisions.get(me.accountId(), messageId), false, changes));
    }

    private void runWithin(SignedIn me, Recipe recipe, StoredMessage message, boolean automatic, Changes changes) {
        RecipeSteps.Prepared on = steps.prepare(me, message);
        String about = String.join(", ", steps.planned(on, recipe.steps().list()));
        recipe.steps().list().forEach(step -> steps.run(on, step, automatic, changes));
        store.insertRun(new RecipeRun(
                changes.commandId(),
                me.accountId(),
                recipe.id(),
                recipe.name(),
                message.id(),
                automatic,
                Beginning.of(about, LONGEST_ABOUT),
                clock.instant(),
                null));
        changes.label("Recipe " + recipe.name() + ": " + message.from().displayName() + ", " + about);
    }

    List<RecipeRun> runs(UUID owner) {
        return store.runs(owner);
    }

    /** Those that would have been taken in the last thirty days. */
    List<RecipeCandidate> dryRun(UUID owner, Conditions conditions) {
        if (conditions.areNone()) {
            return List.of();
        }
        Set<String> mine = mine(owner);
        return store.arrivedSince(owner, clock.instant().minus(DRY_RUN)).stream()
                .filter(message -> conditions.hold(candidate(message, mine)))
                .toList();
    }

    private Set<String> mine(UUID owner) {
        return new TreeSet<>(sources.addresses(owner));
    }

    private static Conditions.Candidate candidate(RecipeCandidate message, Set<String> mine) {
        return new Conditions.Candidate(
                message.fromName(),
                message.fromAddress(),
                message.listAddress() == null ? "" : message.listAddress(),
                message.roomId() == null ? "" : message.roomId(),
                message.subject() + "\n" + message.body(),
                message.nature(),
                message.recipients().to().stream().map(Party::address).anyMatch(mine::contains),
                message.recipients().cc().stream().map(Party::address).anyMatch(mine::contains),
                !message.files().list().isEmpty(),
                message.asksMe());
    }

    private static Conditions.Candidate candidate(StoredMessage message, Set<String> mine) {
        return candidate(
                new RecipeCandidate(
                        message.id(),
                        message.fromName(),
                        message.fromAddress(),
                        message.listAddress(),
                        message.roomId(),
                        message.subject(),
                        message.body(),
                        message.nature(),
                        message.recipients(),
                        message.files(),
                        message.asksMe(),
                        message.sentAt()),
                mine);
    }

    /** The first recipe in the order whose conditions hold takes a message that has just come to Intake. */
    @Override
    public void waiting(UUID owner, List<StoredMessage> messages) {
        List<Recipe> automatic =
                store.of(owner).stream().filter(Recipe::automatic).toList();
        if (automatic.isEmpty()) {
            return;
        }
        Set<String> mine = mine(owner);
        Account account = accounts.byId(owner).orElseThrow();
        SignedIn me = SignedIn.of(account);
        for (StoredMessage fresh : messages) {
            List<Recipe> fitting = automatic.stream()
                    .filter(recipe -> recipe.conditions().hold(candidate(fresh, mine)))
                    .toList();
            if (fitting.isEmpty()) {
                continue;
            }
            // As it stands in the store, with the thread that it was put into.
            StoredMessage message = decisions.get(owner, fresh.id());
            fitting.stream()
                    .filter(recipe -> mayRun(recipe, message))
                    .findFirst()
                    .ifPresent(recipe -> runByItself(me, recipe, message));
        }
    }

    /** A recipe that cannot do its steps does none of them; the message stays in Intake and what arrives goes on arriving. */
    private void runByItself(SignedIn me, Recipe recipe, StoredMessage message) {
        UUID owner = me.accountId();
        try {
            nested.executeWithoutResult(status -> commands.runWithin(owner, "recipe", changes -> {
                runWithin(me, recipe, message, true, changes);
                changes.announce();
            }));
        } catch (RuntimeException e) {
            LOG.warn("Recipe {} could not run by itself", recipe.id(), e);
            String why = e instanceof Refusal ? " " + e.getMessage() : "";
            commands.runWithin(
                    owner,
                    "recipe-failed",
                    changes -> changes.label("Recipe " + recipe.name() + " could not run; the message is in Intake."
                                    + (why.length() > 200 ? "" : why))
                            .announce());
        }
    }

    /** No answer by itself to a machine, nor twice in one thread, so that two programs never answer each other for ever. */
    private boolean mayRun(Recipe recipe, StoredMessage message) {
        boolean writes = Stream.of(Step.Kind.ANSWER, Step.Kind.HAND_OVER)
                .anyMatch(kind -> recipe.steps().list().stream().anyMatch(step -> step.kind() == kind));
        return !writes
                || (message.nature() == Nature.PERSON
                        && !store.ranInThread(message.owner(), recipe.id(), message.threadId()));
    }
}
