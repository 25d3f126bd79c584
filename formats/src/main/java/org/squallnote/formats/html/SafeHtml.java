package org.squallnote.formats.html;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.owasp.html.CssSchema;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;

/**
 * The HTML of a message made safe to show in a frame of its own.
 *
 * <p>Only what is on the list survives: text, tables, lists, links, pictures and harmless styles. Scripts, forms,
 * frames and event handlers are gone. Pictures from other servers are left out until the reader asks for them;
 * pictures that came with the message are named by their address, once served however often they are shown. Style attributes are moved into one style sheet, so that the
 * page can be served without allowing inline styles.
 *
 * @param body the content of the body element
 * @param styles the style sheet for it
 * @param remotePictures how many pictures would have to be fetched from elsewhere
 */
public record SafeHtml(String body, String styles, int remotePictures) {

    private static final String NOT_LOADED = "data-not-loaded";

    private static final PolicyFactory POLICY = new HtmlPolicyBuilder()
            .allowCommonBlockElements()
            .allowCommonInlineFormattingElements()
            .allowElements(
                    "a",
                    "img",
                    "table",
                    "thead",
                    "tbody",
                    "tfoot",
                    "tr",
                    "td",
                    "th",
                    "caption",
                    "colgroup",
                    "col",
                    "pre",
                    "hr",
                    "center",
                    "font",
                    "dl",
                    "dt",
                    "dd",
                    "address",
                    "abbr")
            .allowUrlProtocols("http", "https", "mailto", "tel", "cid")
            .allowAttributes("href")
            .onElements("a")
            .allowAttributes("src", "alt", "title")
            .onElements("img")
            .allowAttributes("width", "height")
            .matching(Pattern.compile("[0-9]{1,4}%?"))
            .onElements("img", "table", "td", "th", "col")
            .allowAttributes("align", "valign", "colspan", "rowspan", "border", "cellpadding", "cellspacing", "bgcolor")
            .matching(Pattern.compile("[#0-9a-zA-Z%]{1,20}"))
            .onElements("table", "tr", "td", "th", "thead", "tbody", "p", "div", "h1", "h2", "h3", "h4", "img")
            .allowAttributes("color", "size", "face")
            .onElements("font")
            .allowAttributes("dir", "lang", "title")
            .globally()
            .allowStyling(CssSchema.DEFAULT)
            .toFactory();

    /**
     * Makes a body safe.
     *
     * @param addressOf the address at which a picture of the message is served, by its content id
     * @param loadRemote whether the reader asked for the pictures from other servers
     */
    public static SafeHtml of(String html, Function<String, Optional<String>> addressOf, boolean loadRemote) {
        String bounded = html.length() > HtmlText.LONGEST_HTML ? html.substring(0, HtmlText.LONGEST_HTML) : html;
        Document document = Jsoup.parseBodyFragment(POLICY.sanitize(bounded));
        document.outputSettings().prettyPrint(false);
        int remote = 0;
        for (Element image : document.select("img")) {
            String source = image.attr("src").strip();
            if (source.toLowerCase(Locale.ROOT).startsWith("cid:")) {
                showOwnPicture(image, addressOf.apply(source.substring(4)));
            } else if (!source.toLowerCase(Locale.ROOT).matches("https?://.*")) {
                leaveOut(image); // A way into this application, or nothing at all.
            } else {
                remote++;
                if (!loadRemote) {
                    leaveOut(image);
                }
            }
        }
        for (Element link : document.select("a[href]")) {
            link.attr("target", "_blank").attr("rel", "noopener noreferrer nofollow");
        }
        document.select("[style*=url]").removeAttr("style");
        String styles = extractStyles(document);
        return new SafeHtml(document.body().html(), styles, remote);
    }

    private static void showOwnPicture(Element image, Optional<String> address) {
        if (address.isPresent()) {
            image.attr("src", address.get());
        } else {
            leaveOut(image);
        }
    }

    private static void leaveOut(Element image) {
        image.removeAttr("src").attr(NOT_LOADED, "");
        if (!image.hasAttr("alt")) {
            image.attr("alt", "");
        }
    }

    private static String extractStyles(Document document) {
        Map<String, String> classOfStyle = new LinkedHashMap<>();
        for (Element element : document.select("[style]")) {
            // A style sheet cannot be closed from within: the sanitiser has already dropped angle brackets.
            String style = element.attr("style").replaceAll("[<>{}\\\\]", "");
            element.removeAttr("style");
            element.addClass(classOfStyle.computeIfAbsent(style, key -> "s" + classOfStyle.size()));
        }
        StringBuilder sheet = new StringBuilder();
        classOfStyle.forEach((style, name) ->
                sheet.append('.').append(name).append('{').append(style).append("}\n"));
        return sheet.toString();
    }
}
