package org.squallnote.core.turn;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Me;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.MessageToReadBuilder;
import org.squallnote.core.reading.Reader;
import org.squallnote.core.text.WordList;
import org.squallnote.core.time.WorkingTime;

/** Threads told in a text file, with whose turn it is after each message. */
public final class Stories {

    /** A thread. */
    public record Story(String name, List<TurnEvent> events, List<String> expected) {}

    private static final Pattern LINE =
            Pattern.compile("([^>]+)>([^:\\[(]+)(?:\\(cc ([^)]+)\\))?((?: ?\\[[^\\]]+])*): (.*)");
    private static final Pattern MARK = Pattern.compile("\\[([^\\]]+)]");
    private static final Instant START = Instant.parse("2026-03-10T10:20:00Z");
    private static final Reader READER = new Reader(
            new Me("Ines Calloway", Set.of("ines@merrowquay.example", "office@merrowquay.example", "@ines"), List.of()),
            false,
            WorkingTime.officeHours(ZoneId.of("Europe/London")));

    private String channel = "mail";
    private final List<TurnEvent> events = new ArrayList<>();
    private final List<String> expected = new ArrayList<>();
    private String name = "";

    static List<Story> all() {
        List<Story> all = new ArrayList<>(in(WordList.lines(Stories.class, "stories.txt")));
        all.addAll(in(WordList.lines(Stories.class, "meetings.txt")));
        all.addAll(in(WordList.lines(Stories.class, "voices.txt")));
        return all;
    }

    /** The stories that some lines tell. */
    public static List<Story> in(List<String> lines) {
        Stories teller = new Stories();
        List<Story> stories = new ArrayList<>();
        for (String line : lines) {
            if (line.startsWith("==")) {
                teller.end(stories);
                String[] head = line.substring(2).split("\\|");
                teller.name = head[0].strip();
                teller.channel = head[1].strip();
            } else if (line.startsWith("=")) {
                teller.expected.add(sorted(line.substring(1)));
            } else {
                teller.message(line);
            }
        }
        teller.end(stories);
        return stories;
    }

    /** "owe, Will" for a state, in a fixed order. */
    static String told(TurnState state) {
        List<String> said = new ArrayList<>();
        if (state.iOwe()) {
            said.add("owe");
        }
        state.awaited().forEach(one -> said.add(nameOf(one.party())));
        return sorted(String.join(",", said));
    }

    /** Who was mentioned and has not written yet has no name. */
    private static String nameOf(Party party) {
        String name = party.name();
        return name.isEmpty()
                ? party.address().substring(1, 2).toUpperCase(Locale.ROOT)
                        + party.address().substring(2)
                : name;
    }

    /** The state after each message of a story, as {@link #told} says it. */
    static List<String> turnsOf(Story story) {
        TurnFold fold = TurnFold.over(story.events());
        List<String> turns = new ArrayList<>();
        for (int i = 0; i < story.events().size(); i++) {
            turns.add(told(fold.after(i)));
        }
        return turns;
    }

    private static String sorted(String words) {
        Set<String> parts = new TreeSet<>();
        for (String part : words.split(",")) {
            if (!part.isBlank()) {
                parts.add(part.strip());
            }
        }
        return String.join(", ", parts);
    }

    private void end(List<Story> stories) {
        if (!events.isEmpty()) {
            stories.add(new Story(name, List.copyOf(events), List.copyOf(expected)));
        }
        events.clear();
        expected.clear();
    }

