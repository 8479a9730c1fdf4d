-- What became of a piece, its code, and where its faults are; worked out anew from the events.
alter table journal_piece add column code varchar(7) default '' not null;
alter table journal_piece add column became varchar(20);
alter table journal_piece add column became_day date;
create index journal_piece_code on journal_piece (code);

create table journal_mark (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  number int not null,
  fault varchar(40) not null,
  across_percent double precision not null,
  up_percent double precision not null,
  constraint journal_mark_key primary key (run_id, piece, number),
  constraint journal_mark_of foreign key (run_id, piece) references journal_piece (run_id, piece) on delete cascade
);

-- Several pictures a piece, from 1.
alter table piece_photo add column number int default 1 not null;
alter table piece_photo drop constraint piece_photo_key;
alter table piece_photo add constraint piece_photo_key primary key (run_id, piece, number);
