-- What a piece is found and counted by: the bottles of A and B, how its layers met, its room; what lies in
-- it, and how thick every layer is. The journal's tables are worked out anew after this.
delete from journal_evening;
create table journal_lot (
  run_id varchar(36) not null,
  batch int not null,
  side varchar(1) not null,
  part_id varchar(80) not null,
  part_name varchar(80) not null,
  code varchar(80) not null,
  constraint journal_lot_key primary key (run_id, batch, side),
  constraint journal_lot_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);

create table journal_join (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  -- The upper one, counted from the floor's, which is 0.
  layer int not null,
  planned varchar(10) not null,
  minutes_after int,
  constraint journal_join_key primary key (run_id, piece, layer),
  constraint journal_join_of foreign key (run_id, piece) references journal_piece (run_id, piece) on delete cascade
);

create table journal_embed (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  layer int not null,
  number int not null,
  embed_id varchar(80) not null,
  embed_name varchar(80) not null,
  how_many int not null,
  constraint journal_embed_key primary key (run_id, piece, layer, number),
  constraint journal_embed_of foreign key (run_id, piece) references journal_piece (run_id, piece) on delete cascade
);

-- What stayed in cups of what went into moulds, %; null where not every pour was made and weighed.
alter table journal_evening add column left_planned_percent double precision;
alter table journal_evening add column left_percent double precision;

alter table journal_pour add column resin_id varchar(80) not null;
alter table journal_pour add column thick_mm double precision;
-- As it was read that evening, else as it was told to be.
alter table journal_piece add column room_c double precision not null;
