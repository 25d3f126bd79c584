-- The secret address under which an account's own dates can be read by other programs.
create table feed (
    owner uuid primary key references account (id),
    token_hash varchar(64) not null,
    sealed_token varbinary(500) not null
);
create unique index feed_by_token on feed (token_hash);
