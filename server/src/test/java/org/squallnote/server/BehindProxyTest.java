package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The application as it is reached through a proxy on the same machine, which says how the browser came in. */
class BehindProxyTest {

    private static final String ACCOUNT = """
            {"signIn":"ines","name":"Ines Calloway","password":"four words of my own","zone":"Europe/London"}""";

    private final HttpClient client = HttpClient.newHttpClient();
    private ConfigurableApplicationContext application;
    private String address;

    @BeforeEach
    void start(@TempDir Path data) {
        String[] args = {"--data=" + data, "--server.port=0", "--logging.level.root=error"};
        application = Squallnote.application(args).run(args);
        address = "http://127.0.0.1:"
                + ((WebServerApplicationContext) application).getWebServer().getPort();
    }

    @AfterEach
    void stop() {
        application.close();
    }

    private HttpRequest.Builder from(String path, String browser) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("X-Forwarded-Proto", "https")
                .header("X-Forwarded-For", browser);
    }

    private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
        return client.send(request, HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> post(String path, String body, String browser)
            throws IOException, InterruptedException {
        String token = send(from("/api/session", browser).build())
                .headers()
                .firstValue("Set-Cookie")
                .orElseThrow()
                .replaceAll("XSRF-TOKEN=([^;]+);.*", "$1");
        return send(from(path, browser)
                .header("Content-Type", "application/json")
                .header("Cookie", "XSRF-TOKEN=" + token)
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    @Test
    void everyCookieIsSecureWhereTheBrowserCameByTls() throws Exception {
        HttpResponse<String> made = post("/api/accounts", ACCOUNT, "203.0.113.9");

        assertThat(made.statusCode()).as(made.body()).isLessThan(300);
        assertThat(made.headers().allValues("Set-Cookie"))
                .hasSizeGreaterThanOrEqualTo(3)
                .allSatisfy(cookie -> assertThat(cookie).contains("Secure"));
    }

    @Test
    void wrongTriesThroughTheProxyAreCountedByTheBrowsersNetwork() throws Exception {
        post("/api/accounts", ACCOUNT, "203.0.113.9");
        String wrong = "{\"signIn\":\"ines\",\"password\":\"a wrong one\"}";
        for (int i = 0; i < 5; i++) {
            post("/api/session", wrong, "198.51.100.7");
        }

        assertThat(post("/api/session", wrong, "198.51.100.7").statusCode()).isEqualTo(429);
        assertThat(post("/api/session", wrong, "192.0.2.33").statusCode()).isEqualTo(401);
    }
}
