-- Where accounts are signed in; the tables that Spring Session works with.
create table spring_session (
    primary_id char(36) primary key,
    session_id char(36) not null,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);
create unique index spring_session_by_id on spring_session (session_id);
create index spring_session_by_expiry on spring_session (expiry_time);
create index spring_session_by_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes varbinary(100000) not null,
    primary key (session_primary_id, attribute_name)
);

-- What holds for the whole installation, whoever is signed in.
create table installation (
    name varchar(40) primary key,
    setting varchar(4000) not null
);
