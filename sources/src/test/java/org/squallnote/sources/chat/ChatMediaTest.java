package org.squallnote.sources.chat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.sources.PatientStream;
import org.squallnote.sources.Reach;
import org.squallnote.standins.chat.Homeserver;

/** Files of chat messages, from the homeserver that keeps them. */
class ChatMediaTest {

    private static final byte[] TIDE = "high at noon".getBytes(StandardCharsets.UTF_8);

    @Test
    void aFileIsHandedOutToWhoeverIsSignedIn() throws Exception {
        try (Homeserver server = Homeserver.start(0, "merrowquay.example", Clock.systemUTC())) {
            server.state().addUser("ines", "Ines", "secret");
            MediaAddress address =
                    MediaAddress.of(server.state().addMedia("text/plain", TIDE)).orElseThrow();
            ChatClient client = new ChatClient(server.address(), Reach.ANYWHERE);
            assertThatThrownBy(() -> client.media(address)).isInstanceOf(ChatProblem.class);
            client.login("ines", "secret", "D");
            try (InputStream in = client.media(address)) {
                assertThat(in.readAllBytes()).isEqualTo(TIDE);
            }
            assertThatThrownBy(() -> client.media(new MediaAddress("merrowquay.example", "gone")))
                    .isInstanceOf(ChatProblem.class);
        }
    }

    @Test
    void aServerThatFallsSilentIsGivenUp() throws Exception {
        try (InputStream in = new PatientStream(new SilentStream(), Duration.ofMillis(20))) {
            assertThatThrownBy(in::read).isInstanceOf(IOException.class).hasMessageContaining("said nothing");
        }
    }

    @Test
    void aServerThatTalksIsHeardToItsEnd() throws Exception {
        try (InputStream in = new PatientStream(new ByteArrayInputStream(TIDE), Duration.ofSeconds(30))) {
            assertThat(in.read()).isEqualTo('h');
            assertThat(in.readAllBytes()).hasSize(TIDE.length - 1);
            assertThat(in.read()).isEqualTo(-1);
        }
    }

    /** Says nothing until it is closed, as a connection does to a server that hangs. */
    private static final class SilentStream extends InputStream {

        private final CountDownLatch closed = new CountDownLatch(1);

        @Override
        public int read() throws IOException {
            try {
                closed.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            throw new IOException("closed");
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            return read();
        }

        @Override
        public void close() {
            closed.countDown();
        }
    }

    @Test
    void anOlderServerIsAskedTheOlderWay() throws Exception {
        HttpServer old = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        old.createContext("/", exchange -> {
            boolean older = exchange.getRequestURI().getPath().equals("/_matrix/media/v3/download/x.example/a");
            exchange.sendResponseHeaders(older ? 200 : 404, older ? TIDE.length : -1);
            if (older) {
                exchange.getResponseBody().write(TIDE);
            }
            exchange.close();
        });
        old.start();
        try (InputStream in = new ChatClient(
                        "http://127.0.0.1:" + old.getAddress().getPort(), Reach.ANYWHERE)
                .media(new MediaAddress("x.example", "a"))) {
            assertThat(in.readAllBytes()).isEqualTo(TIDE);
        } finally {
            old.stop(0);
        }
    }

    @Test
    void aFileThatIsTooLargeIsNotTakenForWhole() throws IOException {
        try (InputStream in = new CappedStream(new ByteArrayInputStream(TIDE), TIDE.length)) {
            assertThat(in.readAllBytes()).isEqualTo(TIDE);
        }
        try (InputStream in = new CappedStream(new ByteArrayInputStream(TIDE), TIDE.length - 1)) {
            assertThatThrownBy(in::readAllBytes).isInstanceOf(IOException.class).hasMessageContaining("larger");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "https://x.example/a",
                "mxc://x.example/../admin",
                "mxc://x.example/a/b",
                "mxc://x.example/a?b",
                "mxc:///a",
                "mxc://x.example/",
                "mxc://x example/a"
            })
    void whatIsNoAddressOfAFileIsNone(String address) {
        assertThat(MediaAddress.of(address)).isEmpty();
    }
}
