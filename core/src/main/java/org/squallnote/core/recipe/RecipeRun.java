package org.squallnote.core.recipe;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A run of a recipe.
 *
 * @param commandId the command that did it, to undo it by
 * @param about what it did
 * @param undoneBy the command that took it back
 */
public record RecipeRun(
        UUID commandId,
        UUID owner,
        UUID recipeId,
        String recipeName,
        UUID messageId,
        boolean automatic,
        String about,
        Instant at,
        @Nullable UUID undoneBy) {}
