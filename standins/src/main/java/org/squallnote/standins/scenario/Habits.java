package org.squallnote.standins.scenario;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What Ines has made for herself over time: phrases, recipes, and follow-ups that came from no message. */
public final class Habits {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final AppSetUp app;

    /** For an application that has been connected. */
    public Habits(AppSetUp app) {
        this.app = app;
    }

    /** Makes all of it. */
    public void make(QuayCalendar calendar) {
        UUID received = phrase(
                "Received", "Dear {name},\n\nthank you, I have it. You will hear from me by {date}.\n\nBest\n{me}");
        phrase(
                "Berth fees",
                "Dear {name},\n\na visitor's berth is 28 a night up to ten metres, water and power included.\n\nBest\n{me}");
        phrase("Ask for papers", "Dear {name},\n\ncould you send me {papers} by {date}, please?\n\nBest\n{me}");
        recipe(
                "Slipway booking",
                "s",
                false,
                Map.of(),
                step(
                        "FOLLOW_UP",
                        Map.of(
                                "title",
                                "Enter the slipway booking of {name}",
                                "workingDays",
                                1,
                                "effortMinutes",
                                5,
                                "categoryId",
                                category("Slipway"))),
                step("ANSWER", Map.of("phraseId", received.toString())));
        recipe(
                "Invoice to pay",
                "i",
                false,
                Map.of(),
                step(
                        "FOLLOW_UP",
                        Map.of(
                                "title",
                                "Pay {name}: {subject}",
                                "workingDays",
                                5,
                                "effortMinutes",
                                10,
                                "categoryId",
                                category("Invoices"))),
                step("ARCHIVE", Map.of()));
        recipe(
                "Pilot Weekly",
                "w",
                true,
                Map.of("sender", "Harbour Pilot Weekly"),
                step("NOTHING", Map.of()),
                step("MARK_READ", Map.of()));
        capture(
                "Order varnish for the dinghies",
                calendar.day(6),
                "Repairs",
                "workshop",
                calendar.day(3),
                "two tins of gloss",
                "brushes");
        capture(
                "Walk the pontoons with Gus",
                calendar.day(1),
                "Berths",
                "pontoons",
                null,
                "cleats on A",
                "lights on B",
                "ladder on C");
        work("Enter the three slipway bookings", calendar.day(0), false, "Berths", 25);
        work("Get the figures ready for the harbour meeting", calendar.day(0), true, "Council", 60);
        work("Put the winter mooring list in order", calendar.day(4), false, "Berths", 120);
        work("Get the VAT papers together for the audit", calendar.day(4), true, "Invoices", 180);
        work("Write the first draft of the regatta booklet", calendar.day(5), false, "Regatta", 240);
        work("Write up the minutes of the harbour meeting", calendar.day(5), false, "Council", 90);
        work("Look through the certificates that run out", calendar.day(7), false, "Insurance", 60);
        work("Order new cleats for berth 9", null, false, "Repairs", 25);
        work("Thank the stewards", null, false, "Regatta", 20);
    }

    /** What she has written down of her work at matters that are still open. */
    public void spend(QuayCalendar calendar) {
        JsonNode open = app.call("GET", "/api/follow-ups", null).path("open");
        spent(open, "surveyor's report", calendar.day(-1), "09:30", 40);
        spent(open, "surveyor's report", calendar.day(-2), "15:10", 25);
        spent(open, "sponsorship", calendar.day(-1), "13:00", 50);
        spent(open, "chain", calendar.day(-2), "10:15", 20);
        spent(open, "insurance confirmation", calendar.day(-3), "11:00", 35);
    }

    private void spent(JsonNode open, String about, LocalDate day, String from, int minutes) {
        for (JsonNode followUp : open) {
            if (followUp.path("title").asString("").contains(about)) {
                app.call(
                        "POST",
                        "/api/follow-ups/" + followUp.path("id").asString("") + "/work",
                        JSON.createObjectNode()
                                .put("minutes", minutes)
                                .put("day", day.toString())
                                .put("from", from));
            }
        }
    }

    private UUID phrase(String name, String text) {
        UUID id = UUID.randomUUID();
        app.call(
                "PUT",
                "/api/phrases/" + id,
                JSON.createObjectNode().put("name", name).put("text", text));
        return id;
    }

    private String category(String name) {
        for (JsonNode category : app.call("GET", "/api/categories", null)) {
            if (category.path("name").asString("").equals(name)) {
                return category.path("id").asString("");
            }
        }
        throw new IllegalStateException("No category " + name);
    }

    private static ObjectNode step(String kind, Map<String, Object> more) {
        ObjectNode step = JSON.createObjectNode().put("kind", kind);
        for (String text : new String[] {"title", "place", "folder", "address", "note"}) {
            step.put(text, "");
        }
        more.forEach((name, value) -> step.set(name, JSON.valueToTree(value)));
        return step;
    }

    private void recipe(
            String name, String letter, boolean automatic, Map<String, String> conditions, ObjectNode... steps) {
        ObjectNode form = JSON.createObjectNode()
                .put("name", name)
                .put("letter", letter)
                .put("place", 1)
                .put("automatic", automatic);
        ObjectNode when = form.putObject("conditions");
        for (String text : new String[] {"sender", "domain", "list", "room"}) {
            when.put(text, conditions.getOrDefault(text, ""));
        }
        when.putArray("words");
        for (ObjectNode step : steps) {
            form.withArray("steps").add(step);
        }
        app.call("PUT", "/api/recipes/" + UUID.randomUUID() + "?version=0", form);
    }

    /** Something that comes from no message. */
    private void work(String title, @Nullable LocalDate by, boolean firm, String category, int minutes) {
        ObjectNode content = JSON.createObjectNode()
                .put("title", title)
                .put("firm", firm)
                .put("effortMinutes", minutes)
                .put("categoryId", category(category));
        if (by != null) {
            content.put("replyDay", by.toString());
        }
        make(content);
    }

    private void make(ObjectNode content) {
        ObjectNode body = JSON.createObjectNode();
        body.putArray("followUps")
                .addObject()
                .put("id", UUID.randomUUID().toString())
                .put("sentence", "")
                .set("content", content);
        app.call("POST", "/api/follow-ups", body);
    }

    private void capture(
            String title, LocalDate by, String category, String place, @Nullable LocalDate start, String... steps) {
        ObjectNode content = JSON.createObjectNode()
                .put("title", title)
                .put("firm", false)
                .put("replyDay", by.toString())
                .put("effortMinutes", 20)
                .put("categoryId", category(category));
        ObjectNode details = content.putObject("details").put("place", place).put("note", "");
        if (start != null) {
            details.put("startDay", start.toString());
        }
        details.putArray("people");
        for (String step : steps) {
            details.withArray("checklist").addObject().put("text", step).put("done", false);
        }
        make(content);
    }
}
