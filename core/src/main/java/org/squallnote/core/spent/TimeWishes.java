package org.squallnote.core.spent;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * How an account wants spent time to be told.
 *
 * @param currency as it stands beside amounts; empty where nothing is billed
 * @param rates what an hour costs, by category
 */
public record TimeWishes(Rounding rounding, String currency, List<Rate> rates) {

    /** As it was measured, and nothing billed. */
    public static final TimeWishes USUAL = new TimeWishes(Rounding.NONE, "", List.of());

    /**
     * What an hour costs.
     *
     * @param category null for what has none
     */
    public record Rate(@Nullable UUID category, BigDecimal perHour) {}

    /** Copies the rates. */
    public TimeWishes {
        currency = currency.strip();
        rates = List.copyOf(rates);
    }

    /** What an hour of a category costs; absent where it is not billed. */
    Optional<BigDecimal> rateOf(@Nullable UUID category) {
        return rates.stream()
                .filter(rate -> category == null ? rate.category() == null : category.equals(rate.category()))
                .map(Rate::perHour)
                .findFirst();
    }
}
