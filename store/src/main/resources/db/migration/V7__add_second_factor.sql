-- The secret of an account's second factor, encrypted with the key file; it counts once a code has been given.
create table second_factor (
    owner uuid primary key references account (id),
    secret varbinary(400) not null,
    confirmed boolean not null,
    last_step bigint not null
);

-- Codes for the day the device is lost: a digest of each, gone once it was used.
create table recovery_code (
    owner uuid not null references account (id),
    digest varchar(64) not null,
    primary key (owner, digest)
);
