package org.squallnote.store.office;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.office.OfficeWord;
import org.squallnote.core.office.SettledByOffice;

/** What was said of messages in mailboxes that several accounts read. Every question is that of a reader of the mailbox. */
@Mapper
public interface OfficeStore {

    /** The other accounts that read a mailbox of mine. */
    List<UUID> readers(@Param("owner") UUID owner, @Param("address") String address);

    Optional<OfficeWord> of(
            @Param("owner") UUID owner, @Param("address") String address, @Param("messageId") String messageId);

    /** The other accounts that have begun an answer since a moment. */
    List<UUID> writing(
            @Param("owner") UUID owner,
            @Param("address") String address,
            @Param("messageId") String messageId,
            @Param("since") Instant since);

    /** What others have said of the messages of a thread. */
    List<SettledByOffice> inThread(@Param("owner") UUID owner, @Param("threadId") UUID threadId);

    void insert(OfficeWord word);

    int update(OfficeWord word);

    /** Keeps what was said last. */
    default void save(OfficeWord word) {
        if (update(word) == 0) {
            insert(word);
        }
    }

    /** What others have not been told, in all mailboxes: for what tells them. */
    List<OfficeWord> untold();

    int told(OfficeWord word);
}
