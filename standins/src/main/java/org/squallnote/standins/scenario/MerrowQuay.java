package org.squallnote.standins.scenario;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.squallnote.standins.chat.Homeserver;
import org.squallnote.standins.chat.HomeserverState;
import org.squallnote.standins.mail.MailStandIn;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Plays the scenario into both servers, dated relative to a start. */
public final class MerrowQuay {

    /** Ines Calloway's own mailbox. */
    public static final String OWN = "ines.calloway@merrowquay.example";

    /** The mailbox of the office, which she reads too. */
    public static final String OFFICE = "office@merrowquay.example";

    /** As whom Ines signs in to her calendars. */
    static final String CALENDAR_USER = "ines";

    /** The password of both mailboxes, of the chat account and of the calendars. */
    public static final String PASSWORD = "merrow-quay-demo";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Script.Person INES = new Script.Person("ines", "Ines Calloway", OWN, true);
    private static final Script.Person DESK = new Script.Person("desk", "Merrow Quay office", OFFICE, false);

    private final MailStandIn mail;
    private final HomeserverState chat;
    private final Instant start;
    private final QuayCalendar calendar;
    private final Script script;
    private final Map<String, String> userIds = new HashMap<>();
    private final Map<String, String> roomIds = new HashMap<>();
    private int letters;

    /** Prepares the scenario for a start. */
    public MerrowQuay(MailStandIn mail, Homeserver chat, Instant start, QuayCalendar calendar) {
        this.mail = mail;
        this.chat = chat.state();
        this.start = start;
        this.calendar = calendar;
        this.script = Script.load("merrow-quay.txt");
    }

    /** Invites the user into a room of others, now. */
    public void invite(String roomName, String by) {
        String room = chat.addRoom(Optional.of(roomName), List.of(userId(by)), start);
        chat.setMembership(userId(by), room, userId("ines"), "invite");
    }

    /** Makes mailboxes, people and rooms, and puts down everything up to the start. */
    public void play() {
        for (String mailbox : List.of(OWN, OFFICE)) {
            mail.addMailbox(mailbox, PASSWORD);
            mail.addFolder(mailbox, "Sent");
            mail.addFolder(mailbox, "Archive");
        }
        for (Script.Person person : script.people().values()) {
            if (!person.address().equals(OFFICE)) {
                mail.addMailbox(person.address(), PASSWORD);
            }
        }
        userIds.put("ines", chat.addUser("ines", INES.name(), PASSWORD));
        script.people().values().stream()
                .filter(Script.Person::chats)
                .forEach(person -> userIds.put(person.key(), chat.addUser(person.key(), person.name(), PASSWORD)));
        Instant before = start.minusSeconds(60L * 86_400);
        for (Script.Room room : script.rooms().values()) {
            List<String> members = new ArrayList<>(List.of(userId("ines")));
            room.members().forEach(key -> members.add(userId(key)));
            roomIds.put(room.key(), chat.addRoom(room.name(), members, before));
        }
        List<Runnable> inOrder = new ArrayList<>();
        List<Instant> moments = new ArrayList<>();
        for (Script.Conversation conversation : script.conversations()) {
            if (conversation.mail()) {
                playMail(conversation);
            } else {
                playChat(conversation, inOrder, moments);
            }
        }
        runInOrder(inOrder, moments);
    }

