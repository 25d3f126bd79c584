package org.squallnote.server.source;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.source.ArchiveRule;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.core.source.SourceStatus;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.sources.ProbeStep;
import org.squallnote.sources.chat.ChatProbe;
import org.squallnote.sources.mail.Encryption;
import org.squallnote.sources.mail.MailAccount;
import org.squallnote.sources.mail.MailFolders;
import org.squallnote.sources.mail.MailProbe;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.sources.mail.SeenCertificate;

/** Settings › Sources. */
@RestController
class SourceController {

    private final Sources sources;
    private final SourceSecrets secrets;
    private final Destinations destinations;
    private final BoundedProbe tests;

    SourceController(Sources sources, SourceSecrets secrets, Destinations destinations, BoundedProbe tests) {
        this.sources = sources;
        this.secrets = secrets;
        this.destinations = destinations;
        this.tests = tests;
    }

    record Server(
            @NotBlank @Size(max = 255) String host,
            @Min(1) @Max(65535) int port,
            Encryption encryption) {

        MailSettings.Server toCore() {
            return new MailSettings.Server(host.strip(), port, encryption);
        }
    }

    record MailForm(
            @NotBlank @Size(max = 200) String name,
            @NotBlank @Size(max = 320) String address,
            @Size(max = 200) String fromName,
            @Valid Server imap,
            @Valid Server smtp,
            @NotBlank @Size(max = 320) String user,
            @Size(max = 1000) String password,
            @NotBlank @Size(max = 400) String inbox,
            @Nullable @Size(max = 400) String sent,
            @Nullable @Size(max = 400) String archive,
            @Nullable @Size(max = 400) String drafts,
            @Nullable @Size(max = 100) String pinnedCertificate,
            @Min(1) @Max(3650) int daysBack,
            ArchiveRule archiveRule) {

        MailAccount account() {
            return new MailAccount(
                    address.strip(),
                    new MailSettings(
                            imap.toCore(),
                            smtp.toCore(),
                            user.strip(),
                            fromName.strip(),
                            inbox,
                            Optional.ofNullable(sent).filter(name -> !name.isBlank()),
                            Optional.ofNullable(archive).filter(name -> !name.isBlank()),
                            Optional.ofNullable(drafts).filter(name -> !name.isBlank()),
                            Optional.ofNullable(pinnedCertificate).filter(pin -> !pin.isBlank())),
                    password);
        }
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

    record MailTestResult(
            boolean passed,
            List<ProbeStep> steps,
            @Nullable MailFolders folders,
            @Nullable SeenCertificate untrusted) {}

    record ChatTestResult(boolean passed, List<ProbeStep> steps) {}

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
            @Nullable MailView mail,
            @Nullable String homeserver,
            int version) {}

    record MailView(
            Server imap,
            Server smtp,
            String user,
            String fromName,
            String inbox,
            @Nullable String sent,
            @Nullable String archive,
            @Nullable String drafts,
            @Nullable String pinnedCertificate) {}

    @GetMapping("/api/sources")
    List<SourceView> all(@CurrentAccount SignedIn me) {
        return sources.all(me).stream().map(this::view).toList();
    }

    @PostMapping("/api/sources/mail/test")
    CompletableFuture<MailTestResult> testMail(
            @CurrentAccount SignedIn me,
            @Valid @RequestBody MailForm form,
            @RequestParam(required = false) @Nullable UUID sourceId) {
        MailAccount entered = form.account();
        destinations.check(me, entered.settings());
        MailAccount account = form.password().isEmpty()
                ? sources.stored(me, sourceId, entered.settings(), entered.address())
                        .orElse(entered)
                : entered;
        return tests.run(() -> view(MailProbe.run(account)));
    }

    private static MailTestResult view(MailProbe.Result result) {
        return new MailTestResult(
                result.passed(),
                result.steps(),
                result.folders().orElse(null),
                result.untrusted().orElse(null));
    }

    @PostMapping("/api/sources/mail/{id}")
    @ResponseStatus(HttpStatus.CREATED)
    Done addMail(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @Valid @RequestBody MailForm form) {
        destinations.check(me, form.account().settings());
        return sources.addMail(me, commandId, common(id, form), form.account());
    }

    @PutMapping("/api/sources/mail/{id}")
    Done changeMail(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody MailForm form) {
        sources.get(me, id);
        destinations.check(me, form.account().settings());
        return sources.changeMail(me, commandId, common(id, form), version, form.account());
    }

    private static Sources.Common common(UUID id, MailForm form) {
        return new Sources.Common(id, form.name().strip(), form.daysBack(), form.archiveRule());
    }

    @PostMapping("/api/sources/chat/test")
    CompletableFuture<ChatTestResult> testChat(@CurrentAccount SignedIn me, @Valid @RequestBody ChatForm form) {
        destinations.checkAddress(me, form.homeserver());
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
        destinations.checkAddress(me, form.homeserver());
        // What is found after the time was over adds nothing.
        return tests.run(() -> tryChat(id, form)).thenApply(result -> addTested(me, commandId, id, form, result));
    }

    private Done addTested(SignedIn me, UUID commandId, UUID id, ChatForm form, ChatProbe.Result result) {
        if (result.signedIn().isEmpty()) {
            throw Refusal.invalid(
                    result.steps().get(result.steps().size() - 1).detail() + " The account was not added.");
        }
        return sources.addChat(
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
        return sources.changeChat(
                me,
                commandId,
                new Sources.Common(id, form.name().strip(), form.daysBack(), form.archiveRule()),
                version);
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
                source.kind() == SourceKind.MAIL ? mailView(secrets.mailSettings(source)) : null,
                source.kind() == SourceKind.CHAT ? secrets.chatSettings(source).homeserver() : null,
                source.version());
    }

    private static MailView mailView(MailSettings settings) {
        return new MailView(
                server(settings.imap()),
                server(settings.smtp()),
                settings.user(),
                settings.fromName(),
                settings.inbox(),
                settings.sent().orElse(null),
                settings.archive().orElse(null),
                settings.drafts().orElse(null),
                settings.pinnedCertificate().orElse(null));
    }

    private static Server server(MailSettings.Server server) {
        return new Server(server.host(), server.port(), server.encryption());
    }
}
