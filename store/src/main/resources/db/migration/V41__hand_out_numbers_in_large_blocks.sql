-- Each block of numbers costs a commit of its own; at the usual 32 those were half of all commits of an import.
alter table search_pending alter column seq set cache 4096;
alter table event alter column seq set cache 1024;
