-- What scripts show to act for an account; only its hash is kept.
create table access_token (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(100) not null,
    token_hash varchar(64) not null,
    scopes varchar(200) not null,
    created_at timestamp(9) with time zone not null,
    expires_at timestamp(9) with time zone not null,
    last_used_at timestamp(9) with time zone,
    constraint access_token_hash unique (token_hash)
);
create index access_token_by_owner on access_token (owner, created_at, id);

-- What happened, for those outside who follow it; forgotten after a while.
create table event (
    seq bigint generated always as identity primary key,
    owner uuid not null references account (id),
    at timestamp(9) with time zone not null,
    kind varchar(40) not null,
    command_id uuid,
    message_id uuid references message (id),
    label varchar(400) not null,
    subjects varchar(8000) not null,
    topics varchar(1000) not null
);
create index event_by_owner on event (owner, seq);
create index event_by_time on event (owner, at);
create index event_by_message on event (message_id);
create index event_by_command on event (command_id);
create index recipe_run_by_message on recipe_run (message_id);

-- Where events are sent, and how far each of these has come.
create table webhook (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(100) not null,
    url varchar(2000) not null,
    sealed_secret varbinary(1000) not null,
    only varchar(1000) not null,
    created_at timestamp(9) with time zone not null,
    delivered_up_to bigint not null,
    attempts int not null,
    next_at timestamp(9) with time zone,
    problem varchar(400) not null,
    stopped boolean not null,
    last_taken_at timestamp(9) with time zone
);
create index webhook_by_owner on webhook (owner, created_at, id);
