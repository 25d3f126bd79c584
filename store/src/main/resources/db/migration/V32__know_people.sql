create table person_address (
    owner uuid not null references account (id),
    address varchar(320) not null,
    person varchar(320) not null,
    primary key (owner, address)
);
create table person_note (
    owner uuid not null references account (id),
    id uuid not null,
    address varchar(320) not null,
    note varchar(20000) not null,
    talk varchar(100000) not null,
    primary key (owner, id)
);
