-- Plans that are carried out: what they began with, and what happened, one line an event. Nothing of
-- it is ever changed or removed (see docs/decisions/0024).
create table run (
  id varchar(36) not null,
  session_id varchar(36),
  name varchar(80) not null,
  session clob not null,
  workshop clob not null,
  plan clob not null,
  begun_at timestamp(9) with time zone not null,
  constraint run_key primary key (id)
);

create table run_event (
  run_id varchar(36) not null,
  seq int not null,
  id varchar(80) not null,
  document clob not null,
  constraint run_event_key primary key (run_id, seq),
  constraint run_event_once unique (run_id, id),
  constraint run_event_of foreign key (run_id) references run (id)
);

-- The clock of the demo, where it runs faster than the real one.
create table demo_clock (
  id int not null,
  real_at timestamp(9) with time zone not null,
  told_at timestamp(9) with time zone not null,
  speed int not null,
  constraint demo_clock_key primary key (id)
);
