package org.squallnote.store.category;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.category.Category;

/** Categories. */
@Mapper
public interface CategoryStore {

    List<Category> of(UUID owner);

    Optional<Category> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(Category category);

    int update(Category category);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
