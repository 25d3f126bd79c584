package org.squallnote.formats.lines;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.TurnEvent;
import org.squallnote.core.turn.TurnFold;
import org.squallnote.core.turn.TurnState;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was found in a line, written as one line of JSON. */
public final class Predictions {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final DateTimeFormatter MINUTES = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm", Locale.ROOT);

    private Predictions() {}

    /** The prediction for a line. */
    public static String of(JsonLines.Line line) {
        ObjectNode out = JSON.createObjectNode();
        out.put("id", line.id());
        if (line.conversation()) {
            steps(line, out.putArray("steps"));
        } else {
            reading(line.reader().read(line.messages().get(0).message()), out);
        }
        return out.toString();
    }

    private static void reading(Reading reading, ObjectNode out) {
        out.put("nature", reading.nature().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        out.put("asksMe", reading.asksMe());
        if (reading.replyBy().isPresent()) {
            Deadline deadline = reading.replyBy().get();
            out.put("replyBy", written(deadline));
            out.put("firm", deadline.firm());
        } else {
            out.putNull("replyBy");
            out.putNull("firm");
        }
        out.put("acknowledgement", reading.acknowledgement());
        out.put("holdingReply", reading.holding());
        out.put("withdrawal", reading.withdrawal().isPresent());
        out.put("questionBack", reading.questionBack());
        out.put("promise", !reading.promises().isEmpty());
        out.put("weight", reading.weight().name().toLowerCase(Locale.ROOT));
    }

    /** A date as {@code 2026-08-28}, with a time as {@code 2026-08-28T15:00}. */
    public static String written(Deadline deadline) {
        return deadline.time()
                .map(time -> MINUTES.format(LocalDateTime.of(deadline.day(), time)))
                .orElseGet(() -> deadline.day().toString());
    }

    private static void steps(JsonLines.Line line, ArrayNode steps) {
        TurnFold fold = new TurnFold();
        for (JsonLines.Entry entry : line.messages()) {
            TurnEvent event = entry.event(line.reader());
            fold.add(event);
            TurnState state = fold.state();
            ObjectNode step = steps.addObject();
            step.put("iOwe", state.iOwe());
            List<String> awaiting = state.awaited().stream()
                    .map(Awaited::party)
                    .map(party -> party.address())
                    .distinct()
                    .toList();
            ArrayNode addresses = step.putArray("awaiting");
            awaiting.forEach(addresses::add);
        }
    }
}
