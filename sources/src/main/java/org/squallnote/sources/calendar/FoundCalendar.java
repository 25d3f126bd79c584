package org.squallnote.sources.calendar;

/**
 * A calendar on a server.
 *
 * @param href where it is
 * @param state changes whenever anything in it does: its sync-token or its ctag, by which it is told apart; empty where
 *     the server has neither
 * @param events whether it takes events
 * @param tasks whether it takes tasks, as task lists do
 */
public record FoundCalendar(String href, String name, String state, boolean events, boolean tasks) {}
