-- What mails say of meetings (iTIP): each as it was said; what counts is worked out of all that was said of one.
create table scheduling (
    message_id uuid primary key references message (id) on delete cascade,
    owner uuid not null,
    uid varchar(500) not null,
    sender varchar(320) not null,
    what varchar(300000) not null,
    body varchar(300000) not null
);
create index scheduling_by_uid on scheduling (owner, uid);

-- What I have answered, and the calendar that it was put into.
create table invitation_answer (
    id uuid primary key,
    owner uuid not null references account (id),
    uid varchar(500) not null,
    recurrence_id varchar(40) not null,
    participation varchar(20) not null,
    message_id uuid not null,
    calendar_id uuid
);
create unique index invitation_answer_by_uid on invitation_answer (owner, uid, recurrence_id);

create index calendar_object_by_uid on calendar_object (owner, uid);
