-- Format 2: a plan's doses as they are counted. From here on every row is written with its format.
alter table shelf_item alter column format drop default;
alter table saved_session alter column format drop default;
alter table run alter column format drop default;
alter table run_event alter column format drop default;
