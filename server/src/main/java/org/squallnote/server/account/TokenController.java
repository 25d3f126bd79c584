package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.access.AccessToken;
import org.squallnote.core.access.Scope;
import org.squallnote.server.problem.Refusal;

/** Settings › Scripts: tokens. */
@RestController
class TokenController {

    private final AccessTokens tokens;
    private final Sessions sessions;
    private final ApplicationEventPublisher events;

    TokenController(AccessTokens tokens, Sessions sessions, ApplicationEventPublisher events) {
        this.tokens = tokens;
        this.sessions = sessions;
        this.events = events;
    }

    /** @param days so long it is good for */
    record TokenForm(
            @NotBlank @Size(max = 100) String name,
            @NotEmpty Set<@NotNull Scope> scopes,
            @Min(1) @Max(366) int days,
            @Size(max = 200) String currentPassword) {}

    record TokenView(
            UUID id,
            String name,
            Set<Scope> scopes,
            Instant createdAt,
            Instant expiresAt,
            @Nullable Instant lastUsedAt) {

        static TokenView of(AccessToken token) {
            return new TokenView(
                    token.id(),
                    token.name(),
                    EnumSet.copyOf(token.scopes().all()),
                    token.createdAt(),
                    token.expiresAt(),
                    token.lastUsedAt());
        }
    }

    /** @param token shown once, and kept nowhere */
    record TokenMade(TokenView kept, String token) {}

    @GetMapping("/api/tokens")
    List<TokenView> all(@CurrentAccount SignedIn me) {
        return tokens.of(me.accountId()).stream().map(TokenView::of).toList();
    }

    @PostMapping("/api/tokens")
    TokenMade make(@CurrentAccount SignedIn me, @Valid @RequestBody TokenForm body, HttpServletRequest request) {
        sessions.prove(me, body.currentPassword(), request);
        AccessTokens.Made made =
                tokens.make(me.accountId(), body.name(), EnumSet.copyOf(body.scopes()), Duration.ofDays(body.days()));
        return new TokenMade(TokenView.of(made.kept()), made.token());
    }

    /** Ends one at once, and the streams that are open by it. */
    @DeleteMapping("/api/tokens/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@CurrentAccount SignedIn me, @PathVariable UUID id) {
        if (!tokens.end(me.accountId(), id)) {
            throw Refusal.notFound("token");
        }
        events.publishEvent(new Sessions.SomeEnded(me.accountId()));
    }
}
