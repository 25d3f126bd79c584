package org.squallnote.core.message;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * Decides the nature of a message from its headers and structure; the first rule that holds wins.
 *
 * <p>Sources: RFC 3464 (delivery status), RFC 3834 (automatic responses), RFC 2369 and RFC 2919 (list
 * headers), RFC 5546 (calendar methods).
 */
public final class NatureRules {

    /**
     * What the rules look at.
     *
     * @param from the sender
     * @param subject the subject, empty in a chat
     * @param headers the header fields
     * @param calendarMethod the {@code METHOD} of a {@code text/calendar} part, upper case
     * @param deliveryAction the {@code Action} of a delivery-status part, lower case ({@code failed}, {@code delayed} …)
     */
    public record Input(
            Party from,
            String subject,
            Headers headers,
            Optional<String> calendarMethod,
            Optional<String> deliveryAction) {}

    private record Rule(Nature nature, Predicate<Input> holds) {}

    private static final Pattern MAIL_SYSTEM = Pattern.compile("^(mailer-daemon|postmaster)@.*");
    private static final Pattern TAKES_NO_ANSWER =
            Pattern.compile("^(no-?reply|do-?not-?reply|notifications?|bounces?|mailer)([+.-].*)?@.*");
    private static final Pattern OUT_OF_OFFICE =
            Pattern.compile("^(automatic reply|auto-?reply|auto(matic)? response|out of (the )?office)\\b.*");

    private static final List<Rule> IN_ORDER = List.of(
            new Rule(Nature.BULK, NatureRules::reportsDelayOrDelivery),
            new Rule(Nature.BOUNCE, NatureRules::reportsFailedDelivery),
            new Rule(Nature.AUTO_REPLY, NatureRules::answersByItself),
            new Rule(
                    Nature.INVITATION,
                    m -> m.calendarMethod().filter("REQUEST"::equals).isPresent()),
            new Rule(Nature.PERSON, m -> m.headers().has("List-Post")),
            new Rule(Nature.BULK, NatureRules::goesToMany));

    private NatureRules() {}

    /** The nature of the message; {@link Nature#PERSON} when no rule says otherwise. */
    public static Nature natureOf(Input message) {
        return IN_ORDER.stream()
                .filter(rule -> rule.holds().test(message))
                .map(Rule::nature)
                .findFirst()
                .orElse(Nature.PERSON);
    }

    private static boolean reportsDelayOrDelivery(Input m) {
        return m.deliveryAction().filter(action -> !action.equals("failed")).isPresent()
                || m.headers().lowerValue("Content-Type").contains("disposition-notification");
    }

    private static boolean reportsFailedDelivery(Input m) {
        return m.deliveryAction().filter("failed"::equals).isPresent()
                || (MAIL_SYSTEM.matcher(m.from().address()).matches()
                        && m.headers().value("Return-Path").orElse("<>").equals("<>"));
    }

    private static boolean answersByItself(Input m) {
        return m.headers().lowerValue("Auto-Submitted").startsWith("auto-replied")
                || m.headers().has("X-Autoreply")
                || m.headers().has("X-Autorespond")
                || m.headers().lowerValue("Precedence").equals("auto_reply")
                || OUT_OF_OFFICE
                        .matcher(m.subject().strip().toLowerCase(java.util.Locale.ROOT))
                        .matches();
    }

    private static boolean goesToMany(Input m) {
        String precedence = m.headers().lowerValue("Precedence");
        return m.headers().has("List-Unsubscribe")
                || m.headers().has("List-Id")
                || precedence.equals("bulk")
                || precedence.equals("list")
                || precedence.equals("junk")
                || m.headers().lowerValue("Auto-Submitted").startsWith("auto-generated")
                || TAKES_NO_ANSWER.matcher(m.from().address()).matches();
    }
}
