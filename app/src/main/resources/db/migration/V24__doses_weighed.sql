-- How heavy counted drops and scoops were; worked out of what was told.
create table journal_dosed (
  run_id varchar(36) not null,
  colourant_id varchar(80) not null,
  times double precision not null,
  read_share double precision not null,
  looks int not null,
  constraint journal_dosed_key primary key (run_id, colourant_id),
  constraint journal_dosed_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
