-- What queries asked of a text or of JSON stands in columns of its own; the application computes it.
alter table message add column has_files boolean default false not null;
alter table message add column unlinked_reply boolean default false not null;
alter table message add column subject_pattern varchar(300) default '' not null;

update message set
    has_files = (files <> '{"list":[]}'),
    unlinked_reply = (refs = '{"list":[]}' and lower(subject) <> base_subject),
    subject_pattern = substring(regexp_replace(base_subject, '[0-9]+', '#'), 1, 300);

create index message_by_subject_pattern on message (owner, decision, subject_pattern);
