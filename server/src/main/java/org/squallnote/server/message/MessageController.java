package org.squallnote.server.message;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.draft.Draft;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.formats.html.SafeHtml;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.content.HarmlessTypes;
import org.squallnote.server.handover.ReceivedHandOvers;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.ReadableMessage;
import org.squallnote.server.reading.Readings;

/** One message: its words, its HTML in a page of its own, its files. */
@RestController
class MessageController {

    private final MessageFiles files;
    private final AccountReaders readers;
    private final Readings readings;
    private final Proposals proposals;
    private final ReceivedHandOvers taking;
    private final Senders senders;
    private final SecureRandom random = new SecureRandom();
    private final Messages messages;

    MessageController(
            AccountReaders readers,
            Readings readings,
            Proposals proposals,
            ReceivedHandOvers taking,
            Senders senders,
            Messages messages,
            MessageFiles files) {
        this.files = files;
        this.messages = messages;
        this.readers = readers;
        this.readings = readings;
        this.proposals = proposals;
        this.taking = taking;
        this.senders = senders;
    }

    /** @param meeting whether it says something of a meeting, which is asked for by itself */
    record MessageView(
            UUID id,
            UUID threadId,
            Channel channel,
            Direction direction,
            Nature nature,
            Party from,
            List<String> doubts,
            List<Party> to,
            List<Party> cc,
            String subject,
            @Nullable String room,
            Instant sentAt,
            String ownWords,
            String carried,
            boolean asksMe,
            ReadingView reading,
            boolean hasHtml,
            boolean hasSource,
            List<FileView> files,
            List<String> notices,
            Decision decision,
            boolean edited,
            boolean removed,
            String source,
            List<FollowUpRef> followUps,
            Proposals.Proposal proposal,
            List<Proposals.Proposal> proposals,
            @Nullable DraftView draft,
            List<DraftFileView> draftFiles,
            ReceivedHandOvers.@Nullable HandOverView handOver,
            boolean roomInvitation,
            boolean meeting) {}

    /** An answer that was begun, as far as it is typed. */
    record DraftView(String text, boolean toAll, String cc, String bcc) {}

    record DraftFileView(UUID id, String name, int size) {}

    record FileView(int index, String name, String type, long size, boolean viewable) {}

    /**
     * A follow-up of this message or of another one in its thread.
     *
     * @param linked whether it is linked to this message
     */
    record FollowUpRef(
            UUID id,
            String title,
            boolean open,
            @Nullable LocalDate replyDay,
            @Nullable LocalTime replyTime,
            boolean linked) {}

    @GetMapping("/api/messages/{id}")
    MessageView one(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        StoredMessage message = messages.get(me.accountId(), id);
        Messages.Around around = messages.around(message);
        AccountReader reader = readers.of(me.accountId());
        Reading reading = readings.read(reader, message);
        OwnWords words = reading.words();
        // A message that holds nothing but what it carries along is shown as it is.
        String own = words.own().isEmpty() ? message.body() : words.own();
        String carried = words.own().isEmpty() ? "" : words.carried();
        Proposals.Proposer proposer = proposals.of(me, reader);
        Optional<Asks> rule =
                Optional.ofNullable(reader.rules().get(message.party())).map(PartyRule::asks);
        return new MessageView(
                message.id(),
                message.threadId(),
                message.channel(),
                message.direction(),
                message.nature(),
                message.from().shown(),
                senders.doubtsAbout(message),
                message.recipients().to().stream().map(Party::shown).toList(),
                message.recipients().cc().stream().map(Party::shown).toList(),
                message.channel() == Channel.CHAT ? "" : message.subject(),
                around.room().orElse(null),
                message.sentAt(),
                own,
                carried,
                message.asksMe(),
                ReadingView.of(message, message.asksMe(), rule, reading),
                message.hasHtml(),
                message.channel() == Channel.MAIL,
                message.files().list().stream().map(MessageController::file).toList(),
                notices(message, reading),
                message.decision(),
                message.edited(),
                message.removed(),
                around.source(),
                followUps(around),
                proposer.of(message, reading),
                proposer.each(message, reading),
                around.draft().map(MessageController::view).orElse(null),
                around.files().stream()
                        .map(file -> new DraftFileView(file.id(), file.name(), file.size()))
                        .toList(),
                taking.of(message),
                message.decision() == Decision.UNDECIDED
                        && !message.removed()
                        && ReadableMessage.isInvitation(message.messageId()),
                around.meeting() || message.nature() == Nature.INVITATION);
    }

    private static List<String> notices(StoredMessage message, Reading reading) {
        return reading.cut()
                ? Stream.concat(
                                message.notices().list().stream(),
                                Stream.of(
                                        "Only a part of this message was read for what it asks. Please look at the rest yourself."))
                        .distinct()
                        .toList()
                : message.notices().list();
    }

