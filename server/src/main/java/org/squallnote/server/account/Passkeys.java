package org.squallnote.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.squallnote.core.account.Account;
import org.squallnote.core.account.Passkey;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.account.AccountStore;
import org.squallnote.store.account.PasskeyStore;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Passkeys (WebAuthn, level 3), by Spring Security: made and used by the name that the browser shows, with the device
 * making sure who it is. What is asked of a device is kept in memory for some minutes and answered once.
 */
@Component
class Passkeys {

    private static final Logger LOG = LoggerFactory.getLogger(Passkeys.class);
    private static final Duration TIME_TO_ANSWER = Duration.ofMinutes(5);
    private static final int MOST_QUESTIONS = 10_000;
    private static final TypeReference<Map<String, Object>> OBJECT = new TypeReference<>() {};

    private final PasskeyStore store;
    private final PasskeyUsers users;
    private final AccountStore accounts;
    private final UuidV7 ids;
    private final Clock clock;
    private final JsonMapper json =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();
    private final Cache<String, Making> making = questions();
    private final Cache<String, PublicKeyCredentialRequestOptions> using = questions();

    Passkeys(PasskeyStore store, PasskeyUsers users, AccountStore accounts, UuidV7 ids, Clock clock) {
        this.store = store;
        this.users = users;
        this.accounts = accounts;
        this.ids = ids;
        this.clock = clock;
    }

    private record Making(UUID owner, PublicKeyCredentialCreationOptions options) {}

    /**
     * What a device is asked.
     *
     * @param handle names the question when it is answered
     * @param options as the browser takes them
     */
    record Question(String handle, Map<String, Object> options) {}

    private static <T> Cache<String, T> questions() {
        return Caffeine.newBuilder()
                .maximumSize(MOST_QUESTIONS)
                .expireAfterWrite(TIME_TO_ANSWER)
                .build();
    }

    List<Passkey> of(UUID owner) {
        return store.of(owner);
    }

    /** Asks for a new key. */
    Question askForNew(Account account, HttpServletRequest request) {
        Authentication authentication =
                UsernamePasswordAuthenticationToken.authenticated(account.signIn(), null, List.of());
        PublicKeyCredentialCreationOptions options = relyingParty(request)
                .createPublicKeyCredentialCreationOptions(
                        new ImmutablePublicKeyCredentialCreationOptionsRequest(authentication));
        String handle = Bytes.random().toBase64UrlString();
        making.put(handle, new Making(account.id(), options));
        return new Question(handle, json.convertValue(options, OBJECT));
    }

    /** Takes a new key. */
    void add(UUID owner, String handle, String label, Map<String, Object> credential, HttpServletRequest request) {
        Making asked = Optional.ofNullable(making.asMap().remove(handle))
                .filter(question -> question.owner().equals(owner))
                .orElseThrow(Passkeys::tooLate);
        CredentialRecord added = checked(() -> relyingParty(request)
                        .registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                                asked.options(),
                                new RelyingPartyPublicKey(
                                        json.convertValue(
                                                credential,
                                                new TypeReference<
                                                        PublicKeyCredential<AuthenticatorAttestationResponse>>() {}),
                                        label))))
                .orElseThrow(() -> Refusal.invalid(
                        "The device's answer does not fit what was asked, so no passkey was added. Try once more; if it"
                                + " happens again, use another device."));
        LOG.info(
                "Account {} has added passkey {}",
                owner,
                added.getCredentialId().toBase64UrlString());
    }

    /** Asks for the use of any key that this browser has for this name. */
    Question askForAny(HttpServletRequest request) {
        Authentication nobody =
                new AnonymousAuthenticationToken("nobody", "nobody", AuthorityUtils.createAuthorityList("NONE"));
        PublicKeyCredentialRequestOptions options = relyingParty(request)
                .createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(nobody));
        String handle = Bytes.random().toBase64UrlString();
        using.put(handle, options);
        return new Question(handle, json.convertValue(options, OBJECT));
    }

    /** Whose key has answered; empty when the answer is not right. */
    Optional<Account> accountOf(String handle, Map<String, Object> credential, HttpServletRequest request) {
        PublicKeyCredentialRequestOptions asked =
                Optional.ofNullable(using.asMap().remove(handle)).orElseThrow(Passkeys::tooLate);
        return checked(() -> relyingParty(request)
                        .authenticate(new RelyingPartyAuthenticationRequest(
                                asked,
                                json.convertValue(
                                        credential,
                                        new TypeReference<PublicKeyCredential<AuthenticatorAssertionResponse>>() {}))))
                .flatMap(user -> PasskeyRecords.account(user.getId()))
                .flatMap(accounts::byId);
    }

    void remove(UUID owner, UUID id) {
        store.delete(owner, id);
    }

    private static Refusal tooLate() {
        return Refusal.conflict("This took too long, or was answered before. Nothing was changed; begin once more.");
    }

    /**
     * What the libraries throw at an answer that is malformed or wrong has no common type; none of it is our fault, but
     * what the database throws is.
     */
    private static <T> Optional<T> checked(Supplier<T> check) {
        try {
            return Optional.of(check.get());
        } catch (DataIntegrityViolationException e) {
            LOG.info("A passkey's answer does not fit what can be kept: {}", e.toString());
            return Optional.empty();
        } catch (DataAccessException | Refusal e) {
            throw e;
        } catch (RuntimeException e) {
            LOG.info("A passkey's answer was not taken: {}", e.toString());
            return Optional.empty();
        }
    }

    private Webauthn4JRelyingPartyOperations relyingParty(HttpServletRequest request) {
        String host = request.getServerName();
        Webauthn4JRelyingPartyOperations operations = new Webauthn4JRelyingPartyOperations(
                users,
                new PasskeyRecords(store, ids, clock, host),
                PublicKeyCredentialRpEntity.builder()
                        .id(host)
                        .name("Squallnote")
                        .build(),
                Set.of(origin(request)));
        operations.setCustomizeCreationOptions(
                options -> options.authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        operations.setCustomizeRequestOptions(
                options -> options.userVerification(UserVerificationRequirement.REQUIRED));
        return operations;
    }

    private static String origin(HttpServletRequest request) {
        return ServletUriComponentsBuilder.fromRequestUri(request)
                .replacePath(null)
                .build()
                .toUriString();
    }
}
