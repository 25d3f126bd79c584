package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.squallnote.core.account.Account;
import org.squallnote.server.files.RunningApplication;
import org.squallnote.store.account.AccountStore;

/** What an administrator does by command, while the application runs. */
class AdministrationTest {

    private static final String MAIL = "From: Mara Finch <mara@finch.example>\nTo: ines@merrowquay.example\n"
            + "Subject: Slipway\nMessage-ID: <slipway@finch.example>\nDate: Tue, 3 Mar 2026 09:00:00 +0000\n\nWhen?\n";

    @TempDir
    Path folder;

    private Path data;

    @BeforeEach
    void somewhere() {
        data = folder.resolve("data");
    }

    private static ConfigurableApplicationContext start(Path data) {
        String[] args = {"--data=" + data, "--server.port=0", "--logging.level.root=error"};
        ConfigurableApplicationContext application =
                Squallnote.application(args).run(args);
        return application;
    }

    private static void add(ConfigurableApplicationContext application, String signIn) {
        String hash = application.getBean(PasswordEncoder.class).encode("forgotten since");
        application
                .getBean(AccountStore.class)
                .insert(new Account(UUID.randomUUID(), signIn, "Ines", hash, "Europe/London", true, Instant.EPOCH));
    }

    /** What a command prints. */
    private String command(String... words) throws IOException {
        Path said = folder.resolve("said");
        PrintStream before = System.out;
        try (PrintStream here = new PrintStream(Files.newOutputStream(said), true, StandardCharsets.UTF_8)) {
            System.setOut(here);
            String[] arguments = new String[words.length + 1];
            arguments[0] = "--data=" + data;
            System.arraycopy(words, 0, arguments, 1, words.length);
            assertThat(RunningApplication.handOver(arguments)).isTrue();
        } finally {
            System.setOut(before);
        }
        return Files.readString(said);
    }

    private static int status(ConfigurableApplicationContext application, HttpRequest.Builder request, String path)
            throws IOException, InterruptedException {
        int port = ((WebServerApplicationContext) application).getWebServer().getPort();
        return HttpClient.newHttpClient()
                .send(
                        request.uri(URI.create("http://127.0.0.1:" + port + path))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    private static void unpack(Path zip, Path into) throws IOException {
        try (InputStream file = Files.newInputStream(zip);
                ZipInputStream in = new ZipInputStream(file)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                Path to = into.resolve(entry.getName()).normalize();
                assertThat(to).startsWithRaw(into);
                Files.createDirectories(to.getParent());
                Files.copy(in, to);
            }
        }
    }

    @Test
    void aBackupOfARunningInstallationStartsElsewhere() throws IOException {
        Path zip = folder.resolve("backup.zip");
        Path elsewhere = folder.resolve("elsewhere");
        try (ConfigurableApplicationContext application = start(data)) {
            add(application, "ines");
            Path mail = Files.writeString(folder.resolve("slipway.eml"), MAIL);
            command("import", mail.toString());
            assertThat(command("backup", zip.toString())).contains("keep a copy of that one elsewhere");
            // What comes later is not in it.
            add(application, "late");
        }
        unpack(zip, elsewhere);
        assertThat(elsewhere.resolve("key")).doesNotExist();
        Files.copy(data.resolve("key"), elsewhere.resolve("key"));
        try (ConfigurableApplicationContext application = start(elsewhere)) {
            JdbcTemplate jdbc = application.getBean(JdbcTemplate.class);
            assertThat(jdbc.queryForList("select sign_in from account", String.class))
                    .containsExactly("ines");
            assertThat(jdbc.queryForList("select subject from message", String.class))
                    .containsExactly("Slipway");
        }
    }

    @Test
    void aForgottenPasswordIsReplacedByCommandAndByNobodyElse() throws IOException, InterruptedException {
        try (ConfigurableApplicationContext application = start(data)) {
            add(application, "ines");
            assertThat(command("accounts")).contains("ines  Ines  Europe/London  administrator");
            String said = command("password", "INES");
            Matcher password = Pattern.compile("password ([a-z0-9]{20}) ").matcher(said);
            assertThat(password.find()).as(said).isTrue();
            String hash = application
                    .getBean(JdbcTemplate.class)
                    .queryForObject("select password_hash from account", String.class);
            assertThat(application.getBean(PasswordEncoder.class).matches(password.group(1), hash))
                    .isTrue();
            for (String path : new String[] {"accounts", "backup"}) {
                assertThat(status(application, HttpRequest.newBuilder().GET(), "/api/local/" + path))
                        .isEqualTo(401);
            }
            assertThat(status(
                            application,
                            HttpRequest.newBuilder().POST(HttpRequest.BodyPublishers.noBody()),
                            "/api/local/password?signIn=ines"))
                    .isIn(401, 403);
        }
    }

    /** What a killed application leaves behind keeps nobody from taking an account in. */
    @Test
    void anAccountIsTakenInAfterTheApplicationWasKilled() throws IOException {
        int free;
        try (ServerSocket socket = new ServerSocket(0)) {
            free = socket.getLocalPort();
        }
        Files.createDirectories(data);
        Files.writeString(data.resolve("running"), free + "\ntoken\n");
        Path archive = folder.resolve("account.zip");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(archive))) {
            zip.putNextEntry(new ZipEntry("manifest.json"));
            zip.closeEntry();
        }
        assertThat(RunningApplication.handOver(new String[] {"--data=" + data, "import", archive.toString()}))
                .isFalse();
    }

    /** Its port may be another program's by then. */
    @Test
    void whatOnlyHasThePortOfAKilledApplicationIsNotAsked() throws IOException {
        HttpServer other = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        other.start();
        try {
            Files.createDirectories(data);
            Files.writeString(data.resolve("running"), other.getAddress().getPort() + "\ntoken\n");
            Path mail = Files.writeString(folder.resolve("slipway.eml"), MAIL);
            assertThat(RunningApplication.handOver(new String[] {"--data=" + data, "import", mail.toString()}))
                    .isFalse();
        } finally {
            other.stop(0);
        }
    }
}
