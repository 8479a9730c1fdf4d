-- Counts the changes of the shelves, in the same transaction, so that they are read again only when they changed.
create table shelf_version (
  id int primary key,
  version bigint not null
);
insert into shelf_version (id, version) values (1, 1);
