package org.squallnote.core.chase;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.text.Language;
import org.squallnote.core.turn.Awaited;

/** The draft of a reminder: what was asked and when, what was promised, and a day by which it is wanted. */
public final class ChaseLetter {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEEE, d MMMM", Locale.UK);

    /** Longer asks are cut in what is quoted. */
    private static final int LONGEST_ASK = 240;

    /**
     * The words of reminders, with fields: {@code {name}} theirs, {@code {asks}} what is open, {@code {day}} by when it is
     * wanted, {@code {me}} mine.
     *
     * @param first of the first reminder
     * @param second of the second one
     * @param last of every further one
     */
    public record Words(String first, String second, String last) {

        /** Until somebody writes their own. */
        public static final Words USUAL = new Words("""
                Hello {name},

                may I remind you of this?

                {asks}

                A line is enough if it takes longer.

                Kind regards
                {me}""", """
                Hello {name},

                this is still open, and I need it to go on:

                {asks}

                Could you let me have it by {day}? If it takes longer, please tell me until when.

                Kind regards
                {me}""", """
                Hello {name},

                I have asked for this several times, and now depend on your answer:

                {asks}

                Please let me know by {day}, or tell me who else can help.

                Kind regards
                {me}""");

        /** What a language begins with, until somebody writes their own. */
        public static Words usual(Language language) {
            return switch (language) {
                case ENGLISH -> USUAL;
                case GERMAN ->
                    new Words(
                            "Guten Tag {name},\n\ndarf ich Sie hieran erinnern?\n\n{asks}\n\nEine Zeile genügt, wenn es länger"
                                    + " dauert.\n\nFreundliche Grüße\n{me}",
                            "Guten Tag {name},\n\ndies ist noch offen, und ich brauche es, um weiterzukommen:\n\n{asks}\n\n"
                                    + "Können Sie es mir bis {day} schicken? Wenn es länger dauert, sagen Sie mir bitte, bis"
                                    + " wann.\n\nFreundliche Grüße\n{me}",
                            "Guten Tag {name},\n\nich habe mehrmals danach gefragt und bin jetzt auf Ihre Antwort"
                                    + " angewiesen:\n\n{asks}\n\nBitte melden Sie sich bis {day}, oder sagen Sie mir, wer sonst"
                                    + " helfen kann.\n\nFreundliche Grüße\n{me}");
                case FRENCH ->
                    new Words(
                            "Bonjour {name},\n\npuis-je vous rappeler ceci ?\n\n{asks}\n\nUne ligne suffit s'il faut plus de"
                                    + " temps.\n\nCordialement\n{me}",
                            "Bonjour {name},\n\nceci est encore en attente, et j'en ai besoin pour avancer :\n\n{asks}\n\n"
                                    + "Pourriez-vous me répondre d'ici {day} ? S'il faut plus de temps, dites-moi jusqu'à"
                                    + " quand.\n\nCordialement\n{me}",
                            "Bonjour {name},\n\nje l'ai demandé plusieurs fois et je dépends maintenant de votre réponse"
                                    + " :\n\n{asks}\n\nMerci de me répondre d'ici {day}, ou de me dire qui d'autre peut"
                                    + " aider.\n\nCordialement\n{me}");
                case DUTCH ->
                    new Words(
                            "Dag {name},\n\nmag ik u hieraan herinneren?\n\n{asks}\n\nEen regel is genoeg als het langer"
                                    + " duurt.\n\nMet vriendelijke groet\n{me}",
                            "Dag {name},\n\ndit staat nog open en ik heb het nodig om verder te kunnen:\n\n{asks}\n\nKunt u"
                                    + " het mij voor {day} sturen? Als het langer duurt, zeg mij dan tot wanneer.\n\nMet"
                                    + " vriendelijke groet\n{me}",
                            "Dag {name},\n\nik heb hier meermaals naar gevraagd en ben nu van uw antwoord"
                                    + " afhankelijk:\n\n{asks}\n\nLaat het mij voor {day} weten, of zeg mij wie anders kan"
                                    + " helpen.\n\nMet vriendelijke groet\n{me}");
                case SPANISH ->
                    new Words(
                            "Hola {name}:\n\n¿puedo recordarle esto?\n\n{asks}\n\nBasta una línea si necesita más"
                                    + " tiempo.\n\nUn saludo\n{me}",
                            "Hola {name}:\n\nesto sigue pendiente y lo necesito para continuar:\n\n{asks}\n\n¿Podría"
                                    + " enviármelo antes del {day}? Si tarda más, dígame hasta cuándo.\n\nUn saludo\n{me}",
                            "Hola {name}:\n\nlo he pedido varias veces y ahora dependo de su respuesta:\n\n{asks}\n\nPor"
                                    + " favor, respóndame antes del {day} o dígame quién más puede ayudar.\n\nUn saludo\n{me}");
                case ITALIAN ->
                    new Words(
                            "Buongiorno {name},\n\nposso ricordarle questo?\n\n{asks}\n\nBasta una riga se serve più"
                                    + " tempo.\n\nCordiali saluti\n{me}",
                            "Buongiorno {name},\n\nquesto è ancora aperto e mi serve per proseguire:\n\n{asks}\n\nPuò"
                                    + " mandarmelo entro {day}? Se serve più tempo, mi dica fino a quando.\n\nCordiali"
                                    + " saluti\n{me}",
                            "Buongiorno {name},\n\nl'ho chiesto più volte e ora dipendo dalla sua risposta:\n\n{asks}\n\nMi"
                                    + " risponda entro {day}, oppure mi dica chi altro può aiutare.\n\nCordiali"
                                    + " saluti\n{me}");
            };
        }

