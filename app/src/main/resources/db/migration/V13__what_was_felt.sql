-- What an evening's cure diary says of a resin's pace beside its label, and what the room really had.
create table journal_look (
  run_id varchar(36) not null,
  resin_id varchar(80) not null,
  pace varchar(10) not null,
  lowest double precision,
  highest double precision,
  looks int not null,
  constraint journal_look_key primary key (run_id, resin_id, pace),
  constraint journal_look_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
-- The middle of the readings of an evening; null where nobody read a thermometer.
alter table journal_evening add column room_read_c double precision;
-- How sure its plan was that every pour is in time, and whether every pour was; null where nothing was poured.
alter table journal_evening add column said_percent double precision;
alter table journal_evening add column all_in_time boolean;
