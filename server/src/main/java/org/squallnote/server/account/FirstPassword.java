package org.squallnote.server.account;

import java.security.SecureRandom;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Makes a password for an account that comes from elsewhere, to be said once and changed. */
@Component
public class FirstPassword {

    /** Without those that are taken for each other when they are written down. */
    private static final String SIGNS = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final int LENGTH = 20;

    private final SecureRandom random = new SecureRandom();
    private final PasswordEncoder encoder;

    FirstPassword(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    /** A password and its hash. */
    public record Made(String password, String hash) {}

    /** Another one each time: about 99 bits. */
    public Made make() {
        String password = IntStream.range(0, LENGTH)
                .mapToObj(at -> String.valueOf(SIGNS.charAt(random.nextInt(SIGNS.length()))))
                .collect(Collectors.joining());
        return new Made(
                password,
                Optional.ofNullable(encoder.encode(password))
                        .orElseThrow(() -> new IllegalStateException("No hash was made")));
    }
}