    private void message(String told) {
        Instant sentAt = START.plusSeconds(600L * events.size());
        String line = told;
        if (told.startsWith("@")) {
            int end = told.indexOf(' ');
            sentAt = Instant.parse(told.substring(1, end) + ":00Z");
            line = told.substring(end + 1);
        }
        Matcher parts = LINE.matcher(line);
        if (!parts.matches()) {
            throw new IllegalStateException("No story line: " + line);
        }
        Party from = party(parts.group(1).strip());
        boolean room = channel.equals("room");
        List<Party> to = room ? List.of() : parties(parts.group(2));
        List<Party> cc = parties(parts.group(3) == null ? "" : parts.group(3));
        Set<String> marks = new LinkedHashSet<>();
        Optional<UUID> answers = Optional.empty();
        boolean answersMe = false;
        Matcher mark = MARK.matcher(parts.group(4));
        while (mark.find()) {
            marks.add(mark.group(1));
            if (mark.group(1).startsWith("re ")) {
                TurnEvent answered = events.get(Integer.parseInt(mark.group(1).substring(3)) - 1);
                answers = Optional.of(answered.messageId());
                answersMe = answered.direction() == Direction.OUTGOING;
            }
        }
        String text = parts.group(5).replace("\\n", "\n");
        Optional<String> bounced =
                marks.stream().filter(m -> m.startsWith("bounce ")).findFirst();
        String body = text
                + bounced.map(m -> "\nFinal-Recipient: rfc822; "
                                + party(m.substring(7)).address())
                        .orElse("");
        Direction direction = from.name().equals("me") || from.address().startsWith("office@")
                ? Direction.OUTGOING
                : Direction.INCOMING;
        MessageToRead message = MessageToReadBuilder.builder()
                .channel(channel.equals("mail") ? Channel.MAIL : Channel.CHAT)
                .from(from.name().equals("me") ? new Party("Ines Calloway", from.address()) : from)
                .to(to)
                .cc(cc)
                .sentAt(sentAt)
                .subject(channel.equals("mail") ? "Harbour" : "")
                .headers(headers(marks))
                .text(body)
                .calendarMethod(calendar(marks))
                .inRoom(room)
                .mentions(mentions(text))
                .answersMe(answersMe)
                .known(known())
                .build();
        events.add(new TurnEvent(
                new UUID(7, events.size()),
                sentAt,
                message.channel(),
                direction,
                from,
                to,
                cc,
                answers,
                marks.contains("reaction") || marks.contains("unreaction"),
                marks.contains("unreaction") ? Optional.of(sentAt.plusSeconds(60)) : Optional.empty(),
                marks.contains("list"),
                marks.contains("chase"),
                Facts.of(READER.read(message), direction)));
    }

    /** Those who have written, and in a chat two who are always there. */
    private List<Party> known() {
        List<Party> known = new ArrayList<>(channel.equals("mail") ? List.of() : List.of(party("Tom"), party("Nora")));
        events.forEach(event -> known.add(event.from()));
        return known.stream().distinct().toList();
    }

    private static Headers headers(Set<String> marks) {
        if (marks.contains("auto")) {
            return Headers.of(Map.of("Auto-Submitted", "auto-replied"));
        }
        if (marks.contains("bulk")) {
            return Headers.of(Map.of("List-Unsubscribe", "<mailto:off@shop.example>"));
        }
        if (marks.stream().anyMatch(mark -> mark.startsWith("bounce"))) {
            return Headers.of(
                    Map.of("Return-Path", "<>", "Content-Type", "multipart/report; report-type=delivery-status"));
        }
        return marks.contains("list")
                ? Headers.of(Map.of(
                        "List-Id",
                        "<quays.lists.harbours.example>",
                        "List-Post",
                        "<mailto:quays@lists.harbours.example>"))
                : Headers.none();
    }

    private static Optional<String> calendar(Set<String> marks) {
        return marks.stream()
                .filter(mark -> mark.equals("request")
                        || mark.equals("cancel")
                        || mark.equals("counter")
                        || mark.equals("reply"))
                .map(mark -> mark.toUpperCase(Locale.ROOT))
                .findFirst();
    }

    private static Set<String> mentions(String text) {
        Set<String> mentions = new LinkedHashSet<>();
        Matcher mention = Pattern.compile("@[a-z]+").matcher(text);
        while (mention.find()) {
            mentions.add(mention.group());
        }
        return mentions;
    }

    private List<Party> parties(String names) {
        List<Party> parties = new ArrayList<>();
        for (String one : names.split(",")) {
            if (!one.isBlank()) {
                parties.add(party(one.strip()));
            }
        }
        return parties;
    }

    private Party party(String who) {
        if (!channel.equals("mail") && !who.equals("me")) {
            return new Party(who, "@" + who.toLowerCase(Locale.ROOT));
        }
        return switch (who) {
            case "me" -> new Party("me", channel.equals("mail") ? "ines@merrowquay.example" : "@ines");
            case "list" -> new Party("list", "quays@lists.harbours.example");
            case "helpdesk" -> new Party("helpdesk", "helpdesk@printers.example");
            case "Nils at helpdesk" -> new Party("Nils", "nils@printers.example");
            case "Pia at helpdesk" -> new Party("Pia", "pia@printers.example");
            case "bookings" -> new Party("bookings", "bookings@halls.example");
            case "Oona at bookings" -> new Party("Oona", "oona@halls.example");
            case "Piet at bookings" -> new Party("Piet", "piet@halls.example");
            case "office" -> new Party("Harbour office", "office@merrowquay.example");
            case "daemon" -> new Party("", "mailer-daemon@merrowquay.example");
            default -> new Party(who, who.toLowerCase(Locale.ROOT).replace(" ", ".") + "@harker.example");
        };
    }
}
