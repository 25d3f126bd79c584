package org.squallnote.core.settings;

/** The settings of an account as a row. */
public record SettingsRow(AccountSettings settings) {}
