create index message_by_message_id on message (owner, message_id);