    private static List<FollowUpRef> followUps(Messages.Around around) {
        return around.followUps().stream()
                .map(f -> new FollowUpRef(
                        f.id(),
                        f.title(),
                        f.endedAt() == null,
                        f.replyDay(),
                        f.replyTime(),
                        around.linked().contains(f.id())))
                .toList();
    }

    private static FileView file(Files.StoredFile file) {
        return new FileView(file.index(), file.name(), file.type(), file.size(), HarmlessTypes.has(file.type()));
    }

    /** The HTML body as a page that can do nothing; pictures from elsewhere only when asked for. */
    @GetMapping(path = "/api/messages/{id}/html", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> html(
            @CurrentAccount SignedIn me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean pictures) {
        RawMail raw = messages.raw(me.accountId(), id);
        SafeHtml safe = SafeHtml.of(MailParser.html(raw).orElse(""), pictures(id, raw), pictures);
        byte[] nonceBytes = new byte[16];
        random.nextBytes(nonceBytes);
        String nonce = Base64.getUrlEncoder().withoutPadding().encodeToString(nonceBytes);
        String policy = "default-src 'none'; style-src 'nonce-" + nonce + "'; img-src 'self'"
                + (pictures ? " https: http:" : "") + "; frame-ancestors 'self'; base-uri 'none'; form-action 'none'";
        String page = "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>Message</title>"
                + "<meta name=\"referrer\" content=\"no-referrer\"><style nonce=\"" + nonce + "\">"
                + "body{margin:0;font:15px/1.5 system-ui,sans-serif;color:#18252b;background:#fff;overflow-wrap:anywhere}"
                + "img{max-width:100%;height:auto}img[data-not-loaded]{display:none}"
                + "blockquote{margin:.5em 0;padding-left:1em;border-left:2px solid #d9d6cd;color:#55606a}"
                + "table{max-width:100%}pre{white-space:pre-wrap}\n" + safe.styles() + "</style></head><body>"
                + safe.body() + "</body></html>";
        return ResponseEntity.ok()
                .header("Content-Security-Policy", policy)
                .header("X-Remote-Pictures", String.valueOf(safe.remotePictures()))
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .body(page);
    }

    /** Where the pictures that came with a message are served; the message is read once, however many it shows. */
    private static Function<String, Optional<String>> pictures(UUID id, RawMail raw) {
        Map<String, String> addresses = new HashMap<>();
        for (ParsedMail.Attachment file : MailParser.parse(raw).attachments()) {
            if (file.type().startsWith("image/") && HarmlessTypes.has(file.type())) {
                file.contentId()
                        .ifPresent(contentId -> addresses.putIfAbsent(
                                contentId, "/api/messages/" + id + "/files/" + file.index() + "?view=true"));
            }
        }
        return contentId -> Optional.ofNullable(addresses.get(contentId));
    }

    @GetMapping("/api/messages/{id}/files/{index}")
    ResponseEntity<Resource> file(
            @CurrentAccount SignedIn me,
            @PathVariable UUID id,
            @PathVariable int index,
            @RequestParam(defaultValue = "false") boolean view)
            throws IOException {
        StoredMessage message = messages.get(me.accountId(), id);
        Files.StoredFile file = MessageFiles.file(message, index);
        InputStream content = files.open(message, index);
        boolean inline = view && HarmlessTypes.has(file.type());
        return ResponseEntity.ok()
                .header("Content-Security-Policy", "default-src 'none'; img-src 'self'; sandbox")
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition(inline, file.name()))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .contentType(inline ? MediaType.parseMediaType(file.type()) : MediaType.APPLICATION_OCTET_STREAM)
                .body(new InputStreamResource(content));
    }

    /** The message as it came, as an .eml file. */
    @GetMapping(path = "/api/messages/{id}/source", produces = "message/rfc822")
    ResponseEntity<Resource> source(@CurrentAccount SignedIn me, @PathVariable UUID id) throws IOException {
        RawMail raw = messages.raw(me.accountId(), id);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition(false, "message.eml"))
                .contentType(MediaType.parseMediaType("message/rfc822"))
                .contentLength(raw.size())
                .body(new InputStreamResource(MailParser.whole(raw)));
    }

    private static String disposition(boolean inline, String name) {
        ContentDisposition.Builder builder = inline ? ContentDisposition.inline() : ContentDisposition.attachment();
        return builder.filename(name, StandardCharsets.UTF_8).build().toString();
    }

    private static DraftView view(Draft draft) {
        return new DraftView(draft.text(), draft.toAll(), draft.copies(), draft.hidden());
    }
}
