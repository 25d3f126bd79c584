create table account (
    id uuid primary key,
    sign_in varchar(200) not null,
    name varchar(200) not null,
    password_hash varchar(200) not null,
    zone varchar(60) not null,
    administrator boolean not null,
    created_at timestamp(9) with time zone not null,
    constraint account_sign_in unique (sign_in)
);

-- How an account works: names, working hours, days off. Without a row, the usual ones hold.
create table account_settings (
    owner uuid primary key references account (id),
    settings varchar(100000) not null
);

-- Small things that an account has chosen: its keys, its capture address.
create table preference (
    owner uuid not null references account (id),
    name varchar(40) not null,
    setting varchar(20000) not null,
    primary key (owner, name)
);

-- What is often written, with fields to fill.
create table phrase (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(60) not null,
    text varchar(8000) not null
);
create index phrase_by_owner on phrase (owner, name);

-- What the user has said about everything from one address or list.
create table party_rule (
    owner uuid not null references account (id),
    party varchar(320) not null,
    asks varchar(10),
    reply_days int,
    past_intake boolean not null,
    made_at timestamp(9) with time zone not null,
    primary key (owner, party)
);

create table source (
    id uuid primary key,
    owner uuid not null references account (id),
    channel varchar(10) not null,
    name varchar(200) not null,
    address varchar(320) not null,
    settings varchar(8000) not null,
    secret varbinary(8000) not null,
    days_back int not null,
    archive_rule varchar(20) not null,
    added_at timestamp(9) with time zone not null,
    status varchar(20) not null,
    status_text varchar(1000) not null,
    progress_done int not null,
    progress_total int not null,
    removed_at timestamp(9) with time zone,
    version int not null
);
create index source_by_owner on source (owner);

-- How far a folder of a mail account, or the whole of a chat account, has been read.
create table source_cursor (
    source_id uuid not null references source (id),
    scope varchar(500) not null,
    owner uuid not null,
    uid_validity bigint not null,
    token varchar(4000) not null,
    primary key (source_id, scope)
);

-- Stretches of a chat room that are still to be read backwards.
create table chat_gap (
    source_id uuid not null references source (id),
    room_id varchar(300) not null,
    token varchar(1000) not null,
    owner uuid not null,
    primary key (source_id, room_id, token)
);

create table chat_room (
    source_id uuid not null references source (id),
    room_id varchar(300) not null,
    owner uuid not null,
    name varchar(300) not null,
    direct boolean not null,
    members varchar(400000) not null,
    primary key (source_id, room_id)
);

create table thread (
    id uuid primary key,
    owner uuid not null references account (id),
    channel varchar(10) not null,
    subject varchar(1000) not null,
    room_id varchar(300),
    turn varchar(20) not null,
    since timestamp(9) with time zone,
    by_message uuid,
    debts varchar(400000) not null,
    awaited varchar(400000) not null,
    reopened_by uuid,
    last_message_at timestamp(9) with time zone not null,
    message_count int not null,
    hand_turn varchar(20),
    hand_reason varchar(20),
    hand_at timestamp(9) with time zone,
    hand_last_known timestamp(9) with time zone,
    version int not null
);
create index thread_by_turn on thread (owner, turn, since);

create table message (
    id uuid primary key,
    owner uuid not null references account (id),
    source_id uuid not null references source (id),
    channel varchar(10) not null,
    identity varchar(700) not null,
    direction varchar(10) not null,
    nature varchar(20) not null,
    from_name varchar(200) not null,
    from_address varchar(320) not null,
    recipients varchar(1000000) not null,
    subject varchar(1000) not null,
    base_subject varchar(500) not null,
    sent_at timestamp(9) with time zone not null,
    received_at timestamp(9) with time zone not null,
    body varchar(1000000) not null,
    asks_me boolean not null,
    ask varchar(1000) not null,
    has_html boolean not null,
    files varchar(400000) not null,
    notices varchar(8000) not null,
    message_id varchar(500) not null,
    refs varchar(200000) not null,
    room_id varchar(300),
    answers varchar(300),
    component uuid not null,
    thread_id uuid not null,
    decision varchar(20) not null,
    decided_at timestamp(9) with time zone,
    put_off_until date,
    mentions varchar(8000) not null,
    list_address varchar(320),
    reply_day date,
    reply_time time,
    reply_firm boolean not null,
    correction varchar(10),
    edited boolean not null,
    removed boolean not null,
    version int not null,
    constraint message_identity unique (owner, identity)
);
create index message_in_intake on message (owner, decision, sent_at);
create index message_in_thread on message (owner, thread_id, sent_at);
create index message_in_component on message (owner, component);
create index message_by_subject on message (owner, base_subject, sent_at);
create index message_by_writer on message (owner, from_address);
create index message_in_room on message (owner, room_id, sent_at);

-- What the engine found in a message, as far as whose turn it is depends on it: a cache.
create table reading (
    message_id uuid primary key references message (id),
    owner uuid not null,
    version varchar(80) not null,
    facts varchar(100000) not null
);
create index reading_by_version on reading (owner, version);

create table message_raw (
    message_id uuid primary key references message (id),
    owner uuid not null,
    raw blob not null
);

-- Where a message stands in a mail account. A message that is moved gets another place, not another row in message.
create table message_place (
    source_id uuid not null references source (id),
    folder varchar(500) not null,
    uid_validity bigint not null,
    uid bigint not null,
    owner uuid not null,
    message_id uuid not null references message (id),
    primary key (source_id, folder, uid_validity, uid)
);
create index message_place_by_message on message_place (message_id);

