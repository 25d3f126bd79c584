package org.squallnote.server.recipe;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.StaleVersionException;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.core.recipe.Steps;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.recipe.RecipeStore;
import tools.jackson.databind.json.JsonMapper;

/** Recipes being written: making, changing, ordering and deleting them, and how that is taken back. */
@Component
class KeptRecipes extends KeptState<KeptRecipes.State> {

    private static final int MOST = 100;

    private final RecipeStore store;
    private final Commands commands;

    KeptRecipes(RecipeStore store, Commands commands, JsonMapper json) {
        super(SubjectType.RECIPE, State.class, json);
        this.store = store;
        this.commands = commands;
    }

    /** A recipe as it stands in the history. */
    record State(
            String name, @Nullable String letter, int place, boolean automatic, Conditions conditions, Steps steps) {

        static State of(Recipe r) {
            return new State(r.name(), r.letter(), r.place(), r.automatic(), r.conditions(), r.steps());
        }

        State at(int otherPlace) {
            return new State(name, letter, otherPlace, automatic, conditions, steps);
        }
    }

    /** Makes one, or changes it. */
    Done save(SignedIn me, UUID commandId, UUID id, int version, State recipe) {
        recipe.steps().problem().ifPresent(problem -> {
            throw Refusal.invalid(problem + " Nothing was changed.");
        });
        if (recipe.automatic() && recipe.conditions().areNone()) {
            throw Refusal.invalid(
                    "A recipe that runs by itself needs a condition, else it would take every message. Nothing was changed.");
        }
        UUID owner = me.accountId();
        return commands.run(me, commandId, "recipe", changes -> {
            List<Recipe> all = store.of(owner);
            boolean fresh = all.stream().noneMatch(other -> other.id().equals(id));
            if (letterIsTaken(all, id, recipe)) {
                throw Refusal.field("letter", "Another recipe has this key already. Nothing was changed.");
            }
            if (fresh && all.size() >= MOST) {
                throw Refusal.invalid("There are " + MOST + " recipes already. Delete one to make room.");
            }
            boolean stale = all.stream().anyMatch(other -> other.id().equals(id) && other.version() != version);
            if (stale) {
                throw new StaleVersionException(id);
            }
            change(owner, id, recipe, changes);
            changes.label((fresh ? "New recipe: " : "Recipe changed: ") + recipe.name());
        });
    }

    private static boolean letterIsTaken(List<Recipe> all, UUID id, State recipe) {
        return recipe.letter() != null
                && all.stream()
                        .anyMatch(other ->
                                !other.id().equals(id) && recipe.letter().equals(other.letter()));
    }

    /** Puts the recipes into an order, in one change; those that are not named stay behind. */
    Done order(SignedIn me, UUID commandId, List<UUID> ids) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "recipes-ordered", changes -> {
            Map<UUID, Recipe> all = store.of(owner).stream().collect(Collectors.toMap(Recipe::id, Function.identity()));
            int place = 1;
            for (UUID id : ids) {
                Recipe recipe = Optional.ofNullable(all.get(id)).orElseThrow(() -> Refusal.notFound("recipe"));
                if (recipe.place() != place) {
                    change(owner, id, State.of(recipe).at(place), changes);
                }
                place++;
            }
            changes.label("Recipes in another order");
        });
    }

    Done delete(SignedIn me, UUID commandId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "recipe-deleted", changes -> {
            Recipe recipe = store.byId(owner, id).orElseThrow(() -> Refusal.notFound("recipe"));
            change(owner, id, null, changes);
            changes.label("Recipe deleted: " + recipe.name());
        });
    }

    @Override
    protected @Nullable State state(UUID owner, UUID id) {
        return store.byId(owner, id).map(State::of).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        if (state == null) {
            store.delete(owner, id);
            return;
        }
        int version = store.byId(owner, id).map(Recipe::version).orElse(0);
        Recipe recipe = new Recipe(
                id,
                owner,
                state.name(),
                state.letter(),
                state.place(),
                state.automatic(),
                state.conditions(),
                state.steps(),
                version);
        if (store.update(recipe) == 0) {
            store.insert(recipe);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS};
    }
}
