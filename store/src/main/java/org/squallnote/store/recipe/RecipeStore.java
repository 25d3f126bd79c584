package org.squallnote.store.recipe;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.recipe.Recipe;
import org.squallnote.core.recipe.RecipeCandidate;
import org.squallnote.core.recipe.RecipeRun;

/** Recipes and their runs. */
@Mapper
public interface RecipeStore {

    @Select("select * from recipe where owner = #{owner} order by place, id")
    List<Recipe> of(UUID owner);

    @Select("select * from recipe where owner = #{owner} and id = #{id}")
    Optional<Recipe> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert("insert into recipe (id, owner, name, letter, place, automatic, conditions, steps, version) values (#{id},"
            + " #{owner}, #{name}, #{letter}, #{place}, #{automatic}, #{conditions}, #{steps}, #{version})")
    void insert(Recipe recipe);

    @Update("update recipe set name = #{name}, letter = #{letter}, place = #{place}, automatic = #{automatic},"
            + " conditions = #{conditions}, steps = #{steps}, version = version + 1 where owner = #{owner} and"
            + " id = #{id} and version = #{version}")
    int update(Recipe recipe);

    @Delete("delete from recipe where owner = #{owner} and id = #{id}")
    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert(
            "insert into recipe_run (command_id, owner, recipe_id, recipe_name, message_id, automatic, about, at) values"
                    + " (#{commandId}, #{owner}, #{recipeId}, #{recipeName}, #{messageId}, #{automatic}, #{about}, #{at})")
    void insertRun(RecipeRun run);

    /** The last runs, those taken back too. */
    @Select("select r.*, c.undone_by from recipe_run r join command c on c.id = r.command_id where r.owner = #{owner}"
            + " order by r.at desc, r.command_id desc fetch first 200 rows only")
    List<RecipeRun> runs(UUID owner);

    /** Whether a recipe has answered by itself in a thread before. */
    @Select("select exists (select 1 from recipe_run r join message m on m.id = r.message_id where r.owner = #{owner}"
            + " and r.recipe_id = #{recipeId} and r.automatic and m.thread_id = #{threadId})")
    boolean ranInThread(@Param("owner") UUID owner, @Param("recipeId") UUID recipeId, @Param("threadId") UUID threadId);

    /** What has come in since a moment, the newest first. */
    @Select(
            "select id, from_name, from_address, list_address, room_id, subject, body, nature, recipients, files, asks_me,"
                    + " sent_at from message where owner = #{owner} and direction = 'INCOMING' and sent_at >= #{since}"
                    + " order by sent_at desc")
    @ResultMap("org.squallnote.core.recipe.RecipeCandidate")
    List<RecipeCandidate> arrivedSince(@Param("owner") UUID owner, @Param("since") Instant since);
}
