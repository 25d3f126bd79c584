-- What was noted of a follow-up after it had ended.
create table record_note (
    owner uuid not null references account (id),
    follow_up_id uuid not null,
    note varchar(4000) not null,
    primary key (owner, follow_up_id)
);
