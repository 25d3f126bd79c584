package org.squallnote.store.settings;

/** The settings of an account as a row. */
public record SettingsRow(AccountSettings settings) {}
