-- What lies with a follow-up: files, whose bytes lie beside the database, addresses, and other follow-ups.
create table follow_up_file (
    id uuid primary key,
    owner uuid not null references account (id),
    follow_up_id uuid not null,
    name varchar(255) not null,
    type varchar(200) not null,
    sha256 varchar(64) not null,
    size bigint not null,
    added_at timestamp(9) with time zone not null,
    -- One that was taken away is kept for a while, so that it can be brought back.
    removed_at timestamp(9) with time zone
);
create index follow_up_file_by_follow_up on follow_up_file (owner, follow_up_id);
create table follow_up_web_link (
    id uuid primary key,
    owner uuid not null references account (id),
    follow_up_id uuid not null,
    url varchar(2000) not null,
    title varchar(300) not null
);
create index follow_up_web_link_by_follow_up on follow_up_web_link (owner, follow_up_id);
create table follow_up_relation (
    id uuid primary key,
    owner uuid not null references account (id),
    follow_up_id uuid not null,
    other_id uuid not null,
    kind varchar(20) not null
);
create index follow_up_relation_by_follow_up on follow_up_relation (owner, follow_up_id);
create index follow_up_relation_by_other on follow_up_relation (owner, other_id);
