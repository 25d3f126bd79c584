package org.squallnote.store.category;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.squallnote.core.category.Category;

/** Categories. */
@Mapper
public interface CategoryStore {

    @Select("select * from category where owner = #{owner} order by place, name")
    List<Category> of(UUID owner);

    @Select("select * from category where owner = #{owner} and id = #{id}")
    Optional<Category> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    @Insert(
            "insert into category (id, owner, name, hue, monogram, letter, place, reply_days, retired_at, version) values (#{id},"
                    + " #{owner}, #{name}, #{hue}, #{monogram}, #{letter}, #{place}, #{replyDays}, #{retiredAt}, #{version})")
    void insert(Category category);

    @Update("update category set name = #{name}, hue = #{hue}, monogram = #{monogram}, letter = #{letter},"
            + " place = #{place}, reply_days = #{replyDays}, retired_at = #{retiredAt}, version = version + 1 where owner = #{owner}"
            + " and id = #{id} and version = #{version}")
    int update(Category category);

    @Delete("delete from category where owner = #{owner} and id = #{id}")
    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
