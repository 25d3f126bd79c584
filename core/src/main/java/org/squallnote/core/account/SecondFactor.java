package org.squallnote.core.account;

/**
 * The second factor of an account.
 *
 * @param secret encrypted
 * @param confirmed whether a right code was given, from when on one is asked for
 * @param lastStep the time step of the last code that was taken; none of it or before is taken again
 */
public record SecondFactor(byte[] secret, boolean confirmed, long lastStep) {}
