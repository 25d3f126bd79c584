-- What is kept of people besides their addresses, as vCards bring it.
create table person_card (
    owner uuid not null references account (id),
    id uuid not null,
    address varchar(320) not null,
    name varchar(200) not null,
    organisation varchar(200) not null,
    phones varchar(20000) not null,
    primary key (owner, id)
);
