-- Pieces of a trial, and of what stood beside it as its control.
create table journal_trial (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  trial varchar(60) not null,
  changed boolean not null,
  constraint journal_trial_key primary key (run_id, piece, trial),
  constraint journal_trial_of foreign key (run_id, piece) references journal_piece (run_id, piece) on delete cascade
);
create index journal_trial_what on journal_trial (trial);
