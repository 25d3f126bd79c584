-- Passkeys (WebAuthn): public keys only; the private ones never leave the devices.
create table passkey (
    id uuid primary key,
    owner uuid not null references account (id),
    credential_id varbinary(1023) not null,
    label varchar(100) not null,
    host varchar(255) not null,
    public_key varbinary(4000) not null,
    signature_count bigint not null,
    verified boolean not null,
    transports varchar(200) not null,
    backup_eligible boolean not null,
    backed_up boolean not null,
    attestation varbinary(20000) not null,
    client_data varbinary(10000) not null,
    created_at timestamp(9) with time zone not null,
    last_used_at timestamp(9) with time zone not null,
    constraint passkey_once unique (credential_id)
);
create index passkey_of_owner on passkey (owner, created_at);

-- Whom a draft goes to besides, as far as it is typed.
alter table draft add column to_all boolean default false not null;
alter table draft add column copies varchar(20000) default '' not null;
alter table draft add column hidden varchar(20000) default '' not null;
create index outbox_by_message on outbox (owner, message_id, kind);
