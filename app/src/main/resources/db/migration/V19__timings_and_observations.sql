-- A resin timed without an evening: how it was mixed, and what was told of it since.
create table timing (
  id varchar(36) not null,
  format int not null,
  set_up clob not null,
  workshop clob not null,
  resin_name varchar(80) not null,
  met_at timestamp(9) with time zone not null,
  zone_id varchar(64) not null,
  constraint timing_key primary key (id)
);
create index timing_met on timing (met_at);

create table timing_event (
  timing_id varchar(36) not null,
  seq int not null,
  id varchar(80) not null,
  format int not null,
  document clob not null,
  constraint timing_event_key primary key (timing_id, seq),
  constraint timing_event_once unique (timing_id, id),
  constraint timing_event_of foreign key (timing_id) references timing (id)
);

-- What it says of its resin's pace; worked out anew whenever something is told of it.
create table timing_look (
  timing_id varchar(36) not null,
  resin_id varchar(80) not null,
  lot varchar(170),
  pace varchar(10) not null,
  lowest double precision,
  highest double precision,
  looks int not null,
  constraint timing_look_key primary key (timing_id, resin_id, pace),
  constraint timing_look_of foreign key (timing_id) references timing (id)
);

-- The journal's tables are worked out anew after this.
delete from journal_evening;
alter table journal_look add column lot varchar(170);

-- What was seen, touched or read on an evening, and what was said of it in words.
create table journal_observation (
  run_id varchar(36) not null,
  number int not null,
  kind varchar(20) not null,
  about varchar(200),
  word varchar(40),
  reading double precision,
  at_seconds int not null,
  constraint journal_observation_key primary key (run_id, number),
  constraint journal_observation_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);

create table journal_note (
  run_id varchar(36) not null,
  number int not null,
  about varchar(200),
  text varchar(300) not null,
  at_seconds int not null,
  constraint journal_note_key primary key (run_id, number),
  constraint journal_note_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);

-- How many times as much as reckoned stayed in cups of a kind that were weighed after the pour.
create table journal_stayed (
  run_id varchar(36) not null,
  kind_id varchar(80) not null,
  times double precision not null,
  content_g double precision not null,
  looks int not null,
  constraint journal_stayed_key primary key (run_id, kind_id),
  constraint journal_stayed_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
