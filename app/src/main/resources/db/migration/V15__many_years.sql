-- A journal of many years: what is looked for stands with the piece, and nothing is counted again and
-- again. The journal's tables are worked out anew after this.
alter table run add column told int default 0 not null;
update run set told = (select count(*) from run_event where run_event.run_id = run.id);

delete from journal_evening;
alter table journal_piece add column begun_at timestamp(9) with time zone not null;
alter table journal_piece add column local_day date not null;
-- Every word that finds it, in small letters; and its colours and faults, each between two bars.
alter table journal_piece add column sought varchar(4000) not null;
alter table journal_piece add column keys varchar(2000) not null;
create index journal_piece_begun on journal_piece (begun_at desc, run_id, line, cavity);
