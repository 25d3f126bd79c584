package org.squallnote.standins.scenario;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sets the application up as a first visitor would, through its public API: the owner's account, two mailboxes and a
 * chat account, categories, and some days of decisions, so that every view has something to show.
 */
public final class AppSetUp {

    /** Whom the demo signs in as. */
    public static final String SIGN_IN = "ines";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration PATIENCE = Duration.ofSeconds(90);

    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .connectTimeout(Duration.ofSeconds(2))
            .build();
    private final String app;
    private String csrf = "";

    /** For the application at an address. */
    public AppSetUp(String app) {
        this.app = app;
    }

    /** Waits until the application answers; false when it does not in time. */
    public boolean awaitApplication() throws InterruptedException {
        long until = System.nanoTime() + PATIENCE.toNanos();
        while (System.nanoTime() < until) {
            try {
                if (call("GET", "/api/session", null).has("state")) {
                    return true;
                }
            } catch (IllegalStateException e) {
                Thread.sleep(100);
            }
        }
        return false;
    }

    /** Makes the account, and is signed in with it. */
    public void makeAccount(String zone) {
        call(
                "POST",
                "/api/accounts",
                object().put("signIn", SIGN_IN)
                        .put("name", "Ines Calloway")
                        .put("password", MerrowQuay.PASSWORD)
                        .put("zone", zone));
        call("GET", "/api/session", null);
        explain(false);
    }

    /** Whether the views explain themselves. */
    public void explain(boolean wanted) {
        call("PUT", "/api/guide", object().put("over", !wanted));
    }

    /** Connects the sources and makes the categories. */
    public void connect(int imapPort, int smtpPort, String homeserver) {
        keepHolidays();
        addMail("Ines", MerrowQuay.OWN, "Ines Calloway", imapPort, smtpPort);
        addMail("Office", MerrowQuay.OFFICE, "Merrow Quay office", imapPort, smtpPort);
        call(
                "POST",
                "/api/sources/chat/" + UUID.randomUUID(),
                object().put("name", "Harbour chat")
                        .put("homeserver", homeserver)
                        .put("user", "ines")
                        .put("password", MerrowQuay.PASSWORD)
                        .put("accessToken", "")
                        .put("daysBack", 90)
                        .put("archiveRule", "AT_ONCE"));
        String[][] categories = {
            {"Berths", "TIDE", "1"},
            {"Crane", "CLAY", "2"},
            {"Slipway", "LAGOON", "3"},
            {"Regatta", "HEATHER", "4"},
            {"Insurance", "SLATE", "5"},
            {"Invoices", "SAND", "6"},
            {"Repairs", "RUSTLEAF", "7"},
            {"Council", "MOSS", "8"},
        };
        for (String[] category : categories) {
            call(
                    "POST",
                    "/api/categories/" + UUID.randomUUID(),
                    object().put("name", category[0]).put("hue", category[1]).put("letter", category[2]));
        }
    }

    /** Connects Ines's calendars on a calendar server. */
    public void connectCalendars(String address) {
        call(
                "POST",
                "/api/sources/calendar/" + UUID.randomUUID(),
                object().put("name", "Calendars")
                        .put("address", address)
                        .put("user", MerrowQuay.CALENDAR_USER)
                        .put("password", MerrowQuay.PASSWORD));
    }

    /** Connects the mailbox of Ines alone. */
    public void connectMail(int imapPort, int smtpPort) {
        keepHolidays();
        addMail("Ines", MerrowQuay.OWN, "Ines Calloway", imapPort, smtpPort);
    }

    /** Makes the account of a colleague, and lets all accounts reach servers of this machine. */
    public void addColleague(String signIn, String name, String zone) {
        ObjectNode installation =
                (ObjectNode) call("GET", "/api/installation", null).deepCopy();
        call("PUT", "/api/installation", installation.put("localNetworkForAll", true));
        call(
                "POST",
                "/api/accounts",
                object().put("signIn", signIn)
                        .put("name", name)
                        .put("password", MerrowQuay.PASSWORD)
                        .put("zone", zone));
    }