    private static void runInOrder(List<Runnable> work, List<Instant> moments) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < work.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparing(moments::get));
        order.forEach(i -> work.get(i).run());
    }

    private void playMail(Script.Conversation conversation) {
        String mailbox = conversation.place().equals("office") ? OFFICE : OWN;
        Script.Person mine = conversation.place().equals("office") ? DESK : INES;
        List<String> references = new ArrayList<>();
        Optional<String> lastWriter = Optional.empty();
        for (Script.Line line : conversation.lines()) {
            boolean outgoing = line.from().isEmpty();
            Script.Person from = line.from().map(this::person).orElse(mine);
            List<Script.Person> to = people(line.keys("to"));
            if (to.isEmpty()) {
                to = List.of(outgoing ? person(lastWriter.orElseThrow()) : mine);
            }
            Instant at = calendar.at(line.when());
            String id = "merrow-" + ++letters + "." + at.getEpochSecond() + "@"
                    + from.address().substring(from.address().indexOf('@') + 1);
            String subject = (references.isEmpty() ? "" : "Re: ") + calendar.said(conversation.subject(), at);
            byte[] raw = MailWriter.write(new MailWriter.Letter(
                    id,
                    from,
                    to,
                    people(line.keys("cc")),
                    subject,
                    at,
                    references,
                    line.options().getOrDefault("kind", ""),
                    line.options().getOrDefault("file", ""),
                    calendar.said(line.text(), at),
                    calendar.at(2, 10)));
            mail.put(mailbox, outgoing ? "Sent" : "INBOX", raw, at);
            references.add(id);
            if (!outgoing) {
                lastWriter = line.from();
            }
        }
    }

    private void playChat(Script.Conversation conversation, List<Runnable> inOrder, List<Instant> moments) {
        String roomId = roomId(conversation.place());
        String[] last = new String[1];
        for (Script.Line line : conversation.lines()) {
            Instant at = calendar.at(line.when());
            String sender = userId(line.from().orElse("ines"));
            inOrder.add(() -> {
                String react = line.options().get("react");
                if (react == null) {
                    String said = calendar.said(line.text(), at);
                    String photo = line.options().get("photo");
                    last[0] = chat.addEvent(
                            roomId, sender, "m.room.message", photo == null ? text(said) : photo(photo, said), at);
                } else {
                    ObjectNode content = JSON.createObjectNode();
                    content.putObject("m.relates_to")
                            .put("rel_type", "m.annotation")
                            .put("event_id", last[0])
                            .put("key", react);
                    chat.addEvent(roomId, sender, "m.reaction", content, at);
                }
            });
            moments.add(at);
        }
    }

    /** A picture with what is said about it. */
    private ObjectNode photo(String name, String caption) {
        byte[] picture = Photo.png();
        ObjectNode content = JSON.createObjectNode()
                .put("msgtype", "m.image")
                .put("body", caption)
                .put("filename", name)
                .put("url", chat.addMedia("image/png", picture));
        content.putObject("info").put("mimetype", "image/png").put("size", picture.length);
        return content;
    }

    /** A text message; names and {@code @room} in it become mentions. */
    ObjectNode text(String body) {
        ObjectNode content = JSON.createObjectNode().put("msgtype", "m.text").put("body", body);
        ObjectNode mentions = content.putObject("m.mentions");
        if (body.contains("@room")) {
            mentions.put("room", true);
        }
        if (body.contains("Ines")) {
            mentions.putArray("user_ids").add(userId("ines"));
        }
        return content;
    }

    Script.Person person(String key) {
        return Optional.ofNullable(script.people().get(key))
                .orElseThrow(() -> new IllegalStateException("Nobody is called " + key));
    }

    private List<Script.Person> people(List<String> keys) {
        return keys.stream().map(this::person).toList();
    }

    String userId(String key) {
        return Optional.ofNullable(userIds.get(key))
                .orElseThrow(() -> new IllegalStateException(key + " does not chat"));
    }

    String roomId(String key) {
        return Optional.ofNullable(roomIds.get(key)).orElseThrow(() -> new IllegalStateException("No room " + key));
    }

    QuayCalendar calendar() {
        return calendar;
    }

    Script script() {
        return script;
    }

    Script.Person ines() {
        return INES;
    }

    String nextLetterId(Script.Person from) {
        letters++;
        return "merrow-" + letters + "." + System.nanoTime() + "@"
                + from.address().substring(from.address().indexOf('@') + 1);
    }
}
