package org.squallnote.server.account;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions in the database that are not written with each request: when one was last used is noted once a minute.
 *
 * @param <S> the sessions below
 */
final class CalmSessions<S extends Session> implements FindByIndexNameSessionRepository<CalmSessions.Calm<S>> {

    private static final Duration NOTED_EVERY = Duration.ofMinutes(1);

    private final FindByIndexNameSessionRepository<S> sessions;

    private CalmSessions(FindByIndexNameSessionRepository<S> sessions) {
        this.sessions = sessions;
    }

    static <S extends Session> CalmSessions<S> over(FindByIndexNameSessionRepository<S> sessions) {
        return new CalmSessions<>(sessions);
    }

    @Override
    public Calm<S> createSession() {
        return new Calm<>(sessions.createSession());
    }

    @Override
    public void save(Calm<S> session) {
        sessions.save(session.below);
    }

    @Override
    public @Nullable Calm<S> findById(String id) {
        S found = sessions.findById(id);
        return found == null ? null : new Calm<>(found);
    }

    @Override
    public void deleteById(String id) {
        sessions.deleteById(id);
    }

    @Override
    public Map<String, Calm<S>> findByIndexNameAndIndexValue(String indexName, String indexValue) {
        return sessions.findByIndexNameAndIndexValue(indexName, indexValue).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, entry -> new Calm<>(entry.getValue())));
    }

    /**
     * A session.
     *
     * @param <S> the session below
     */
    static final class Calm<S extends Session> implements Session {

        private final S below;

        Calm(S below) {
            this.below = below;
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (Duration.between(below.getLastAccessedTime(), at).compareTo(NOTED_EVERY) >= 0) {
                below.setLastAccessedTime(at);
            }
        }

        @Override
        public String getId() {
            return below.getId();
        }

        @Override
        public String changeSessionId() {
            return below.changeSessionId();
        }

        @Override
        @SuppressWarnings("TypeParameterUnusedInFormals") // As the interface has it.
        public <T> @Nullable T getAttribute(String name) {
            return below.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return below.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            if (value == null) {
                below.removeAttribute(name);
            } else {
                below.setAttribute(name, value);
            }
        }

        @Override
        public void removeAttribute(String name) {
            below.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return below.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return below.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            below.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return below.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return below.isExpired();
        }
    }
}
