-- What has changed and is to be looked up by new words; a row goes when the index has it on its disk.
create table search_pending (
    seq bigint generated always as identity primary key,
    owner uuid not null,
    what varchar(10) not null,
    subject_id uuid not null
);
create table kept_search (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(100) not null,
    words varchar(500) not null,
    filter varchar(4000) not null
);
create index kept_search_by_owner on kept_search (owner, name);
