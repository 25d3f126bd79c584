-- What was said by hand of messages that counted as answers.
create table answer_word (
    owner uuid not null references account (id),
    message_id uuid not null,
    kind varchar(20) not null,
    missing varchar(2000) not null,
    primary key (message_id, owner)
);
-- What is no answer from somebody from a moment on: a kind of message by its words, empty for bare acknowledgements.
create table answer_rule (
    owner uuid not null references account (id),
    party varchar(320) not null,
    pattern varchar(300) not null,
    since timestamp(9) with time zone not null,
    primary key (owner, party, pattern)
);
-- The message that closes a thread in which nobody owes anything, and the day of the first promise of mine.
alter table thread add column closing_word uuid;
alter table thread add column promise_on date;
create index thread_by_promise on thread (owner, promise_on, since, id);
create index thread_by_closing_word on thread (owner, turn, closing_word);
-- How much a thread is mine, as was said by hand.
alter table thread add column attention varchar(20) default 'MINE' not null;
