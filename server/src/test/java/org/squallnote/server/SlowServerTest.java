package org.squallnote.server;

import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.squallnote.standins.scenario.AppSetUp;
import tools.jackson.databind.json.JsonMapper;

/** What takes longer than a request may says so in a sentence, and goes on. */
class SlowServerTest {

    @TempDir
    Path data;

    @Test
    void isSaidToTakeLong() throws IOException {
        String[] args = {
            "--data=" + data, "--server.port=0", "--logging.level.root=error", "--spring.mvc.async.request-timeout=200"
        };
        // It takes connections and says nothing.
        try (ServerSocket silent = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
                ConfigurableApplicationContext application =
                        Squallnote.application(args).run(args)) {
            AppSetUp setUp = new AppSetUp("http://127.0.0.1:"
                    + ((WebServerApplicationContext) application).getWebServer().getPort());
            setUp.call("GET", "/api/session", null);
            setUp.makeAccount("Europe/London");
            assertThatIllegalStateException()
                    .isThrownBy(() -> setUp.call(
                            "POST",
                            "/api/sources/chat/" + UUID.randomUUID(),
                            JsonMapper.shared()
                                    .createObjectNode()
                                    .put("name", "Chat")
                                    .put("homeserver", "http://127.0.0.1:" + silent.getLocalPort())
                                    .put("user", "ines")
                                    .put("password", "four words of my own")
                                    .put("accessToken", "")
                                    .put("daysBack", 90)
                                    .put("archiveRule", "NEVER")))
                    .withMessageContaining("503")
                    .withMessageContaining("It goes on, and nothing is lost");
        }
    }
}
