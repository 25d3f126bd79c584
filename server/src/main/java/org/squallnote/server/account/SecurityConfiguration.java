package org.squallnote.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderNotFoundException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;

/** Session cookie, CSRF token, and a content security policy without any inline script or style. */
@Configuration(proxyBeanMethods = false)
public class SecurityConfiguration {

    /** Of everything but message bodies, which set their own. */
    static final String PAGE_POLICY = "default-src 'self'; img-src 'self' data:; frame-src 'self'; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** Which requests need an account. */
    @Bean
    public SecurityFilterChain security(HttpSecurity http, LocalToken localToken) {
        return http.csrf(csrf -> csrf.spa().ignoringRequestMatchers(localToken::isPresentedBy))
                .addFilterBefore(localToken, UsernamePasswordAuthenticationFilter.class)
                .authorizeHttpRequests(requests -> requests.requestMatchers("/api/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/accounts")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(on -> on.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .requestCache(cache -> cache.disable())
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(PAGE_POLICY))
                        .frameOptions(frames -> frames.sameOrigin())
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.NO_REFERRER)))
                .build();
    }

    /** Where a session keeps who is signed in. */
    @Bean
    public SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
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
