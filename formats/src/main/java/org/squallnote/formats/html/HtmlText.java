package org.squallnote.formats.html;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeFilter;
import org.jsoup.select.NodeVisitor;
import org.jspecify.annotations.Nullable;

/**
 * Turns HTML into plain text in which structure stays visible: quotations become lines that start with {@code >}, a
 * signature gets the mark of RFC 3676 section 4.3, what is hidden is left out.
 */
public final class HtmlText {

    /** Longer HTML is cut before it is parsed, in characters. */
    static final int LONGEST_HTML = 3_000_000;

    private static final Pattern HIDDEN =
            Pattern.compile("(?i)display\\s*:\\s*none|visibility\\s*:\\s*hidden|mso-hide\\s*:\\s*all");
    private static final Pattern QUOTE_NAME = Pattern.compile("(?i)quot|cite(?!-prefix)|forwarded|original-?message");
    private static final Pattern SIGNATURE_NAME = Pattern.compile("(?i)signature");

    /** A link that only names a user or a room. */
    private static final Pattern MENTION = Pattern.compile("(?i)^https?://matrix\\.to/#/");

    private static final int LONGEST_BEGINNING = 3_000;
    private static final int MOST_NODES_OF_A_BEGINNING = 300;

    private HtmlText() {}

    /** The text of the body. */
    public static String of(String html) {
        return of(parsed(html));
    }

    /**
     * The text of a formatted chat message (Matrix client-server API, {@code org.matrix.custom.html}): without the
     * message that it repeats, and with the addresses of links behind their words.
     */
    public static String ofChat(String html) {
        Document document = parsed(html);
        document.select("mx-reply").remove();
        for (Element link : document.select("a[href]")) {
            String address = link.attr("href").strip();
            boolean shown = address.matches("(?i)https?://.{1,2000}")
                    && !MENTION.matcher(address).find();
            if (shown && !link.text().strip().equals(address)) {
                link.appendText(" (" + address + ")");
            }
        }
        return of(document);
    }

    private static Document parsed(String html) {
        return Jsoup.parse(html.length() > LONGEST_HTML ? html.substring(0, LONGEST_HTML) : html);
    }

    private static String of(Document document) {
        document.select("script, style, head, title, [hidden]").remove();
        document.select("[style]").removeIf(HtmlText::removeIfHidden);
        Writer writer = new Writer(AnswersInColour.in(document.body()), around(document.select("blockquote")));
        document.body().traverse(writer);
        return writer.text();
    }

    /** The first words of an element, without walking through all of it. */
    static String beginning(Element element) {
        StringBuilder words = new StringBuilder();
        int[] visited = {0};
        element.filter((node, depth) -> {
            if (node instanceof TextNode text) {
                words.append(text.getWholeText()).append(' ');
            }
            boolean enough = words.length() > LONGEST_BEGINNING || ++visited[0] > MOST_NODES_OF_A_BEGINNING;
            return enough ? NodeFilter.FilterResult.STOP : NodeFilter.FilterResult.CONTINUE;
        });
        return words.toString().replace('\u00A0', ' ').strip();
    }

    /** The elements around some others. */
    private static Set<Element> around(List<Element> inner) {
        Set<Element> around = new HashSet<>();
        for (Element element : inner) {
            Element parent = element.parent();
            while (parent != null && around.add(parent)) {
                parent = parent.parent();
            }
        }
        return around;
    }

    private static boolean removeIfHidden(Element element) {
        boolean hidden = HIDDEN.matcher(element.attr("style")).find();
        if (hidden) {
            element.remove();
        }
        return hidden;
    }

    private static final class Writer implements NodeVisitor {

        private final AnswersInColour inColour;
        private final Set<Element> aroundQuotes;
        private final Set<Element> quotes = new HashSet<>();
        private final StringBuilder out = new StringBuilder();

        Writer(AnswersInColour inColour, Set<Element> aroundQuotes) {
            this.inColour = inColour;
            this.aroundQuotes = aroundQuotes;
        }

        private int quoteDepth;
        private boolean spaceDue;

        @Override
        public void head(Node node, int depth) {
            if (node instanceof TextNode text) {
                append(text.getWholeText(), isPreformatted(text.parent()));
            } else if (node instanceof Element element) {
                if (inColour.endsQuotation(element)) {
                    newLine();
                    quoteDepth--;
                } else if (inColour.startsQuotation(element)) {
                    newLine();
                    quoteDepth++;
                } else if (isQuote(element)) {
                    newLine();
                    quotes.add(element);
                    quoteDepth = Math.min(quoteDepth + 1, 20);
                } else if (isSignature(element)) {
                    newLine();
                    append("--", true);
                    newLine();
                } else if (element.normalName().equals("br")) {
                    out.append('\n');
                    spaceDue = false;
                } else if (element.normalName().equals("li")) {
                    newLine();
                    append("- ", true);
                } else if (element.isBlock()) {
                    newLine();
                }
            }
        }

        @Override
        public void tail(Node node, int depth) {
            if (node instanceof Element element) {
                if (inColour.endsQuotation(element)) {
                    newLine();
                    quoteDepth++;
                } else if (quotes.remove(element)) {
                    newLine();
                    quoteDepth = Math.max(quoteDepth - 1, 0);
                } else if (element.normalName().equals("p")
                        || element.normalName().matches("h[1-6]")) {
                    newLine();
                    out.append('\n');
                } else if (element.isBlock()) {
                    newLine();
                } else if (element.normalName().equals("td")) {
                    spaceDue = true;
                }
            }
        }

        /**
         * A quotation, or a container that calls itself one, stands below other words, and holds none: answers may
         * stand between two in it, and a price quotation is no quotation.
         */
        private boolean isQuote(Element element) {
            if (element.normalName().equals("blockquote")) {
                return true;
            }
            return element.normalName().equals("div")
                    && out.length() > 0
                    && QUOTE_NAME
                            .matcher(element.className() + " " + element.id())
                            .find()
                    && !aroundQuotes.contains(element);
        }

        private boolean isSignature(Element element) {
            return SIGNATURE_NAME
                            .matcher(element.className() + " " + element.id())
                            .find()
                    && !aroundQuotes.contains(element)
                    && !beginning(element).isEmpty()
                    && !beginning(element).startsWith("--");
        }

        private static boolean isPreformatted(@Nullable Element element) {
            return element != null
                    && (element.normalName().equals("pre")
                            || element.normalName().equals("textarea"));
        }

        private void append(String text, boolean preformatted) {
            String kept = preformatted ? text : text.replaceAll("[\\s\\u00A0]+", " ");
            for (int i = 0; i < kept.length(); i++) {
                char c = kept.charAt(i);
                if (c == ' ' && !preformatted) {
                    spaceDue = !atLineStart();
                    continue;
                }
                if (atLineStart() && quoteDepth > 0 && c != '\n') {
                    out.append("> ".repeat(quoteDepth));
                } else if (spaceDue) {
                    out.append(' ');
                }
                spaceDue = false;
                out.append(c);
            }
        }

        private boolean atLineStart() {
            return out.length() == 0 || out.charAt(out.length() - 1) == '\n';
        }

        private void newLine() {
            if (!atLineStart()) {
                out.append('\n');
            }
            spaceDue = false;
        }

        private String text() {
            return out.toString().replaceAll("\n{3,}", "\n\n").strip();
        }
    }
}
