-- All of it is worked out of what was told: an evening is worked out anew by this version of the program.
-- What the cup needed that needed most beyond its pours, %; null where a pour was not weighed.
alter table journal_evening add column overage_needed_percent double precision;
-- How the room went on while somebody worked in it, K/h; null where it was not read twice.
alter table journal_evening add column room_drift_k_per_hour double precision;
-- How much a closed mould needed to be filled over by, mL.
create table journal_squeezed (
  run_id varchar(36) not null,
  mould_id varchar(80) not null,
  needed_ml double precision not null,
  looks int not null,
  constraint journal_squeezed_key primary key (run_id, mould_id),
  constraint journal_squeezed_of foreign key (run_id) references journal_evening (run_id) on delete cascade
);
-- Whose hands they were; empty where nobody said.
alter table journal_hand drop constraint journal_hand_key;
alter table journal_hand add column person varchar(80) default '' not null;
alter table journal_hand add constraint journal_hand_key primary key (run_id, speed, person);
