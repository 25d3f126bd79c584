package org.squallnote.core.takein;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;

/** Tells what is there already, so that a file taken in twice gives nothing twice. */
public final class Known {

    private Known() {}

    /** The same with those that are there already, or stand in the file before, not taken. */
    public static List<Proposal> leavingOut(List<Proposal> proposals, List<FollowUp> open) {
        Set<String> there = new HashSet<>();
        open.forEach(followUp -> there.add(Proposal.key(followUp.title(), followUp.replyDay())));
        Map<String, Integer> before = new HashMap<>();
        return proposals.stream()
                .map(proposal -> {
                    Content content = proposal.content();
                    if (content == null) {
                        return proposal;
                    }
                    String key = Proposal.key(content.title(), content.replyDay());
                    Integer first = before.putIfAbsent(key, proposal.line());
                    if (there.contains(key)) {
                        return proposal.notTaken("Is there already.");
                    }
                    return first == null ? proposal : proposal.notTaken("Says the same as " + first + ".");
                })
                .toList();
    }
}
