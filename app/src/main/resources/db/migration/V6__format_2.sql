-- Format 2: doses as they are counted, heat of mixing cups. From here on every row is written with its format.
alter table shelf_item alter column format drop default;
alter table saved_session alter column format drop default;
alter table run alter column format drop default;
alter table run_event alter column format drop default;
