create index message_by_time on message (owner, sent_at);
create index stint_by_start on stint (owner, started_at);
