package org.squallnote.core.people;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What the lines under a letter say of its writer: telephone numbers and their organisation. */
public record SignatureLines(List<Phone> phones, String organisation) {

    private static final int LONGEST = 100;
    private static final int MOST_LINES = 20;
    private static final int FEWEST_DIGITS = 7;
    private static final int MOST_DIGITS = 15;

    private static final Pattern NUMBER = Pattern.compile("\\+?\\(?\\d[\\d ()/.\\-\u2013]{5,22}\\d");
    private static final Pattern NO_NUMBER = Pattern.compile("https?://|www\\.|@|\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern WORD = Pattern.compile("\\P{L}+");

    /** Words before a number that say what it reaches; the trade's own abbreviations. */
    private static final Map<String, String> KINDS = Map.ofEntries(
            Map.entry("m", "mobile"),
            Map.entry("mob", "mobile"),
            Map.entry("mobile", "mobile"),
            Map.entry("mobil", "mobile"),
            Map.entry("cell", "mobile"),
            Map.entry("handy", "mobile"),
            Map.entry("f", "fax"),
            Map.entry("fax", "fax"),
            Map.entry("t", "work"),
            Map.entry("tel", "work"),
            Map.entry("telephone", "work"),
            Map.entry("telefon", "work"),
            Map.entry("phone", "work"),
            Map.entry("office", "work"),
            Map.entry("direct", "work"),
            Map.entry("p", "work"));

    /** Numbers that no telephone has. */
    private static final Set<String> OTHER_NUMBERS =
            Set.of("vat", "reg", "registered", "registration", "company", "iban", "account", "invoice", "ref", "hrb");

    private static final Set<String> LEGAL_FORMS = Set.of(
            "ltd",
            "limited",
            "llp",
            "plc",
            "llc",
            "inc",
            "gmbh",
            "ag",
            "kg",
            "ug",
            "bv",
            "nv",
            "sa",
            "sarl",
            "srl",
            "spa",
            "ab",
            "oy",
            "aps",
            "as",
            "co",
            "council",
            "association",
            "trust",
            "university",
            "office");

    /** Copies the list. */
    public SignatureLines {
        phones = List.copyOf(phones);
    }

    /**
     * Reads the lines of a signature.
     *
     * @param writer who wrote the letter
     * @param address from where, by whose domain an organisation is known
     */
    public static SignatureLines of(List<String> lines, String writer, String address) {
        Map<String, Phone> phones = new LinkedHashMap<>();
        String organisation = "";
        Set<String> house = houseWords(address);
        Set<String> name = Set.of(WORD.split(writer.toLowerCase(Locale.ROOT)));
        for (String line : lines.subList(0, Math.min(MOST_LINES, lines.size()))) {
            if (line.length() > LONGEST) {
                continue;
            }
            phonesIn(line).forEach(phone -> phones.putIfAbsent(phone.digits(), phone));
            if (organisation.isEmpty()) {
                organisation = organisationIn(line, house, name);
            }
        }
        return new SignatureLines(List.copyOf(phones.values()), organisation);
    }

    private static List<Phone> phonesIn(String line) {
        List<Phone> found = new ArrayList<>();
        Matcher number = NUMBER.matcher(line);
        int before = 0;
        while (number.find()) {
            String words = line.substring(before, number.start()).toLowerCase(Locale.ROOT);
            before = number.end();
            int digits = (int) number.group().chars().filter(Character::isDigit).count();
            List<String> said = Arrays.stream(WORD.split(words))
                    .filter(word -> !word.isEmpty())
                    .toList();
            boolean other = said.stream().anyMatch(OTHER_NUMBERS::contains)
                    || NO_NUMBER.matcher(words + number.group()).find();
            if (digits >= FEWEST_DIGITS && digits <= MOST_DIGITS && !other) {
                String kind = said.isEmpty() ? "" : KINDS.getOrDefault(said.get(said.size() - 1), "");
                found.add(new Phone(number.group().strip(), kind));
            }
        }
        return found;
    }

    /** The words of a domain that say whose it is: of brandt-cranes.example these are brandt and cranes. */
    private static Set<String> houseWords(String address) {
        String domain = address.substring(address.indexOf('@') + 1).toLowerCase(Locale.ROOT);
        int dot = domain.lastIndexOf('.');
        return Arrays.stream(WORD.split(dot < 0 ? "" : domain.substring(0, dot)))
                .filter(word -> word.length() > 2)
                .collect(Collectors.toSet());
    }

    /** The part of a line that names the writer's house: by its legal form, or since its domain is called so. */
    private static String organisationIn(String line, Set<String> house, Set<String> name) {
        if (line.contains("@") || line.contains("://") || NUMBER.matcher(line).find()) {
            return "";
        }
        for (String part : line.split("\\s*[|•·]\\s*|,\\s+|\\s+[\u2013-]\\s+")) {
            List<String> words = Arrays.stream(WORD.split(part.toLowerCase(Locale.ROOT)))
                    .filter(word -> !word.isEmpty())
                    .toList();
            long own = words.stream().filter(house::contains).count();
            boolean form = words.size() > 1 && words.stream().anyMatch(LEGAL_FORMS::contains);
            boolean named = own > 0 && !name.containsAll(words);
            if (Character.isUpperCase(part.isEmpty() ? ' ' : part.charAt(0)) && (form || named)) {
                return part.strip();
            }
        }
        return "";
    }
}
