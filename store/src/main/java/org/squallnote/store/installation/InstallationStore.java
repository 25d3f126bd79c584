package org.squallnote.store.installation;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Settings of the installation by name. They belong to no account; administrators change them. */
@Mapper
public interface InstallationStore {

    Optional<String> setting(String name);

    int update(@Param("name") String name, @Param("setting") String setting);

    void insert(@Param("name") String name, @Param("setting") String setting);
}
