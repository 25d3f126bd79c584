package org.squallnote.core.takein;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.squallnote.core.dates.DateContext;

/** Guesses what the columns of a table say, from their headings and from what stands in them. */
public final class Columns {

    /** So many rows are looked at. */
    private static final int LOOKED_AT = 200;

    private static final Map<String, Column> BY_HEADING = new HashMap<>();

    static {
        say(Column.TITLE, "title,task,subject,summary,what,to do,todo,action,action item,item,follow-up,follow up");
        say(Column.TITLE, "titel,aufgabe,betreff,was,titre,tâche,objet,onderwerp,taak,título,tarea,asunto");
        say(
                Column.REPLY_BY,
                "due,due date,due on,deadline,reply by,answer by,by,by when,date,until,end,end date,target date");
        say(
                Column.REPLY_BY,
                "fällig,fällig am,fälligkeit,frist,bis,datum,termin,échéance,date limite,vervaldatum,fecha");
        say(Column.REPLY_BY, "fecha límite,vencimiento");
        say(Column.START, "start,start date,begin,begins,not before,from date,beginn,début,inicio,startdatum");
        say(Column.CATEGORY, "category,categories,project,list,label,labels,tag,tags,area,kategorie,projekt,catégorie");
        say(Column.CATEGORY, "projet,categorie,categoría,proyecto");
        say(Column.EFFORT, "effort,duration,estimate,minutes,hours,time needed,aufwand,dauer,durée,duur,duración");
        say(Column.EFFORT, "estimated minutes,effort in minutes,effort in hours,estimated time");
        say(Column.PRIORITY, "priority,prio,importance,urgency,priorität,wichtigkeit,priorité,prioriteit,prioridad");
        say(
                Column.PERSON,
                "person,people,who,contact,contacts,with,name,from,requester,customer,client,for,wer,kontakt");
        say(Column.PERSON, "personne,contactpersoon,persona,contacto,responsible,assignee,assigned to");
        say(Column.PLACE, "place,location,where,ort,wo,lieu,plaats,lugar");
        say(Column.NOTE, "note,notes,comment,comments,details,description,body,remark,remarks,notiz,notizen,bemerkung");
        say(Column.NOTE, "beschreibung,kommentar,remarque,commentaire,opmerking,nota,notas,comentario");
        say(Column.STEPS, "steps,checklist,subtasks,schritte,étapes,stappen,pasos");
        say(Column.STATE, "state,status,done,completed,complete,finished,closed,erledigt,terminé,klaar,hecho,estado");
    }

    private Columns() {}

    private static void say(Column column, String headings) {
        Arrays.stream(headings.split(",")).forEach(heading -> BY_HEADING.put(heading, column));
    }

    /** Whether the first row names the columns; where no word of it is known, it does if it holds no date and no number. */
    public static boolean isHeading(List<Row> rows, DateContext dates) {
        if (rows.isEmpty()) {
            return false;
        }
        List<String> first = rows.get(0).cells();
        if (first.stream().anyMatch(cell -> BY_HEADING.containsKey(key(cell)))) {
            return true;
        }
        boolean plain = first.stream()
                .noneMatch(
                        cell -> cell.strip().matches("[\\d.,:/-]+") || isDate(cell.strip(), dates) || cell.isBlank());
        return plain && rows.size() > 1 && first.size() > 1 && holdsDates(rows.subList(1, rows.size()), dates);
    }

    private static boolean holdsDates(List<Row> rows, DateContext dates) {
        int width = rows.get(0).cells().size();
        return IntStream.range(0, width).anyMatch(column -> isOfDates(cells(rows, column), dates));
    }

    /**
     * What each column says. At most one is the title, and there is one in any table that has a word in it.
     *
     * @param heading empty where the table has none
     */
    public static List<Column> guess(List<String> heading, List<Row> rows, DateContext dates) {
        int width = Math.max(
                heading.size(),
                rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0));
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            Column said =
                    i < heading.size() ? BY_HEADING.getOrDefault(key(heading.get(i)), Column.NOTHING) : Column.NOTHING;
            boolean taken = said != Column.NOTE && columns.contains(said);
            columns.add(taken ? Column.NOTHING : said);
        }
        for (int i = 0; i < width && !columns.contains(Column.REPLY_BY); i++) {
            if (columns.get(i) == Column.NOTHING && isOfDates(cells(rows, i), dates)) {
                columns.set(i, Column.REPLY_BY);
            }
        }
        if (!columns.contains(Column.TITLE)) {
            wordiest(columns, rows).ifPresent(column -> columns.set(column, Column.TITLE));
        }
        return List.copyOf(columns);
    }

    /** Of the columns that could be the title the one with the most to read; a description rather than nothing. */
    private static OptionalInt wordiest(List<Column> columns, List<Row> rows) {
        return IntStream.range(0, columns.size())
                .filter(i -> columns.get(i) == Column.NOTHING || columns.get(i) == Column.NOTE)
                .filter(i -> cells(rows, i).stream().anyMatch(cell -> cell.matches(".*\\p{L}.*")))
                .reduce((one, other) -> letters(cells(rows, other)) > letters(cells(rows, one)) ? other : one);
    }

    private static int letters(List<String> cells) {
        return cells.stream().mapToInt(cell -> Math.min(cell.length(), 120)).sum();
    }

    private static boolean isOfDates(List<String> cells, DateContext dates) {
        long of = cells.stream().filter(cell -> isDate(cell, dates)).count();
        return of > 0 && of * 5 >= cells.size() * 4L;
    }

    private static boolean isDate(String cell, DateContext dates) {
        return cell.matches(".*\\d.*")
                && !cell.matches("\\d+")
                && CellDates.read(cell, dates.monthFirst(), ZoneOffset.UTC, dates)
                        .isPresent();
    }

    /** What stands in a column, without the empty cells. */
    static List<String> cells(List<Row> rows, int column) {
        return rows.stream()
                .limit(LOOKED_AT)
                .map(row -> row.cell(column))
                .filter(cell -> !cell.isEmpty())
                .toList();
    }

    private static String key(String heading) {
        return heading.toLowerCase(Locale.ROOT)
                .replace('_', ' ')
                .replaceAll("\\([^()]*\\)|\\[[^\\[\\]]*]|[:*?]", "")
                .strip();
    }
}
