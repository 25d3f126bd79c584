alter table follow_up add column priority varchar(10) default 'NORMAL' not null;

-- A calendar of a source, or a file that was taken in.
create table calendar (
    id uuid primary key,
    owner uuid not null references account (id),
    source_id uuid not null references source (id),
    href varchar(2000) not null,
    name varchar(200) not null,
    counts varchar(10) not null,
    sync_token varchar(2000) not null,
    read_at timestamp(9) with time zone not null,
    -- In which zone the times of its events were worked out, and how far.
    worked_in varchar(60) not null,
    worked_to timestamp(9) with time zone not null,
    version int not null
);
create index calendar_by_owner on calendar (owner, source_id);

-- All that a calendar says of one event.
create table calendar_object (
    calendar_id uuid not null references calendar (id),
    href varchar(700) not null,
    owner uuid not null,
    uid varchar(500) not null,
    etag varchar(500) not null,
    body varchar(1000000) not null,
    primary key (calendar_id, href)
);

-- When it takes place: worked out of the objects, and never changed by itself.
create table meeting (
    calendar_id uuid not null references calendar (id),
    href varchar(700) not null,
    owner uuid not null,
    uid varchar(500) not null,
    title varchar(300) not null,
    place varchar(300) not null,
    starts_at timestamp(9) with time zone not null,
    ends_at timestamp(9) with time zone not null,
    all_day boolean not null,
    tentative boolean not null,
    opaque boolean not null
);
create index meeting_by_time on meeting (owner, ends_at);
create index meeting_by_object on meeting (calendar_id, href);

-- What is to be worked at on which day.
create table planned (
    follow_up_id uuid primary key references follow_up (id) on delete cascade,
    owner uuid not null,
    on_day date not null,
    band varchar(10) not null,
    place_by_hand int,
    starts_at time
);
create index planned_by_day on planned (owner, on_day);

-- How long a follow-up was worked at; one that is under way has no end.
create table stint (
    id uuid primary key,
    owner uuid not null references account (id),
    follow_up_id uuid not null references follow_up (id) on delete cascade,
    started_at timestamp(9) with time zone not null,
    ended_at timestamp(9) with time zone
);
create index stint_by_follow_up on stint (owner, follow_up_id);
create index stint_under_way on stint (owner, ended_at);
