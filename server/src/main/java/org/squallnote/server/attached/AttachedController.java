package org.squallnote.server.attached;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.followup.FollowUpFile;
import org.squallnote.core.followup.Relation;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.content.HarmlessTypes;

/** What lies with a follow-up: files, addresses, other follow-ups. */
@RestController
class AttachedController {

    private final Attached attached;
    private final AttachedFiles files;
    private final AttachedLinks links;
    private final AttachedRelations relations;

    AttachedController(Attached attached, AttachedFiles files, AttachedLinks links, AttachedRelations relations) {
        this.attached = attached;
        this.files = files;
        this.links = links;
        this.relations = relations;
    }

    @GetMapping("/api/follow-ups/{id}/attached")
    Attached.AttachedView all(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return attached.of(me.accountId(), id);
    }

    /** The file is the body of the request, and passes through without being kept in memory. */
    @PutMapping(path = "/api/follow-ups/{id}/files/{fileId}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Done addFile(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID fileId,
            @RequestParam @NotBlank @Size(max = 255) String name,
            HttpServletRequest request)
            throws IOException {
        return files.add(me, commandId, id, fileId, name.strip(), request.getInputStream());
    }

    /** A file of one of its messages. */
    record FromMessage(@NotNull UUID messageId, int index) {}

    /** Keeps a file of one of its messages with it. */
    @PutMapping("/api/follow-ups/{id}/files/{fileId}/from-message")
    Done keepFile(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID fileId,
            @Valid @RequestBody FromMessage body)
            throws IOException {
        return attached.keepFile(me, commandId, id, fileId, body.messageId(), body.index());
    }

    @GetMapping("/api/follow-ups/{id}/files/{fileId}")
    ResponseEntity<Resource> file(
            @CurrentAccount SignedIn me,
            @PathVariable UUID id,
            @PathVariable UUID fileId,
            @RequestParam(defaultValue = "false") boolean view)
            throws IOException {
        FollowUpFile file = files.get(me.accountId(), id, fileId);
        boolean inline = view && HarmlessTypes.has(file.type());
        ContentDisposition.Builder disposition = inline ? ContentDisposition.inline() : ContentDisposition.attachment();
        return ResponseEntity.ok()
                .header("Content-Security-Policy", "default-src 'none'; img-src 'self'; sandbox")
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        disposition
                                .filename(file.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .contentType(inline ? MediaType.parseMediaType(file.type()) : MediaType.APPLICATION_OCTET_STREAM)
                .contentLength(file.size())
                .body(new InputStreamResource(MailParser.whole(files.content(file))));
    }

    @DeleteMapping("/api/follow-ups/{id}/files/{fileId}")
    Done removeFile(
            @CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @PathVariable UUID fileId) {
        return files.remove(me, commandId, id, fileId);
    }

    /** @param title empty for where it leads */
    record WebLinkForm(
            @NotBlank @Size(max = 2000) String url,
            @NotNull @Size(max = 300) String title) {}

    @PutMapping("/api/follow-ups/{id}/links/{linkId}")
    Done saveLink(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID linkId,
            @Valid @RequestBody WebLinkForm body) {
        return links.save(me, commandId, id, linkId, body.url(), body.title());
    }

    @DeleteMapping("/api/follow-ups/{id}/links/{linkId}")
    Done removeLink(
            @CurrentAccount SignedIn me, @CommandId UUID commandId, @PathVariable UUID id, @PathVariable UUID linkId) {
        return links.remove(me, commandId, id, linkId);
    }

    /** Another follow-up, and how it stands to this one. */
    record RelationForm(@NotNull UUID otherId, @NotNull Attached.Way way) {}

    @PutMapping("/api/follow-ups/{id}/related/{relationId}")
    Done relate(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID relationId,
            @Valid @RequestBody RelationForm body) {
        return relations.relate(
                me,
                commandId,
                switch (body.way()) {
                    case NEEDED_FIRST -> new Relation(relationId, id, body.otherId(), Relation.Kind.NEEDED_FIRST);
                    case HELD_BACK -> new Relation(relationId, body.otherId(), id, Relation.Kind.NEEDED_FIRST);
                    case TOGETHER -> new Relation(relationId, id, body.otherId(), Relation.Kind.TOGETHER);
                });
    }

    @DeleteMapping("/api/follow-ups/{id}/related/{relationId}")
    Done unrelate(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @PathVariable UUID relationId) {
        return relations.remove(me, commandId, id, relationId);
    }
}
