-- What was done and what came of it, evening by evening. Worked out from the events, which stay the
-- truth; all of it can be thrown away and worked out again (docs/decisions/0047).
create table journal_evening (
  run_id varchar(36) not null,
  -- How many events it was worked out from, and by which version of it.
  told int not null,
  engine int not null,
  name varchar(80) not null,
  begun_at timestamp(9) with time zone not null,
  zone_id varchar(64) not null,
  local_day date not null,
  finished_at timestamp(9) with time zone,
  room_c double precision not null,
  humidity_percent double precision,
  -- What its picture is drawn from.
  board clob not null,
  constraint journal_evening_key primary key (run_id),
  constraint journal_evening_of foreign key (run_id) references run (id)
);
create index journal_evening_day on journal_evening (local_day);

create table journal_batch (
  run_id varchar(36) not null,
  batch int not null,
  resin_id varchar(80) not null,
  resin_name varchar(80) not null,
  planned_a_g double precision not null,
  planned_b_g double precision not null,
  a_g double precision not null,
  b_g double precision not null,
  ratio_error_percent double precision,
  met_seconds int not null,
  mixed_seconds int,
  constraint journal_batch_key primary key (run_id, batch),
  constraint journal_batch_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);

create table journal_cup (
  run_id varchar(36) not null,
  cup_id varchar(20) not null,
  batch int not null,
  colour_id varchar(80) not null,
  colour_name varchar(80) not null,
  planned_g double precision not null,
  filled_g double precision not null,
  left_g double precision not null,
  lost_g double precision not null,
  constraint journal_cup_key primary key (run_id, cup_id),
  constraint journal_cup_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);

create table journal_dose (
  run_id varchar(36) not null,
  cup_id varchar(20) not null,
  colourant_id varchar(80) not null,
  colourant_name varchar(80) not null,
  mass_g double precision not null,
  drops int,
  scoops double precision,
  implement varchar(80),
  constraint journal_dose_key primary key (run_id, cup_id, colourant_id),
  constraint journal_dose_of foreign key (run_id, cup_id) references journal_cup (run_id, cup_id) on delete cascade
);

create table journal_piece (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  line int not null,
  cavity int not null,
  mould_id varchar(80) not null,
  mould_name varchar(160) not null,
  resin_id varchar(80) not null,
  layers int not null,
  poured int not null,
  -- How it came out; null until somebody looked.
  grade varchar(10),
  line_about_it varchar(300),
  constraint journal_piece_key primary key (run_id, piece),
  constraint journal_piece_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
create index journal_piece_mould on journal_piece (mould_id);
create index journal_piece_grade on journal_piece (grade);

create table journal_pour (
  run_id varchar(36) not null,
  pour_id varchar(30) not null,
  piece varchar(20) not null,
  layer int not null,
  cup_id varchar(20) not null,
  colour_name varchar(80) not null,
  outcome varchar(10) not null,
  planned_g double precision not null,
  grams double precision,
  weighed boolean not null,
  planned_seconds int not null,
  at_seconds int,
  spare_seconds int,
  constraint journal_pour_key primary key (run_id, pour_id),
  constraint journal_pour_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
create index journal_pour_colour on journal_pour (colour_name);

create table journal_fault (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  fault varchar(40) not null,
  constraint journal_fault_key primary key (run_id, piece, fault),
  constraint journal_fault_of foreign key (run_id, piece) references journal_piece (run_id, piece) on delete cascade
);
create index journal_fault_what on journal_fault (fault);