        /** Those for somebody who was reminded so often before. */
        String after(int chases) {
            return chases <= 0 ? first : chases == 1 ? second : last;
        }
    }

    private static final String IDENTITY = "chase.";

    private ChaseLetter() {}

    /** The Message-ID of a reminder begins so: it is known as one wherever it is read again. */
    public static String identity(String rest) {
        return IDENTITY + rest;
    }

    /** Whether a mail of mine is a reminder that was written here. */
    public static boolean isReminder(String messageId) {
        return messageId.startsWith(IDENTITY);
    }

    /**
     * The draft.
     *
     * @param language of the words, in which dates are written too
     * @param name how they are addressed, such as their given name
     * @param open what they owe me, the oldest first; of several threads in one letter
     * @param wantedBy the day by which it is wanted
     * @param me my name
     */
    public static String draft(
            Words words,
            Language language,
            String name,
            List<Awaited> open,
            LocalDate wantedBy,
            ZoneId zone,
            String me) {
        int chases = open.stream().mapToInt(Awaited::chases).max().orElse(0);
        String asks = open.stream().map(one -> ask(one, language, zone)).collect(Collectors.joining("\n\n"));
        return words.after(chases)
                .replace(name.isEmpty() ? " {name}" : "{name}", name)
                .replace("{asks}", asks)
                .replace("{day}", weekday(language).format(wantedBy))
                .replace("{me}", me)
                .strip();
    }

    /** The same in a chat, where it is one line. */
    public static String inChat(String name, List<Awaited> open, ZoneId zone) {
        String asks = open.stream()
                .map(one -> one.what().isBlank()
                        ? "my message of " + DAY.format(one.since().atZone(zone))
                        : "“" + quoted(one.what()) + "” ("
                                + DAY.format(one.since().atZone(zone)) + ")")
                .collect(Collectors.joining(", "));
        return "@" + name + ", is there any news on this? " + asks;
    }

    /** As it is written in a language, with the year where that belongs to it. */
    private static DateTimeFormatter day(Language language) {
        return language == Language.ENGLISH
                ? DAY
                : DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(language.locale());
    }

    private static DateTimeFormatter weekday(Language language) {
        return language == Language.ENGLISH
                ? WEEKDAY
                : DateTimeFormatter.ofLocalizedDate(FormatStyle.FULL).withLocale(language.locale());
    }

    private static String ask(Awaited one, Language language, ZoneId zone) {
        List<String> said = new ArrayList<>();
        String day = day(language).format(one.since().atZone(zone));
        if (language != Language.ENGLISH) {
            // A date and what was said are understood in every language.
            return "> " + day + (one.what().isBlank() ? "" : ": \u201c" + quoted(one.what()) + "\u201d");
        }
        if (one.what().isBlank()) {
            said.add("> my message of " + day);
        } else {
            // Who promised it unasked said it; else it was I who asked.
            boolean theirs = one.promised() && one.lastMine().isEmpty();
            said.add("> on " + day + (theirs ? " you wrote: “" : " I asked: “") + quoted(one.what()) + "”");
        }
        Optional.of(one)
                .filter(Awaited::promised)
                .flatMap(Awaited::by)
                .ifPresent(by -> said.add("> You had hoped to have it by " + DAY.format(by) + "."));
        return String.join("\n", said);
    }

    private static String quoted(String ask) {
        return Beginning.onOneLine(ask, LONGEST_ASK);
    }

    /** Their given name, where they are known by name; else nothing that could be wrong. */
    public static String givenName(String name) {
        String first = name.strip().split("[\\s,]+")[0];
        return name.contains("@") || first.isEmpty() ? "" : first;
    }
}
