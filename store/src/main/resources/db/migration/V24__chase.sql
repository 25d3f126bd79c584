-- What readings and threads say more of since then; everything is read again in the background.
update reading set facts = replace(facts, '"returnsOn":', '"asks":{},"answersLater":false,"agrees":false,"plans":false,"fulfils":false,"handsTo":[],"returnsOn":');
update thread set awaited = replace(awaited, '"openToAll":false}', '"openToAll":false,"answered":null,"lastMine":null,"chases":0,"returnsOn":null}');
update thread set awaited = replace(awaited, '"openToAll":true}', '"openToAll":true,"answered":null,"lastMine":null,"chases":0,"returnsOn":null}');

-- When somebody is to be reminded, as it follows from the messages; and the day chosen by hand instead.
alter table thread add column chase_on date;
alter table thread add column chase_hand date;
-- By when I owe something, at the earliest.
alter table thread add column owe_by timestamp(9);
create index thread_by_chase on thread (owner, chase_on, since, id);
-- Each list in its order.
drop index thread_by_turn;
create index thread_by_turn on thread (owner, turn, since, id);
create index thread_by_turn_and_day on thread (owner, turn, owe_by nulls last, since, id);
create index thread_by_turn_newest on thread (owner, turn, since desc, id);
create index thread_by_turn_and_chase on thread (owner, turn, chase_on, since, id);

-- How long people took to answer me.
create table answer_time (
    owner uuid not null references account (id),
    party varchar(320) not null,
    ask uuid not null,
    thread_id uuid not null,
    asked_at timestamp(9) with time zone not null,
    answered_at timestamp(9) with time zone not null,
    primary key (owner, party, ask)
);
create index answer_time_by_party on answer_time (owner, party, answered_at desc);
create index answer_time_by_thread on answer_time (owner, thread_id);

-- Reminders on their way out: whoever answers meanwhile gets none.
create table chase (
    owner uuid not null references account (id),
    thread_id uuid not null,
    party varchar(320) not null,
    source_id uuid not null,
    identity varchar(300) not null,
    primary key (owner, thread_id, party, identity)
);
create index chase_by_identity on chase (owner, identity);
