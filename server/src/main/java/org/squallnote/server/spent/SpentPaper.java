package org.squallnote.server.spent;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.squallnote.formats.paged.PagedDocument;
import org.squallnote.formats.table.CsvTable;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.spent.SpentTimes.SpentGroup;
import org.squallnote.server.spent.SpentTimes.SpentLine;
import org.squallnote.server.spent.SpentTimes.SpentView;

/** The time that was spent, for whoever pays for it: on paper and as a table. */
final class SpentPaper {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);
    private static final BigDecimal MINUTES_OF_AN_HOUR = BigDecimal.valueOf(60);
    private static final int HOUR = 60;

    /** Day, time and what it was spent on. */
    private static final int BEFORE_NUMBERS = 3;

    private SpentPaper() {}

    /** Writes it as PDF. */
    static void write(SignedIn me, SpentView view, Instant now, OutputStream to) throws IOException {
        boolean billed = view.amount() != null;
        PagedDocument paper = new PagedDocument(
                "Time spent, " + days(view.from(), view.to()),
                "The time that was spent, with what it was spent on",
                "Made for " + me.name() + " on " + DAY.format(now.atZone(me.zoneId())));
        paper.add("p", me.name() + ", " + me.zone() + (view.isRounded() ? ". Measured time stands in brackets." : "."));
        if (view.groups().isEmpty()) {
            paper.add("p", "No time was spent in these days.");
        }
        for (SpentGroup group : view.groups()) {
            paper.add("h2", group.title());
            Element body = table(paper, view, "Day", "Time", "What");
            for (SpentLine line : group.lines()) {
                List<String> cells = new ArrayList<>(List.of(
                        DAY.format(line.day()),
                        TIME.format(line.from()) + "\u2013" + TIME.format(line.to()),
                        line.title() + (line.person().isEmpty() ? "" : " (" + line.person() + ")"),
                        spent(line.rounded(), line.minutes())));
                if (billed) {
                    cells.add(amount(line.amount()));
                }
                numbers(PagedDocument.row(body, cells), BEFORE_NUMBERS);
            }
            sum(body, "Together", group.rounded(), group.minutes(), group.amount(), billed);
        }
        if (view.groups().size() > 1) {
            paper.add("h2", "All of it");
            Element body = table(paper, view, "", "", "");
            for (SpentGroup group : view.groups()) {
                sum(body, group.title(), group.rounded(), group.minutes(), group.amount(), billed);
            }
            sum(body, "Together", view.rounded(), view.minutes(), view.amount(), billed);
        }
        paper.write(to);
    }

    /** All tables have the same columns, one below the other. */
    private static Element table(PagedDocument paper, SpentView view, String... names) {
        List<String> heading = new ArrayList<>(List.of(names));
        heading.add("Hours");
        if (view.amount() != null) {
            heading.add(view.currency().isEmpty() ? "Amount" : view.currency());
        }
        Element body = paper.table(heading);
        Element table = body.parent();
        if (table != null) {
            numbers(table.addClass("hours").child(0).child(0), BEFORE_NUMBERS);
        }
        return body;
    }

    private static void sum(
            Element body, String title, int rounded, int minutes, @Nullable BigDecimal amount, boolean billed) {
        List<String> cells = new ArrayList<>(List.of(title, spent(rounded, minutes)));
        if (billed) {
            cells.add(amount(amount));
        }
        Element row = PagedDocument.row(body, cells).addClass("sum");
        row.child(0).attr("colspan", String.valueOf(BEFORE_NUMBERS));
        numbers(row, 1);
    }

    private static void numbers(Element row, int from) {
        row.children().subList(from, row.childrenSize()).forEach(cell -> cell.addClass("number"));
    }

    /** As a table (RFC 4180): a row for each line, with hours as decimals. */
    static String csv(SpentView view) {
        List<List<String>> rows = new ArrayList<>();
        for (SpentGroup group : view.groups()) {
            for (SpentLine line : group.lines()) {
                rows.add(List.of(
                        line.day().toString(),
                        TIME.format(line.from()),
                        TIME.format(line.to()),
                        line.title(),
                        line.category(),
                        line.person(),
                        String.valueOf(line.minutes()),
                        String.valueOf(line.rounded()),
                        hours(line.rounded()).toPlainString(),
                        amount(line.amount()),
                        line.amount() == null ? "" : view.currency()));
            }
        }
        return CsvTable.write(
                List.of(
                        "Day",
                        "From",
                        "To",
                        "Follow-up",
                        "Category",
                        "For",
                        "Minutes measured",
                        "Minutes",
                        "Hours",
                        "Amount",
                        "Currency"),
                rows);
    }

    private static BigDecimal hours(int minutes) {
        return BigDecimal.valueOf(minutes).divide(MINUTES_OF_AN_HOUR, 2, RoundingMode.HALF_UP);
    }

    private static String days(LocalDate from, LocalDate to) {
        return from.equals(to) ? DAY.format(from) : DAY.format(from) + " to " + DAY.format(to);
    }

    private static String spent(int rounded, int minutes) {
        return rounded == minutes ? clock(rounded) : clock(rounded) + " (" + clock(minutes) + ")";
    }

    private static String clock(int minutes) {
        return "%d:%02d".formatted(minutes / HOUR, minutes % HOUR);
    }

    private static String amount(@Nullable BigDecimal amount) {
        return amount == null ? "" : amount.setScale(2, RoundingMode.HALF_UP).toPlainString();
    }
}
