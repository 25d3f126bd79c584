-- The form of a state changes over the years; what was written in an older one is read by its version.
alter table history add column state_version int default 1 not null;

-- What pages count and list, without looking at everything that an account has.
create index message_in_source on message (owner, source_id);
create index follow_up_by_end on follow_up (owner, ended_at);

-- Nothing ever read it.
alter table command drop column result;
