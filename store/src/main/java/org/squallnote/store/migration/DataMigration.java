package org.squallnote.store.migration;

import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.JavaMigration;
import org.jspecify.annotations.Nullable;

/** A change to stored data in its place among the migrations, in one transaction. */
abstract class DataMigration implements JavaMigration {

    private final String version;
    private final String description;

    DataMigration(String version, String description) {
        this.version = version;
        this.description = description;
    }

    @Override
    public final MigrationVersion getVersion() {
        return MigrationVersion.fromVersion(version);
    }

    @Override
    public final String getDescription() {
        return description;
    }

    @Override
    public final @Nullable Integer getChecksum() {
        return null;
    }

    @Override
    public final boolean canExecuteInTransaction() {
        return true;
    }
}
