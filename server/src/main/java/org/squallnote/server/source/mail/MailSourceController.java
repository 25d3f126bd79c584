package org.squallnote.server.source.mail;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
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
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.BoundedProbe;
import org.squallnote.server.source.Destinations;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.ProbeStep;
import org.squallnote.sources.mail.Encryption;
import org.squallnote.sources.mail.MailAccount;
import org.squallnote.sources.mail.MailFolders;
import org.squallnote.sources.mail.MailProbe;
import org.squallnote.sources.mail.MailSettings;
import org.squallnote.sources.mail.SeenCertificate;

/** The settings of mail accounts. */
@RestController
class MailSourceController {

    private final Sources sources;
    private final MailSources mail;
    private final SourceSecrets secrets;
    private final Destinations destinations;
    private final BoundedProbe tests;

    MailSourceController(
            Sources sources, MailSources mail, SourceSecrets secrets, Destinations destinations, BoundedProbe tests) {
        this.sources = sources;
        this.mail = mail;
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

    record MailTestResult(
            boolean passed,
            List<ProbeStep> steps,
            @Nullable MailFolders folders,
            @Nullable SeenCertificate untrusted) {}

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

    /** What is set, without the password. */
    @GetMapping("/api/sources/mail/{id}")
    MailView settings(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        return mailView(secrets.mailSettings(sources.get(me, id, SourceKind.MAIL)));
    }

    @PostMapping("/api/sources/mail/test")
    CompletableFuture<MailTestResult> testMail(
            @CurrentAccount SignedIn me,
            @Valid @RequestBody MailForm form,
            @RequestParam(required = false) @Nullable UUID sourceId) {
        MailAccount entered = form.account();
        check(me, entered.settings());
        MailAccount account = form.password().isEmpty()
                ? mail.stored(me, sourceId, entered.settings(), entered.address())
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
        check(me, form.account().settings());
        return mail.add(me, commandId, common(id, form), form.account());
    }

    @PutMapping("/api/sources/mail/{id}")
    Done changeMail(
            @CurrentAccount SignedIn me,
            @CommandId UUID commandId,
            @PathVariable UUID id,
            @RequestParam int version,
            @Valid @RequestBody MailForm form) {
        sources.get(me, id, SourceKind.MAIL);
        check(me, form.account().settings());
        return mail.change(me, commandId, common(id, form), version, form.account());
    }

    private static Sources.Common common(UUID id, MailForm form) {
        return new Sources.Common(id, form.name().strip(), form.daysBack(), form.archiveRule());
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

    private void check(SignedIn me, MailSettings settings) {
        destinations.check(me, settings.imap().host(), "imap.host");
        destinations.check(me, settings.smtp().host(), "smtp.host");
    }
}