    /** Connects one mailbox of somebody. */
    public void connectMail(String address, String fromName, int imapPort, int smtpPort) {
        addMail(fromName, address, fromName, imapPort, smtpPort);
    }

    private void keepHolidays() {
        ObjectNode form = (ObjectNode)
                call("GET", "/api/settings/working-time", null).path("form").deepCopy();
        call("PUT", "/api/settings/working-time", form.put("region", QuayCalendar.REGION));
    }

    private void addMail(String name, String address, String fromName, int imapPort, int smtpPort) {
        ObjectNode form = object().put("name", name)
                .put("address", address)
                .put("fromName", fromName)
                .put("user", address)
                .put("password", MerrowQuay.PASSWORD)
                .put("inbox", "INBOX")
                .put("sent", "Sent")
                .put("archive", "Archive")
                .put("daysBack", 90)
                .put("archiveRule", "WHEN_ENDED");
        form.putObject("imap").put("host", "127.0.0.1").put("port", imapPort).put("encryption", "NONE");
        form.putObject("smtp").put("host", "127.0.0.1").put("port", smtpPort).put("encryption", "NONE");
        call("POST", "/api/sources/mail/" + UUID.randomUUID(), form);
    }

    /** Waits until everything that was there has been read; false when it is not in time. */
    public boolean awaitSources() throws InterruptedException {
        long until = System.nanoTime() + PATIENCE.toNanos();
        while (System.nanoTime() < until) {
            boolean live = true;
            for (JsonNode source : call("GET", "/api/sources", null)) {
                live &= source.path("status").asString("").equals("LIVE");
            }
            if (live) {
                return true;
            }
            Thread.sleep(100);
        }
        return false;
    }

    /** Decides a part of what came in, as Ines did over the last days. */
    public void decideSome(QuayCalendar calendar) {
        JsonNode categories = call("GET", "/api/categories", null);
        JsonNode intake = call("GET", "/api/intake", null).path("lines");
        followUp(
                intake,
                categories,
                "Percival Drake",
                "harbour rules",
                "Put the chain before the harbour meeting",
                calendar.day(5),
                true,
                "Berths",
                30);
        followUp(
                intake,
                categories,
                "Anselm Roche",
                "surveyor's report",
                "Send Anselm the surveyor's report for the Marigold",
                calendar.day(-1),
                true,
                "Insurance",
                20);
        followUp(
                intake,
                categories,
                "Noor Haddad",
                "third one",
                "Send Noor the café's electricity invoice",
                calendar.day(2),
                true,
                "Invoices",
                10);
        followUp(
                intake,
                categories,
                "Stellan Voss",
                "sponsor",
                "Propose a sponsorship to Stellan",
                calendar.day(3),
                false,
                "Regatta",
                25);
        followUp(
                intake,
                categories,
                "Harriet Pole",
                "insurance confirmation",
                "Send Harriet the insurance confirmation for the regatta",
                calendar.day(-2),
                false,
                "Council",
                15);
        followUp(
                intake,
                categories,
                "Felix Amadi",
                "Storm damage",
                "Ask Felix for an offer for the breakwater",
                null,
                false,
                "Repairs",
                10);
        followUp(
                intake,
                categories,
                "Gus Ferrant",
                "toner",
                "Put toner into the printer",
                calendar.day(0),
                false,
                "",
                5);
        find(intake, "Wilma Prosser", "").ifPresent(line -> act(line, "nothing"));
        find(intake, "Harbour Pilot Weekly", "").ifPresent(line -> act(line, "nothing"));
        JsonNode open = call("GET", "/api/follow-ups", null).path("open");
        for (JsonNode followUp : open) {
            if (followUp.path("title").asString("").contains("toner")) {
                call(
                        "POST",
                        "/api/follow-ups/" + followUp.path("id").asString("") + "/state?state=DONE&version="
                                + followUp.path("version").asInt(0),
                        object());
            }
        }
        closeThreads();
    }

