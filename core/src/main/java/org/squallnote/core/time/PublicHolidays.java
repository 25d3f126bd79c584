package org.squallnote.core.time;

import de.focus_shift.jollyday.core.CalendarHierarchy;
import de.focus_shift.jollyday.core.Holiday;
import de.focus_shift.jollyday.core.HolidayManager;
import de.focus_shift.jollyday.core.HolidayType;
import de.focus_shift.jollyday.core.ManagerParameters;
import java.time.LocalDate;
import java.time.Year;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Public holidays by region, from the calendars that come with the library Jollyday. A region is a country code of
 * ISO 3166-1 ({@code gb}) with, where there are, its parts ({@code gb-eng}, {@code de-by}).
 */
public final class PublicHolidays implements Holidays {

    /** Years that are kept; a calendar is asked about a few around now. */
    private static final int MOST_YEARS = 40;

    private static final Map<String, PublicHolidays> BY_REGION = new ConcurrentHashMap<>();

    private final HolidayManager manager;
    private final String[] parts;
    private final Map<Integer, Map<LocalDate, String>> byYear = new ConcurrentHashMap<>();

    private PublicHolidays(String region) {
        String[] codes = region.split("-");
        this.manager = HolidayManager.getInstance(ManagerParameters.create(codes[0]));
        this.parts = codes.length > 1 ? java.util.Arrays.copyOfRange(codes, 1, codes.length) : new String[0];
    }

    /**
     * A region.
     *
     * @param code its code
     * @param name what it is called in English
     */
    public record Region(String code, String name) {}

    /**
     * The holidays of a region.
     *
     * @param region its code; empty for none
     * @throws IllegalArgumentException when there is no such region
     */
    public static Holidays of(String region) {
        String code = region.strip().toLowerCase(Locale.ROOT);
        if (code.isEmpty()) {
            return NONE;
        }
        PublicHolidays known = BY_REGION.get(code);
        if (known != null) {
            return known;
        }
        if (!isKnown(code)) {
            throw new IllegalArgumentException("There is no region " + region);
        }
        return BY_REGION.computeIfAbsent(code, PublicHolidays::new);
    }

    private static boolean isKnown(String code) {
        String[] codes = code.split("-");
        boolean country = HolidayManager.getSupportedCalendarCodes().stream().anyMatch(codes[0]::equalsIgnoreCase);
        return country
                && (codes.length == 1
                        || (codes.length == 2
                                && HolidayManager.getInstance(ManagerParameters.create(codes[0]))
                                        .getCalendarHierarchy()
                                        .getChildren()
                                        .keySet()
                                        .stream()
                                        .anyMatch(codes[1]::equalsIgnoreCase)));
    }

    /** All regions, by name; parts stand behind their country. */
    public static List<Region> regions() {
        return Regions.ALL;
    }

    @Override
    public Optional<String> on(LocalDate day) {
        if (byYear.size() > MOST_YEARS) {
            byYear.clear();
        }
        return Optional.ofNullable(
                byYear.computeIfAbsent(day.getYear(), this::ofYear).get(day));
    }

    private Map<LocalDate, String> ofYear(int year) {
        Map<LocalDate, String> names = new ConcurrentHashMap<>();
        for (Holiday holiday : manager.getHolidays(Year.of(year), parts)) {
            if (holiday.getType() == HolidayType.PUBLIC_HOLIDAY) {
                names.merge(holiday.getDate(), holiday.getDescription(Locale.ENGLISH), (a, b) -> a);
            }
        }
        return names;
    }

    /** Read once, when somebody chooses. */
    private static final class Regions {

        static final List<Region> ALL = read();

        private static List<Region> read() {
            List<Region> regions = new ArrayList<>();
            for (String country : HolidayManager.getSupportedCalendarCodes()) {
                String code = country.toLowerCase(Locale.ROOT);
                String name = new Locale.Builder()
                        .setRegion(code.length() == 2 ? code : "")
                        .build()
                        .getDisplayCountry(Locale.ENGLISH);
                if (code.length() == 2 && !name.isBlank()) {
                    regions.add(new Region(code, name));
                    addParts(regions, code, name);
                }
            }
            regions.sort(Comparator.comparing(Region::name));
            return List.copyOf(regions);
        }

        private static void addParts(List<Region> regions, String country, String countryName) {
            CalendarHierarchy hierarchy = HolidayManager.getInstance(ManagerParameters.create(country))
                    .getCalendarHierarchy();
            hierarchy
                    .getChildren()
                    .forEach((id, part) -> regions.add(new Region(
                            country + "-" + id.toLowerCase(Locale.ROOT),
                            countryName + ", " + part.getDescription(Locale.ENGLISH))));
        }
    }
}
