package org.squallnote.formats.html;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeVisitor;
import org.jspecify.annotations.Nullable;

/** Turns HTML into plain text; quote blocks become lines that start with {@code >}. */
public final class HtmlText {

    /** Longer HTML is cut before it is parsed, in characters. */
    static final int LONGEST_HTML = 3_000_000;

    private HtmlText() {}

    /** The text of the body. */
    public static String of(String html) {
        Document document = Jsoup.parse(html.length() > LONGEST_HTML ? html.substring(0, LONGEST_HTML) : html);
        document.select("script, style, head, title").remove();
        Writer writer = new Writer();
        document.body().traverse(writer);
        return writer.text();
    }

    private static final class Writer implements NodeVisitor {

        private final StringBuilder out = new StringBuilder();
        private int quoteDepth;
        private boolean spaceDue;

        @Override
        public void head(Node node, int depth) {
            if (node instanceof TextNode text) {
                append(text.getWholeText(), isPreformatted(text.parent()));
            } else if (node instanceof Element element) {
                if (isQuote(element)) {
                    newLine();
                    quoteDepth = Math.min(quoteDepth + 1, 20);
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
                if (isQuote(element)) {
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

        private static boolean isQuote(Element element) {
            return element.normalName().equals("blockquote");
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
