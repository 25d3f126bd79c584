package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.squallnote.core.access.AccessToken;
import org.squallnote.core.access.Scope;
import org.squallnote.core.access.Scopes;
import org.squallnote.core.account.Account;
import org.squallnote.core.message.Sha256;
import org.squallnote.store.access.AccessTokenStore;
import org.squallnote.store.account.AccountStore;

/** A script as it comes: the examples of docs/scripts.md as they stand there, and the stream of what happens. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ScriptsByHttpTest {

    private static final Path DOCUMENT = Path.of("../docs/scripts.md");
    private static final Pattern EXAMPLE = Pattern.compile("^```sh\\n(.*?)^```", Pattern.DOTALL | Pattern.MULTILINE);
    private static final String TOKEN = AccessToken.MARK + "of-the-examples";

    @TempDir
    static Path data;

    private final HttpClient client = HttpClient.newHttpClient();
    private ConfigurableApplicationContext application;
    private String address;

    @BeforeAll
    void start() {
        String[] args = {"--data=" + data, "--server.port=0", "--logging.level.root=error"};
        application = Squallnote.application(args).run(args);
        address = "http://127.0.0.1:"
                + ((WebServerApplicationContext) application).getWebServer().getPort();
        somebodyWithAToken(application);
    }

    @AfterAll
    void stop() {
        application.close();
    }

    @Test
    void eachExampleWorks(@TempDir Path here) throws IOException, InterruptedException {
        List<String> examples = new ArrayList<>();
        EXAMPLE.matcher(Files.readString(DOCUMENT)).results().forEach(found -> examples.add(found.group(1)));
        assertThat(examples).hasSizeGreaterThan(9);
        for (String example : examples) {
            run(example, address, here);
        }
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(60))
                .header("Authorization", "Bearer " + TOKEN);
    }

    private void capture(String title) throws IOException, InterruptedException {
        HttpRequest request = request("/api/follow-ups")
                .header("Content-Type", "application/json")
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .POST(HttpRequest.BodyPublishers.ofString(
                        "{\"followUps\":[" + ServerTest.captured(UUID.randomUUID(), title, "") + "]}"))
                .build();
        assertThat(client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode())
                .isEqualTo(201);
    }

    /** Opens the stream, lets something be done once it is open, and reads until something is told. */
    private List<String> told(HttpRequest.Builder request, String meanwhile, String until)
            throws IOException, InterruptedException {
        HttpResponse<Stream<String>> response = client.send(request.build(), HttpResponse.BodyHandlers.ofLines());
        List<String> lines = new ArrayList<>();
        try (Stream<String> body = response.body()) {
            Iterator<String> each = body.iterator();
            lines.add(each.next());
            if (!meanwhile.isEmpty()) {
                capture(meanwhile);
            }
            while (!lines.get(lines.size() - 1).contains(until)) {
                lines.add(each.next());
            }
        }
        return lines;
    }

    private static String lastId(List<String> lines) {
        return lines.stream()
                .filter(line -> line.startsWith("id:"))
                .reduce((one, other) -> other)
                .orElseThrow()
                .substring(3);
    }

    @Test
    void theStreamTellsAtOnceAndIsTakenUpWhereItStopped() throws IOException, InterruptedException {
        List<String> first = told(request("/api/events/stream"), "Ring Bo", "Follow-up: Ring Bo");
        assertThat(first).contains("event:capture");
        assertThat(String.join("\n", first)).as("it began now").doesNotContain("Oil the");

        capture("While nobody reads");
        List<String> second = told(
                request("/api/events/stream").header("Last-Event-ID", lastId(first)), "And now", "Follow-up: And now");
        assertThat(String.join("\n", second))
                .containsSubsequence("While nobody reads", "And now")
                .doesNotContain("Ring Bo");
    }

    private static void somebodyWithAToken(ConfigurableApplicationContext application) {
        UUID owner = UUID.randomUUID();
        Instant now = Instant.now();
        application
                .getBean(AccountStore.class)
                .insert(new Account(owner, "ines", "Ines Calloway", "none", "Europe/London", true, now));
        application
                .getBean(AccessTokenStore.class)
                .insert(new AccessToken(
                        UUID.randomUUID(),
                        owner,
                        "Examples",
                        Sha256.of(TOKEN.getBytes(StandardCharsets.UTF_8)),
                        new Scopes(EnumSet.allOf(Scope.class)),
                        now,
                        now.plus(Duration.ofDays(1)),
                        null));
    }

    private static void run(String example, String address, Path here) throws IOException, InterruptedException {
        ProcessBuilder shell = new ProcessBuilder("bash", "-eu", "-c", example)
                .directory(here.toFile())
                .redirectErrorStream(true)
                .redirectOutput(here.resolve("said").toFile());
        shell.environment().put("SQUALLNOTE", address);
        shell.environment().put("TOKEN", TOKEN);
        Process running = shell.start();
        boolean ended = running.waitFor(60, TimeUnit.SECONDS);
        running.destroyForcibly();
        assertThat(ended && running.exitValue() == 0)
                .as(() -> example + "\nsaid: " + said(here))
                .isTrue();
    }

    private static String said(Path here) {
        try {
            return Files.readString(here.resolve("said"));
        } catch (IOException e) {
            return e.toString();
        }
    }
}
