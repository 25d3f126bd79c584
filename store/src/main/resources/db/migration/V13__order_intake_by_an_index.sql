-- A message knows its heap, so that Intake's order is read from an index and counting touches no row.
alter table message add column heap varchar(20) default 'AUTOMATIC' not null;

update message set heap = case
    when asks_me or nature in ('BOUNCE', 'INVITATION') then 'ASKS_YOU'
    when nature = 'PERSON' then 'TO_READ'
    else 'AUTOMATIC' end;

drop index message_in_intake;
drop index message_by_wanted;
create index message_waiting on message (owner, decision, heap, wanted_by nulls last, sent_at, id, put_off_until);
create index message_waiting_newest on message (owner, decision, heap, sent_at desc, id, put_off_until);
