-- Follow-ups that come one after the other; the row goes when the series ends, and what was done stays.
create table series (
    id uuid primary key,
    owner uuid not null references account (id),
    repetition varchar(1000) not null,
    pattern varchar(100000) not null,
    since date not null,
    -- The follow-up that stands for it now, and which time of it that is.
    current_id uuid not null,
    at_time varchar(200) not null
);
create unique index series_by_current on series (owner, current_id);
