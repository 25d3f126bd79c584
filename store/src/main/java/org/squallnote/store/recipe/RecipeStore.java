package org.squallnote.store.recipe;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.core.recipe.RecipeCandidate;
import org.squallnote.core.recipe.RecipeRun;

/** Recipes and their runs. */
@Mapper
public interface RecipeStore {

    List<Recipe> of(UUID owner);

    Optional<Recipe> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(Recipe recipe);

    int update(Recipe recipe);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    void insertRun(RecipeRun run);

    /** The last runs, those taken back too. */
    List<RecipeRun> runs(UUID owner);

    /** Whether a recipe has answered by itself in a thread before. */
    boolean ranInThread(@Param("owner") UUID owner, @Param("recipeId") UUID recipeId, @Param("threadId") UUID threadId);

    /** The changes that recipes made about a message by themselves. */
    List<UUID> ranBy(@Param("owner") UUID owner, @Param("messageId") UUID messageId);

    /** What has come in since a moment, the newest first. */
    List<RecipeCandidate> arrivedSince(@Param("owner") UUID owner, @Param("since") Instant since);

    /** The log of recipes no longer says what a message was about. */
    int forgetAbout(@Param("owner") UUID owner, @Param("messageId") UUID messageId);
}
