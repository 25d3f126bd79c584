-- Until when an answer is wanted, in the account's zone: the order of what asks. Reading again makes it exact.
alter table message add wanted_by timestamp(0);
update message set wanted_by = cast(coalesce(reply_day, cast(sent_at as date)) as timestamp) where asks_me = true or nature = 'BOUNCE';
create index message_by_wanted on message (owner, decision, wanted_by);
