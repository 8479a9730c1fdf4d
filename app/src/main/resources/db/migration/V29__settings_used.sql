-- What stays in a setting uses it up: how many there were when somebody counted them.
create table setting_counted (
  mould_id varchar(80) not null,
  copies int not null,
  counted_at timestamp(9) with time zone not null,
  constraint setting_counted_key primary key (mould_id)
);
alter table journal_piece add column cavity_id varchar(80) default '' not null;
