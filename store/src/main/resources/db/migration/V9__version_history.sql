-- The form of a state changes over the years; what was written in an older one is read by its version.
alter table history add column state_version int default 1 not null;

-- Nothing ever read it.
alter table command drop column result;
