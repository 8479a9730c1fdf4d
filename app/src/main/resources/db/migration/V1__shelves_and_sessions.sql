-- Materials and sessions are kept as the documents they are exchanged as (see docs/decisions/0002).
create table shelf_item (
  kind varchar(16) not null,
  id varchar(80) not null,
  name varchar(80) not null,
  document clob not null,
  changed_at timestamp with time zone not null,
  constraint shelf_item_key primary key (kind, id)
);

create table saved_session (
  id varchar(36) not null,
  revision int not null,
  name varchar(80) not null,
  document clob not null,
  -- What the plan was made from and the plan itself; null while the session cannot be planned.
  snapshot clob,
  plan clob,
  changed_at timestamp with time zone not null,
  constraint saved_session_key primary key (id)
);

create table seeding (
  what varchar(16) not null,
  done_at timestamp with time zone not null,
  constraint seeding_key primary key (what)
);
