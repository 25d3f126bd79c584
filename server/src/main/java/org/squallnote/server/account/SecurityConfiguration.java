package org.squallnote.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderNotFoundException;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.squallnote.server.problem.ProblemWriter;

/** Session cookie, CSRF token, and a content security policy without any inline script or style. */
@Configuration(proxyBeanMethods = false)
public class SecurityConfiguration {

    /** Of everything but message bodies, which set their own. */
    static final String PAGE_POLICY = "default-src 'self'; img-src 'self' data:; frame-src 'self'; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** Which requests need an account. */
    @Bean
    public SecurityFilterChain security(
            HttpSecurity http,
            LocalToken localToken,
            TokenFilter tokens,
            AccountContexts contexts,
            CsrfTokenRepository csrfTokens,
            ProblemWriter problems) {
        return http.csrf(csrf -> csrf.spa()
                        .csrfTokenRepository(csrfTokens)
                        .ignoringRequestMatchers(localToken::isPresentedBy, tokens::isShown))
                .securityContext(context -> context.securityContextRepository(contexts))
                .addFilterBefore(localToken, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(tokens, UsernamePasswordAuthenticationFilter.class)
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session", "/api/session/passkey", "/api/session/passkey/begin")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/accounts")
                        .permitAll()
                        .requestMatchers("/api/local/**")
                        .access((who, asked) -> new AuthorizationDecision(localToken.isPresentedBy(asked.getRequest())))
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(on -> on.authenticationEntryPoint((request, response, e) -> problems.write(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "You are signed out. Sign in again; what you wrote is kept in this browser."))
                        .accessDeniedHandler((request, response, e) -> problems.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "This request does not come from an open page of this application, or the page is too old."
                                        + " Nothing was changed. Load the page again.")))
                .requestCache(cache -> cache.disable())
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(PAGE_POLICY))
                        .frameOptions(frames -> frames.sameOrigin())
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.NO_REFERRER)))
                .build();
    }

    /** The page reads its token from a cookie and sends it back with every change. */
    @Bean
    public CsrfTokenRepository csrfTokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    /** What the firewall keeps out, an address with tricks in it say, is told as everything else is. */
    @Bean
    public RequestRejectedHandler rejected(ProblemWriter problems) {
        return (request, response, why) -> problems.write(
                response, HttpStatus.BAD_REQUEST, "This address cannot be answered. Nothing was changed.");
    }

    /** How passwords are hashed. */
    @Bean
    public PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(11);
    }

    /** Signing in happens in {@link Sessions}; nothing else may do it. */
    @Bean
    public AuthenticationManager authenticationManager() {
        return authentication -> {
            throw new ProviderNotFoundException("Signing in goes through /api/session");
        };
    }
}
