-- What a follow-up waits for, and from when on while it does.
alter table follow_up add column waiting varchar(4000);
alter table follow_up add column waits_since timestamp(9) with time zone;
create index follow_up_by_waiting on follow_up (owner, waits_since);
