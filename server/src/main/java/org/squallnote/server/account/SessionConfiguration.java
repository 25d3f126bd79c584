package org.squallnote.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** Sessions lie in the database: they survive a restart, and can be listed and ended. */
@Configuration(proxyBeanMethods = false)
@EnableJdbcHttpSession(maxInactiveIntervalInSeconds = SessionConfiguration.KEPT_SECONDS)
class SessionConfiguration {

    /** Thirty days without a request. */
    static final int KEPT_SECONDS = 30 * 24 * 60 * 60;

    @Bean
    @Primary
    FindByIndexNameSessionRepository<? extends Session> calmSessions(JdbcIndexedSessionRepository sessions) {
        return CalmSessions.over((FindByIndexNameSessionRepository<? extends Session>) sessions);
    }

    /** Secure whenever the request came over TLS, also by a proxy that says so. */
    @Bean
    CookieSerializer sessionCookie() {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName("squallnote-session");
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Strict");
        cookie.setCookieMaxAge(KEPT_SECONDS);
        cookie.setCookiePath("/");
        return cookie;
    }
}
