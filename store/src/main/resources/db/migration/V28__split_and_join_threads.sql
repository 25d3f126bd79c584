-- What was said by hand of where threads begin: with another message, or on their own.
create table thread_shape (
    owner uuid not null references account (id),
    message_id uuid not null,
    with_message uuid,
    said_at timestamp(9) with time zone not null
);
create index thread_shape_by_message on thread_shape (owner, message_id);
