-- Where somebody put a follow-up among the others by hand.
create table follow_up_order (
    owner uuid not null references account (id),
    follow_up_id uuid not null,
    hand_rank bigint not null,
    primary key (owner, follow_up_id)
);
-- How the list of follow-ups stands, under a name.
create table arrangement (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(60) not null,
    letter varchar(1) not null,
    facet varchar(20) not null,
    by_hand boolean not null,
    only_those varchar(100000) not null
);
create index arrangement_by_owner on arrangement (owner, name);
