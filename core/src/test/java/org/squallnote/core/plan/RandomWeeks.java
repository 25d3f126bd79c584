package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.squallnote.core.followup.Priority;

/** Weeks with too much and too little to do in them. */
final class RandomWeeks {

    static final LocalDate FIRST = LocalDate.of(2026, 3, 2);

    private final Random random;

    RandomWeeks(long seed) {
        random = new Random(seed);
    }

    List<Room> rooms() {
        List<Room> rooms = new ArrayList<>();
        for (int day = 0; day < 3 + random.nextInt(10); day++) {
            rooms.add(new Room(FIRST.plusDays(day), random.nextInt(4) == 0 ? 0 : random.nextInt(60)));
        }
        return rooms;
    }

    List<Work> works(int days) {
        List<Work> works = new ArrayList<>();
        for (int i = random.nextInt(18); i > 0; i--) {
            LocalDate earliest = day(random.nextInt(2) == 0 ? 1 : days);
            Optional<LocalDate> due = random.nextInt(6) == 0 ? Optional.empty() : Optional.of(day(days + 2));
            Optional<LocalDate> planned = random.nextInt(2) == 0 ? Optional.empty() : Optional.of(day(days));
            works.add(new Work(
                    new UUID(random.nextLong(), i),
                    1 + random.nextInt(40),
                    random.nextBoolean(),
                    Priority.values()[random.nextInt(3)],
                    earliest,
                    due,
                    planned,
                    planned.isPresent() && random.nextInt(5) == 0));
        }
        return works;
    }

    private LocalDate day(int days) {
        return FIRST.plusDays(random.nextInt(days));
    }
}
