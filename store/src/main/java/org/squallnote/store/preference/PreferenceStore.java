package org.squallnote.store.preference;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Settings by name. */
@Mapper
public interface PreferenceStore {

    /** The name under which the capture address stands. */
    String CAPTURE_ADDRESS = "capture-address";

    Optional<String> of(@Param("owner") UUID owner, @Param("name") String name);

    int update(@Param("owner") UUID owner, @Param("name") String name, @Param("setting") String setting);

    void insert(@Param("owner") UUID owner, @Param("name") String name, @Param("setting") String setting);

    default void save(UUID owner, String name, String setting) {
        if (update(owner, name, setting) == 0) {
            insert(owner, name, setting);
        }
    }
}
