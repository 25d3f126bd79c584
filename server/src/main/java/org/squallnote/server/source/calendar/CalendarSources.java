package org.squallnote.server.source.calendar;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.source.SourceKind;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Done;
import org.squallnote.server.secret.SourceSecrets;
import org.squallnote.server.source.Sources;
import org.squallnote.sources.calendar.CalendarAccess;

/** Connects calendars and changes their settings. The address may be a secret and is kept like one. */
@Component
class CalendarSources {

    private final Sources sources;
    private final SourceSecrets secrets;

    CalendarSources(Sources sources, SourceSecrets secrets) {
        this.sources = sources;
        this.secrets = secrets;
    }

    /** What may be shown of a source. */
    record Settings(String host, String user) {}

    Done add(SignedIn me, UUID commandId, Sources.Common common, CalendarAccess access) {
        String host = access.uri().getHost();
        return sources.add(
                me,
                commandId,
                sources.source(
                        me,
                        common,
                        SourceKind.CALENDARS,
                        shown(host, access),
                        secrets.write(new Settings(host, access.user())),
                        secrets.encryptWhole(common.id(), access)));
    }

    /** Tells sources of one server apart without showing a secret address. */
    private static String shown(String host, CalendarAccess access) {
        String mark = access.user().isEmpty()
                ? Integer.toHexString(access.address().strip().hashCode())
                : access.user();
        String text = host + "/" + mark;
        return text.length() > 320 ? text.substring(0, 320) : text;
    }

    /** Changes the name, and the password where one is given. */
    Done change(SignedIn me, UUID commandId, Sources.Common common, int version, String password) {
        CalendarAccess before =
                secrets.secret(sources.get(me, common.id(), SourceKind.CALENDARS), CalendarAccess.class);
        return sources.change(me, commandId, common.id(), version, "Changed the settings of " + common.name(), old -> {
            byte[] secret = password.isEmpty()
                    ? old.secret()
                    : secrets.encryptWhole(old.id(), new CalendarAccess(before.address(), before.user(), password));
            return Sources.with(old, common, old.settings(), secret);
        });
    }
}
