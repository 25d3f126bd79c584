package org.squallnote.formats.table;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * A list in groups, for people to read: as plain text and as HTML.
 *
 * @param heading what the cells of a row are
 */
public record MailedTable(String title, String words, List<String> heading, List<Group> groups) {

    /** Rows that stand together. */
    public record Group(String title, List<List<String>> rows) {

        /** Copies the rows. */
        public Group {
            rows = rows.stream().map(List::copyOf).toList();
        }
    }

    /** Copies the lists. */
    public MailedTable {
        heading = List.copyOf(heading);
        groups = List.copyOf(groups);
    }

    /** As plain text: a line for each row, its further cells behind it where they say something. */
    public String text() {
        List<String> lines = new ArrayList<>();
        if (!words.isBlank()) {
            lines.add(words.strip());
            lines.add("");
        }
        for (Group group : groups) {
            if (!group.title().isBlank()) {
                lines.add(group.title());
            }
            for (List<String> row : group.rows()) {
                lines.add("- " + row.stream().filter(cell -> !cell.isBlank()).collect(Collectors.joining(" \u00b7 ")));
            }
            lines.add("");
        }
        return String.join("\n", lines).strip() + "\n";
    }

    /** As an HTML page with a table that any mail program shows. */
    public String html() {
        Document page = Document.createShell("");
        page.title(title);
        Element body = page.body();
        body.attr("style", "font-family:sans-serif;font-size:14px");
        words.strip().lines().forEach(line -> body.appendElement("p").text(line));
        Element table = body.appendElement("table").attr("style", "border-collapse:collapse");
        Element names = table.appendElement("tr");
        heading.forEach(name -> cell(names.appendElement("th"), name));
        for (Group group : groups) {
            if (!group.title().isBlank()) {
                Element title = table.appendElement("tr").appendElement("th");
                title.attr("colspan", String.valueOf(heading.size()));
                cell(title, group.title());
                title.attr("style", "border-bottom:2px solid #8a8779;padding:10px 8px 3px 0;text-align:left");
            }
            for (List<String> row : group.rows()) {
                Element line = table.appendElement("tr");
                row.forEach(cell -> cell(line.appendElement("td"), cell));
            }
        }
        return page.outerHtml();
    }

    private static void cell(Element cell, String text) {
        cell.attr("style", "border-bottom:1px solid #d9d6cd;padding:4px 12px 4px 0;text-align:left;vertical-align:top");
        cell.text(text);
    }

    /** As rows for other programs, the group in front of each. */
    public String csv() {
        List<String> names = new ArrayList<>(heading);
        names.add(0, "Group");
        List<List<String>> rows = new ArrayList<>();
        for (Group group : groups) {
            for (List<String> row : group.rows()) {
                List<String> cells = new ArrayList<>(row);
                cells.add(0, group.title());
                rows.add(cells);
            }
        }
        return CsvTable.write(names, rows);
    }
}
