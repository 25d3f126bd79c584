package org.squallnote.server.portable;

import java.time.Instant;
import java.util.Objects;
import java.util.UUID;

/**
 * What an archive says of itself.
 *
 * @param format always {@link #FORMAT}
 * @param version of the form of the archive
 * @param schema the migration that its rows are of
 * @param madeAt the moment whose state it is
 */
record Manifest(String format, int version, String schema, Instant madeAt, Whose account) {

    static final String FORMAT = "squallnote-account";
    static final int VERSION = 1;

    /** @throws NullPointerException where something is missing, as in a damaged archive */
    Manifest {
        Objects.requireNonNull(format);
        Objects.requireNonNull(schema);
        Objects.requireNonNull(account);
    }

    /** Whose it is. */
    record Whose(UUID id, String signIn, String name, String zone, Instant createdAt) {

        /** @throws NullPointerException where something is missing, as in a damaged archive */
        Whose {
            Objects.requireNonNull(id);
            Objects.requireNonNull(signIn);
            Objects.requireNonNull(name);
            Objects.requireNonNull(zone);
            Objects.requireNonNull(createdAt);
        }
    }
}
