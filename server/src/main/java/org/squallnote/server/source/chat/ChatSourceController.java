package org.squallnote.server.source.chat;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.BoundedProbe;
import org.squallnote.server.source.Destinations;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.ProbeStep;
import org.squallnote.sources.chat.ChatProbe;

/** The settings of chat accounts. */
@RestController
class ChatSourceController {

    private final Sources sources;
    private final ChatSources chat;
    private final SourceSecrets secrets;
    private final Destinations destinations;
    private final BoundedProbe tests;

    ChatSourceController(
            Sources sources, ChatSources chat, SourceSecrets secrets, Destinations destinations, BoundedProbe tests) {
        this.sources = sources;
        this.chat = chat;
        this.secrets = secrets;
        this.destinations = destinations;
        this.tests = tests;
    }

    record ChatForm(
            @NotBlank @Size(max = 200) String name,
            @NotBlank @Size(max = 500) String homeserver,
            @Size(max = 320) String user,
            @Size(max = 1000) String password,
            @Size(max = 2000) String accessToken,
            @Min(1) @Max(3650) int daysBack,
            ArchiveRule archiveRule) {}

    record ChatChange(
            @NotBlank @Size(max = 200) String name,
            @Min(1) @Max(3650) int daysBack,
            ArchiveRule archiveRule) {}

    record ChatTestResult(boolean passed, List<ProbeStep> steps) {}

    record ChatView(String homeserver) {}

    /** What is set, without secrets. */
    @GetMapping("/api/sources/chat/{id}")
    ChatView settings(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return new ChatView(
                secrets.chatSettings(sources.get(me, id, SourceKind.CHAT)).homeserver());
    }

    @PostMapping("/api/sources/chat/test")
    CompletableFuture<ChatTestResult> testChat(@CurrentAccount SignedIn me, @Valid @RequestBody ChatForm form) {
        destinations.checkAddress(me, form.homeserver(), "homeserver");
        return tests.run(() -> {
            ChatProbe.Result result = tryChat(UUID.randomUUID(), form);
            return new ChatTestResult(result.passed(), result.steps());
        });
    }

    @PostMapping("/api/sources/chat/{id}")
    @ResponseStatus(HttpStatus.CREATED)
    CompletableFuture<Done> addChat(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody ChatForm form) {
        destinations.checkAddress(me, form.homeserver(), "homeserver");
        // What is found after the time was over adds nothing.
        return tests.run(() -> tryChat(id, form)).thenApply(result -> addTested(me, commandId, id, form, result));
    }

    private Done addTested(SignedIn me, UUID commandId, UUID id, ChatForm form, ChatProbe.Result result) {
        if (result.signedIn().isEmpty()) {
            throw Refusal.invalid(
                    result.steps().get(result.steps().size() - 1).detail() + " The account was not added.");
        }
        return chat.add(
                me,
                commandId,
                new Sources.Common(id, form.name().strip(), form.daysBack(), form.archiveRule()),
                form.homeserver().strip(),
                result.signedIn().get(),
                form.user().strip(),
                form.password());
    }

    private static ChatProbe.Result tryChat(UUID id, ChatForm form) {
        return ChatProbe.run(
                form.homeserver(),
                form.user().strip(),
                form.password(),
                form.accessToken().strip(),
                "SQUALLNOTE" + id.toString().replace("-", "").substring(20).toUpperCase(java.util.Locale.ROOT));
    }

    @PutMapping("/api/sources/chat/{id}")
    Done changeChat(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody ChatChange form) {
        return chat.change(
                me,
                commandId,
                new Sources.Common(id, form.name().strip(), form.daysBack(), form.archiveRule()),
                version);
    }
}
