package org.squallnote.server.secret;

import java.util.UUID;
import org.squallnote.sources.Reach;

/** Says of accounts which machines they may have connected to. */
public interface Reaches {

    /** The reach of an account; asked again at each connection. */
    Reach of(UUID owner);
}
