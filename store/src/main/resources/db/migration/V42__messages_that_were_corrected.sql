-- What misled the reader is told from the messages that were corrected; few are.
create index message_corrected on message (owner, correction, sent_at);
