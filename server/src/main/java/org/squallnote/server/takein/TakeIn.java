package org.squallnote.server.takein;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.takein.Known;
import org.squallnote.core.takein.Proposal;
import org.squallnote.core.text.Beginning;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.capture.CaptureContexts;
import org.squallnote.server.category.Categories;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.followup.FollowUpStore;

/** Takes in the follow-ups of a file: shows what they would be, and makes those that are wanted, all or none. */
@Component
class TakeIn {

    private final CaptureContexts contexts;
    private final FollowUpFiles reading;
    private final FollowUpStore store;
    private final FollowUps followUps;
    private final Categories categories;
    private final Commands commands;
    private final UuidV7 ids;

    TakeIn(
            CaptureContexts contexts,
            FollowUpFiles reading,
            FollowUpStore store,
            FollowUps followUps,
            Categories categories,
            Commands commands,
            UuidV7 ids) {
        this.contexts = contexts;
        this.reading = reading;
        this.store = store;
        this.followUps = followUps;
        this.categories = categories;
        this.commands = commands;
        this.ids = ids;
    }

    /**
     * A file with how it is to be read.
     *
     * @param categories what is of a category by this name there is of this one here
     * @param newCategories the same for those that are to be made
     */
    record File(
            String name,
            byte[] content,
            FollowUpFiles.Wanted wanted,
            Map<String, UUID> categories,
            Map<String, UUID> newCategories) {}

    /** What it would give. */
    ReadFile look(SignedIn me, File file) {
        ReadFile read = reading.read(file.name(), file.content(), file.wanted(), context(me, file), me.zoneId());
        return new ReadFile(
                read.sort(),
                read.charset(),
                read.table(),
                Known.leavingOut(read.lines(), store.open(me.accountId())),
                read.events(),
                read.more());
    }

    private CaptureContext context(SignedIn me, File file) {
        CaptureContext known = contexts.of(me.accountId());
        Map<String, UUID> names = new HashMap<>(known.categories());
        file.categories().forEach((name, id) -> {
            if (!known.categories().containsValue(id)) {
                throw Refusal.invalid("There is no such category. Choose another one for “" + name + "”.");
            }
            names.put(name, id);
        });
        file.newCategories().forEach(names::putIfAbsent);
        return new CaptureContext(known.dates(), names, known.people(), known.places(), known.me());
    }

    /** Makes those of the lines, in one change with one way back. */
    Done take(SignedIn me, UUID commandId, File file, Set<Integer> lines) {
        return commands.run(me, commandId, "taken-in", changes -> {
            List<Proposal> wanted = look(me, file).lines().stream()
                    .filter(proposal -> lines.contains(proposal.line()))
                    .toList();
            Set<Integer> missing = new HashSet<>(lines);
            wanted.forEach(proposal -> missing.remove(proposal.line()));
            if (!missing.isEmpty()) {
                throw Refusal.invalid("There is nothing to be taken in at "
                        + missing.iterator().next() + ". Look at the file again. Nothing was changed.");
            }
            makeCategories(me, file, wanted, changes);
            for (Proposal proposal : wanted) {
                if (proposal.content() == null) {
                    throw Refusal.invalid(proposal.line() + " cannot be taken in: "
                            + String.join(" ", proposal.problems()) + " Nothing was changed.");
                }
                followUps.takenIn(me.accountId(), ids.next(), proposal.content(), proposal.repeats(), changes);
            }
            changes.label((wanted.size() == 1 ? "1 follow-up" : wanted.size() + " follow-ups") + " from "
                    + Beginning.onOneLine(file.name(), 100));
        });
    }

    /** Those that something wanted is of. */
    private void makeCategories(SignedIn me, File file, List<Proposal> wanted, Changes changes) {
        file.newCategories().forEach((name, id) -> {
            if (wanted.stream().anyMatch(proposal -> proposal.isOf(id))) {
                categories.addWithin(me, id, name, changes);
            }
        });
    }
}
