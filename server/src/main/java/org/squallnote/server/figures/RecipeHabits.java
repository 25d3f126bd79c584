package org.squallnote.server.figures;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.figures.DecidedFact;
import org.squallnote.core.figures.Figures;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.store.recipe.RecipeStore;

/** Where recipes that there are not yet would have saved decisions. */
@Component
public class RecipeHabits {

    private final RecipeStore recipes;

    RecipeHabits(RecipeStore recipes) {
        this.recipes = recipes;
    }

    /** Those of some decisions. */
    public List<Figures.Habit> of(UUID owner, Collection<DecidedFact> decided) {
        return Figures.habits(
                decided, recipes.of(owner).stream().map(Recipe::conditions).toList());
    }
}
