-- What evenings began with, each different one once, packed. What was kept before stays where it is.
create table snapshot (
  -- SHA-256 of the document as it was written.
  hash varchar(64) not null,
  packed blob not null,
  constraint snapshot_key primary key (hash)
);
alter table run alter column session set null;
alter table run alter column workshop set null;
alter table run alter column plan set null;
alter table run add column session_hash varchar(64);
alter table run add column workshop_hash varchar(64);
alter table run add column plan_hash varchar(64);
