alter table planned add column block_minutes int;

-- The blocks that stand in a calendar of a server, as they were last written there.
create table block_written (
    follow_up_id uuid not null,
    owner uuid not null references account (id),
    calendar_id uuid not null,
    said varchar(2000) not null,
    primary key (owner, follow_up_id)
);
