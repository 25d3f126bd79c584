package org.squallnote.server.followup;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import java.util.UUID;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpBuilder;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.Priority;

/**
 * A whole follow-up as it stands in the history: every field of its own, beside its links, without whose it is and without the version, which
 * only counts.
 */
record FollowUpRecord(
        @JsonUnwrapped @JsonIgnoreProperties({"id", "owner", "version"})
        FollowUp followUp,

        List<FollowUpLink> links) {

    /** The follow-up as it stood; what was written before there was a priority has the usual one. */
    FollowUp toRow(UUID id, UUID owner, int version) {
        FollowUpBuilder row =
                FollowUpBuilder.builder(followUp).id(id).owner(owner).version(version);
        if (row.priority() == null) {
            row.priority(Priority.NORMAL);
        }
        return row.build();
    }
}
