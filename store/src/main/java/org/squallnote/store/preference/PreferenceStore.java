package org.squallnote.store.preference;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Settings by name. */
@Mapper
public interface PreferenceStore {

    /** The name under which the capture address stands. */
    String CAPTURE_ADDRESS = "capture-address";

    @Select("select setting from preference where owner = #{owner} and name = #{name}")
    Optional<String> of(@Param("owner") UUID owner, @Param("name") String name);

    @Update("merge into preference (owner, name, setting) key (owner, name) values (#{owner}, #{name}, #{setting})")
    void save(@Param("owner") UUID owner, @Param("name") String name, @Param("setting") String setting);
}
