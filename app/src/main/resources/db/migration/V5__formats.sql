-- Every document says in which format it was written (see docs/decisions/0028). What was kept before
-- is format 1.
alter table shelf_item add column format int default 1 not null;
alter table saved_session add column format int default 1 not null;
alter table run add column format int default 1 not null;
alter table run_event add column format int default 1 not null;
