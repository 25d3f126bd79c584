package org.squallnote.core.message;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.squallnote.core.text.WordList;

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
     * @param channel where it was sent
     * @param from the sender
     * @param subject the subject, empty in a chat
     * @param headers the header fields
     * @param calendarMethod the {@code METHOD} of a {@code text/calendar} part, upper case
     * @param deliveryAction the {@code Action} of a delivery-status part, lower case ({@code failed}, {@code delayed} …)
     * @param text the beginning of the text
     */
    public record Input(
            Channel channel,
            Party from,
            String subject,
            Headers headers,
            Optional<String> calendarMethod,
            Optional<String> deliveryAction,
            String text) {}

    /**
     * A nature with its reason.
     *
     * @param nature the nature
     * @param why one short clause
     */
    public record Verdict(Nature nature, String why) {}

    private record Rule(Nature nature, String why, Predicate<Input> holds) {}

    private static final Set<String> MAIL_SYSTEMS = Set.of("mailer-daemon", "postmaster", "mail-daemon", "maildaemon");
    private static final Set<String> TAKES_NO_ANSWER =
            Set.copyOf(WordList.lines(NatureRules.class, "takes-no-answer.txt"));
    private static final List<String> NOT_FAILED = WordList.lines(NatureRules.class, "not-failed.txt");
    private static final List<String> AWAY_SUBJECTS = WordList.lines(NatureRules.class, "away-subjects.txt");

    private static final List<Rule> IN_ORDER = List.of(
            new Rule(Nature.BULK, "a report of a delay, a delivery or a reading", NatureRules::reportsNoFailure),
            new Rule(Nature.BOUNCE, "a report that a message was not delivered", NatureRules::reportsFailedDelivery),
            new Rule(Nature.AUTO_REPLY, "its headers say it answers by itself", NatureRules::answersByItself),
            new Rule(
                    Nature.INVITATION,
                    "it carries a calendar request",
                    m -> m.calendarMethod().filter("REQUEST"::equals).isPresent()),
            new Rule(
                    Nature.PERSON,
                    "it carries an answer to a calendar request",
                    m -> m.calendarMethod().isPresent()),
            new Rule(Nature.PERSON, "a post to a discussion list", NatureRules::isDiscussion),
            new Rule(Nature.BULK, "its headers say it goes to many", NatureRules::goesToMany),
            new Rule(Nature.BULK, "its sender takes no answers", NatureRules::takesNoAnswer),
            new Rule(Nature.AUTO_REPLY, "it says of itself that it is automatic", NatureRules::saysAway));

    private NatureRules() {}

    /** The nature and the rule that gave it. */
    public static Verdict verdictOn(Input message) {
        for (Rule rule : IN_ORDER) {
            if (rule.holds().test(message)) {
                return new Verdict(rule.nature(), rule.why());
            }
        }
        return new Verdict(Nature.PERSON, "a person wrote it");
    }

    private static boolean isReport(Input m) {
        String type = m.headers().lowerValue("Content-Type");
        return type.contains("multipart/report") || m.deliveryAction().isPresent();
    }

    private static boolean comesFromMailSystem(Input m) {
        String local = localPart(m.from().address());
        return MAIL_SYSTEMS.contains(local);
    }

    private static boolean hasEmptyReturnPath(Input m) {
        return m.headers()
                .value("Return-Path")
                .map(path -> path.strip().equals("<>") || path.isBlank())
                .orElse(false);
    }

    private static boolean reportsNoFailure(Input m) {
        if (m.headers().lowerValue("Content-Type").contains("disposition-notification")) {
            return true;
        }
        if (m.deliveryAction().isPresent()) {
            return m.deliveryAction().filter("failed"::equals).isEmpty();
        }
        boolean system = isReport(m) || comesFromMailSystem(m);
        return system && saysNotFailed(m);
    }

    private static boolean saysNotFailed(Input m) {
        String words = (m.subject() + "\n" + m.text()).toLowerCase(Locale.ROOT);
        boolean failed = words.contains("action: failed")
                || words.contains("permanent")
                || words.contains("could not be delivered")
                || words.contains("undeliver");
        return !failed && NOT_FAILED.stream().anyMatch(words::contains);
    }

    private static boolean reportsFailedDelivery(Input m) {
        return m.deliveryAction().filter("failed"::equals).isPresent()
                || m.headers().lowerValue("Content-Type").contains("delivery-status")
                || (comesFromMailSystem(m)
                        && (hasEmptyReturnPath(m) || !m.headers().has("Return-Path")))
                || (comesFromMailSystem(m) && isReport(m));
    }

    private static boolean answersByItself(Input m) {
        return m.headers().lowerValue("Auto-Submitted").startsWith("auto-replied")
                || m.headers().has("X-Autoreply")
                || m.headers().has("X-Autorespond")
                || m.headers().lowerValue("Precedence").equals("auto_reply");
    }

    private static boolean isDiscussion(Input m) {
        return m.headers().has("List-Post")
                && !m.headers().lowerValue("List-Post").startsWith("no")
                && !m.headers().lowerValue("Auto-Submitted").startsWith("auto-generated");
    }

    private static boolean goesToMany(Input m) {
        String precedence = m.headers().lowerValue("Precedence");
        return m.headers().has("List-Unsubscribe")
                || m.headers().has("List-Id")
                || precedence.equals("bulk")
                || precedence.equals("list")
                || precedence.equals("junk")
                || m.headers().lowerValue("Auto-Submitted").startsWith("auto-generated");
    }

    private static boolean takesNoAnswer(Input m) {
        String local = localPart(m.from().address());
        if (m.from().address().startsWith("@") || local.isEmpty()) {
            return false;
        }
        int extension = local.indexOf('+');
        String plain = (extension > 0 ? local.substring(0, extension) : local).replace("_", "-");
        if (TAKES_NO_ANSWER.contains(plain)) {
            return true;
        }
        if (plain.indexOf('-') < 0 && plain.indexOf('.') < 0) {
            return false;
        }
        for (String name : TAKES_NO_ANSWER) {
            boolean begins = plain.startsWith(name) && isJoint(plain, name.length());
            boolean ends =
                    name.length() > 6 && plain.endsWith(name) && isJoint(plain, plain.length() - name.length() - 1);
            if (begins || ends) {
                return true;
            }
        }
        return false;
    }

    private static boolean isJoint(String local, int at) {
        return at >= 0 && at < local.length() && (local.charAt(at) == '-' || local.charAt(at) == '.');
    }

    private static String localPart(String address) {
        int at = address.indexOf('@');
        return at > 0 ? address.substring(0, at) : "";
    }

    /** Without headers: a subject or a first line that says so, written to nobody in particular. */
    private static boolean saysAway(Input m) {
        if (m.channel() == Channel.CHAT) {
            return AwayText.isOneInChat(m.text());
        }
        String subject = m.subject().strip().toLowerCase(Locale.ROOT);
        for (String away : AWAY_SUBJECTS) {
            if (subject.startsWith(away)) {
                return true;
            }
        }
        return AwayText.isOne(m.text());
    }
}
