package org.squallnote.store.phrase;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.phrase.SavedPhrase;

/** Saved phrases. */
@Mapper
public interface PhraseStore {

    @Select("select * from phrase where owner = #{owner} order by name, id")
    List<SavedPhrase> of(UUID owner);

    @Select("select * from phrase where owner = #{owner} and id = #{id}")
    Optional<SavedPhrase> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert("insert into phrase (id, owner, name, text) values (#{id}, #{owner}, #{name}, #{text})")
    void insert(SavedPhrase phrase);

    @Update("update phrase set name = #{name}, text = #{text} where owner = #{owner} and id = #{id}")
    int update(SavedPhrase phrase);

    @Delete("delete from phrase where owner = #{owner} and id = #{id}")
    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
