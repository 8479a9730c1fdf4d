-- Evenings that are only rehearsed: each is a run that is in no list, with a clock of its own. Its points
-- are kept longer than the run.
create table rehearsal (
  run_id varchar(36) not null,
  exercise varchar(80) not null,
  begun_at timestamp(9) with time zone not null,
  told_at timestamp(9) with time zone not null,
  speed int not null,
  points int,
  constraint rehearsal_key primary key (run_id)
);
create index rehearsal_by_exercise on rehearsal (exercise);
