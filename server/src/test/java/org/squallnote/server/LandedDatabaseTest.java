package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.squallnote.core.source.Source;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.LocalToken;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.store.source.SourceStore;

/** Starts the application on the database that the first landed version left, and finds everything in it. */
class LandedDatabaseTest {

    /** Three mails, dated eleven years ahead, had been stored again when they were moved to the archive and back. */
    private static final int DOUBLED = 3;

    private static final int MESSAGES = 101;

    @Test
    void everythingIsThereAndWhatWasStoredTwiceIsOneAgain(@TempDir Path data) throws IOException {
        unpack(data);
        try (ConfigurableApplicationContext application = start(data)) {
            JdbcTemplate jdbc = application.getBean(JdbcTemplate.class);
            assertThat(count(jdbc, "message")).isEqualTo(MESSAGES - DOUBLED);
            assertThat(jdbc.queryForList(
                            "select subject from message where subject like 'Dated ahead%' order by subject",
                            String.class))
                    .containsExactly("Dated ahead 0", "Dated ahead 1", "Dated ahead 2");
            assertThat(jdbc.queryForList(
                            "select identity from message where channel = 'MAIL' and message_id <> ''", String.class))
                    .allMatch(identity -> identity.matches("m:\\S+ [0-9a-f]{32}"));
            assertThat(count(
                            jdbc,
                            "message_place p where not exists (select 1 from message m where m.id = p.message_id)"))
                    .isZero();
            assertThat(count(jdbc, "thread t where not exists (select 1 from message m where m.thread_id = t.id)"))
                    .isZero();
            assertThat(count(jdbc, "follow_up")).isEqualTo(9);
            assertThat(count(jdbc, "history")).isEqualTo(31);
            passwordsAreReadable(application, jdbc);
        }
    }

    private static void passwordsAreReadable(ConfigurableApplicationContext application, JdbcTemplate jdbc) {
        UUID owner = jdbc.queryForObject("select id from account", UUID.class);
        List<Source> sources = application.getBean(SourceStore.class).of(owner);
        assertThat(sources).hasSize(3);
        SourceSecrets secrets = application.getBean(SourceSecrets.class);
        for (Source source : sources) {
            String password = source.kind() == SourceKind.MAIL
                    ? secrets.mailAccount(source).password()
                    : secrets.chatSecret(source).password();
            assertThat(password).isEqualTo("merrow-quay-demo");
        }
    }

    /** What was done with an earlier version is taken back by this one, newest first, until nothing is decided. */
    @Test
    void itsHistoryIsTakenBackByThisVersion(@TempDir Path data) throws IOException, InterruptedException {
        unpack(data);
        try (ConfigurableApplicationContext application = start(data)) {
            JdbcTemplate jdbc = application.getBean(JdbcTemplate.class);
            List<UUID> commands = jdbc.queryForList(
                    "select id from command where undone_by is null and undo_of is null and exists (select 1 from"
                            + " history h where h.command_id = command.id and h.subject_type in ('MESSAGE',"
                            + " 'FOLLOW_UP', 'CATEGORY', 'THREAD')) order by done_at desc, id desc",
                    UUID.class);
            List<String> answers = new ArrayList<>();
            for (UUID command : commands) {
                answers.add(undo(data, command));
            }
            assertThat(answers).hasSizeGreaterThan(10).allMatch(answer -> answer.startsWith("200"));
            assertThat(count(jdbc, "follow_up")).isZero();
        }
    }

    private static String undo(Path data, UUID command) throws IOException, InterruptedException {
        List<String> running = Files.readAllLines(data.resolve(DataFolder.RUNNING));
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(
                                        "http://127.0.0.1:" + running.get(0) + "/api/commands/" + command + "/undo"))
                                .header(LocalToken.TOKEN_HEADER, running.get(1))
                                .header(CommandId.HEADER, UUID.randomUUID().toString())
                                .POST(HttpRequest.BodyPublishers.noBody())
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        return answer.statusCode() + " " + answer.body();
    }

    private static int count(JdbcTemplate jdbc, String from) {
        Integer count = jdbc.queryForObject("select count(*) from " + from, Integer.class);
        return count == null ? -1 : count;
    }

    private static ConfigurableApplicationContext start(Path data) {
        return start(data, new String[0]);
    }

    private static ConfigurableApplicationContext start(Path data, String... more) {
        String[] args = Stream.concat(
                        Stream.of(
                                "--data=" + data,
                                "--server.port=0",
                                "--clock=2026-03-04T11:00:00Z",
                                "--logging.level.root=error"),
                        Stream.of(more))
                .toArray(String[]::new);
        return Squallnote.application(args).run(args);
    }

    @Test
    void theDatabaseIsEncryptedOnWishAndOpenedAgain(@TempDir Path data) throws IOException {
        unpack(data);
        try (ConfigurableApplicationContext application = start(data, "--encrypt")) {
            assertThat(count(application.getBean(JdbcTemplate.class), "message"))
                    .isEqualTo(MESSAGES - DOUBLED);
        }
        assertThat(new String(Files.readAllBytes(data.resolve("squallnote.mv.db")), StandardCharsets.ISO_8859_1))
                .startsWith("H2encrypt")
                .doesNotContain("pontoon");
        try (ConfigurableApplicationContext application = start(data)) {
            assertThat(count(application.getBean(JdbcTemplate.class), "message"))
                    .isEqualTo(MESSAGES - DOUBLED);
            isForTheApplicationAlone(data);
        }
        Files.delete(data.resolve("database-key"));
        assertThatThrownBy(() -> start(data)).hasMessageContaining("database-key");
    }

    private static void isForTheApplicationAlone(Path data) throws IOException {
        try (Stream<Path> files = Files.list(data)) {
            assertThat(files)
                    .allSatisfy(file -> assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                            .as(file.toString())
                            .isEqualTo(Files.isDirectory(file) ? "rwx------" : "rw-------"));
        }
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(data)))
                .isEqualTo("rwx------");
    }

    private static void unpack(Path data) throws IOException {
        try (InputStream in = LandedDatabaseTest.class.getResourceAsStream("/landed/v1.zip");
                ZipInputStream zip = new ZipInputStream(in)) {
            ZipEntry entry;
            while ((entry = zip.getNextEntry()) != null) {
                Files.copy(zip, data.resolve(entry.getName()));
            }
        }
    }
}
