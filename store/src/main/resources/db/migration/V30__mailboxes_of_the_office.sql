-- What somebody said of a message in a mailbox that several accounts read.
create table office_word (
    address varchar(320) not null,
    message_id varchar(500) not null,
    account uuid not null references account (id),
    state varchar(10) not null,
    said_at timestamp(9) with time zone not null,
    untold boolean not null,
    primary key (address, message_id)
);
create index office_word_untold on office_word (untold);
create index source_by_address on source (address, owner);
