-- How long hands took on an evening, by the median step of a kind.
create table journal_hand (
  run_id varchar(36) not null,
  speed varchar(40) not null,
  steps int not null,
  seconds double precision not null,
  constraint journal_hand_key primary key (run_id, speed),
  constraint journal_hand_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
