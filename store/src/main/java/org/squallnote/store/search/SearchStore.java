package org.squallnote.store.search;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.search.KeptSearch;

/** What the index has still to take in, and searches kept under a name. */
@Mapper
public interface SearchStore {

    void mark(@Param("owner") UUID owner, @Param("what") Pending.What what, @Param("subjectId") UUID subjectId);

    /** Everything of an account is to be put into the index. */
    void markMessages(UUID owner);

    void markFollowUps(UUID owner);

    /** The oldest changes, of all accounts. */
    List<Pending> pending(int most);

    /** The messages whose files are to be read, the oldest first. */
    List<Pending> pendingFiles(int most);

    /** The index has them. */
    int taken(@Param("seqs") Collection<Long> seqs);

    /** How much is still to be put into the index of an account. */
    int count(UUID owner);

    List<KeptSearch> kept(UUID owner);

    Optional<KeptSearch> keptById(@Param("owner") UUID owner, @Param("id") UUID id);

    void insert(KeptSearch search);

    int update(KeptSearch search);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);
}
