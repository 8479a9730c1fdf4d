-- What is usual in this workshop: one row, read and written whole.
create table usual (
  id int not null,
  revision int not null,
  format int not null,
  document clob not null,
  constraint usual_key primary key (id)
);

-- A session takes hands and moulds from others once somebody has said that it will be; what is thrown
-- away lies in the bin until it is emptied. The board is what its picture in the list is drawn from.
alter table saved_session add column confirmed boolean default false not null;
alter table saved_session add column binned_at timestamp(9) with time zone;
alter table saved_session add column board clob;
