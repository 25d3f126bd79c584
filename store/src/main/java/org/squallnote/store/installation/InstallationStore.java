package org.squallnote.store.installation;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Settings of the installation by name. They belong to no account; administrators change them. */
@Mapper
public interface InstallationStore {

    @Select("select setting from installation where name = #{name}")
    Optional<String> setting(String name);

    @Update("update installation set setting = #{setting} where name = #{name}")
    int update(@Param("name") String name, @Param("setting") String setting);

    @Insert("insert into installation (name, setting) values (#{name}, #{setting})")
    void insert(@Param("name") String name, @Param("setting") String setting);
}
