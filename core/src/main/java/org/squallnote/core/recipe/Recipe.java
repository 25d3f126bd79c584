package org.squallnote.core.recipe;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A recipe.
 *
 * @param letter the key that runs it, behind the key for recipes
 * @param place its place in the order
 * @param automatic whether it runs by itself when its conditions hold
 */
public record Recipe(
        UUID id,
        UUID owner,
        String name,
        @Nullable String letter,
        int place,
        boolean automatic,
        Conditions conditions,
        Steps steps,
        int version) {}
