create table reminder (
    id uuid primary key,
    owner uuid not null references account (id),
    follow_up_id uuid not null,
    kind varchar(10) not null,
    at timestamp(9) with time zone,
    minutes_before int,
    always boolean not null,
    set_at timestamp(9) with time zone not null,
    shown_at timestamp(9) with time zone,
    settled boolean not null
);
create index reminder_by_owner on reminder (owner, settled);
create index reminder_by_follow_up on reminder (owner, follow_up_id);

-- The meetings that were told of before they began, each once.
create table meeting_told (
    owner uuid not null references account (id),
    uid varchar(500) not null,
    starts_at timestamp(9) with time zone not null,
    title varchar(300) not null,
    place varchar(300) not null,
    settled boolean not null,
    primary key (owner, uid, starts_at)
);
