package org.squallnote.store.type;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * A record as JSON text in a column, for lists that are only ever read and written whole.
 *
 * @param <T> the record
 */
final class JsonTypeHandler<T> extends BaseTypeHandler<T> {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private final Class<T> type;

    JsonTypeHandler(Class<T> type) {
        this.type = type;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, T value, @Nullable JdbcType jdbcType)
            throws SQLException {
        statement.setString(i, JSON.writeValueAsString(value));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet result, String column) throws SQLException {
        return read(result.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet result, int column) throws SQLException {
        return read(result.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    private @Nullable T read(@Nullable String json) {
        return json == null ? null : JSON.readValue(json, type);
    }
}
