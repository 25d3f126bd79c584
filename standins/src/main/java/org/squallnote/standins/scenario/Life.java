package org.squallnote.standins.scenario;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.chat.HomeserverState;
import org.squallnote.standins.mail.MailStandIn;

/** Keeps the scenario going: invented people answer what is sent to them, and something new arrives now and then. */
public final class Life implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(Life.class);
    private static final Duration LOOK = Duration.ofMillis(500);

    private record News(boolean mail, String from, String about, String text) {}

    private final MerrowQuay quay;
    private final MailStandIn mail;
    private final HomeserverState chat;
    private final Duration answerAfter;
    private final Clock clock;
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "merrow-quay");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<String, Deque<String>> answers = new HashMap<>();
    private final Deque<News> news = new ArrayDeque<>();
    private final Map<String, Integer> seen = new HashMap<>();

    /**
     * Prepares the life at the quay.
     *
     * @param answerAfter how long people take to answer
     * @param clock by which they date what they write
     */
    public Life(MerrowQuay quay, MailStandIn mail, Homeserver chat, Duration answerAfter, Clock clock) {
        this.quay = quay;
        this.mail = mail;
        this.chat = chat.state();
        this.answerAfter = answerAfter;
        this.clock = clock;
        load();
    }

    private void load() {
        List<String> heads = new ArrayList<>();
        Map<Integer, StringBuilder> bodies = new HashMap<>();
        for (String line : Script.lines("life.txt")) {
            if (line.startsWith("answer ") || line.startsWith("new ")) {
                heads.add(line);
                bodies.put(heads.size() - 1, new StringBuilder());
            } else if (!line.startsWith("#") && !heads.isEmpty()) {
                bodies.getOrDefault(heads.size() - 1, new StringBuilder())
                        .append(line)
                        .append('\n');
            }
        }
        for (int i = 0; i < heads.size(); i++) {
            String[] words = heads.get(i).split(" ", 4);
            String text = bodies.getOrDefault(i, new StringBuilder()).toString().strip();
            if (words[0].equals("answer")) {
                answers.computeIfAbsent(words[1], key -> new ArrayDeque<>()).add(text);
            } else if (words[1].equals("mail")) {
                news.add(new News(true, words[2], words[3], text));
            } else {
                news.add(new News(false, words[3], words[2], text));
            }
        }
    }

    /**
     * Starts.
     *
     * @param newsEvery how often something new arrives; absent when nothing does
     */
    public void start(Optional<Duration> newsEvery) {
        for (Script.Person person : quay.script().people().values()) {
            seen.put(person.key(), mail.messages(person.address(), "INBOX").size());
        }
        chat.onSent(this::heard);
        timer.scheduleWithFixedDelay(
                () -> guarded(this::lookAtMail), LOOK.toMillis(), LOOK.toMillis(), TimeUnit.MILLISECONDS);
        newsEvery.ifPresent(every -> timer.scheduleWithFixedDelay(
                () -> guarded(this::tellNews), every.toMillis(), every.toMillis(), TimeUnit.MILLISECONDS));
    }

    private static void guarded(Runnable work) {
        try {
            work.run();
        } catch (RuntimeException e) {
            LOG.warn("Something at the quay went wrong", e);
        }
    }

    private String nextAnswer(String key) {
        Deque<String> own = answers.getOrDefault(key, new ArrayDeque<>());
        if (!own.isEmpty()) {
            return own.removeFirst();
        }
        Deque<String> others = answers.getOrDefault("*", new ArrayDeque<>());
        if (others.isEmpty()) {
            return "Thank you.";
        }
        String text = others.removeFirst();
        others.addLast(text);
        return text;
    }

    private void lookAtMail() {
        for (Script.Person person : quay.script().people().values()) {
            if (person.address().equals(MerrowQuay.OFFICE) || person.key().equals("daemon")) {
                continue;
            }
            List<MimeMessage> inbox = mail.messages(person.address(), "INBOX");
            for (MimeMessage message :
                    inbox.subList(Math.min(seen.getOrDefault(person.key(), 0), inbox.size()), inbox.size())) {
                timer.schedule(
                        () -> guarded(() -> answerMail(person, message)),
                        answerAfter.toMillis(),
                        TimeUnit.MILLISECONDS);
            }
            seen.put(person.key(), inbox.size());
        }
    }

    private void answerMail(Script.Person person, MimeMessage message) {
        try {
            String id = message.getMessageID().replaceAll("[<>]", "");
            InternetAddress writer = (InternetAddress) message.getFrom()[0];
            boolean addressed = false;
            for (var to : Optional.ofNullable(message.getRecipients(Message.RecipientType.TO))
                    .orElse(new InternetAddress[0])) {
                addressed |= ((InternetAddress) to).getAddress().equalsIgnoreCase(person.address());
            }
            if (!addressed) {
                return;
            }
            List<String> references = new ArrayList<>();
            Optional.ofNullable(message.getHeader("References", " "))
                    .ifPresent(value -> List.of(
                                    value.replaceAll("[<>]", " ").strip().split("\\s+"))
                            .forEach(references::add));
            references.add(id);
            Script.Person to = new Script.Person(
                    "", Optional.ofNullable(writer.getPersonal()).orElse(""), writer.getAddress(), false);
            send(person, to, message.getSubject(), references, nextAnswer(person.key()));
        } catch (MessagingException e) {
            LOG.warn("{} could not answer", person.name(), e);
        }
    }

    private String send(Script.Person from, Script.Person to, String subject, List<String> references, String text)
            throws MessagingException {
        String id = quay.nextLetterId(from);
        Instant now = clock.instant();
        mail.deliver(MailWriter.write(new MailWriter.Letter(
                id,
                from,
                List.of(to),
                List.of(),
                subject,
                now,
                references,
                "",
                "",
                quay.calendar().said(text, now),
                now)));
        return id;
    }

    private void heard(HomeserverState.Sent sent) {
        if (!sent.type().equals("m.room.message")) {
            return;
        }
        for (Script.Room room : quay.script().rooms().values()) {
            if (quay.roomId(room.key()).equals(sent.roomId())) {
                String key = room.members().get(0);
                timer.schedule(
                        () -> guarded(() -> chat.addEvent(
                                sent.roomId(),
                                quay.userId(key),
                                "m.room.message",
                                quay.text(nextAnswer(key)),
                                clock.instant())),
                        answerAfter.toMillis(),
                        TimeUnit.MILLISECONDS);
            }
        }
    }

    /** Lets the next piece of news arrive. */
    public void tellNews() {
        News next = news.pollFirst();
        if (next == null) {
            return;
        }
        if (next.mail()) {
            try {
                send(quay.person(next.from()), quay.ines(), next.about(), List.of(), next.text());
            } catch (MessagingException e) {
                LOG.warn("News could not be sent", e);
            }
        } else {
            chat.addEvent(
                    quay.roomId(next.about()),
                    quay.userId(next.from()),
                    "m.room.message",
                    quay.text(quay.calendar().said(next.text(), clock.instant())),
                    clock.instant());
        }
    }

    /** Lets somebody write a mail to Ines; answers its identifier. */
    public String write(String key, String subject, String text) {
        return write(key, subject, List.of(), text);
    }

    /** Lets somebody write to Ines in a thread. */
    public String write(String key, String subject, List<String> references, String text) {
        try {
            return send(quay.person(key), quay.ines(), subject, references, text);
        } catch (MessagingException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        timer.shutdownNow();
    }
}
