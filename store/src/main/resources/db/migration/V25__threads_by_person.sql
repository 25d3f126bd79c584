-- What is open with each person in a thread: what I owe them, or what they owe me.
create table thread_party (
    owner uuid not null references account (id),
    thread_id uuid not null,
    party varchar(320) not null,
    mine boolean not null,
    name varchar(200) not null,
    on_day date,
    since timestamp(9) with time zone not null,
    primary key (owner, thread_id, mine, party)
);
create index thread_party_by_party on thread_party (owner, mine, party, on_day, since, thread_id, name);