-- Every Message-ID that was seen or referred to, and the group of connected messages it belongs to.
create table message_link (
    owner uuid not null,
    identity varchar(500) not null,
    component uuid not null,
    primary key (owner, identity)
);
create index message_link_by_component on message_link (owner, component);

create table reaction (
    owner uuid not null,
    event_id varchar(300) not null,
    target varchar(300) not null,
    sender varchar(320) not null,
    content varchar(100) not null,
    sent_at timestamp(9) with time zone not null,
    primary key (owner, event_id)
);
create index reaction_by_target on reaction (owner, target);

create table category (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(60) not null,
    hue varchar(20) not null,
    monogram varchar(4) not null,
    letter varchar(1),
    place int not null,
    reply_days int,
    retired_at timestamp(9) with time zone,
    version int not null
);
create index category_by_owner on category (owner, place);

create table follow_up (
    id uuid primary key,
    owner uuid not null references account (id),
    title varchar(300) not null,
    category_id uuid references category (id),
    reply_day date,
    reply_time time,
    firm boolean not null,
    effort_minutes int,
    for_reply boolean not null,
    start_day date,
    place varchar(60) not null,
    people varchar(40000) not null,
    checklist varchar(200000) not null,
    note varchar(20000) not null,
    answer_seen uuid,
    state varchar(10) not null,
    created_at timestamp(9) with time zone not null,
    ended_at timestamp(9) with time zone,
    version int not null
);
create index follow_up_by_state on follow_up (owner, state);
create index follow_up_by_category on follow_up (owner, category_id);

create table follow_up_message (
    follow_up_id uuid not null references follow_up (id),
    message_id uuid not null references message (id),
    owner uuid not null,
    linked_at timestamp(9) with time zone not null,
    sentence varchar(1000) not null,
    snapshot varchar(1000000) not null,
    primary key (follow_up_id, message_id)
);
create index follow_up_message_by_message on follow_up_message (owner, message_id);

create table command (
    id uuid primary key,
    owner uuid not null references account (id),
    kind varchar(40) not null,
    label varchar(400) not null,
    done_at timestamp(9) with time zone not null,
    result varchar(100000) not null,
    undone_by uuid,
    undo_of uuid
);
create index command_by_owner on command (owner, done_at);

create table history (
    id uuid primary key,
    owner uuid not null references account (id),
    command_id uuid not null references command (id),
    step int not null,
    subject_type varchar(20) not null,
    subject_id uuid not null,
    actor varchar(200) not null,
    at timestamp(9) with time zone not null,
    before_state varchar(1048576),
    after_state varchar(1048576)
);
create index history_by_command on history (command_id, step);
create index history_by_subject on history (owner, subject_id, at);

create table outbox (
    id uuid primary key,
    owner uuid not null references account (id),
    source_id uuid not null references source (id),
    command_id uuid not null,
    kind varchar(20) not null,
    identity varchar(500) not null,
    message_id uuid,
    payload clob not null,
    state varchar(20) not null,
    not_before timestamp(9) with time zone not null,
    attempts int not null,
    last_error varchar(1000) not null,
    created_at timestamp(9) with time zone not null,
    finished_at timestamp(9) with time zone,
    constraint outbox_identity unique (source_id, kind, identity)
);
create index outbox_due on outbox (source_id, state, not_before);
create index outbox_by_owner on outbox (owner, state);
create index outbox_by_command on outbox (command_id);

create table draft (
    owner uuid not null references account (id),
    message_id uuid not null references message (id),
    text varchar(1000000) not null,
    saved_at timestamp(9) with time zone not null,
    primary key (owner, message_id)
);

-- What was handed over by mail, so that whoever got it can say in this installation whether they take it.
create table hand_over (
    identity varchar(500) primary key,
    giver uuid not null references account (id),
    giver_message uuid not null,
    taker_address varchar(320) not null,
    state varchar(20) not null,
    word varchar(2000) not null,
    offered_at timestamp(9) with time zone not null
);
create index hand_over_by_message on hand_over (giver, giver_message);

create table recipe (
    id uuid primary key,
    owner uuid not null references account (id),
    name varchar(60) not null,
    letter varchar(1),
    place int not null,
    automatic boolean not null,
    conditions varchar(20000) not null,
    steps varchar(60000) not null,
    version int not null
);
create index recipe_by_owner on recipe (owner, place);

create table recipe_run (
    command_id uuid primary key,
    owner uuid not null references account (id),
    recipe_id uuid not null,
    recipe_name varchar(60) not null,
    message_id uuid not null,
    automatic boolean not null,
    about varchar(1000) not null,
    at timestamp(9) with time zone not null
);
create index recipe_run_by_owner on recipe_run (owner, at);

-- Files that an answer will carry; those of a sent one are kept while it can be taken back.
create table draft_file (
    id uuid primary key,
    owner uuid not null references account (id),
    message_id uuid not null references message (id),
    name varchar(255) not null,
    type varchar(200) not null,
    size int not null,
    content blob not null,
    sent_by uuid,
    added_at timestamp(9) with time zone not null
);
create index draft_file_by_message on draft_file (owner, message_id);

-- Edits and removals of chat events, kept because reading backwards meets them before what they change.
create table chat_change (
    owner uuid not null,
    event_id varchar(300) not null,
    target varchar(300) not null,
    sender varchar(320) not null,
    removal boolean not null,
    body varchar(100000) not null,
    sent_at timestamp(9) with time zone not null,
    primary key (owner, event_id)
);
create index chat_change_by_target on chat_change (owner, target, sent_at);
