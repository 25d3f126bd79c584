package org.squallnote.server.content;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.squallnote.store.content.ContentFiles;
import org.squallnote.store.followup.AttachedStore;
import org.squallnote.store.message.RawMails;

/** Removes files that nothing refers to, as a kill while mail comes in leaves them. */
@Component
class ContentSweep {

    private static final Logger LOG = LoggerFactory.getLogger(ContentSweep.class);

    /** What is younger may belong to a message that is about to be stored. */
    private static final Duration YOUNG = Duration.ofDays(1);

    private final RawMails mails;
    private final ContentFiles files;
    /** So long what was taken away from a follow-up can be brought back. */
    private static final Duration KEPT = Duration.ofDays(30);

    private final AttachedStore attached;
    private final Clock clock;

    ContentSweep(RawMails mails, ContentFiles files, AttachedStore attached, Clock clock) {
        this.attached = attached;
        this.clock = clock;
        this.mails = mails;
        this.files = files;
    }

    @Scheduled(initialDelay = 15, fixedDelay = 1440, timeUnit = TimeUnit.MINUTES)
    void round() throws IOException {
        attached.forgetFiles(clock.instant().minus(KEPT));
        Set<String> used = new HashSet<>(mails.used());
        used.addAll(attached.fileContents());
        int removed = files.sweep(used, clock.instant().minus(YOUNG));
        if (removed > 0) {
            LOG.info("{} files that nothing refers to were removed", removed);
        }
    }
}
