-- How many times as much as measured a cavity took on an evening, by pours that were weighed.
create table journal_fill (
  run_id varchar(36) not null,
  mould_id varchar(80) not null,
  cavity_id varchar(80) not null,
  times double precision not null,
  looks int not null,
  constraint journal_fill_key primary key (run_id, mould_id, cavity_id),
  constraint journal_fill_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
