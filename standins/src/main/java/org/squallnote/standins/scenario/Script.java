package org.squallnote.standins.scenario;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A scenario as written in {@code merrow-quay.txt}; the form is explained at the head of that file.
 *
 * @param people by key
 * @param rooms by key
 */
record Script(Map<String, Person> people, Map<String, Room> rooms, List<Conversation> conversations) {

    record Person(String key, String name, String address, boolean chats) {}

    /** A room; one without a name is a direct chat with its only member. */
    record Room(String key, Optional<String> name, List<String> members) {}

    /** A thread or a conversation; {@code place} is the mailbox or the room. */
    record Conversation(boolean mail, String place, String subject, List<Line> lines) {}

    /** A message. {@code from} is empty for mine. */
    record Line(Optional<String> from, When when, Map<String, String> options, String text) {

        List<String> keys(String option) {
            return Arrays.stream(options.getOrDefault(option, "").split(","))
                    .filter(key -> !key.isEmpty())
                    .toList();
        }
    }

    private static final Pattern PERSON = Pattern.compile("person (\\S+) (.+) <(\\S+)>( chat)?");
    private static final Pattern ROOM = Pattern.compile("room (\\S+) (.+): (.+)");
    private static final Pattern CONVERSATION = Pattern.compile("= (mail|chat) (\\S+) ?(.*)");
    private static final Pattern LINE = Pattern.compile("([<>]) (?:([a-z]\\S*) )?(-\\S+)(.*)");

    static Script load(String resource) {
        Map<String, Person> people = new LinkedHashMap<>();
        Map<String, Room> rooms = new LinkedHashMap<>();
        List<Conversation> conversations = new ArrayList<>();
        Line[] open = new Line[1];
        StringBuilder text = new StringBuilder();
        for (String line : lines(resource)) {
            Matcher person = PERSON.matcher(line);
            Matcher room = ROOM.matcher(line);
            Matcher conversation = CONVERSATION.matcher(line);
            Matcher message = LINE.matcher(line);
            if (person.matches()) {
                people.put(
                        person.group(1),
                        new Person(person.group(1), person.group(2), person.group(3), person.group(4) != null));
            } else if (room.matches()) {
                rooms.put(
                        room.group(1),
                        new Room(
                                room.group(1),
                                Optional.of(room.group(2)),
                                List.of(room.group(3).split(" "))));
            } else if (line.startsWith("direct ")) {
                String key = line.substring(7).strip();
                rooms.put(key, new Room(key, Optional.empty(), List.of(key)));
            } else if (conversation.matches()) {
                close(conversations, open, text);
                conversations.add(new Conversation(
                        conversation.group(1).equals("mail"),
                        conversation.group(2),
                        conversation.group(3),
                        new ArrayList<>()));
            } else if (message.matches()) {
                close(conversations, open, text);
                open[0] = new Line(
                        Optional.ofNullable(message.group(2)),
                        When.of(message.group(3)),
                        options(message.group(4)),
                        "");
            } else if (open[0] != null) {
                text.append(line).append('\n');
            }
        }
        close(conversations, open, text);
        return new Script(people, rooms, conversations);
    }

    private static void close(List<Conversation> conversations, Line[] open, StringBuilder text) {
        Line line = open[0];
        if (line != null) {
            conversations
                    .get(conversations.size() - 1)
                    .lines()
                    .add(new Line(
                            line.from(),
                            line.when(),
                            line.options(),
                            text.toString().strip()));
        }
        open[0] = null;
        text.setLength(0);
    }

    private static Map<String, String> options(String words) {
        Map<String, String> options = new LinkedHashMap<>();
        for (String word : words.strip().split(" ")) {
            int equals = word.indexOf('=');
            if (equals > 0) {
                options.put(word.substring(0, equals), word.substring(equals + 1));
            } else if (!word.isEmpty()) {
                options.put(word, "");
            }
        }
        return options;
    }

    static List<String> lines(String resource) {
        try (InputStream in = Script.class.getResourceAsStream(resource)) {
            if (in == null) {
                throw new IllegalStateException("No scenario " + resource);
            }
            return new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .lines()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
