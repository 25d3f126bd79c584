-- The bytes of a large mail lie in a file beside the database, named after their SHA-256.
create table message_content (
    message_id uuid primary key references message (id),
    owner uuid not null,
    sha256 varchar(64) not null,
    size bigint not null
);
