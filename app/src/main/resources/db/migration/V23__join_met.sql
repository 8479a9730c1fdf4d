-- The state that a layer found the one below it in; worked out from what was told.
alter table journal_join add column met varchar(20);
