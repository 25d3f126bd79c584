package org.squallnote.sources;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ReachTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "127.0.0.1",
                "localhost",
                "0.0.0.0",
                "10.1.2.3",
                "172.16.0.1",
                "192.168.1.1",
                "169.254.169.254",
                "100.64.0.1",
                "224.0.0.1",
                "::1",
                "[::1]",
                "fe80::1",
                "fd00::1",
                "::ffff:127.0.0.1",
            })
    void machinesOfTheLocalNetworkAreOutOfReachFromOutside(String host) {
        assertThatThrownBy(() -> Reach.OUTSIDE.check(host))
                .isInstanceOf(Reach.OutOfReachException.class)
                .hasMessageContaining(host + " lies inside the local network");
        assertThatCode(() -> Reach.ANYWHERE.check(host)).doesNotThrowAnyException();
    }

    @ParameterizedTest
    @ValueSource(strings = {"192.0.2.1", "198.51.100.7", "2001:db8::1", "100.128.0.1", "172.32.0.1"})
    void machinesOfTheInternetAreNot(String host) {
        assertThat(Reach.isInside(host)).isFalse();
    }
}
