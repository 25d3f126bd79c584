package org.squallnote.store.type;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/** A moment, stored in UTC; the JDBC way by {@code Timestamp} would be ambiguous in the hour that a clock change repeats. */
final class InstantTypeHandler extends BaseTypeHandler<Instant> {

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, Instant value, @Nullable JdbcType type)
            throws SQLException {
        statement.setObject(i, value.atOffset(ZoneOffset.UTC));
    }

    @Override
    public @Nullable Instant getNullableResult(ResultSet result, String column) throws SQLException {
        return instant(result.getObject(column, OffsetDateTime.class));
    }

    @Override
    public @Nullable Instant getNullableResult(ResultSet result, int column) throws SQLException {
        return instant(result.getObject(column, OffsetDateTime.class));
    }

    @Override
    public @Nullable Instant getNullableResult(CallableStatement call, int column) throws SQLException {
        return instant(call.getObject(column, OffsetDateTime.class));
    }

    private static @Nullable Instant instant(@Nullable OffsetDateTime value) {
        return value == null ? null : value.toInstant();
    }
}
