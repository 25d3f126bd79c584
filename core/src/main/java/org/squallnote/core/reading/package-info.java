/**
 * What a message says: whose it is, which sentences are the writer's own, what they ask and of whom, by when, what they
 * promise, confirm or take back. Every finding carries the stretch of text that led to it.
 *
 * <p>How it works, in the order of the work:
 *
 * <ol>
 *   <li>{@link org.squallnote.core.message.NatureRules} decides who is behind the message.
 *   <li>{@link org.squallnote.core.reading.OwnWords} leaves out quotations, forwarded blocks and the signature.
 *   <li>The rest is cut into sentences, a sentence into clauses (between any marks or conjunctions) and units (between
 *       strong marks or conjunctions).
 *   <li>Asks are found by rules ({@code asks.rules}), by the form of a question and by bare imperatives; courtesies,
 *       small talk, rhetorical questions and reported speech ({@code no-asks.rules}) take them back, each within its clause.
 *   <li>Whom an ask is for follows from the name called in its sentence, else the last one called in the paragraph, else
 *       the one greeted above, else from how the message was delivered.
 *   <li>A date is a deadline when a word says so, or when a word of giving governs it; the nearest verb or event noun
 *       before it decides.
 * </ol>
 *
 * <p>Where the rules of the job are silent: a greeting to all in a room makes requests everybody's, but leaves a question
 * without "you" open to all; a mail that names me neither in To nor in Cc and comes from no list counts as one to me,
 * since an alias delivered it; a sentence that says only a date right after an ask dates that ask.
 */
@NullMarked
package org.squallnote.core.reading;

import org.jspecify.annotations.NullMarked;
