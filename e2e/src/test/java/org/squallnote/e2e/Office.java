package org.squallnote.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import java.util.function.Consumer;
import org.squallnote.standins.mail.MailStandIn;
import org.squallnote.standins.scenario.AppSetUp;
import org.squallnote.standins.scenario.MerrowQuay;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The application with both servers connected and a browser that is signed out. */
record Office(Quay quay, Application application, AppSetUp setUp, Browser browser) implements AutoCloseable {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** @param before puts more mail into the server before the application reads it */
    static Office open(Path data, Instant start, Consumer<MailStandIn> before, String... options)
            throws IOException, InterruptedException {
        Clock clock = Days.clockFrom(start);
        Quay quay = Quay.open(clock);
        before.accept(quay.mail());
        Application application = new Application(data, clock, options).start();
        AppSetUp setUp = new AppSetUp(application.address());
        assertThat(setUp.awaitApplication()).isTrue();
        setUp.makeAccount(Days.ZONE.getId());
        setUp.connect(
                quay.mail().imapPort(), quay.mail().smtpPort(), quay.chat().address());
        assertThat(setUp.awaitSources()).isTrue();
        return new Office(quay, application, setUp, new Browser(application.address()));
    }

    void signIn() {
        browser.signIn(AppSetUp.SIGN_IN, MerrowQuay.PASSWORD);
    }

    /** Lets somebody write to Ines and waits until it is in Intake; answers the message. */
    Written written(String key, String subject, String text) {
        String mailId = quay.life().write(key, subject, text);
        JsonNode line = browser.until(() -> intakeLine(text), "\"" + text + "\" in Intake");
        return new Written(mailId, line.path("id").asString(""));
    }

    /**
     * A mail that has come.
     *
     * @param mailId its Message-ID
     * @param id the application's
     */
    record Written(String mailId, String id) {}

    private JsonNode intakeLine(String text) {
        for (JsonNode line : setUp.call("GET", "/api/intake", null).path("lines")) {
            if (text.contains(line.path("about").asString("?"))) {
                return line;
            }
        }
        return null;
    }

    /** Follows a message up, for an answer; answers the follow-up's id. */
    String followUp(String messageId, String title) {
        String id = UUID.randomUUID().toString();
        setUp.call(
                "POST",
                "/api/messages/" + messageId + "/follow-ups/" + id,
                JSON.createObjectNode().put("title", title).put("firm", false).put("forReply", true));
        return id;
    }

    /** Answers a message, and waits until that has gone out. */
    void answer(String messageId, String text) {
        setUp.call(
                "POST",
                "/api/messages/" + messageId + "/answer",
                JSON.createObjectNode().put("text", text).put("toAll", false));
        browser.until(
                () -> setUp.call("GET", "/api/outbox", null).isEmpty() ? Boolean.TRUE : null, "the answer to go out");
    }

    /** The thread of a message. */
    String threadOf(String messageId) {
        return setUp.call("GET", "/api/messages/" + messageId, null)
                .path("threadId")
                .asString("");
    }

    static ObjectNode object() {
        return JSON.createObjectNode();
    }

    @Override
    public void close() {
        browser.close();
        application.close();
        quay.close();
    }
}
