package org.squallnote.core.recipe;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.Recipients;

/** A message as far as a recipe's conditions look at it. */
public record RecipeCandidate(
        UUID id,
        String fromName,
        String fromAddress,
        @Nullable String listAddress,
        @Nullable String roomId,
        String subject,
        String body,
        Nature nature,
        Recipients recipients,
        Files files,
        boolean asksMe,
        Instant sentAt) {}
