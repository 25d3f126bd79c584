-- Files are a source of their own kind and no mail account without an address.
alter table source alter column channel rename to kind;
update source set kind = 'FILES' where address = '';
