-- What pieces are found by, once for all that are found by the same: thousands of pieces are found by a few
-- hundred texts. All of it is worked out of what was told.
delete from journal_evening;
create table journal_words (
  id varchar(32) not null,
  -- Every word, and every key that is filtered by.
  sought varchar(4000) not null,
  keys varchar(2000) not null,
  constraint journal_words_key primary key (id)
);
alter table journal_piece drop column sought;
alter table journal_piece drop column keys;
alter table journal_piece add column words_id varchar(32) not null;
-- Of its topmost layer that was poured.
alter table journal_piece add column top_colour varchar(80) default '' not null;
-- All that a count of evenings and pieces reads, so that it reads nothing else.
create index journal_piece_words on journal_piece (words_id, run_id, grade, begun_at);
