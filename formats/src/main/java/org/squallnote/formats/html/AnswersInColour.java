package org.squallnote.formats.html;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/**
 * Finds answers that somebody wrote in another colour into the message they answer, which stands below a block of
 * header lines without being marked as a quotation. Only where the words above say so ("my answers in red below"):
 * else colour is decoration.
 */
final class AnswersInColour {

    private static final Pattern SAID = Pattern.compile(
            "(?i)\\b(below|inline|in-line|in (red|blue|green|purple|colou?r|bold)|within your (text|mail|message)|embedded)\\b");
    private static final Pattern HEADER_LINES = Pattern.compile(
            "(?is)^\\W*(from|von|de)\\s*:.{1,400}\\b(sent|date|gesendet|envoy.|datum)\\s*:.{1,400}\\b(to|subject|an|betreff|objet)\\s*:");
    private static final Pattern COLOUR = Pattern.compile("(?i)(?:^|;|\\s)color\\s*:\\s*([^;]+)");
    private static final Set<String> PLAIN = Set.of(
            "black",
            "#000",
            "#000000",
            "windowtext",
            "inherit",
            "initial",
            "currentcolor",
            "rgb(0,0,0)",
            "#111111",
            "#222222",
            "#333333",
            "#333",
            "#212121",
            "#1f497d",
            "gray",
            "grey",
            "#666666",
            "#888888");

    private static final int LONGEST_ABOVE = 3_000;
    private static final int MOST_LEVELS = 60;
    private static final int MOST_BLOCKS = 2_000;
    private static final AnswersInColour NONE = new AnswersInColour(Optional.empty(), List.of());

    private final Optional<Element> start;
    private final Set<Element> answers;

    private AnswersInColour(Optional<Element> start, List<Element> coloured) {
        this.start = start;
        this.answers = new HashSet<>(coloured);
    }

    static AnswersInColour in(Element body) {
        if (!SAID.matcher(HtmlText.beginning(body)).find()) {
            return NONE;
        }
        Element header = null;
        List<Element> blocks = body.select("div, p, td");
        for (Element element : blocks.subList(0, Math.min(blocks.size(), MOST_BLOCKS))) {
            if (header == null && startsHeader(element)) {
                header = innermost(element);
            }
        }
        if (header == null || !SAID.matcher(textBefore(body, header)).find()) {
            return NONE;
        }
        List<Element> all = body.getAllElements();
        Set<Element> before = new HashSet<>(all.subList(0, all.indexOf(header)));
        List<Element> coloured = all.stream()
                .filter(element -> !before.contains(element) && isColoured(element) && !isInside(element))
                .limit(MOST_BLOCKS)
                .toList();
        return coloured.isEmpty() ? NONE : new AnswersInColour(Optional.of(header), coloured);
    }

    private static boolean startsHeader(Element element) {
        return HEADER_LINES.matcher(HtmlText.beginning(element)).find();
    }

    private static Element innermost(Element element) {
        Element inner = element;
        boolean deeper = true;
        while (deeper) {
            deeper = false;
            for (Element child : inner.children()) {
                if (startsHeader(child)) {
                    inner = child;
                    deeper = true;
                    break;
                }
            }
        }
        return inner;
    }

    private static String textBefore(Element body, Element header) {
        String all = body.text();
        int at = all.indexOf(header.text());
        return at < 0 ? "" : all.substring(0, Math.min(at, LONGEST_ABOVE));
    }

    private static boolean isColoured(Element element) {
        String colour = element.normalName().equals("font") ? element.attr("color") : "";
        Matcher style = COLOUR.matcher(element.attr("style"));
        if (style.find()) {
            colour = style.group(1);
        }
        String plain = colour.strip().toLowerCase(Locale.ROOT).replace(" ", "");
        return !plain.isEmpty()
                && !PLAIN.contains(plain)
                && !element.normalName().equals("a")
                && element.hasText();
    }

    private static boolean isInside(Element element) {
        Element parent = element.parent();
        for (int level = 0; parent != null && level < MOST_LEVELS; level++, parent = parent.parent()) {
            if (isColoured(parent)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the message that is answered begins with this element; it goes to the end. */
    boolean startsQuotation(Element element) {
        return start.filter(element::equals).isPresent();
    }

    /** Whether the element is an answer inside of it. */
    boolean endsQuotation(Element element) {
        return answers.contains(element);
    }
}
