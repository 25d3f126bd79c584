package org.squallnote.store.phrase;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.phrase.SavedPhrase;

/** Saved phrases. */
@Mapper
public interface PhraseStore {

    List<SavedPhrase> of(UUID owner);

    Optional<SavedPhrase> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(SavedPhrase phrase);

    int update(SavedPhrase phrase);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
