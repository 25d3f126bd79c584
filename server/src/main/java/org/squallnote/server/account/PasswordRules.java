package org.squallnote.server.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.squallnote.server.problem.Refusal;

/** What a password has to be: long enough in characters, and nothing that is guessed from a list of common ones. */
@Component
class PasswordRules {

    private static final int FEWEST_CHARACTERS = 10;

    /** More bytes than this the hash would leave out. */
    private static final int MOST_BYTES = 72;

    /** Of five grades from "guessed at once" to "not to be guessed", the lowest that is taken. */
    private static final int LOWEST_GRADE = 2;

    private final Zxcvbn grader = new Zxcvbn();
    private final PasswordEncoder encoder;

    PasswordRules(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    /**
     * The hash of a password that is taken.
     *
     * @param field the field of the form that it was typed into
     * @param own words that stand for the account and that others know
     */
    String hashed(String field, String password, List<String> own) {
        int characters = password.codePointCount(0, password.length());
        if (characters < FEWEST_CHARACTERS) {
            throw Refusal.field(
                    field,
                    "A password needs at least ten characters; this has " + characters + ". Nothing was changed.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            throw Refusal.field(
                    field,
                    "A password can have 72 characters, fewer where they are not plain letters. Nothing was changed.");
        }
        if (grader.measure(password, own).getScore() < LOWEST_GRADE) {
            throw Refusal.field(
                    field,
                    "This password is among those that are tried first: a common one, a name, or a row of keys."
                            + " Four words that have nothing to do with each other are better. Nothing was changed.");
        }
        return Optional.ofNullable(encoder.encode(password))
                .orElseThrow(() -> Refusal.field(field, "This password cannot be used. Nothing was changed."));
    }
}