    private void closeThreads() {
        for (JsonNode thread : call("GET", "/api/threads?turn=WITH_ME", null).path("lines")) {
            String subject = thread.path("subject").asString("");
            String reason = subject.startsWith("Thank you")
                            || subject.startsWith("Wedding")
                            || subject.startsWith("Crane inspection")
                    ? "NOT_NEEDED"
                    : subject.startsWith("Surveyor") || subject.startsWith("Mast") ? "ANSWERED" : "";
            if (!reason.isEmpty()) {
                ObjectNode body =
                        object().put("choice", "CLOSE").put("reason", reason).put("endFollowUps", false);
                body.putArray("threadIds").add(thread.path("id").asString(""));
                call("POST", "/api/threads/decisions", body);
            }
        }
    }

    /** Hands over to a colleague what is theirs to know. */
    public void handOverSome(QuayCalendar calendar, String name, String address) {
        JsonNode intake = call("GET", "/api/intake", null).path("lines");
        find(intake, "Lena Okafor", "key")
                .ifPresent(line -> call(
                        "POST",
                        "/api/messages/" + line.path("id").asString("") + "/hand-over",
                        object().put("name", name)
                                .put("address", address)
                                .put("text", "Hello Gus,\n\ncould you tell Lena who has the key?\n\nThank you\nInes")
                                .put("wantedDay", calendar.day(2).toString())));
    }

    private void followUp(
            JsonNode intake,
            JsonNode categories,
            String from,
            String about,
            String title,
            @Nullable LocalDate replyBy,
            boolean firm,
            String category,
            int effort) {
        Optional<JsonNode> line = find(intake, from, about);
        if (line.isEmpty()) {
            return;
        }
        ObjectNode body = object().put("title", title).put("firm", firm).put("effortMinutes", effort);
        if (replyBy != null) {
            body.put("replyDay", replyBy.toString());
        }
        for (JsonNode candidate : categories) {
            if (candidate.path("name").asString("").equals(category)) {
                body.put("categoryId", candidate.path("id").asString(""));
            }
        }
        call("POST", "/api/messages/" + line.get().path("id").asString("") + "/follow-ups/" + UUID.randomUUID(), body);
    }

    private static Optional<JsonNode> find(JsonNode intake, String from, String about) {
        for (JsonNode line : intake) {
            if (line.path("from").asString("").equals(from)
                    && line.path("about").asString("").contains(about)) {
                return Optional.of(line);
            }
        }
        for (JsonNode line : intake) {
            if (line.path("from").asString("").equals(from)) {
                return Optional.of(line);
            }
        }
        return Optional.empty();
    }

    private void act(JsonNode line, String decision) {
        call("POST", "/api/messages/" + line.path("id").asString("") + "/" + decision, object());
    }

    private static ObjectNode object() {
        return JSON.createObjectNode();
    }

    /** Signs in to an application that has been set up before. */
    public void signIn() {
        signIn(SIGN_IN);
    }

    /** The same for another account with the password of the scenario. */
    public void signIn(String name) {
        call("GET", "/api/session", null);
        call("POST", "/api/session", object().put("signIn", name).put("password", MerrowQuay.PASSWORD));
        call("GET", "/api/session", null);
    }

    /**
     * A request as the page makes it.
     *
     * @throws IllegalStateException when it is not answered, or not with success
     */
    public JsonNode call(String method, String path, @Nullable JsonNode body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(app + path))
                .timeout(Duration.ofSeconds(40))
                .header("Content-Type", "application/json")
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .header("X-XSRF-TOKEN", csrf);
        request.method(
                method,
                body == null
                        ? HttpRequest.BodyPublishers.noBody()
                        : HttpRequest.BodyPublishers.ofString(body.toString()));
        try {
            HttpResponse<String> response = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            client.cookieHandler()
                    .flatMap(handler -> ((CookieManager) handler)
                            .getCookieStore().getCookies().stream()
                                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                                    .findFirst())
                    .ifPresent(cookie -> csrf = cookie.getValue());
            if (response.statusCode() / 100 != 2) {
                throw new IllegalStateException(
                        method + " " + path + ": " + response.statusCode() + " " + response.body());
            }
            return response.body().isBlank() ? object() : JSON.readTree(response.body());
        } catch (IOException e) {
            throw new IllegalStateException("The application does not answer: " + e.getMessage(), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("Interrupted", e);
        }
    }
}
