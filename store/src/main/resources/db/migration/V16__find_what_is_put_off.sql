-- What comes back on a later day is few among what waits.
create index message_put_off on message (owner, put_off_until);
