package org.squallnote.server.source;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;

/** Settings › Sources: what all kinds have in common. What a kind has of its own is set in its package. */
@RestController
class SourceController {

    private final Sources sources;

    SourceController(Sources sources) {
        this.sources = sources;
    }

    record SourceView(
            UUID id,
            SourceKind kind,
            String name,
            String address,
            SourceStatus status,
            String statusText,
            int progressDone,
            int progressTotal,
            int messageCount,
            Instant addedAt,
            int daysBack,
            ArchiveRule archiveRule,
            int version) {}

    @GetMapping("/api/sources")
    List<SourceView> all(@CurrentAccount SignedIn me) {
        return sources.all(me).stream().map(this::view).toList();
    }

    @DeleteMapping("/api/sources/{id}")
    Done disconnect(
            @CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @RequestParam int version) {
        return sources.disconnect(me, commandId, id, version);
    }

    private SourceView view(Source source) {
        return new SourceView(
                source.id(),
                source.kind(),
                source.name(),
                source.address(),
                source.status(),
                source.statusText(),
                source.progressDone(),
                source.progressTotal(),
                sources.countMessages(source),
                source.addedAt(),
                source.daysBack(),
                source.archiveRule(),
                source.version());
    }
}
