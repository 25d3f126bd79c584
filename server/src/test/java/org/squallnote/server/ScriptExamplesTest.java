package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
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

/** Runs the examples of docs/scripts.md as they stand there, against the application. */
class ScriptExamplesTest {

    private static final Path DOCUMENT = Path.of("../docs/scripts.md");
    private static final Pattern EXAMPLE = Pattern.compile("^```sh\\n(.*?)^```", Pattern.DOTALL | Pattern.MULTILINE);
    private static final String TOKEN = AccessToken.MARK + "of-the-examples";

    @Test
    void eachExampleWorks(@TempDir Path data, @TempDir Path here) throws IOException, InterruptedException {
        List<String> examples = new ArrayList<>();
        EXAMPLE.matcher(Files.readString(DOCUMENT)).results().forEach(found -> examples.add(found.group(1)));
        assertThat(examples).hasSizeGreaterThan(9);
        String[] args = {"--data=" + data, "--server.port=0", "--logging.level.root=error"};
        try (ConfigurableApplicationContext application =
                Squallnote.application(args).run(args)) {
            somebodyWithAToken(application);
            String address = "http://127.0.0.1:"
                    + ((WebServerApplicationContext) application).getWebServer().getPort();
            for (String example : examples) {
                run(example, address, here);
            }
        }
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
