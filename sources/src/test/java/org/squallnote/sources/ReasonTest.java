package org.squallnote.sources;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ConnectException;
import java.net.http.HttpTimeoutException;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.UnresolvedAddressException;
import org.junit.jupiter.api.Test;

class ReasonTest {

    @Test
    void whatSaysNothingIsKnownByItsKind() {
        assertThat(Reason.of(new ConnectException())).isEqualTo("nothing answers there");
        assertThat(Reason.of(new ConnectException().initCause(new UnresolvedAddressException())))
                .as("the nearest that is known")
                .isEqualTo("nothing answers there");
        assertThat(Reason.of(new IOException(null, new ClosedChannelException())))
                .isEqualTo("the connection was closed");
        assertThat(Reason.of(new HttpTimeoutException("request timed out"))).isEqualTo("no answer in time");
    }

    @Test
    void elseTheFirstMessageCounts() {
        assertThat(Reason.of(new IOException(" over quota ", new IllegalStateException("inner"))))
                .isEqualTo("over quota");
        assertThat(Reason.of(new IOException((String) null, new IllegalStateException("inner"))))
                .isEqualTo("inner");
    }

    @Test
    void nothingIsEverSaidToBeNull() {
        assertThat(Reason.of(new IllegalStateException())).isEqualTo("illegal state exception");
        assertThat(Reason.of(new IllegalStateException() {})).isEqualTo("no reason was given");
    }
}
